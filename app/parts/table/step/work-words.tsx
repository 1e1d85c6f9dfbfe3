import { groundWords, pathWords, type Step, type Technique } from '../../../../core/routine';
import { NEED_NAMES } from '../../../../core/words';
import { PLACE_INDEX } from '../../../../reference/place-index';

/** What hands need while they work: the way, what to feel for and to avoid, what the client is told, and on what ground. */
export function WorkWords({ technique, step }: { technique: Technique; step: Step }) {
  const { cue, clientCue, feelFor, avoid, needs, equipment, by } = technique;
  const before = [...needs.map((n) => NEED_NAMES[n]), equipment, by === 'client' ? 'the client does it' : ''].filter(
    Boolean,
  );
  return (
    <dl className="work-words">
      <dt>Where</dt>
      <dd>{pathWords(step, PLACE_INDEX)}</dd>
      <dt>Do</dt>
      <dd>{cue}</dd>
      <dt>Feel for</dt>
      <dd>{feelFor}</dd>
      <dt>Avoid</dt>
      <dd>{avoid}</dd>
      {clientCue && (
        <>
          <dt>Say</dt>
          <dd>“{clientCue}”</dd>
        </>
      )}
      {before.length > 0 && (
        <>
          <dt>Needs</dt>
          <dd>{before.join('; ')}</dd>
        </>
      )}
      <dt>Dose</dt>
      <dd className="soft">{groundWords(technique)}</dd>
    </dl>
  );
}

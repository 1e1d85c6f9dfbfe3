import { BOUNDS, LENGTHS, NEW_PARTS, type DosePart, type Step } from '../../../../core/routine';
import { middleWords, type Middle } from '../../../../core/guide';
import { MEASURES } from '../../../../core/measures';
import { useState } from 'react';
import { useLearned } from '../../frame/use-learned';
import { SayChoice, SayNumber, SayText, SayVerb } from './say';

const KIND_NAMES: Record<DosePart['kind'], string> = {
  hold: 'a hold',
  beats: 'a count',
  open: 'waiting',
  breath: 'breaths',
  check: 'a look',
  test: 'a reading',
};
const KINDS = Object.keys(KIND_NAMES) as DosePart['kind'][];
const PHASE_WORDS = { in: 'in', 'in-again': 'in again', hold: 'hold', out: 'out', rest: 'wait' } as const;
const SINGLE_NUMBER = Object.entries(MEASURES).map(([id, m]) => [id, m.name] as const);

const capital = (text: string) => text[0]!.toUpperCase() + text.slice(1);

/** The dose as one run of words: its parts, in order, each of them open to change, and what can be added. */
export function PartsSentence({ step, onChange }: { step: Step; onChange: (next: Step) => void }) {
  const [adding, setAdding] = useState(false);
  const yours = useLearned().open[step.technique];
  const { parts } = step.dose;
  const setParts = (next: DosePart[]) => onChange({ ...step, dose: { ...step.dose, parts: next } });
  return (
    <>
      {parts.map((part, i) => (
        <span key={i} className="say-part">
          {i > 0 && 'then '}
          <PartWords part={part} yours={yours} onChange={(p) => setParts(parts.map((o, j) => (j === i ? p : o)))} />
          {parts.length > 1 && (
            <SayVerb label={`Take part ${i + 1} out`} onClick={() => setParts(parts.filter((_, j) => j !== i))}>
              ×
            </SayVerb>
          )}
        </span>
      ))}
      {parts.length < LENGTHS.parts &&
        (adding ? (
          <span className="say-part">
            then{' '}
            {KINDS.map((kind) => (
              <SayVerb
                key={kind}
                onClick={() => {
                  setAdding(false);
                  setParts([...parts, structuredClone(NEW_PARTS[kind])]);
                }}
              >
                {KIND_NAMES[kind]}
              </SayVerb>
            ))}
          </span>
        ) : (
          <SayVerb label="Add a part to the dose" onClick={() => setAdding(true)}>
            then …
          </SayVerb>
        ))}
    </>
  );
}

function PartWords({
  part,
  yours,
  onChange,
}: {
  part: DosePart;
  /** How long this technique’s open doses took in own runs. */
  yours: Middle | undefined;
  onChange: (part: DosePart) => void;
}) {
  switch (part.kind) {
    case 'hold':
      return (
        <>
          hold{' '}
          <SayNumber
            label="Hold, s"
            value={part.seconds}
            range={BOUNDS.holdSeconds}
            onCommit={(seconds) => onChange({ ...part, seconds })}
          />{' '}
          s
        </>
      );
    case 'beats':
      return (
        <>
          <SayNumber
            label={capital(part.unit)}
            value={part.count}
            range={BOUNDS.count}
            whole
            onCommit={(count) =>
              onChange({ ...part, count, most: part.most !== null && part.most < count ? null : part.most })
            }
          />
          {part.most === null ? (
            <SayVerb
              label="Up to a most"
              onClick={() => onChange({ ...part, most: Math.min(part.count * 2, BOUNDS.count[1]) })}
            >
              up to …
            </SayVerb>
          ) : (
            <>
              up to{' '}
              <SayNumber
                label="Up to"
                value={part.most}
                range={[part.count, BOUNDS.count[1]]}
                whole
                onCommit={(most) => onChange({ ...part, most })}
              />
              <SayVerb label="No most" onClick={() => onChange({ ...part, most: null })}>
                ×
              </SayVerb>
            </>
          )}{' '}
          <SayText
            label="What is counted"
            value={part.unit}
            most={LENGTHS.unit}
            placeholder="circles"
            required
            onCommit={(unit) => onChange({ ...part, unit })}
          />{' '}
          at{' '}
          <SayNumber
            label="Per minute"
            value={part.perMinute}
            range={BOUNDS.perMinute}
            onCommit={(perMinute) => onChange({ ...part, perMinute })}
          />{' '}
          a minute
        </>
      );
    case 'open':
      return (
        <>
          until{' '}
          <SayText
            label="Until"
            value={part.until}
            most={LENGTHS.until}
            placeholder="it softens"
            required
            onCommit={(until) => onChange({ ...part, until })}
          />
          , about{' '}
          <SayNumber
            label={`Until ${part.until}, about s`}
            value={part.usualSeconds}
            range={[part.leastSeconds, part.mostSeconds]}
            onCommit={(usualSeconds) => onChange({ ...part, usualSeconds })}
          />{' '}
          s (
          <SayNumber
            label="At least, s"
            value={part.leastSeconds}
            range={[BOUNDS.holdSeconds[0], part.usualSeconds]}
            onCommit={(leastSeconds) => onChange({ ...part, leastSeconds })}
          />
          –
          <SayNumber
            label="At most, s"
            value={part.mostSeconds}
            range={[part.usualSeconds, BOUNDS.holdSeconds[1]]}
            onCommit={(mostSeconds) => onChange({ ...part, mostSeconds })}
          />
          ){yours && <YoursInstead yours={yours} part={part} onChange={onChange} />}
        </>
      );
    case 'breath':
      return (
        <>
          <SayNumber
            label="Breaths"
            value={part.cycles}
            range={BOUNDS.cycles}
            whole
            onCommit={(cycles) => onChange({ ...part, cycles })}
          />{' '}
          breaths, <PhaseWords phases={part.phases} onChange={(phases) => onChange({ ...part, phases })} />
        </>
      );
    case 'check':
      return (
        <>
          look:{' '}
          <SayText
            label="What is looked at"
            value={part.what}
            most={LENGTHS.check}
            placeholder="compare the sides"
            required
            onCommit={(what) => onChange({ ...part, what })}
          />
          ,{' '}
          <SayNumber
            label="Check, s"
            value={part.seconds}
            range={BOUNDS.holdSeconds}
            onCommit={(seconds) => onChange({ ...part, seconds })}
          />{' '}
          s
        </>
      );
    case 'test':
      return (
        <>
          read{' '}
          <SayChoice
            label="What is read"
            value={part.measure}
            options={SINGLE_NUMBER}
            onChoose={(measure) => onChange({ ...part, measure })}
          />
          ,{' '}
          <SayNumber
            label="Reading, s"
            value={part.seconds}
            range={BOUNDS.holdSeconds}
            onCommit={(seconds) => onChange({ ...part, seconds })}
          />{' '}
          s
        </>
      );
  }
}

type OpenPart = Extract<DosePart, { kind: 'open' }>;

/** What own runs say of an open dose; one touch makes it the usual length, within the least and the most. */
function YoursInstead({
  yours,
  part,
  onChange,
}: {
  yours: Middle;
  part: OpenPart;
  onChange: (part: OpenPart) => void;
}) {
  const usualSeconds = Math.round(Math.min(part.mostSeconds, Math.max(part.leastSeconds, yours.seconds)));
  const words = `yours ${middleWords(yours)}`;
  return (
    <>
      ,{' '}
      {usualSeconds === part.usualSeconds ? (
        words
      ) : (
        <SayVerb onClick={() => onChange({ ...part, usualSeconds })}>{words}</SayVerb>
      )}
    </>
  );
}

type Phases = Extract<DosePart, { kind: 'breath' }>['phases'];

/** One breath, phase by phase: "in 4 s, in again 1 s, out 6 s". */
export function PhaseWords({ phases, onChange }: { phases: Phases; onChange: (phases: Phases) => void }) {
  const has = (what: keyof typeof PHASE_WORDS) => phases.some((p) => p.what === what);
  const put = (what: keyof typeof PHASE_WORDS, behind: keyof typeof PHASE_WORDS) => {
    const at = phases.findLastIndex((p) => p.what === behind) + 1;
    onChange([...phases.slice(0, at), { what, seconds: what === 'in-again' ? 1 : 2 }, ...phases.slice(at)]);
  };
  return (
    <>
      {phases.map((phase, i) => (
        <span key={i}>
          {i > 0 && ', '}
          {PHASE_WORDS[phase.what]}{' '}
          <SayNumber
            label={`${capital(PHASE_WORDS[phase.what])}, s`}
            value={phase.seconds}
            range={BOUNDS.breathSeconds}
            onCommit={(seconds) => onChange(phases.map((p, j) => (j === i ? { ...p, seconds } : p)))}
          />{' '}
          s
          {phase.what !== 'in' && phase.what !== 'out' && (
            <SayVerb label={`No ${PHASE_WORDS[phase.what]}`} onClick={() => onChange(phases.filter((_, j) => j !== i))}>
              ×
            </SayVerb>
          )}
        </span>
      ))}
      {!has('in-again') && <SayVerb onClick={() => put('in-again', 'in')}>second sip</SayVerb>}
      {!has('hold') && <SayVerb onClick={() => put('hold', has('in-again') ? 'in-again' : 'in')}>hold</SayVerb>}
      {!has('rest') && <SayVerb onClick={() => put('rest', 'out')}>wait empty</SayVerb>}
    </>
  );
}

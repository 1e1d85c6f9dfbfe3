import { BOUNDS, LENGTHS, STROKES, sumWords, type Step, type Stroke, type Technique } from '../../../../core/routine';
import { type OneSide, type Pressure, PRESSURES } from '../../../../core/words';
import { useState } from 'react';
import { MoreOfStep } from './more-of-step';
import { PartsSentence } from './parts-sentence';
import { PlacesSentence } from './places-sentence';
import { CONTACT_CHOICES, SayChoice, SayNumber, SayText, SayVerb } from './say';
import { WorkWords } from './work-words';

interface Props {
  step: Step;
  technique: Technique;
  /** In its routine. */
  seconds: number;
  /** Places are being picked on the chart. */
  picking: boolean;
  onPicking: (on: boolean) => void;
  onChange: (next: Step) => void;
  onCopy: () => void;
  onMirror: () => void;
  onRemove: () => void;
}

const SIDE_OPTIONS = [
  ['left', 'left'],
  ['right', 'right'],
] as const;
const STROKE_WORDS: Record<Stroke, string> = {
  still: 'still',
  'one-way': 'one way',
  'to-and-fro': 'there and back',
  'one-way-then-other': 'one way, then the other',
  'circles-one-way': 'circles one way',
  'circles-both-ways': 'circles one way, then back',
  'in-place': 'in its place',
};

/** Everything of one step as sentences: dotted is what can be changed. Its sum is that of the cue list. */
export function StepSentence({
  step,
  technique,
  seconds,
  picking,
  onPicking,
  onChange,
  onCopy,
  onMirror,
  onRemove,
}: Props) {
  const [more, setMore] = useState(false);
  const { sides, pressure, body } = step;
  const set = (change: Partial<Step>) => onChange({ ...step, ...change });
  const oneByOne = sides.mode === 'each' || sides.mode === 'left' || sides.mode === 'right';
  const twoWays =
    step.stroke === 'to-and-fro' || step.stroke === 'one-way-then-other' || step.stroke === 'circles-both-ways';
  return (
    <div className="step-sentence">
      <p>
        {sides.mode === 'each' && (
          <>
            <SayChoice
              label="Begin on client’s"
              value={sides.first}
              options={SIDE_OPTIONS}
              onChoose={(first) => set({ sides: { ...sides, first } })}
            />{' '}
            first ·{' '}
          </>
        )}
        <SayNumber
          label="Sets"
          value={sides.sets}
          range={BOUNDS.sets}
          whole
          onCommit={(sets) => set({ sides: { ...sides, sets } })}
        />{' '}
        {sides.sets === 1 ? 'set' : 'sets'}
        {sides.mode === 'each' && sides.sets + (sides.extra?.sets ?? 0) > 1 && (
          <>
            ,{' '}
            <SayChoice
              label="How sides alternate"
              value={sides.sequence}
              options={[
                ['side-complete', 'one side wholly, then the other'],
                ['alternate', 'side by side, set by set'],
              ]}
              onChoose={(sequence) => set({ sides: { ...sides, sequence } })}
            />
          </>
        )}
        {oneByOne && <ExtraSets step={step} onChange={onChange} />} ·{' '}
        <PlacesSentence step={step} picking={picking} onPicking={onPicking} onChange={onChange} /> ·{' '}
        <PartsSentence step={step} onChange={onChange} /> ·{' '}
        <SayChoice
          label="Stroke"
          value={step.stroke}
          options={STROKES.map((s) => [s, STROKE_WORDS[s]] as const)}
          onChoose={(stroke) => set({ stroke, pressure: pressure && { ...pressure, back: null } })}
        />{' '}
        ·{' '}
        <SayChoice
          label="Pressure"
          value={pressure?.there ?? 'none'}
          options={[['none', 'no pressure'], ...PRESSURES.map((p) => [p, p] as const)] as const}
          onChoose={(there) => set({ pressure: there === 'none' ? null : { there, back: pressure?.back ?? null } })}
        />
        {pressure && twoWays && (
          <>
            ,{' '}
            <SayChoice
              label="Pressure on the way back"
              value={pressure.back ?? 'same'}
              options={[['same', 'the same back'], ...PRESSURES.map((p) => [p, `${p} back`] as const)] as const}
              onChoose={(back) => set({ pressure: { ...pressure, back: back === 'same' ? null : (back as Pressure) } })}
            />
          </>
        )}{' '}
        ·{' '}
        <SayChoice
          label="Contact"
          value={step.contact}
          options={CONTACT_CHOICES}
          onChoose={(contact) => set({ contact })}
        />
      </p>
      {more && <MoreOfStep step={step} technique={technique} set={set} body={body} />}
      <div className="step-foot">
        <span className="sum" data-testid="step-sum">
          {sumWords(step, seconds)}
        </span>
        <SayVerb onClick={() => setMore(!more)}>{more ? 'Less' : 'More'}</SayVerb>
        <SayVerb onClick={onCopy}>Copy</SayVerb>
        <SayVerb label="Change left and right over" onClick={onMirror}>
          Mirror
        </SayVerb>
        <SayVerb onClick={onRemove}>Remove</SayVerb>
      </div>
      <p className="step-note">
        Note:{' '}
        <SayText
          label="Note"
          value={step.note}
          most={LENGTHS.note}
          placeholder="for the hands"
          onCommit={(note) => set({ note })}
        />
      </p>
      {more && <WorkWords technique={technique} step={step} />}
    </div>
  );
}

function ExtraSets({ step, onChange }: { step: Step; onChange: (next: Step) => void }) {
  const { sides } = step;
  const { extra } = sides;
  const put = (next: typeof extra) => onChange({ ...step, sides: { ...sides, extra: next } });
  if (!extra)
    return (
      <SayVerb
        label="More sets on one side"
        onClick={() =>
          put({ side: sides.mode === 'each' ? sides.first : (sides.mode as OneSide), sets: 1, reason: '' })
        }
      >
        more on one side …
      </SayVerb>
    );
  return (
    <>
      ,{' '}
      <SayNumber
        label="Extra sets"
        value={extra.sets}
        range={BOUNDS.sets}
        whole
        onCommit={(sets) => put({ ...extra, sets })}
      />{' '}
      more on the{' '}
      {sides.mode === 'each' ? (
        <SayChoice
          label="Extra on client’s"
          value={extra.side}
          options={SIDE_OPTIONS}
          onChoose={(side) => put({ ...extra, side })}
        />
      ) : (
        extra.side
      )}{' '}
      because{' '}
      <SayText
        label="Why the difference is intended"
        value={extra.reason}
        most={LENGTHS.reason}
        placeholder="why it is intended"
        onCommit={(reason) => put({ ...extra, reason })}
      />
      <SayVerb label="No extra sets" onClick={() => put(null)}>
        ×
      </SayVerb>
    </>
  );
}

import {
  BODY_WAYS,
  BOUNDS,
  LENGTHS,
  STROKES,
  sumWords,
  type Step,
  type Stroke,
  type Technique,
} from '../../../../core/routine';
import { CONTACTS, MOTIONS, type OneSide, type Pressure, PRESSURES } from '../../../../core/words';
import { useState } from 'react';
import { PartsSentence, PhaseWords } from './parts-sentence';
import { PlacesSentence } from './places-sentence';
import { SayChoice, SayNumber, SayText, SayVerb, spaced } from './say';
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
const PAUSE_WORDS = {
  findPlaceSeconds: 'to find the place',
  nextPlaceSeconds: 'to the next place',
  directionChangeSeconds: 'to turn round',
  restSeconds: 'between sets',
  sideChangeSeconds: 'to the other side',
  swapSeconds: 'when hands swap',
} as const;

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
          options={spaced(CONTACTS)}
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

/** What is changed less often: the second hand, what the client does, breath, skin, name and pauses. */
function MoreOfStep({
  step,
  technique,
  set,
  body,
}: {
  step: Step;
  technique: Technique;
  set: (change: Partial<Step>) => void;
  body: Step['body'];
}) {
  const { dose, still, breath } = step;
  return (
    <>
      <p>
        Hands:{' '}
        <SayChoice
          label="Motion"
          value={step.motion}
          options={spaced(MOTIONS)}
          onChoose={(motion) => set({ motion })}
        />{' '}
        ·{' '}
        {still ? (
          <>
            <SayChoice
              label="Still contact"
              value={still.contact}
              options={spaced(CONTACTS)}
              onChoose={(contact) => set({ still: { ...still, contact } })}
            />{' '}
            stays put{' '}
            <SayVerb label="No still hand" onClick={() => set({ still: null })}>
              ×
            </SayVerb>
          </>
        ) : (
          <SayVerb onClick={() => set({ still: { contact: 'palm', place: null } })}>a still hand …</SayVerb>
        )}{' '}
        ·{' '}
        <SayChoice
          label="Hands swap"
          value={step.swap}
          options={[
            ['none', 'hands do not swap'],
            ['each-set', 'hands swap at each set'],
            ['each-count', 'hands swap at each count'],
          ]}
          onChoose={(swap) => set({ swap })}
        />{' '}
        · skin{' '}
        <SayChoice
          label="Skin"
          value={step.glide}
          options={[
            ['dry', 'dry'],
            ['product', 'with a product'],
            ['either', 'either way'],
          ]}
          onChoose={(glide) => set({ glide })}
        />
      </p>
      <p>
        Client:{' '}
        {(Object.keys(BODY_WAYS) as (keyof typeof BODY_WAYS)[]).map((part) => (
          <span key={part}>
            {part}{' '}
            <SayChoice
              label={`The client’s ${part}`}
              value={body[part] as string}
              options={spaced(BODY_WAYS[part] as readonly string[])}
              onChoose={(way) => set({ body: { ...body, [part]: way } as Step['body'] })}
            />{' '}
            ·{' '}
          </span>
        ))}
        {breath ? (
          <>
            breathing{' '}
            {breath.phases ? (
              <PhaseWords phases={breath.phases} onChange={(phases) => set({ breath: { ...breath, phases } })} />
            ) : (
              <>
                at the own pace{' '}
                <SayVerb
                  onClick={() =>
                    set({
                      breath: {
                        ...breath,
                        phases: [
                          { what: 'in', seconds: 4 },
                          { what: 'out', seconds: 6 },
                        ],
                      },
                    })
                  }
                >
                  paced …
                </SayVerb>
              </>
            )}{' '}
            <SayText
              label="How to breathe"
              value={breath.words}
              most={LENGTHS.words}
              placeholder="through the nose"
              onCommit={(words) => set({ breath: { ...breath, words } })}
            />
            <SayVerb label="No breath" onClick={() => set({ breath: null })}>
              ×
            </SayVerb>
          </>
        ) : (
          <SayVerb onClick={() => set({ breath: { phases: null, words: '' } })}>breath …</SayVerb>
        )}
      </p>
      <p>
        Pauses:{' '}
        {(Object.keys(PAUSE_WORDS) as (keyof typeof PAUSE_WORDS)[]).map((key, i) => (
          <span key={key}>
            {i > 0 && ', '}
            <SayNumber
              label={`Pause ${PAUSE_WORDS[key]}, s`}
              value={dose.pauses[key]}
              range={BOUNDS.pauseSeconds}
              onCommit={(s) => set({ dose: { ...dose, pauses: { ...dose.pauses, [key]: s } } })}
            />{' '}
            s {PAUSE_WORDS[key]}
          </span>
        ))}{' '}
        · called{' '}
        <SayText
          label="Own name of the step"
          value={step.label ?? ''}
          most={LENGTHS.label}
          placeholder={technique.name}
          onCommit={(label) => set({ label: label.trim() ? label : null })}
        />
      </p>
    </>
  );
}

import { BODY_WAYS, BOUNDS, LENGTHS, type Step, type Technique } from '../../../../core/routine';
import { MOTIONS } from '../../../../core/words';
import { PhaseWords } from './parts-sentence';
import { CONTACT_CHOICES, SayChoice, SayNumber, SayText, SayVerb, spaced } from './say';

const PAUSE_WORDS = {
  findPlaceSeconds: 'to find the place',
  nextPlaceSeconds: 'to the next place',
  directionChangeSeconds: 'to turn round',
  restSeconds: 'between sets',
  sideChangeSeconds: 'to the other side',
  swapSeconds: 'when hands swap',
} as const;

/** What is changed less often: the second hand, what the client does, breath, skin, name and pauses. */
export function MoreOfStep({
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
              options={CONTACT_CHOICES}
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

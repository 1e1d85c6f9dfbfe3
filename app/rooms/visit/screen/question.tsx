import { type Answer, type Caution, acceptedFor, isYes, sideOf } from '../../../../core/limits';
import { SAID_WORDS } from '../../../../core/schedule';
import { takenAwayBy } from '../../../parts/words/caution-words';

const ANSWERS: readonly [Answer, string][] = [
  ['yes', 'Yes'],
  ['no', 'No'],
  ['unsure', 'Not sure'],
];
const ANSWER_KEYS: Readonly<Record<string, Answer>> = { y: 'yes', n: 'no', u: 'unsure', l: 'left', r: 'right' };
const SIDES: readonly [Answer, string][] = [
  ['yes', 'Both, or not told'],
  ['left', 'Client’s left'],
  ['right', 'Client’s right'],
];

/** One question of screening: how it was answered, last time and ahead of the visit, and what a yes takes away. */
export function Question({
  caution,
  value,
  before,
  said,
  onAnswer,
}: {
  caution: Caution;
  value: Answer | undefined;
  before: Answer | undefined;
  /** By the client, ahead of the visit: nothing is answered by it until it is confirmed. */
  said: Answer | undefined;
  onAnswer: (a: Answer) => void;
}) {
  const id = `q-${caution.key}`;
  return (
    <div
      className={`question${isYes(value) ? ' is-yes' : ''}`}
      role="radiogroup"
      aria-labelledby={id}
      onKeyDown={(e) => {
        const given = ANSWER_KEYS[e.key];
        if (!given || !acceptedFor(caution).includes(given)) return;
        // Here the key answers; elsewhere on the page it may mean something else.
        e.preventDefault();
        onAnswer(given);
      }}
    >
      <span id={id}>
        {caution.question}{' '}
        {isYes(before) && value === undefined && (
          <strong className="small">
            {before === 'unsure' ? 'not sure' : sideOf(before) ? `yes, ${before},` : 'yes'} last time, still so? It
            holds until answered.
          </strong>
        )}
        {said && said !== value && (
          <span className={isYes(said) ? 'said is-yes' : 'said'}>
            {value === undefined ? `client said ${SAID_WORDS[said]}` : `client had said ${SAID_WORDS[said]}`}
          </span>
        )}
      </span>
      <span className="yes-no">
        {ANSWERS.map(([a, word]) => (
          <label key={a}>
            <input
              type="radio"
              name={id}
              checked={value === a || (a === 'yes' && sideOf(value) !== null)}
              onChange={() => onAnswer(a)}
            />
            {word}
          </label>
        ))}
      </span>
      {caution.sided && isYes(value) && value !== 'unsure' && (
        <span className="yes-no which-side" role="radiogroup" aria-label={`Side: ${caution.title}`}>
          {SIDES.map(([a, word]) => (
            <label key={a}>
              <input type="radio" name={`${id}-side`} checked={value === a} onChange={() => onAnswer(a)} />
              {word}
            </label>
          ))}
        </span>
      )}
      {isYes(value) && (
        <span className="takes">
          {value === 'unsure' && <strong>Not sure counts as yes until it is cleared up. </strong>}
          Takes away {takenAwayBy(caution)}. {caution.advice} {caution.seeWho && <strong>See: {caution.seeWho}</strong>}
        </span>
      )}
    </div>
  );
}

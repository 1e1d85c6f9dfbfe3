import {
  aimOf,
  type KeptWord,
  PAD_CONTACTS,
  wordCards,
  wordsToAsk,
  type PadContact,
  type PadScale,
} from '../../../core/touch';
import { CONTACT_NAMES, PRESSURE_KPA, type Pressure } from '../../../core/words';
import { useRef, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { WordsSent } from '../../schemas/pad';
import { useKeys } from '../../parts/keys/use-keys';
import { PressureDot } from '../../parts/marks/marks';
import { usePadHeard, usePadHere } from './pad-link';
import { sentOf } from './readings';
import { usualAreaCm2 } from './rehearsal';
import { KeptLine } from './kept-line';
import { useKept } from './use-kept';
import { useLed } from './use-led';
import { type PressedWord, useWordRound } from './use-word-round';
import { WhoKnows, type WordsOfPeople } from './who-knows';
import { WordScale } from './word-scale';

export interface WordsData {
  people: WordsOfPeople;
  scale: PadScale;
  shows: boolean;
  isOwner: boolean;
  now: string;
}
const FIT_WORDS = {
  'in-aim': 'in the aim',
  'in-word': 'within the word',
  'too-hard': 'harder than the word',
  'too-soft': 'softer than the word',
} as const;
/** How a stand-in’s hand understands a word: made up, so that a blind round on it says something. */
const MADE_UP_SPREAD = 0.3;

/** Words of pressure, pressed without seeing anything. */
export function WordsRoom({ people, scale, shows, isOwner, now }: WordsData) {
  const { pad, here, isStandIn } = usePadHere();
  const own = people.own;
  const [contact, setContact] = useState<PadContact>('two-fingers');
  const [asked, setAsked] = useState<[Pressure, Pressure]>(() => wordsToAsk(wordCards(own, scale), new Date(now)));
  const [result, setResult] = useState<KeptWord[] | null>(null);
  const kept = useKept<WordsSent, { words: KeptWord[] }>('/pad/words/keep', ({ words }) => setResult(words));
  const { setTold } = kept;
  const round = useWordRound((pressed: PressedWord[]) => {
    const presses = pressed.map(({ word, trace }) => ({ word, readings: sentOf(fromFirst(trace)) }));
    void kept.keep({ once: crypto.randomUUID(), pad: pad!, contact, presses });
  });
  usePadHeard(
    (touch) => round.hear(touch),
    () => {
      if (round.at === null) return;
      round.stop();
      setTold('The pad was lost: this round is not kept.');
    },
  );
  const word = round.at === null ? null : asked[round.at]!;
  const understood = useRef(1);
  const led = useLed(
    pad ?? '',
    () => PRESSURE_KPA[word ?? 'medium'].nominal * understood.current,
    usualAreaCm2(contact),
    isStandIn,
  );
  const begin = () => {
    if (here.status !== 'here') return;
    const words = result ? wordsToAsk(wordCards(own, scale), new Date()) : asked;
    setAsked(words);
    understood.current = Math.exp((Math.random() - 0.5) * 2 * MADE_UP_SPREAD);
    setResult(null);
    setTold('');
    round.begin(words);
    document.getElementById('pad-press')?.focus();
  };
  useKeys({ r: begin, n: () => result && begin(), x: round.stop });

  return (
    <div className="pad-columns is-wide">
      <main className="pad-work">
        <h1>Words, blind</h1>
        <p className="soft">
          Two words are asked for. Press each for a second or two and let go; what you pressed is shown when both are
          done. A word that you miss comes back sooner.
        </p>
        <section className="pad-ask" aria-live="polite">
          {round.at === null ? (
            <p className="pad-asked">
              {asked.map((w, i) => (
                <span key={w}>
                  {i > 0 && ', then '}
                  <PressureDot pressure={w} /> <strong>{w}</strong>
                </span>
              ))}
            </p>
          ) : (
            <p className="pad-asked">
              Press <PressureDot pressure={word!} /> <strong>{word}</strong>{' '}
              <span className="soft">
                {round.at + 1} of {asked.length}
              </span>
            </p>
          )}
          {result?.map((r, i) => (
            <div key={i} className="pad-result">
              <span>
                <PressureDot pressure={r.word} /> {r.word}
              </span>
              <WordScale word={r.word} kpa={r.kpa} aim={aimOf(r.word, { nominalKpa: scale[r.word] })} />
              <strong className={r.fit === 'in-aim' || r.fit === 'in-word' ? 'good' : 'worse'}>
                {r.kpa.toFixed(r.kpa < 10 ? 1 : 0)} kPa, {FIT_WORDS[r.fit]}
              </strong>
            </div>
          ))}
        </section>
        <div className="pad-buttons">
          {isStandIn && (
            <Button id="pad-press" className="pad-press" {...led.button}>
              Press here <kbd>space</kbd>
            </Button>
          )}
          <Button variant={isStandIn ? 'outline-primary' : 'primary'} disabled={here.status !== 'here'} onClick={begin}>
            {result ? 'Next two' : round.at === null ? 'Begin' : 'Begin again'} <kbd>{result ? 'n' : 'r'}</kbd>
          </Button>
          <Button variant="outline-primary" disabled={round.at === null} onClick={round.stop}>
            Stop <kbd>x</kbd>
          </Button>
          <Form.Select
            aria-label="Contact"
            className="w-auto"
            value={contact}
            disabled={round.at !== null}
            onChange={(e) => setContact(e.target.value as PadContact)}
          >
            {PAD_CONTACTS.map((c) => (
              <option key={c} value={c}>
                {CONTACT_NAMES[c]}
              </option>
            ))}
          </Form.Select>
          <KeptLine kept={kept} />
        </div>
        {isStandIn && (
          <p className="soft small">
            On the stand-in a made-up hand presses each word as it understands it, up to a third off.
          </p>
        )}
        <p className="soft small">Deep is not for the face.</p>
      </main>
      <WhoKnows {...{ people, scale, shows, isOwner }} />
    </div>
  );
}

/** Readings from when the first of them came. */
const fromFirst = (trace: PressedWord['trace']): PressedWord['trace'] =>
  trace.map((t) => ({ ...t, atMs: t.atMs - trace[0]!.atMs }));

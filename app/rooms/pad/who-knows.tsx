import {
  latestOf,
  scaleFor,
  WORD_PRESSES,
  wordApart,
  wordKnown,
  wordLevel,
  type Estimated,
  type PadScale,
  type WordPress,
} from '../../../core/touch';
import { PRESSURES, type Pressure } from '../../../core/words';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useRevalidator } from 'react-router';
import { send } from '../../parts/frame/send';
import { PressureDot } from '../../parts/marks/marks';
import { WordsTrend } from './words-trend';

export interface WordsOfPeople {
  ownName: string;
  own: WordPress[];
  /** Colleagues who show theirs. */
  others: { practitionerId: string; name: string; presses: WordPress[] }[];
}
const kpaOf = (presses: readonly WordPress[], word: Pressure): number[] => latestOf(presses, word).map((p) => p.kpa);
const times = ({ value, least, most }: Estimated): string =>
  `${value.toFixed(2)} × (${least.toFixed(2)} to ${most.toFixed(2)})`;

/** How somebody and their colleagues know the words, how far apart theirs lie, and what the practice agreed on. */
export function WhoKnows({
  people: { own, ownName, others },
  scale,
  shows,
  isOwner,
}: {
  people: WordsOfPeople;
  scale: PadScale;
  shows: boolean;
  isOwner: boolean;
}) {
  const everybody = [{ practitionerId: 'own', name: ownName, presses: own }, ...others];
  const { revalidate } = useRevalidator();
  const [told, setTold] = useState('');
  const tell = async (path: string, body: object): Promise<boolean> => {
    const answer = await send(path, body);
    setTold(answer.ok ? '' : answer.message);
    if (answer.ok) await revalidate();
    return answer.ok;
  };
  const [isShown, setIsShown] = useState(shows);
  const show = async (shows: boolean) => {
    setIsShown(shows);
    if (!(await tell('/pad/words/show', { shows }))) setIsShown(!shows);
  };
  return (
    <aside className="pad-course" aria-label="Who knows the words">
      <h2>Who knows the words</h2>
      <p className="soft small">Of the last {WORD_PRESSES} blind presses of a word, how many fell in it.</p>
      <table className="pad-who">
        <thead>
          <tr>
            <td />
            {PRESSURES.map((word) => (
              <th key={word} scope="col">
                <PressureDot pressure={word} /> {word}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {everybody.map(({ practitionerId, name, presses }) => (
            <tr key={practitionerId}>
              <th scope="row">{name.split(' ')[0]}</th>
              {PRESSURES.map((word) => {
                const known = wordKnown(presses, word, scale);
                return (
                  <td key={word}>
                    {known.presses === 0 ? (
                      <span className="soft">not yet</span>
                    ) : (
                      <>
                        <span className="num">
                          {known.within}
                          {known.presses < WORD_PRESSES && ` of ${known.presses}`}
                        </span>{' '}
                        {known.leans && <span className="soft">{known.leans}</span>}
                        <span className="share" aria-hidden="true">
                          <i style={{ width: `${(100 * known.within) / known.presses}%` }} />
                        </span>
                      </>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <Form.Check
        id="pad-shows"
        label="show mine to colleagues, by name"
        checked={isShown}
        onChange={(e) => void show(e.target.checked)}
      />
      <WordsTrend presses={own} scale={scale} />
      <h2>How far apart</h2>
      {others.length === 0 ? (
        <p className="soft small">Colleagues who show theirs stand here beside you.</p>
      ) : (
        <ul className="plain-list small">
          {others.flatMap(({ practitionerId, name, presses }) =>
            PRESSURES.flatMap((word) => {
              const apart = wordApart(kpaOf(own, word), kpaOf(presses, word));
              if (!apart) return [];
              const isTold = apart.least > 1 || apart.most < 1;
              return (
                <li key={`${practitionerId} ${word}`}>
                  <PressureDot pressure={word} /> {word}: {name.split(' ')[0]}{' '}
                  {isTold ? (
                    <>
                      presses <strong>{times(apart)}</strong> what you press
                    </>
                  ) : (
                    <span className="soft">and you cannot be told apart, {times(apart)}</span>
                  )}
                </li>
              );
            }),
          )}
        </ul>
      )}
      <h2>Agreed on here</h2>
      <ul className="plain-list small pad-agreed">
        {PRESSURES.map((word) => {
          const levels = everybody.flatMap(({ presses }) => wordLevel(kpaOf(presses, word))?.value ?? []);
          const midway = scaleFor(word, levels);
          const agreed = scale[word];
          if (midway === null && agreed === undefined) return null;
          return (
            <li key={word}>
              <PressureDot pressure={word} /> {word}:{' '}
              {agreed === undefined ? 'nothing yet' : <strong className="num">{agreed} kPa</strong>}
              {midway !== null && midway !== agreed && <span className="soft">, midway {midway} kPa</span>}{' '}
              {isOwner && midway !== null && midway !== agreed && (
                <Button
                  size="sm"
                  variant="outline-primary"
                  onClick={() => void tell('/pad/words/agree', { word, do: 'agree' })}
                >
                  Agree on {midway}
                  <span className="visually-hidden"> kPa for {word}</span>
                </Button>
              )}{' '}
              {isOwner && agreed !== undefined && (
                <Button size="sm" variant="link" onClick={() => void tell('/pad/words/agree', { word, do: 'let-go' })}>
                  Let go<span className="visually-hidden"> of what was agreed on for {word}</span>
                </Button>
              )}
            </li>
          );
        })}
      </ul>
      <p className="soft small">
        Aims on this page go round what is agreed on, never out of the word. From five presses each, as geometric means
        with 95 % intervals; only of those who show theirs{isOwner ? '' : '. The owner sets it'}.
      </p>
      <p role="alert" className="worse small">
        {told}
      </p>
    </aside>
  );
}

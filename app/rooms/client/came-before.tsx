import { type NamedPreceded, points } from '../../../core/relief';
import { counted } from '../../../core/words';
import { scaleLinear } from 'd3';

/** Points either way that the bars show. */
const MOST = 2.5;
const BAR = { width: 84, height: 18 } as const;
const x = scaleLinear([-MOST, MOST], [2, BAR.width - 2]).clamp(true);

/** What was done before easier days, technique by technique, with how sure it is: what was seen together, no proof. */
export function CameBefore({ courses }: { courses: readonly { name: string; told: NamedPreceded }[] }) {
  return (
    <section className="came-before">
      <h2 className="mb-2">What came before easier days</h2>
      {courses.length === 0 ? (
        <p className="soft">
          Too few to tell: it takes guided work with a rating in the three days before it and in the three days after.
        </p>
      ) : (
        courses.map(({ name, told }) => <OfOne key={name} name={name} told={told} alone={courses.length === 1} />)
      )}
      <p className="soft small mb-0">
        Change by the next rating against what the course let expect; below 0 is easier. The number is drawn towards 0
        by as much as little is known; the bar, 95 %, is not. Seen together, not proof.
      </p>
    </section>
  );
}

function OfOne({ name, told, alone }: { name: string; told: NamedPreceded; alone: boolean }) {
  const known = told.rows.filter((r) => r.shown !== null);
  const few = told.rows.filter((r) => r.shown === null);
  return (
    <>
      {!alone && <h3>{name}</h3>}
      {known.length > 0 && (
        <table>
          <thead>
            <tr>
              <th scope="col">Technique</th>
              <th scope="col" className="text-end">
                Times
              </th>
              <th scope="col" colSpan={2}>
                Change by the next rating
              </th>
            </tr>
          </thead>
          <tbody>
            {known.map((r) => (
              <tr key={r.names[0]}>
                <th scope="row">
                  {r.names.length === 1 ? (
                    r.names[0]
                  ) : (
                    <details>
                      <summary>{counted(r.names.length, 'technique')}, always together: cannot be told apart</summary>
                      {r.names.join(', ')}
                    </details>
                  )}
                </th>
                <td className="num text-end">{r.uses}</td>
                <td>
                  <Bar shown={r.shown!} low={r.low!} high={r.high!} />
                </td>
                <td className="num">
                  {points(r.shown!)}{' '}
                  <span className="soft">
                    {points(r.low!)} to {points(r.high!)}
                  </span>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {few.length > 0 && (
        <details>
          <summary>
            {counted(
              few.reduce((sum, r) => sum + r.names.length, 0),
              'technique',
            )}
            : too few to tell
          </summary>
          <ul className="plain-list soft small">
            {few.map((r) => (
              <li key={r.names[0]}>
                {r.names.join(', ')}: {counted(r.uses, 'use')} of {told.uses}
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

function Bar({ shown, low, high }: { shown: number; low: number; high: number }) {
  const middle = BAR.height / 2;
  const tone = high < 0 ? 'is-better' : low > 0 ? 'is-worse' : '';
  return (
    <svg width={BAR.width} height={BAR.height} aria-hidden="true" className={tone}>
      <line className="zero" x1={x(0)} x2={x(0)} y1={1} y2={BAR.height - 1} />
      <line className="range" x1={x(low)} x2={x(high)} y1={middle} y2={middle} />
      <circle cx={x(shown)} cy={middle} r={3.5} />
    </svg>
  );
}

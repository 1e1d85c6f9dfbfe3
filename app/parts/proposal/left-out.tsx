import type { LeftOut, Proposal } from '../../../core/proposal';
import type { Catalogue } from '../../../core/routine';

const GROUPS: readonly { title: string; why: readonly LeftOut['why'][] }[] = [
  {
    title: 'Left out: not possible today',
    why: ['off-limits', 'pressure', 'excluded', 'tool', 'hands-of', 'position', 'school', 'needs'],
  },
  { title: 'Left out: no minutes', why: ['time', 'hands', 'ceiling'] },
  { title: 'Left out: little gained', why: ['duplicate', 'enough-there', 'less-use'] },
];
const FIRST = 3;

/** What touches a sore muscle and is not in, in three groups, each with the limit that kept it out; and what is not reached. */
export function LeftOutList({
  proposal,
  catalogue,
  muscleName,
}: {
  proposal: Proposal;
  catalogue: Catalogue;
  muscleName: (id: string) => string;
}) {
  const name = (id: string) => catalogue.techniques.get(id)?.name ?? id;
  const line = (l: LeftOut) => (
    <li key={l.technique}>
      <strong>{name(l.technique)}</strong>: {l.text}.
    </li>
  );
  return (
    <>
      {proposal.notReached.length > 0 && (
        <div className="not-reached">
          <h2>Not reached</h2>
          <ul>
            {proposal.notReached.map((n) => (
              <li key={`${n.muscle} ${n.side}`}>
                <strong>
                  {muscleName(n.muscle)}, {n.side}
                </strong>
                : {n.text}
              </li>
            ))}
          </ul>
        </div>
      )}
      <div className="left-out">
        {GROUPS.map(({ title, why }) => {
          const of = proposal.leftOut.filter((l) => why.includes(l.why));
          return (
            <section key={title}>
              <h2>{title}</h2>
              {of.length ? (
                <>
                  <ul>{of.slice(0, FIRST).map(line)}</ul>
                  {of.length > FIRST && (
                    <details>
                      <summary>{of.length - FIRST} more</summary>
                      <ul>{of.slice(FIRST).map(line)}</ul>
                    </details>
                  )}
                </>
              ) : (
                <p className="soft mb-0">Nothing.</p>
              )}
            </section>
          );
        })}
      </div>
    </>
  );
}

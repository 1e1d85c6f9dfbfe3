import { ENTRY_KINDS } from '../../../core/atlas';
import { REGION_NAMES } from '../../../core/words';
import { group } from 'd3';
import { Link } from 'react-router';
import { KIND_NAMES, reachWords, type Answer, type Ask } from './ask';

/** Beyond this the list asks for more words rather than for patience. */
const MOST_SHOWN = 120;

/** What answers, as links that keep the question. */
export function Results({
  answers,
  ask,
  query,
  chosen,
}: {
  answers: readonly Answer[];
  ask: Ask;
  query: string;
  chosen: string | null;
}) {
  if (!answers.length)
    return (
      <p className="empty">
        <strong>Nothing answers to that</strong>
        {ask.caution
          ? 'This caution touches nothing of the kind asked for.'
          : 'Try fewer words, a code such as GB20, or a place such as temple.'}
      </p>
    );
  const byKind = group(answers.slice(0, MOST_SHOWN), (a) => a.entry.kind);
  const groups = ENTRY_KINDS.flatMap((kind) => (byKind.has(kind) ? [[kind, byKind.get(kind)!] as const] : []));
  return (
    <div className="atlas-results">
      {groups.map(([kind, rows]) => (
        <section key={kind}>
          <h2>
            {KIND_NAMES[kind]} <span className="soft">{answers.filter((a) => a.entry.kind === kind).length}</span>
          </h2>
          <ul>
            {rows.map(({ entry, reach }) => (
              <li key={entry.id}>
                <Link
                  to={`/atlas/${entry.kind}/${entry.id}${query}`}
                  preventScrollReset
                  aria-current={chosen === `${entry.kind}/${entry.id}` ? 'page' : undefined}
                >
                  <span className="name">{entry.name}</span>
                  <span className="soft">
                    {reach ? reachWords(reach) : entry.regions[0] ? REGION_NAMES[entry.regions[0]] : entry.also}
                  </span>
                </Link>
              </li>
            ))}
          </ul>
        </section>
      ))}
      {answers.length > MOST_SHOWN && (
        <p className="soft small">{answers.length - MOST_SHOWN} more; add a word or choose a filter.</p>
      )}
    </div>
  );
}

import type { Mark } from '../../../core/atlas';
import type { ReactNode } from 'react';
import { Link, useLocation } from 'react-router';
import { CAUTIONS } from '../../../reference/facts/cautions';
import { MUSCLES } from '../../../reference/facts/muscles';
import { POINTS } from '../../../reference/facts/points';

const MARK_WORDS: Record<Mark, string> = {
  sure: '',
  'from-memory': 'from memory, to be verified',
  'common-practice': 'common practice, no source',
  'our-choice': 'our choice',
};
export const MarkNote = ({ mark }: { mark: Mark }) =>
  MARK_WORDS[mark] ? <span className="mark-note">{MARK_WORDS[mark]}</span> : null;

export function Row({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="sheet-row">
      <dt>{label}</dt>
      <dd>{children}</dd>
    </div>
  );
}

/** A link to another sheet of the atlas; the question and the client stay. */
export function SheetLink({ kind, id, children }: { kind: string; id: string; children: ReactNode }) {
  const query = new URLSearchParams(useLocation().search);
  query.delete('with');
  return (
    <Link to={`/atlas/${kind}/${id}${query.size ? `?${query}` : ''}`} preventScrollReset>
      {children}
    </Link>
  );
}

export const MuscleLinks = ({ ids }: { ids: readonly string[] }) => (
  <>
    {ids.map((id, i) => (
      <span key={id}>
        {i > 0 && ', '}
        <SheetLink kind="muscle" id={id}>
          {MUSCLES.find((m) => m.id === id)?.name ?? id}
        </SheetLink>
      </span>
    ))}
  </>
);
export const PointLinks = ({ ids }: { ids: readonly string[] }) => (
  <>
    {ids.map((id, i) => (
      <span key={id}>
        {i > 0 && ', '}
        <SheetLink kind="point" id={id}>
          {id} {POINTS.find((p) => p.id === id)?.name}
        </SheetLink>
      </span>
    ))}
  </>
);

export function TechniqueLinks({
  title,
  techniques,
}: {
  title: string;
  techniques: readonly { id: string; name: string }[];
}) {
  if (!techniques.length) return null;
  return (
    <section>
      <h3>{title}</h3>
      <ul className="sheet-links">
        {techniques.map((t) => (
          <li key={t.id}>
            <SheetLink kind="technique" id={t.id}>
              {t.name}
            </SheetLink>
          </li>
        ))}
      </ul>
    </section>
  );
}

export function CautionList({ keys }: { keys: readonly string[] }) {
  if (!keys.length) return null;
  return (
    <section className="sheet-cautions">
      <h3>Cautions</h3>
      <ul>
        {keys.map((key) => {
          const caution = CAUTIONS.find((c) => c.key === key);
          return (
            caution && (
              <li key={key}>
                <strong>{caution.title}.</strong> {caution.advice}
              </li>
            )
          );
        })}
      </ul>
    </section>
  );
}

import { differences, stepNames, type Catalogue, type Routine } from '../../../core/routine';

/** What differs between two routines, a line for each step. */
export function ChangeList({ before, now, catalogue }: { before: Routine; now: Routine; catalogue: Catalogue }) {
  const was = stepNames(before, catalogue);
  const is = stepNames(now, catalogue);
  const told = differences(before, now);
  if (!told.length) return <p className="soft small mb-0">No step changed.</p>;
  return (
    <ul className="small mb-0">
      {told.map((d) => (
        <li key={`${d.before?.id} ${d.now?.id}`}>
          {d.now && d.before
            ? `${is.get(d.now.id)}: ${d.words.join(', ')}`
            : d.now
              ? `${is.get(d.now.id)}: new`
              : `${was.get(d.before!.id)}: taken out`}
        </li>
      ))}
    </ul>
  );
}

import { countsBySide, type StepRecord, unevenSteps } from '../../../core/guide';
import { clock, otherSide, type OneSide } from '../../../core/words';

interface Shown {
  status: 'open' | 'done' | 'stopped';
  notes: string[];
  /** Looks from side to side, in words. */
  compares: string[];
  steps: (StepRecord & { name: string })[];
}

/** As it was cue by cue: one word where it was worked at one pressure, else each with its seconds. */
function pressureWords({ work, plannedPressure }: StepRecord): string {
  const seconds = new Map<string, number>();
  for (const w of work) if (w.pressure) seconds.set(w.pressure, (seconds.get(w.pressure) ?? 0) + w.seconds);
  const worked = [...seconds].filter(([, s]) => s >= 0.5);
  if (!worked.length) return '';
  const told = worked.length === 1 ? worked[0]![0] : worked.map(([p, s]) => `${p} ${clock(s)}`).join(', ');
  return worked.length === 1 && told === plannedPressure ? told : `${plannedPressure} planned, ${told}`;
}

/** Planned against done, step by step, with what each side got. */
export function RunTable({ run }: { run: Shown }) {
  if (run.status === 'open')
    return <p className="soft">The run is still open. Go back to Guide to finish or stop it.</p>;
  const total = (key: 'plannedSeconds' | 'doneSeconds') => run.steps.reduce((sum, s) => sum + s[key], 0);
  const ofSide = (side: OneSide) => run.steps.reduce((sum, s) => sum + s[side].doneSeconds, 0);
  const counts = countsBySide(run.steps);
  const uneven = unevenSteps(run.steps);
  const of = (outcome: StepRecord['outcome']) => run.steps.filter((s) => s.outcome === outcome).length;
  const hands = run.steps.reduce((sum, s) => sum + s.hands.doneSeconds, 0);
  return (
    <>
      <p className="mb-1">
        <strong>
          {of('done')} of {run.steps.length} steps done
        </strong>
        {of('part') > 0 && `, ${of('part')} in part`}
        {of('skipped') > 0 && `, ${of('skipped')} skipped`}
        {run.status === 'stopped' && ', stopped early'}. Hands on {clock(hands)}.
      </p>
      <table className="table table-sm run-table">
        <thead>
          <tr>
            <th scope="col">Step</th>
            <th scope="col" className="text-end">
              Planned
            </th>
            <th scope="col" className="text-end">
              Done
            </th>
            <th scope="col" className="text-end">
              Right
            </th>
            <th scope="col" className="text-end">
              Left
            </th>
            <th scope="col" className="text-end">
              Counts
            </th>
            <th scope="col">Pressure</th>
          </tr>
        </thead>
        <tbody>
          {run.steps.map((s) => (
            <tr key={s.stepId} className={s.outcome === 'skipped' ? 'soft' : undefined}>
              <td>
                {s.name}
                {s.outcome !== 'done' && <span className="worse"> {s.outcome === 'part' ? 'in part' : 'skipped'}</span>}
              </td>
              <td className="text-end num">{clock(s.plannedSeconds)}</td>
              <td className="text-end num">{s.outcome === 'skipped' ? '' : clock(s.doneSeconds)}</td>
              <td className="text-end num">{s.outcome === 'skipped' ? '' : clock(s.right.doneSeconds)}</td>
              <td className="text-end num">{s.outcome === 'skipped' ? '' : clock(s.left.doneSeconds)}</td>
              <td className="text-end num">{s.counts.planned ? `${s.counts.done} of ${s.counts.planned}` : ''}</td>
              <td>{pressureWords(s)}</td>
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            <th scope="row">{run.status === 'stopped' ? 'Stopped early' : 'In all'}</th>
            <td className="text-end num">{clock(total('plannedSeconds'))}</td>
            <td className="text-end num">{clock(total('doneSeconds'))}</td>
            <td className="text-end num">{clock(ofSide('right'))}</td>
            <td className="text-end num">{clock(ofSide('left'))}</td>
            <td colSpan={2} />
          </tr>
        </tfoot>
      </table>
      <p className="small mb-1">
        <span className="soft">Sides:</span> {counts.right} counts on the right, {counts.left} on the left.{' '}
        {uneven.map((u) => (
          <span key={u.stepId}>
            {run.steps.find((s) => s.stepId === u.stepId)!.name}: the {u.side} got {clock(u.seconds)} less than the{' '}
            {otherSide(u.side)}.{' '}
          </span>
        ))}
        {uneven.length > 0 && 'The next plan offers to make it up.'}
      </p>
      {run.compares.map((c, i) => (
        <p key={i} className="small mb-1">
          <span className="soft">Sides compared:</span> {c}
        </p>
      ))}
      {run.notes.map((n, i) => (
        <p key={i} className="small mb-1">
          <span className="soft">Note:</span> {n}
        </p>
      ))}
    </>
  );
}

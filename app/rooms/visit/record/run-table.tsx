import { countsBySide, unevenSteps, type StepRecord } from '../../../../core/guide';
import { clock, otherSide, type OneSide } from '../../../../core/words';

interface Shown {
  status: 'open' | 'done' | 'stopped';
  notes: string[];
  /** Looks from side to side, in words. */
  compares: string[];
  steps: (StepRecord & { name: string })[];
}

/** Planned against done, step by step, with what each side got. */
export function RunTable({ run }: { run: Shown }) {
  if (run.status === 'open')
    return <p className="soft">The run is still open. Go back to Guide to finish or stop it.</p>;
  const total = (key: 'plannedSeconds' | 'doneSeconds') => run.steps.reduce((sum, s) => sum + s[key], 0);
  const ofSide = (side: OneSide) => run.steps.reduce((sum, s) => sum + s[side].doneSeconds, 0);
  const counts = countsBySide(run.steps);
  const uneven = unevenSteps(run.steps);
  return (
    <>
      <table className="table table-sm">
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
            <th scope="col">Pressure</th>
          </tr>
        </thead>
        <tbody>
          {run.steps.map((s) => (
            <tr key={s.stepId}>
              <td>{s.name}</td>
              <td className="text-end num">{clock(s.plannedSeconds)}</td>
              <td className={`text-end num${s.doneSeconds < s.plannedSeconds * 0.5 ? ' worse' : ''}`}>
                {clock(s.doneSeconds)}
              </td>
              <td className="text-end num">{clock(s.right.doneSeconds)}</td>
              <td className="text-end num">{clock(s.left.doneSeconds)}</td>
              <td>
                {s.donePressure === s.plannedPressure
                  ? (s.plannedPressure ?? '')
                  : `${s.plannedPressure} → ${s.donePressure}`}
              </td>
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
            <td />
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

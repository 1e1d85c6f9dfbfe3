import type { StepRecord } from '../../../../core/guide';
import { clock } from '../../../../core/words';

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
            <td colSpan={3} />
          </tr>
        </tfoot>
      </table>
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

import { COMPLAINT_NAMES } from '../../../core/words';
import type { ReactNode } from 'react';
import { Button } from 'react-bootstrap';
import { Form, Link } from 'react-router';
import { PressureDot, SideMark, sideOfPlan } from '../../parts/marks/marks';
import { useDates } from '../../parts/frame/use-dates';
import type { RoutineRow } from '../../routes/routines';
import { SmallRibbon } from '../../parts/ribbon/small-ribbon';
import { scaleOf } from '../../parts/ribbon/scale';

/** One routine at the side: what it is, its steps, and what can be done with it. */
export function RoutinePreview({ row, children }: { row: RoutineRow; children: ReactNode }) {
  const { shortDay } = useDates();
  return (
    <aside className="routine-preview" aria-label={`Routine: ${row.name}`}>
      <h2>{row.name}</h2>
      <div className="soft small mb-1">
        version {row.version}, {row.came ? 'came with Velvet Compass' : `made by ${row.createdBy}`}, changed{' '}
        {shortDay(row.updatedAt)} · <a href={`/routines/${row.id}/file`}>as a file</a> {children}
      </div>
      <p className="small">
        {[row.serves.map((s) => COMPLAINT_NAMES[s].toLowerCase()).join(', '), row.school].filter(Boolean).join(' · ')}
      </p>
      <SmallRibbon bands={row.bands} budgetMinutes={row.budgetMinutes} scaleMinutes={scaleOf([row])} />
      <ol>
        {row.steps.map((name, i) => (
          <li key={i}>
            <span className="name">{name}</span>
            {row.marks[i]!.pressure && <PressureDot pressure={row.marks[i]!.pressure} />}
            <SideMark side={sideOfPlan(row.marks[i]!.sides)} />
          </li>
        ))}
      </ol>
      <div className="ways">
        <Link to={`/clients?with=${row.id}`} className="btn btn-primary">
          Start a visit with it
        </Link>
        <Link to={`/routines/${row.id}?edit=1`} className="btn btn-outline-primary">
          Open
        </Link>
        <Form method="post" action={`/routines/${row.id}`}>
          <Button variant="outline-primary" type="submit" name="do" value="duplicate">
            Duplicate
          </Button>
        </Form>
      </div>
    </aside>
  );
}

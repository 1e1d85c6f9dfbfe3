import { differences, stepNames, type Catalogue, type Routine } from '../../../core/routine';
import { Button } from 'react-bootstrap';
import { Form } from 'react-router';
import { shortDay } from '../../parts/marks/time';

interface Version {
  version: number;
  name: string;
  body: Routine;
  changedAt: string;
  changedBy: string;
}

/** What a routine was, what each change made of it, by whom, and the way back. */
export function EarlierVersions({
  template,
  earlier,
  timeZone,
  catalogue,
}: {
  template: { version: number; body: Routine };
  earlier: readonly Version[];
  timeZone: string;
  catalogue: Catalogue;
}) {
  if (!earlier.length) return null;
  return (
    <section className="section">
      <h2>Earlier versions</h2>
      <ul className="plain-list versions">
        {earlier.map((v, i) => {
          const next = i === 0 ? template.body : earlier[i - 1]!.body;
          return (
            <li key={v.version}>
              <p className="mb-0">
                <strong>
                  {v.version} → {i === 0 ? template.version : earlier[i - 1]!.version}
                </strong>{' '}
                <span className="soft">
                  by {v.changedBy}, {shortDay(v.changedAt, timeZone)}
                </span>
              </p>
              <ChangeList before={v.body} now={next} catalogue={catalogue} />
              <Form method="post">
                <input type="hidden" name="version" value={template.version} />
                <input type="hidden" name="routine" value={JSON.stringify(v.body)} />
                <Button variant="link" type="submit" name="do" value="put-back">
                  Put version {v.version} back
                </Button>
              </Form>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** What differs between two routines, a line for each step. */
function ChangeList({ before, now, catalogue }: { before: Routine; now: Routine; catalogue: Catalogue }) {
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

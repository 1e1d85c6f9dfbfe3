import type { Catalogue, Routine } from '../../../core/routine';
import { Button } from 'react-bootstrap';
import { Form } from 'react-router';
import { useDates } from '../../parts/frame/use-dates';
import { ChangeList } from './change-list';

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
  catalogue,
}: {
  template: { version: number; body: Routine };
  earlier: readonly Version[];
  catalogue: Catalogue;
}) {
  const { shortDay } = useDates();
  if (!earlier.length) return null;
  return (
    <section className="section no-print">
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
                  by {v.changedBy}, {shortDay(v.changedAt)}
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

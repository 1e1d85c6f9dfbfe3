import {
  expandRoutine,
  ribbonOf,
  routineSeconds,
  smallBands,
  stepNames,
  type Catalogue,
  type Routine,
} from '../../../core/routine';
import { clock } from '../../../core/words';
import { Form } from 'react-bootstrap';
import { useSearchParams } from 'react-router';
import { ChangeList } from './change-list';
import { scaleOf } from '../../parts/ribbon/scale';
import { SmallRibbon } from '../../parts/ribbon/small-ribbon';

/** Two routines, their ribbons above each other at one scale, and what differs step by step. */
export function BesideAnother({
  template,
  others,
  beside,
  catalogue,
}: {
  template: { name: string; body: Routine };
  others: readonly { id: string; name: string }[];
  beside: { id: string; name: string; body: Routine } | null;
  catalogue: Catalogue;
}) {
  const [query, setQuery] = useSearchParams();
  const both = beside ? [template, beside] : [];
  const scaleMinutes = scaleOf(both.map((r) => ({ seconds: routineSeconds(r.body) })));
  return (
    <section className="section no-print">
      <div className="d-flex align-items-baseline gap-3">
        <h2>Beside another</h2>
        <Form.Select
          size="sm"
          className="w-auto"
          aria-label="Compare with another routine"
          value={query.get('beside') ?? ''}
          onChange={(e) => setQuery(e.target.value ? { beside: e.target.value } : {}, { preventScrollReset: true })}
        >
          <option value="">Choose a routine</option>
          {others.map((o) => (
            <option key={o.id} value={o.id}>
              {o.name}
            </option>
          ))}
        </Form.Select>
      </div>
      {both.map((r) => (
        <div key={r.name}>
          <p className="small mb-0">
            <strong>{r.name}</strong> <span className="num">{clock(routineSeconds(r.body))}</span>
            <span className="soft">, {stepNames(r.body, catalogue).size} steps</span>
          </p>
          <SmallRibbon
            bands={smallBands(ribbonOf(r.body, expandRoutine(r.body), catalogue))}
            budgetMinutes={r.body.budgetMinutes}
            scaleMinutes={scaleMinutes}
          />
        </div>
      ))}
      {beside && (
        <>
          <p className="small mb-0 mt-2">
            From “{template.name}” to “{beside.name}”:
          </p>
          <ChangeList before={template.body} now={beside.body} catalogue={catalogue} />
        </>
      )}
    </section>
  );
}

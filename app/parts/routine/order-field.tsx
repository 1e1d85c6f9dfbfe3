import { USUAL_ORDER, type OrderProfile, type Routine } from '../../../core/routine';
import { useEffect, useId, useRef, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { SCHOOLS } from '../../../reference/schools';
import { ORDER_CHOICES, ORDER_KEYS } from './order-words';

/** The school of a routine, and where it departs from it: what the warnings about order go by. */
export function OrderField({ routine, onChange }: { routine: Routine; onChange: (next: Routine) => void }) {
  const id = useId();
  const [open, setOpen] = useState(false);
  const panel = useRef<HTMLFieldSetElement>(null);
  // It opens below the tools, where it may lie under the edge.
  useEffect(() => {
    if (open) panel.current?.scrollIntoView({ block: 'center' });
  }, [open]);
  const school = SCHOOLS.find((s) => s.id === routine.school);
  const own = school?.order ?? USUAL_ORDER;
  const order = routine.order ?? own;
  const depart = (key: keyof OrderProfile, value: string) => {
    const { begin, exercise, drainage } = { ...order, [key]: value } as OrderProfile;
    const same = begin === own.begin && exercise === own.exercise && drainage === own.drainage;
    onChange({ ...routine, order: same ? null : { begin, exercise, drainage, reason: routine.order?.reason ?? '' } });
  };
  return (
    <>
      <Button variant="link" aria-expanded={open} aria-controls={id} onClick={() => setOpen(!open)}>
        Order: {school?.name ?? 'unknown school'}
        {routine.order ? ', changed' : ''}
      </Button>
      {open && (
        <fieldset ref={panel} id={id} className="order-field">
          <legend className="visually-hidden">Order of this routine</legend>
          <div>
            <Form.Label htmlFor={`${id}-school`} className="mb-0">
              School
            </Form.Label>
            <Form.Select
              id={`${id}-school`}
              size="sm"
              value={school?.id ?? ''}
              onChange={(e) => onChange({ ...routine, school: e.target.value, order: null })}
            >
              {!school && <option value="">{routine.school}</option>}
              {SCHOOLS.map((s) => (
                <option key={s.id} value={s.id}>
                  {s.name}
                </option>
              ))}
            </Form.Select>
          </div>
          {ORDER_KEYS.map((key) => (
            <div key={key}>
              <Form.Label htmlFor={`${id}-${key}`} className="mb-0">
                {ORDER_CHOICES[key].label}
              </Form.Label>
              <Form.Select
                id={`${id}-${key}`}
                size="sm"
                value={order[key]}
                onChange={(e) => depart(key, e.target.value)}
              >
                {Object.entries(ORDER_CHOICES[key].choices).map(([value, words]) => (
                  <option key={value} value={value}>
                    {words}
                  </option>
                ))}
              </Form.Select>
            </div>
          ))}
          {routine.order && (
            <div className="flex-grow-1">
              <Form.Label htmlFor={`${id}-reason`} className="mb-0">
                Why it departs from its school
              </Form.Label>
              <Form.Control
                id={`${id}-reason`}
                size="sm"
                maxLength={200}
                value={routine.order.reason}
                onChange={(e) => onChange({ ...routine, order: { ...routine.order!, reason: e.target.value } })}
              />
            </div>
          )}
          <p className="soft small mb-0">{school?.differs}</p>
        </fieldset>
      )}
    </>
  );
}

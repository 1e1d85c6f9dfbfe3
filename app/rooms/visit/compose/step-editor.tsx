import { BOUNDS, type DosePart, type Step, type Technique } from '../../../../core/routine';
import type { Contact, OneSide } from '../../../../core/words';
import { Form } from 'react-bootstrap';
import { NumberField } from '../../../parts/fields/number-field';

/** Everything of one step that can be changed beyond its row. */
export function StepEditor({
  step,
  technique,
  onChange,
}: {
  step: Step;
  technique: Technique;
  onChange: (next: Step) => void;
}) {
  const { dose, sides } = step;
  const setPart = (index: number, part: DosePart) =>
    onChange({ ...step, dose: { ...dose, parts: dose.parts.map((p, i) => (i === index ? part : p)) } });
  const oneByOne = sides.mode === 'each' || sides.mode === 'left' || sides.mode === 'right';
  return (
    <div className="step-editor">
      <p className="small mb-2">
        <strong>{technique.direction}.</strong> {technique.cue}
      </p>
      <div className="field-row">
        {dose.parts.map((part, i) => (
          <PartFields key={i} part={part} onChange={(p) => setPart(i, p)} />
        ))}
        <NumberField
          label="Spots"
          value={dose.spots}
          range={BOUNDS.spots}
          whole
          onCommit={(spots) => onChange({ ...step, dose: { ...dose, spots } })}
        />
        <NumberField
          label="Sets"
          value={sides.sets}
          range={BOUNDS.sets}
          whole
          onCommit={(sets) => onChange({ ...step, sides: { ...sides, sets } })}
        />
        {technique.contacts.length > 1 && (
          <div>
            <Form.Label className="mb-0" htmlFor={`${step.id}-contact`}>
              Contact
            </Form.Label>
            <Form.Select
              id={`${step.id}-contact`}
              value={step.contact}
              onChange={(e) => onChange({ ...step, contact: e.target.value as Contact })}
            >
              {[...new Set([step.contact, ...technique.contacts])].map((c) => (
                <option key={c} value={c}>
                  {c.replaceAll('-', ' ')}
                </option>
              ))}
            </Form.Select>
          </div>
        )}
        {sides.mode === 'each' && (
          <SideSelect
            id={`${step.id}-first`}
            label="Begin on client’s"
            value={sides.first}
            onChange={(first) => onChange({ ...step, sides: { ...sides, first } })}
          />
        )}
        {oneByOne && (
          <NumberField
            label="Extra sets"
            value={sides.extra?.sets ?? 0}
            range={[0, BOUNDS.sets[1]]}
            whole
            onCommit={(n) =>
              onChange({
                ...step,
                sides: {
                  ...sides,
                  extra: n
                    ? {
                        side: sides.extra?.side ?? (sides.mode === 'each' ? sides.first : (sides.mode as OneSide)),
                        sets: n,
                        reason: sides.extra?.reason ?? '',
                      }
                    : null,
                },
              })
            }
          />
        )}
        {sides.extra && (
          <>
            {sides.mode === 'each' && (
              <SideSelect
                id={`${step.id}-extra`}
                label="Extra on client’s"
                value={sides.extra.side}
                onChange={(side) => onChange({ ...step, sides: { ...sides, extra: { ...sides.extra!, side } } })}
              />
            )}
            <div className="flex-grow-1">
              <Form.Label className="mb-0" htmlFor={`${step.id}-why`}>
                Why the difference is intended
              </Form.Label>
              <Form.Control
                id={`${step.id}-why`}
                maxLength={200}
                value={sides.extra.reason}
                onChange={(e) =>
                  onChange({ ...step, sides: { ...sides, extra: { ...sides.extra!, reason: e.target.value } } })
                }
              />
            </div>
          </>
        )}
        <div className="flex-grow-1" style={{ minWidth: 180 }}>
          <Form.Label className="mb-0" htmlFor={`${step.id}-note`}>
            Note
          </Form.Label>
          <Form.Control
            id={`${step.id}-note`}
            maxLength={500}
            value={step.note}
            onChange={(e) => onChange({ ...step, note: e.target.value })}
          />
        </div>
      </div>
    </div>
  );
}

function SideSelect({
  id,
  label,
  value,
  onChange,
}: {
  id: string;
  label: string;
  value: OneSide;
  onChange: (side: OneSide) => void;
}) {
  return (
    <div>
      <Form.Label className="mb-0" htmlFor={id}>
        {label}
      </Form.Label>
      <Form.Select id={id} value={value} onChange={(e) => onChange(e.target.value as OneSide)}>
        <option value="left">left</option>
        <option value="right">right</option>
      </Form.Select>
    </div>
  );
}

function PartFields({ part, onChange }: { part: DosePart; onChange: (part: DosePart) => void }) {
  switch (part.kind) {
    case 'hold':
      return (
        <NumberField
          label="Hold, s"
          value={part.seconds}
          range={BOUNDS.holdSeconds}
          onCommit={(seconds) => onChange({ ...part, seconds })}
        />
      );
    case 'check':
      return (
        <NumberField
          label="Check, s"
          value={part.seconds}
          range={BOUNDS.holdSeconds}
          onCommit={(seconds) => onChange({ ...part, seconds })}
        />
      );
    case 'beats':
      return (
        <>
          <NumberField
            label={part.unit[0]!.toUpperCase() + part.unit.slice(1)}
            value={part.count}
            range={BOUNDS.count}
            whole
            onCommit={(count) =>
              onChange({
                ...part,
                count,
                countMost: part.countMost !== null && part.countMost < count ? null : part.countMost,
              })
            }
          />
          <NumberField
            label="Per minute"
            value={part.perMinute}
            range={BOUNDS.perMinute}
            onCommit={(perMinute) => onChange({ ...part, perMinute })}
          />
          <Form.Check
            className="align-self-end"
            type="checkbox"
            label="Both ways"
            id={`both-${part.unit}-${part.perMinute}`}
            checked={part.directions === 2}
            onChange={(e) => onChange({ ...part, directions: e.target.checked ? 2 : 1 })}
          />
        </>
      );
    case 'breath':
      return (
        <>
          <NumberField
            label="Breaths"
            value={part.cycles}
            range={BOUNDS.cycles}
            whole
            onCommit={(cycles) => onChange({ ...part, cycles })}
          />
          <NumberField
            label="In, s"
            value={part.pattern.inSeconds}
            range={[1, BOUNDS.breathSeconds[1]]}
            onCommit={(inSeconds) => onChange({ ...part, pattern: { ...part.pattern, inSeconds } })}
          />
          <NumberField
            label="Hold, s"
            value={part.pattern.holdInSeconds}
            range={BOUNDS.breathSeconds}
            onCommit={(holdInSeconds) => onChange({ ...part, pattern: { ...part.pattern, holdInSeconds } })}
          />
          <NumberField
            label="Out, s"
            value={part.pattern.outSeconds}
            range={[1, BOUNDS.breathSeconds[1]]}
            onCommit={(outSeconds) => onChange({ ...part, pattern: { ...part.pattern, outSeconds } })}
          />
        </>
      );
    case 'open':
      return (
        <NumberField
          label={`Until ${part.until}, about s`}
          value={part.estimateSeconds}
          range={[part.leastSeconds, part.mostSeconds]}
          onCommit={(estimateSeconds) => onChange({ ...part, estimateSeconds })}
        />
      );
  }
}

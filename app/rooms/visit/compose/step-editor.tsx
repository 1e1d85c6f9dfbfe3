import {
  BOUNDS,
  goesBothWays,
  groundWords,
  LENGTHS,
  pathWords,
  type DosePart,
  type Step,
  type Stroke,
  type Technique,
} from '../../../../core/routine';
import { type Contact, NEED_NAMES, type OneSide } from '../../../../core/words';
import { Form } from 'react-bootstrap';
import { PLACE_INDEX } from '../../../../reference/place-index';
import { NumberField } from '../../../parts/fields/number-field';
import { PartFields } from '../../../parts/routine/part-fields';

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
      <WorkWords technique={technique} step={step} />
      <div className="field-row">
        {dose.parts.map((part, i) => (
          <PartFields key={i} part={part} onChange={(p) => setPart(i, p)} />
        ))}
        {dose.parts.some((p) => p.kind === 'beats') && (
          <Form.Check
            className="align-self-end"
            type="checkbox"
            label="Both ways"
            id={`${step.id}-both`}
            checked={goesBothWays(step.stroke)}
            onChange={(e) => onChange({ ...step, stroke: strokeWith(step.stroke, e.target.checked) })}
          />
        )}
        <NumberField
          label="Places"
          value={Math.max(1, step.path.length)}
          range={[1, LENGTHS.path]}
          whole
          onCommit={(places) => onChange(withPlaces(step, places))}
        />
        {step.path.length > 1 && (
          <Form.Check
            className="align-self-end"
            type="checkbox"
            label="At every place"
            id={`${step.id}-each-place`}
            checked={dose.perPlace}
            onChange={(e) => onChange({ ...step, dose: { ...dose, perPlace: e.target.checked } })}
          />
        )}
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

/** The same stroke one way, or one way and then the other. */
function strokeWith(stroke: Stroke, bothWays: boolean): Stroke {
  const circles = stroke === 'circles-one-way' || stroke === 'circles-both-ways';
  if (circles) return bothWays ? 'circles-both-ways' : 'circles-one-way';
  return bothWays ? 'one-way-then-other' : 'one-way';
}

/** So many places: the first ones of the path, or its places again from the first. */
const withPlaces = (step: Step, places: number): Step =>
  step.path.length
    ? {
        ...step,
        path: Array.from({ length: places }, (_, i) => step.path[i % step.path.length]!),
        dose: { ...step.dose, perPlace: places > step.path.length || step.dose.perPlace },
      }
    : step;

/** What hands need while they work: the way, what to feel for and to avoid, what the client is told, and on what ground. */
function WorkWords({ technique, step }: { technique: Technique; step: Step }) {
  const { cue, clientCue, feelFor, avoid, needs, equipment, by } = technique;
  const before = [...needs.map((n) => NEED_NAMES[n]), equipment, by === 'client' ? 'the client does it' : ''].filter(
    Boolean,
  );
  return (
    <dl className="work-words">
      <dt>Where</dt>
      <dd>{pathWords(step, PLACE_INDEX)}</dd>
      <dt>Do</dt>
      <dd>{cue}</dd>
      <dt>Feel for</dt>
      <dd>{feelFor}</dd>
      <dt>Avoid</dt>
      <dd>{avoid}</dd>
      {clientCue && (
        <>
          <dt>Say</dt>
          <dd>“{clientCue}”</dd>
        </>
      )}
      {before.length > 0 && (
        <>
          <dt>Needs</dt>
          <dd>{before.join('; ')}</dd>
        </>
      )}
      <dt>Dose</dt>
      <dd className="soft">{groundWords(technique)}</dd>
    </dl>
  );
}

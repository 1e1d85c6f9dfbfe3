import { LENGTHS, NEW_PARTS, type DosePart, type OwnTechnique } from '../../../../core/routine';
import { Button, Form } from 'react-bootstrap';
import { PartFields } from '../../../parts/routine/part-fields';
import { TextControl, Told, type Refused } from './controls';

/** A reading is taken in a visit; a technique of one’s own has none. */
const KIND_NAMES: Record<Exclude<DosePart['kind'], 'test'>, string> = {
  hold: 'stay so many seconds',
  beats: 'so many at a pace',
  open: 'until something is felt',
  breath: 'paced breaths',
  check: 'look or compare',
};
type Dose = OwnTechnique['work']['dose'];

/** What is done, part by part, one after the other. */
export function DoseFields({
  dose,
  refused,
  onChange,
}: {
  dose: Dose;
  refused: Refused | null;
  onChange: (dose: Dose) => void;
}) {
  const set = (i: number, part: DosePart) =>
    onChange({ ...dose, parts: dose.parts.map((p, j) => (j === i ? part : p)) });
  return (
    <div>
      {dose.parts.map((part, i) => (
        <div key={i} className="dose-part">
          <div className="field-row">
            <PartFields part={part} onChange={(p) => set(i, p)} />
            {part.kind === 'beats' && (
              <TextControl
                label="What is counted"
                path={`work.dose.parts[${i}].unit`}
                refused={refused}
                most={LENGTHS.unit}
                value={part.unit}
                onChange={(unit) => set(i, { ...part, unit: unit || 'strokes' })}
              />
            )}
            {part.kind === 'open' && (
              <TextControl
                label="Until"
                path={`work.dose.parts[${i}].until`}
                refused={refused}
                most={LENGTHS.until}
                value={part.until}
                onChange={(until) => set(i, { ...part, until })}
              />
            )}
            {part.kind === 'check' && (
              <TextControl
                label="What is looked at"
                path={`work.dose.parts[${i}].what`}
                refused={refused}
                most={LENGTHS.check}
                value={part.what}
                onChange={(what) => set(i, { ...part, what })}
              />
            )}
            <Button
              size="sm"
              variant="outline-primary"
              className="align-self-end"
              disabled={dose.parts.length === 1}
              aria-label={`Take part ${i + 1} of the dose out`}
              onClick={() => onChange({ ...dose, parts: dose.parts.filter((_p, j) => j !== i) })}
            >
              ×
            </Button>
          </div>
        </div>
      ))}
      <div className="d-flex gap-3 align-items-center flex-wrap">
        <Form.Select
          aria-label="Add a part to the dose"
          style={{ width: 'auto' }}
          value=""
          disabled={dose.parts.length >= LENGTHS.parts}
          onChange={(e) => {
            const part = NEW_PARTS[e.target.value as DosePart['kind']];
            onChange({ ...dose, parts: [...dose.parts, structuredClone(part)] });
          }}
        >
          <option value="" disabled>
            Then …
          </option>
          {Object.entries(KIND_NAMES).map(([kind, words]) => (
            <option key={kind} value={kind}>
              {words}
            </option>
          ))}
        </Form.Select>
        <Form.Check
          id="dose-per-place"
          label="All of it at every place of the path"
          checked={dose.perPlace}
          onChange={(e) => onChange({ ...dose, perPlace: e.target.checked })}
        />
      </div>
      <Told path="work.dose" refused={refused} />
    </div>
  );
}

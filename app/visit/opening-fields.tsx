import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { InputError } from '../../core/errors';
import { checkedReading, type ReadingPhase } from '../../core/measures/reading';
import { LIMITED_BELOW_MM, openingBand, openingChange, openingFromFingers, fingerReadings } from '../../core/measures/opening';
import { useDraft } from '../ui/use-draft';
import { useVisit } from './context';
import { Scale } from './scale';

const CHANGE_WORDS = { 'within-error': 'within measuring error', possible: 'a possible change', 'beyond-error': 'beyond measuring error' } as const;

/** Mouth opening by ruler and by finger widths, with its band and, on re-test, what the change is worth. */
export function OpeningFields({ phase }: { phase: ReadingPhase }) {
  const { readings, earlier, client, setReading } = useVisit();
  const of = (measure: 'opening-mm' | 'opening-fingers', p: ReadingPhase) => readings.find((r) => r.measure === measure && r.phase === p)?.value;
  const mm = of('opening-mm', phase);
  const fingers = of('opening-fingers', phase);
  const [typed, setTyped] = useDraft(mm === undefined ? '' : String(mm));
  const [error, setError] = useState('');
  const before = phase === 'after' ? of('opening-mm', 'before') : earlier.findLast((r) => r.measure === 'opening-mm')?.value;
  const entry = (measure: 'opening-mm' | 'opening-fingers', value: number | null) => setReading({ measure, complaintId: null, place: '', side: 'midline', phase, value });

  const commit = () => {
    const text = typed.trim().replace(',', '.');
    if (text === '') {
      setError('');
      if (mm !== undefined) entry('opening-mm', null);
      return;
    }
    try {
      const value = checkedReading('opening-mm', Number(text), 'Opening');
      setError('');
      if (value !== mm) entry('opening-mm', value);
    } catch (e) {
      if (!(e instanceof InputError)) throw e;
      setError(e.message);
    }
  };
  const widths = client.fingerWidthsMm;
  const range = fingers !== undefined && widths && fingers <= widths.length ? openingFromFingers(widths, fingers) : null;

  return (
    <div className="field-row">
      <div>
        <Form.Label htmlFor={`opening-${phase}`}>Comfortable opening, mm, with overlap</Form.Label>
        <Form.Control id={`opening-${phase}`} inputMode="decimal" style={{ width: 110 }} value={typed} isInvalid={!!error} aria-describedby={`opening-${phase}-note`} onChange={(e) => setTyped(e.target.value)} onBlur={commit} onKeyDown={(e) => e.key === 'Enter' && commit()} />
        <div id={`opening-${phase}-note`} className={`small ${error ? 'caution' : 'soft'}`} role={error ? 'alert' : undefined} style={{ maxWidth: 260 }}>
          {error ||
            (mm !== undefined
              ? `${openingBand(mm) === 'limited' ? `Below ${LIMITED_BELOW_MM} mm: taken as limited` : `${LIMITED_BELOW_MM} mm or more: not limited`}${before !== undefined ? `; ${before} → ${mm} mm is ${CHANGE_WORDS[openingChange(before, mm)]}` : ''}.`
              : before !== undefined
                ? `${phase === 'after' ? 'Before' : 'Last time'} ${before} mm.`
                : 'Between the front teeth, 0 to 90 mm.')}
        </div>
      </div>
      <div style={{ width: 300 }}>
        <div className="form-label">Own fingers that fit, index first</div>
        <Scale label="Own fingers that fit, 0 to 4" most={4} value={fingers} onChange={(v) => entry('opening-fingers', v)} />
        <div className="soft small">
          {fingers === undefined
            ? 'Say when strain is felt.'
            : range
              ? `At least ${range.leastMm} mm${range.belowMm === null ? '' : `, less than ${range.belowMm} mm`} by this client’s own fingers.`
              : `By count: ${fingerReadings(fingers, null).countOnly}. Measure the fingers under Details to get millimetres.`}
        </div>
      </div>
    </div>
  );
}

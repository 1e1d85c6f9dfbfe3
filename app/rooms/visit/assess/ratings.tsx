import { type MeasureKey, MEASURES, type ReadingPhase, weekContradiction } from '../../../../core/measures';
import { WORSE_MEANS } from '../../../../core/relief';
import { complaintName } from '../../../../core/words';
import { useState } from 'react';
import { useVisit } from '../session/context';
import { Past, usePast } from './past';
import { Scale } from './scale';

/** 0–10 for each complaint. The last value is shown beside and never filled in as today's. */
export function Ratings({ phase, measures }: { phase: ReadingPhase; measures: readonly MeasureKey[] }) {
  const { client, readings, setReading, worse } = useVisit();
  const past = usePast();
  /** A rating that was not kept because the other one of the week speaks against it. */
  const [refused, setRefused] = useState<{ key: string; words: string } | null>(null);
  const complaints = client.complaints.filter((c) => !c.closed);
  if (!complaints.length)
    return <p className="soft">No complaint is on record. Add one under the client’s details to rate it.</p>;
  return complaints.map((c) => (
    <div key={c.id} className="scale-block">
      <h3>{complaintName(c)}</h3>
      {phase === 'before' && worse.includes(c.id) && (
        <p className="worse small mb-1">▲ Worse over the visits. {WORSE_MEANS}</p>
      )}
      {measures.map((measure) => {
        const value = readings.find((r) => r.measure === measure && r.complaintId === c.id && r.phase === phase)?.value;
        const before = readings.find((r) => r.measure === measure && r.complaintId === c.id && r.phase === 'before');
        const key = `${c.id} ${measure}`;
        const rate = (v: number | null) => {
          const of = (m: MeasureKey) =>
            m === measure
              ? (v ?? undefined)
              : readings.find((r) => r.measure === m && r.complaintId === c.id && r.phase === phase)?.value;
          const words = measure === 'nrs-now' ? null : weekContradiction(of('nrs-worst-week'), of('nrs-average-week'));
          setRefused(words && v !== null ? { key, words } : null);
          if (!words || v === null)
            setReading({ measure, complaintId: c.id, place: '', side: c.side, phase, value: v });
        };
        return (
          <div key={measure} className="scale-row">
            <span className="soft small">{MEASURES[measure].name}</span>
            <Scale
              label={`${complaintName(c)}, ${MEASURES[measure].name.toLowerCase()}, 0 to 10`}
              most={10}
              value={value}
              onChange={rate}
            />
            <Past
              values={phase === 'after' ? (before ? [before.value] : []) : past({ measure, complaintId: c.id })}
              most={4}
            />
            {refused?.key === key && (
              <div className="caution small w-100" role="alert">
                Not kept: {refused.words}
              </div>
            )}
          </div>
        );
      })}
    </div>
  ));
}

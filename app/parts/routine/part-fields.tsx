import { BOUNDS, type DosePart } from '../../../core/routine';
import { NumberField } from '../fields/number-field';

const PHASE_LABELS = {
  in: 'In, s',
  'in-again': 'In again, s',
  hold: 'Hold, s',
  out: 'Out, s',
  rest: 'Wait, s',
} as const;

/** The figures of one part of a dose. */
export function PartFields({ part, onChange }: { part: DosePart; onChange: (part: DosePart) => void }) {
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
    case 'test':
      return (
        <NumberField
          label={part.kind === 'test' ? 'Reading, s' : 'Check, s'}
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
                most: part.most !== null && part.most < count ? null : part.most,
              })
            }
          />
          <NumberField
            label="Per minute"
            value={part.perMinute}
            range={BOUNDS.perMinute}
            onCommit={(perMinute) => onChange({ ...part, perMinute })}
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
          {part.phases.map((phase, i) => (
            <NumberField
              key={i}
              label={PHASE_LABELS[phase.what]}
              value={phase.seconds}
              range={BOUNDS.breathSeconds}
              onCommit={(seconds) =>
                onChange({ ...part, phases: part.phases.map((p, j) => (j === i ? { ...p, seconds } : p)) })
              }
            />
          ))}
        </>
      );
    case 'open':
      return (
        <NumberField
          label={`Until ${part.until}, about s`}
          value={part.usualSeconds}
          range={[part.leastSeconds, part.mostSeconds]}
          onCommit={(usualSeconds) => onChange({ ...part, usualSeconds })}
        />
      );
  }
}

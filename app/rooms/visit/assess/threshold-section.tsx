import {
  checkedReading,
  GAUGE_UNITS,
  type GaugeUnit,
  kpaFromGauge,
  NEWTON_PER_KGF,
  newtonFrom,
  pressureThreshold,
  readingKey,
  type ThresholdTrial,
} from '../../../../core/measures';
import type { OneSide } from '../../../../core/words';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { PRESSED_MUSCLES } from '../../../../reference/facts/muscles';
import { useKeys } from '../../../parts/keys/use-keys';
import { useVisit } from '../session/context';
import { MmField } from './mm-field';
import { Past, usePast } from './past';
import { RateMeter } from './rate-meter';
import { RestCount } from './rest-count';
import { useGauge } from '../../../parts/gauge/use-gauge';

const TRIALS = [1, 2, 3] as const;
/** Tip of a gauge whose dial is read, in cm²: the usual one. */
const TYPED_TIP_CM2 = 1;
const rounded = (v: number, digits: number): string => (Math.round(v * 10 ** digits) / 10 ** digits).toFixed(digits);

/** Pressure-pain threshold: three presses at one place, the mean of the second and third, by gauge or typed. */
export function ThresholdSection({ phase }: { phase: 'before' | 'after' }) {
  const { findings, setFindings, setReading, readings, hasGauge, ended } = useVisit();
  const past = usePast();
  const [open, setOpen] = useState(false);
  const [at, setAt] = useState<{ muscle: string; side: OneSide }>({ muscle: 'masseter-superficial', side: 'right' });
  const [trials, setTrials] = useState<ThresholdTrial[]>([]);
  const [unit, setUnit] = useState<GaugeUnit>('kPa');
  const [restFromMs, setRestFromMs] = useState<number | null>(null);

  const take = (next: ThresholdTrial[], device: string, tipCm2: number) => {
    setTrials(next);
    if (next.length < TRIALS.length) return;
    const result = pressureThreshold(next, tipCm2);
    setReading({
      measure: 'pressure-threshold',
      complaintId: null,
      place: at.muscle,
      side: at.side,
      phase,
      value: Math.round(result.kpa * 10) / 10,
    });
    // The presses themselves are kept of the first taking, that the pressure of the work was chosen by.
    if (phase === 'before')
      setFindings({
        ...findings,
        thresholds: [
          ...findings.thresholds.filter((t) => !(t.muscle === at.muscle && t.side === at.side)),
          { ...at, tipCm2, trials: next, device },
        ],
      });
  };
  const { gauge, press, mark, cancel } = useGauge((measured, { device, tipCm2 }) => {
    setRestFromMs(performance.now());
    take([...trials, measured], device, tipCm2);
  });
  useKeys(open && gauge.status === 'pressing' ? { ' ': () => mark() } : {});
  const choose = (next: typeof at) => {
    cancel();
    setAt(next);
    setTrials([]);
    setRestFromMs(null);
  };
  const kept = readings.filter((r) => r.measure === 'pressure-threshold' && r.phase === phase);

  return (
    <section className="section">
      <div className="d-flex align-items-baseline gap-3">
        <h2>Pressure threshold</h2>
        {!ended && (
          <Button size="sm" variant="outline-primary" aria-expanded={open} onClick={() => setOpen(!open)}>
            {open ? 'Close' : 'Measure'}
          </Button>
        )}
        <span className="soft small">
          {kept.length ? '' : 'the pressure at which pressing starts to hurt; compared with this client only'}
        </span>
      </div>
      {kept.map((r) => {
        const trialsOf = findings.thresholds.find((t) => t.muscle === r.place && t.side === r.side);
        return (
          <Kept
            key={`${r.place}.${r.side}`}
            value={r.value}
            muscle={r.place}
            side={r.side}
            trials={phase === 'before' ? trialsOf?.trials : undefined}
            tipCm2={trialsOf?.tipCm2 ?? 1}
            was={
              phase === 'after'
                ? readings.filter((b) => b.phase === 'before' && readingKey(b) === readingKey(r)).map((b) => b.value)
                : past({ measure: 'pressure-threshold', place: r.place, side: r.side })
            }
          />
        );
      })}
      {open && (
        <div className="measure-sheet">
          <div className="d-flex gap-3 flex-wrap align-items-end">
            <Form.Group controlId="threshold-muscle">
              <Form.Label>Where</Form.Label>
              <Form.Select size="sm" value={at.muscle} onChange={(e) => choose({ ...at, muscle: e.target.value })}>
                {PRESSED_MUSCLES.map((m) => (
                  <option key={m.id} value={m.id}>
                    {m.name}
                  </option>
                ))}
              </Form.Select>
            </Form.Group>
            <div className="chips" role="group" aria-label="Client’s side">
              {(['right', 'left'] as const).map((side) => (
                <button
                  key={side}
                  type="button"
                  className="chip"
                  aria-pressed={at.side === side}
                  onClick={() => choose({ ...at, side })}
                >
                  client’s {side}
                </button>
              ))}
            </div>
          </div>
          <p className="small mt-2 mb-1">
            Tip of 1 cm², straight in, rising evenly. The client says “now” when pressure becomes pain, not when it
            cannot be borne. Three presses, 30 to 60 s apart; the second and third count.
          </p>
          <ol className="trials">
            {TRIALS.map((n) => {
              const trial = trials[n - 1];
              return (
                <li key={n} className={trial ? '' : 'soft'}>
                  {trial ? (
                    <>
                      <span className="num">{rounded(trial.kpa, 1)} kPa</span>
                      <span className="soft small">
                        {trial.rampKpaPerSecond === null ? ' typed' : ` at ${rounded(trial.rampKpaPerSecond, 0)} kPa/s`}
                        {trial.slipped ? ', the tip slipped' : ''}
                      </span>
                    </>
                  ) : (
                    `press ${n}`
                  )}
                </li>
              );
            })}
          </ol>
          {trials.length < TRIALS.length && hasGauge && (
            <>
              {gauge.status === 'pressing' ? (
                <>
                  <RateMeter samples={gauge.samples} />
                  <Button onClick={() => mark()}>
                    Client says “now” <kbd aria-hidden="true">space</kbd>
                  </Button>
                </>
              ) : (
                <div className="d-flex align-items-center gap-3">
                  <Button onClick={() => press(`${at.muscle}.${at.side}`, trials.length + 1)}>
                    Press {trials.length + 1} with the gauge
                  </Button>
                  {restFromMs !== null && <RestCount key={restFromMs} fromMs={restFromMs} />}
                </div>
              )}
              {gauge.failed && (
                <p className="caution small mb-0" role="alert">
                  {gauge.failed}
                </p>
              )}
            </>
          )}
          {trials.length > 0 && (
            <Button variant="link" onClick={() => choose(at)}>
              Start these three anew
            </Button>
          )}
          {trials.length < TRIALS.length && gauge.status !== 'pressing' && (
            <details className="jaw-more" open={!hasGauge}>
              <summary>Type it from a dial instead</summary>
              <div className="d-flex gap-3 align-items-start mt-2">
                <MmField
                  key={`${at.muscle}.${at.side}.${trials.length}.${unit}`}
                  label={`Press ${trials.length + 1}, ${unit}`}
                  value={undefined}
                  check={(typed) =>
                    checkedReading(
                      'pressure-threshold',
                      Math.round(kpaFromGauge(typed, unit, TYPED_TIP_CM2) * 100) / 100,
                    )
                  }
                  onValue={(kpa) =>
                    kpa !== null && take([...trials, { kpa, rampKpaPerSecond: null }], 'typed', TYPED_TIP_CM2)
                  }
                  note="Enter takes it; on a tip of 1 cm²."
                />
                <Form.Group controlId="threshold-unit">
                  <Form.Label>Unit</Form.Label>
                  <Form.Select size="sm" value={unit} onChange={(e) => setUnit(e.target.value as GaugeUnit)}>
                    {GAUGE_UNITS.map((u) => (
                      <option key={u}>{u}</option>
                    ))}
                  </Form.Select>
                </Form.Group>
              </div>
            </details>
          )}
        </div>
      )}
    </section>
  );
}

function Kept({
  value,
  muscle,
  side,
  trials,
  tipCm2,
  was,
}: {
  value: number;
  muscle: string;
  side: string;
  trials?: readonly ThresholdTrial[];
  tipCm2: number;
  was: readonly number[];
}) {
  const name = PRESSED_MUSCLES.find((m) => m.id === muscle)?.name ?? muscle;
  const newton = newtonFrom(value, tipCm2);
  const told = trials?.length === 3 ? pressureThreshold(trials, tipCm2) : null;
  return (
    <p className="mb-1">
      <strong>
        {name}, client’s {side}
      </strong>{' '}
      <span className="num">
        {rounded(value, 1)} kPa, {rounded(newton, 1)} N, {rounded(newton / NEWTON_PER_KGF, 2)} kgf
      </span>{' '}
      <Past values={was.map((v) => Math.round(v))} />
      {(told?.unsteady || told?.rampOff || told?.slipped) && (
        <span className="worse small d-block">
          {told.unsteady ? 'The second and third press differ by more than a fifth: less sure, take them anew. ' : ''}
          {told.rampOff ? 'A press rose faster or slower than 30 to 50 kPa/s, which moves the threshold. ' : ''}
          {told.slipped ? 'The tip slipped in a press: take the three anew.' : ''}
        </span>
      )}
    </p>
  );
}

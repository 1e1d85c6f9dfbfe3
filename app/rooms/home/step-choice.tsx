import { HOME_STEPS_MOST } from '../../../core/schedule';
import { doseWords, pressureWords } from '../../../core/routine';
import { clock } from '../../../core/words';
import { Button } from 'react-bootstrap';
import type { HomeCandidate } from '../../routes/client/home-plan';
import { PressureDot, SIDE_PLAN_NAMES, SideMark, sideOfPlan } from '../../parts/marks/marks';
import { Failed } from '../../parts/frame/failed';

/** What may be done at home, the chosen ones first and in their order. */
export function StepChoice({
  candidates,
  chosen,
  wrong,
  onChoose,
}: {
  candidates: readonly HomeCandidate[];
  /** Ids of techniques. */
  chosen: readonly string[];
  /** What is wrong with the choice. */
  wrong: string | undefined;
  onChoose: (chosen: readonly string[]) => void;
}) {
  const steps = chosen.flatMap((one) => candidates.find((c) => c.step.technique === one) ?? []);
  const seconds = steps.reduce((sum, s) => sum + (s.ownSeconds ?? s.seconds), 0);
  const move = (one: string, by: -1 | 1) => {
    const at = chosen.indexOf(one);
    const to = at + by;
    if (at < 0 || to < 0 || to >= chosen.length) return;
    const next = [...chosen];
    [next[at], next[to]] = [next[to]!, next[at]!];
    onChoose(next);
  };
  return (
    <fieldset className="home-steps">
      <legend>
        Steps{' '}
        <span className="soft">
          {chosen.length} chosen, 1 to {HOME_STEPS_MOST} allowed
        </span>
      </legend>
      <table>
        <thead className="visually-hidden">
          <tr>
            <th scope="col">Step</th>
            <th scope="col">Pressure</th>
            <th scope="col">Dose</th>
            <th scope="col">Side</th>
            <th scope="col">Time</th>
            <th scope="col">Order</th>
          </tr>
        </thead>
        <tbody>
          {[...steps, ...candidates.filter((c) => !chosen.includes(c.step.technique))].map((c) => {
            const at = chosen.indexOf(c.step.technique);
            return (
              <tr key={c.step.technique} className={at >= 0 ? 'is-chosen' : undefined}>
                <th scope="row">
                  <label>
                    <input
                      type="checkbox"
                      className="form-check-input"
                      checked={at >= 0}
                      disabled={at < 0 && chosen.length >= HOME_STEPS_MOST}
                      onChange={() =>
                        onChoose(at >= 0 ? chosen.filter((x) => x !== c.step.technique) : [...chosen, c.step.technique])
                      }
                    />{' '}
                    {at >= 0 && `${at + 1} `}
                    {c.name}
                  </label>
                  {c.lowered && <div className="soft small">{c.lowered}</div>}
                </th>
                <td>
                  {c.step.pressure && <PressureDot pressure={c.step.pressure.there} />} {pressureWords(c.step)}
                </td>
                <td>{doseWords(c.step)}</td>
                <td>
                  <SideMark side={sideOfPlan(c.step.sides.mode)} /> {SIDE_PLAN_NAMES[c.step.sides.mode]}
                </td>
                <td className="num text-end">
                  {clock(c.seconds)}
                  {c.ownSeconds !== null && (
                    <div className="soft small" title="By this client’s own runs at home">
                      own {clock(c.ownSeconds)}
                    </div>
                  )}
                </td>
                <td className="text-nowrap">
                  {at >= 0 && (
                    <>
                      <Button
                        variant="link"
                        disabled={at === 0}
                        aria-label={`${c.name} earlier`}
                        onClick={() => move(c.step.technique, -1)}
                      >
                        ↑
                      </Button>
                      <Button
                        variant="link"
                        disabled={at === chosen.length - 1}
                        aria-label={`${c.name} later`}
                        onClick={() => move(c.step.technique, 1)}
                      >
                        ↓
                      </Button>
                    </>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <Failed words={wrong} />
      <p className="text-end">
        <strong className="num">{clock(seconds)}</strong> each time
      </p>
    </fieldset>
  );
}

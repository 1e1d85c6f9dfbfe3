import {
  lateralMovement,
  MEASURES,
  movementBand,
  openingPath,
  protrusion,
  USUAL_MOVEMENT_MM,
} from '../../../../core/measures';
import { SideMark } from '../../../parts/marks/marks';
import type { JawLook } from './jaw-look';
import type { JawReadings } from './jaw-readings';
import { MmField } from './mm-field';

const SIDES = ['right', 'left'] as const;
const ROWS = [
  { measure: 'sideways-mm', oneSide: false, look: null },
  { measure: 'midline-mm', oneSide: true, look: null },
  { measure: 'path-off-mm', oneSide: true, look: 'way' },
  { measure: 'click-opening-mm', oneSide: false, look: 'click' },
  { measure: 'click-closing-mm', oneSide: false, look: 'click' },
] as const;
const PATH_WORDS = { returns: 'and comes back to the midline', 'stays-off': 'and stays off at full opening' } as const;

/** Sideways, forward, the path and clicks: open when any of it was taken, today or last time. */
export function JawMovementFields({ jaw, onLook }: { jaw: JawReadings; onLook: (look: JawLook | null) => void }) {
  const known =
    ROWS.some(({ measure }) =>
      SIDES.some((side) => jaw.of(measure, side) !== undefined || jaw.was(measure, side) !== undefined),
    ) || jaw.of('forward-mm') !== undefined;
  const returns = jaw.of('path-returns') === 1;
  return (
    <details className="jaw-more" open={known || undefined}>
      <summary>Sideways, forward, path and clicks</summary>
      <table className="sites">
        <thead>
          <tr className="soft small">
            <th scope="col">mm</th>
            {SIDES.map((side) => (
              <th key={side} scope="col">
                <SideMark side={side} size={10} /> Client’s {side}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {ROWS.map(({ measure, oneSide, look }) => (
            <tr key={measure}>
              <th scope="row" className="fw-bold">
                {MEASURES[measure].name}
              </th>
              {SIDES.map((side) => (
                <td key={side} data-side={`client’s ${side}`}>
                  <MmField
                    label={`${MEASURES[measure].name}, client’s ${side}, mm`}
                    hideLabel
                    value={jaw.of(measure, side)}
                    past={jaw.past(measure, side)}
                    onTyping={(typedMm) =>
                      onLook(
                        look === 'click'
                          ? { at: look, side, opening: measure === 'click-opening-mm', typedMm }
                          : look && { at: look },
                      )
                    }
                    check={jaw.check(measure)}
                    onValue={(v) => (oneSide ? jaw.setOneSide(measure, v, side) : jaw.set(measure, v, side))}
                    note={
                      jaw.of(measure, side) === undefined && jaw.was(measure, side) !== undefined
                        ? `was ${jaw.was(measure, side)}`
                        : undefined
                    }
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <label className="d-block mb-2">
        <input
          type="checkbox"
          checked={returns}
          onFocus={() => onLook({ at: 'way' })}
          onChange={(e) => jaw.set('path-returns', e.target.checked ? 1 : null)}
        />{' '}
        {MEASURES['path-returns'].name}
      </label>
      <div className="field-row">
        <MmField
          label="Forward, mm"
          value={jaw.of('forward-mm')}
          past={jaw.past('forward-mm')}
          check={jaw.check('forward-mm')}
          onValue={(v) => jaw.set('forward-mm', v)}
          note={
            jaw.was('forward-mm') === undefined
              ? 'Lower teeth in front of the upper.'
              : `Last time ${jaw.was('forward-mm')} mm.`
          }
        />
        <MmField
          label="Upper in front at rest, mm"
          value={jaw.of('overjet-mm')}
          check={jaw.check('overjet-mm')}
          onValue={(v) => jaw.set('overjet-mm', v)}
          note="Added to forward."
        />
      </div>
      <p className="small mt-2 mb-0" role="status">
        {movementWords(jaw)}
      </p>
    </details>
  );
}

/** What the figures come to, once there are enough of them. */
function movementWords(jaw: JawReadings): string {
  const midline = (jaw.of('midline-mm', 'right') ?? 0) - (jaw.of('midline-mm', 'left') ?? 0);
  const [right, left] = [jaw.of('sideways-mm', 'right'), jaw.of('sideways-mm', 'left')];
  const words: string[] = [];
  const judged = (mm: number) =>
    movementBand(mm) === 'usual' ? `${mm} mm` : `${mm} mm, under the usual ${USUAL_MOVEMENT_MM}`;
  if (right !== undefined && left !== undefined) {
    const moved = lateralMovement(right, left, midline);
    words.push(
      `Sideways ${judged(moved.rightMm)} to the right, ${judged(moved.leftMm)} to the left${midline === 0 ? '' : ', the resting midline taken off'}.`,
    );
  }
  const forward = jaw.of('forward-mm');
  if (forward !== undefined) words.push(`Forward ${judged(protrusion(forward, jaw.of('overjet-mm')))}.`);
  for (const side of SIDES) {
    const off = jaw.of('path-off-mm', side);
    if (off === undefined) continue;
    const path = openingPath(off, jaw.of('path-returns') === 1);
    words.push(path === 'straight' ? 'Opens straight.' : `Swings to the client’s ${side} ${PATH_WORDS[path]}.`);
  }
  return words.join(' ');
}

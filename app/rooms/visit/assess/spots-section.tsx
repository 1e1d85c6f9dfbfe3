import { counted } from '../../../../core/words';
import { offsetWords, type TightSpot } from '../../../../core/record';
import { Button, Form } from 'react-bootstrap';
import { VIEW_NAMES } from '../../../parts/chart/places';
import { anchorName } from '../../../../reference/anchor-name';
import { isDrawn } from './spot-places';
import { useVisit } from '../session/context';
import { Scale } from './scale';

/** Tight spots pinned on the chart: where, how tender, in a few words. */
export function SpotsSection({
  pinning,
  onPinning,
  chosen,
  onChoose,
}: {
  pinning: boolean;
  onPinning: (on: boolean) => void;
  chosen: string | null;
  onChoose: (id: string) => void;
}) {
  const { findings, setFindings, lastFindings, ended } = useVisit();
  const change = (id: string, to: Partial<TightSpot>) =>
    setFindings({ ...findings, spots: findings.spots.map((s) => (s.id === id ? { ...s, ...to } : s)) });
  const before = lastFindings?.spots.length ?? 0;
  return (
    <section className="section">
      <div className="d-flex align-items-baseline gap-3">
        <h2>Tight spots</h2>
        {!ended && (
          <Button size="sm" variant="outline-primary" aria-pressed={pinning} onClick={() => onPinning(!pinning)}>
            {pinning ? 'Stop pinning' : 'Pin on the chart'}
          </Button>
        )}
        <span className="soft small">{before > 0 ? `last time ${counted(before, 'spot')}` : ''}</span>
      </div>
      {pinning && (
        <p className="soft small mb-1">
          Tap anywhere on the chart, or move the cross with the arrows (<kbd>w</kbd> <kbd>a</kbd> <kbd>s</kbd>{' '}
          <kbd>d</kbd> by more) and pin with <kbd>m</kbd>.
        </p>
      )}
      {findings.spots.length > 0 && (
        <ol className="spot-list">
          {findings.spots.map((s, i) => (
            <li key={s.id} className={s.id === chosen ? 'is-chosen' : ''} onFocus={() => onChoose(s.id)}>
              <span className="small">
                <strong className="num">{i + 1}</strong> {offsetWords(s)} {anchorName(s.anchor)}{' '}
                <span className="soft">
                  ({VIEW_NAMES[s.view].toLowerCase()}
                  {isDrawn(s) ? '' : '; its place is on this chart no longer, the pin is kept here'})
                </span>
              </span>
              <Scale
                label={`Tenderness of spot ${i + 1}, 0 to 3`}
                most={3}
                value={s.tenderness ?? undefined}
                onChange={(v) => change(s.id, { tenderness: v as TightSpot['tenderness'] })}
              />
              <Form.Control
                // Other words from another screen are other words to begin with.
                key={s.words}
                size="sm"
                aria-label={`Words for spot ${i + 1}`}
                placeholder="tight band, hard, tingles …"
                maxLength={200}
                defaultValue={s.words}
                onBlur={(e) => e.target.value !== s.words && change(s.id, { words: e.target.value })}
              />
              <Button
                variant="link"
                aria-label={`Take spot ${i + 1} away`}
                onClick={() => setFindings({ ...findings, spots: findings.spots.filter((o) => o.id !== s.id) })}
              >
                Take away
              </Button>
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}

import {
  expandRoutine,
  ribbonOf,
  routineSeconds,
  smallBands,
  type Catalogue,
  type Routine,
} from '../../../core/routine';
import { clock } from '../../../core/words';
import { useMemo } from 'react';
import { Button } from 'react-bootstrap';
import { scaleOf } from '../ribbon/scale';
import { SmallRibbon } from '../ribbon/small-ribbon';

export interface Strip {
  key: string;
  title: string;
  /** What it is about, in a line. */
  words: string;
  routine: Routine;
  /** Of what an hour could do, 0–1; null where that is not known. */
  share: number | null;
  /** Shows it in the list; null for the routine there is now. */
  show: (() => void) | null;
  isShown: boolean;
}

/** The proposal, two others and the routine there is, on one axis of time. */
export function Strips({
  strips,
  catalogue,
  budgetMinutes,
}: {
  strips: readonly Strip[];
  catalogue: Catalogue;
  budgetMinutes: number | null;
}) {
  const minutes = scaleOf([
    ...strips.map((s) => ({ seconds: routineSeconds(s.routine) })),
    { seconds: (budgetMinutes ?? 0) * 60 },
  ]);
  const every = minutes > 45 ? 10 : minutes > 20 ? 5 : 2;
  const ticks = Array.from({ length: Math.floor(minutes / every) + 1 }, (_, i) => i * every);
  return (
    <section className="strips" aria-label="Beside each other">
      {strips.map((s) => (
        <div key={s.key} className={s.show ? 'strip' : 'strip is-now'}>
          <div className="strip-head">
            <strong>{s.title}</strong>{' '}
            {s.show && (
              <Button
                variant="link"
                size="sm"
                className="p-0"
                disabled={s.isShown}
                aria-label={`Show: ${s.title}`}
                onClick={s.show}
              >
                {s.isShown ? 'Shown' : 'Show'}
              </Button>
            )}
            <div className="soft small">{s.words}</div>
          </div>
          <span className="num">{clock(routineSeconds(s.routine))}</span>
          <span className="num soft">{s.share === null ? '' : `${Math.round(s.share * 100)} %`}</span>
          <StripRibbon routine={s.routine} catalogue={catalogue} budgetMinutes={budgetMinutes} scaleMinutes={minutes} />
        </div>
      ))}
      <div className="strip strip-axis" aria-hidden="true">
        <span className="soft small">{strips.some((s) => s.share !== null) ? '% of what an hour could do' : ''}</span>
        <span />
        <span />
        <span className="axis">
          {ticks.map((m) => (
            <span key={m} style={{ left: `${(m / minutes) * 100}%` }}>
              {m === 0 ? '0 min' : m}
            </span>
          ))}
        </span>
      </div>
    </section>
  );
}

function StripRibbon({
  routine,
  catalogue,
  ...rest
}: {
  routine: Routine;
  catalogue: Catalogue;
  budgetMinutes: number | null;
  scaleMinutes: number;
}) {
  const bands = useMemo(() => smallBands(ribbonOf(routine, expandRoutine(routine), catalogue)), [routine, catalogue]);
  return <SmallRibbon bands={bands} {...rest} />;
}

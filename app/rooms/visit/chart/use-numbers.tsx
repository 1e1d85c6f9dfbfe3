import { pressedOnBoth, type Reading, sideGapWords } from '../../../../core/measures';
import type { OneSide } from '../../../../core/words';
import { useState, type ReactNode } from 'react';
import { GapLayer, type Change, type Sounding } from '../../../parts/chart/layers';
import type { Place, Shown } from '../../../parts/chart/places';
import { muscleName } from '../../../parts/words/muscle-name';
import { useFirst } from '../assess/past';
import { useVisit } from '../session/context';
import { BarChoice } from '../../../parts/chart/chart-bar';

type Telling = 'now' | 'first' | 'sides';
const muscle = (id: string, side: OneSide): Place => ({ kind: 'muscle', id, side });

/**
 * What the numbers on the chart tell: tenderness of this visit, its change since the first time, or the two sides against
 * each other. After the work the latest of a visit counts, and what is still to be pressed again keeps its old number.
 */
export function useNumbers(phase: 'before' | 'after'): {
  choice: ReactNode;
  told: string;
  soundings: Sounding[];
  changes: Change[];
  over: (shown: Shown, unit: number) => ReactNode;
} {
  const { readings } = useVisit();
  const firstOf = useFirst();
  const [telling, setTelling] = useState<Telling>('now');
  const pressed = readings.filter(
    (r): r is Reading & { side: OneSide } =>
      r.measure === 'tenderness' && (r.side === 'left' || r.side === 'right') && r.phase !== 'between',
  );
  const of = (which: 'before' | 'after', r: Pick<Reading, 'place' | 'side'>) =>
    pressed.find((o) => o.phase === which && o.place === r.place && o.side === r.side);
  const before = pressed.filter((r) => r.phase === 'before');
  const latest =
    phase === 'before'
      ? before
      : [...before.map((r) => of('after', r) ?? r), ...pressed.filter((r) => r.phase === 'after' && !of('before', r))];
  const sinceFirst = latest.flatMap((r): Change[] => {
    const first = firstOf({ measure: 'tenderness', place: r.place, side: r.side });
    return first === undefined ? [] : [{ place: muscle(r.place, r.side), before: first, after: r.value }];
  });
  const gaps = pressedOnBoth(latest);
  const within = pressed.flatMap((r): Change[] => {
    const was = r.phase === 'after' && of('before', r);
    return was ? [{ place: muscle(r.place, r.side), before: was.value, after: r.value }] : [];
  });
  const sounding = (r: (typeof pressed)[number]): Sounding => ({ place: muscle(r.place, r.side), value: r.value });
  // What is no longer there to be told falls back to the numbers of now.
  const shown = (telling === 'first' && !sinceFirst.length) || (telling === 'sides' && !gaps.length) ? 'now' : telling;
  return {
    choice: (
      <BarChoice
        label="What the numbers tell"
        value={shown}
        onChoose={setTelling}
        choices={[
          { value: 'now', words: phase === 'before' ? 'Now' : 'This visit' },
          {
            value: 'first',
            words: 'Since first',
            ...(sinceFirst.length ? {} : { off: 'Nothing that is pressed now was pressed at an earlier visit' }),
          },
          {
            value: 'sides',
            words: 'Left against right',
            ...(gaps.length ? {} : { off: 'No muscle is pressed on both sides yet' }),
          },
        ]}
      />
    ),
    told: shown === 'sides' ? sideGapWords(gaps, muscleName) : '',
    soundings:
      shown !== 'now'
        ? []
        : phase === 'before'
          ? before.map(sounding)
          : latest.filter((r) => !(r.phase === 'after' && of('before', r))).map(sounding),
    changes: shown === 'first' ? sinceFirst : shown === 'now' && phase === 'after' ? within : [],
    over: (at, unit) =>
      shown === 'sides' && (
        <GapLayer
          shown={at}
          unit={Math.max(1, unit)}
          gaps={gaps.map((g) => ({
            left: muscle(g.place, 'left'),
            right: muscle(g.place, 'right'),
            byLeft: g.left - g.right,
          }))}
        />
      ),
  };
}

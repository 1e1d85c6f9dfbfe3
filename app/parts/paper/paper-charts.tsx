import type { ComponentProps } from 'react';
import { FaceChart } from '../chart/face-chart';
import { spotOf, VIEWS, type Place, type View } from '../chart/places';

/** The fewest views that show every place there is a drawing of: the one that shows most first. */
export function viewsShowing(places: readonly Place[]): View[] {
  const views: View[] = [];
  let open = places.filter((p) => VIEWS.some((v) => spotOf(p, v)));
  while (open.length) {
    const shows = (view: View) => open.filter((p) => spotOf(p, view)).length;
    const best = VIEWS.reduce((a, b) => (shows(b) > shows(a) ? b : a));
    views.push(best);
    open = open.filter((p) => !spotOf(p, best));
  }
  return views;
}

/** The chart on paper: every view that is needed beside the next, with nothing to press. */
export function PaperCharts({
  views,
  ...marks
}: { views: readonly View[] } & Omit<ComponentProps<typeof FaceChart>, 'views' | 'bare'>) {
  return (
    <div className={`paper-charts is-${Math.min(3, views.length)}`}>
      {views.map((view) => (
        <FaceChart key={view} {...marks} bare views={[view]} />
      ))}
    </div>
  );
}

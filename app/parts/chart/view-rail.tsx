import { VIEW_NAMES, VIEWS, type View } from './places';
import { THUMBS_URL } from './terrain';

/** The small picture of a view, out of the one file that holds them all. */
const thumbOf = (view: View) => ({
  maskImage: `url(${THUMBS_URL})`,
  maskPosition: `${(VIEWS.indexOf(view) / (VIEWS.length - 1)) * 100}% 0`,
  maskSize: `${VIEWS.length * 100}% 100%`,
});

/** The views to choose from, each with its small picture. */
export function ViewRail({
  views,
  view,
  onView,
}: {
  views: readonly View[];
  view: View;
  onView: (view: View) => void;
}) {
  return (
    <div className="chart-rail">
      {views.map((v) => (
        <button key={v} type="button" className="view-button" aria-pressed={v === view} onClick={() => onView(v)}>
          <span className="view-thumb" style={thumbOf(v)} aria-hidden="true" />
          {VIEW_NAMES[v]}
        </button>
      ))}
    </div>
  );
}

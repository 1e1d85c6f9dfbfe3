import { Button } from 'react-bootstrap';
import { PRESSED_MUSCLES } from '../../../reference/muscles';
import { FaceChart } from '../../chart/face-chart';
import { placesOn } from '../../chart/places';
import { soundingsOf } from '../../visit/chart-marks';
import { useVisit } from '../../visit/context';
import { MeasuresSection } from '../../visit/measures-section';
import { OpeningFields } from '../../visit/opening-fields';
import { PressCount } from '../../visit/press-count';
import { Ratings } from '../../visit/ratings';
import { SaveConflict, SaveState } from '../../visit/save-note';
import { TendernessTable, USUAL_SITES, useTenderness } from '../../visit/tenderness-table';

export default function Assess() {
  const { readings, goTo, ended } = useVisit();
  const tender = useTenderness('before');
  const pickable = PRESSED_MUSCLES.flatMap((m) => placesOn({ kind: 'muscle', id: m.id }, 'both'))
    .filter((p) => p.side !== 'midline')
    .map((place) => {
      const value = tender.valueAt(place.id, place.side as 'left' | 'right');
      return { place, name: PRESSED_MUSCLES.find((m) => m.id === place.id)!.name, state: value === undefined ? 'not pressed' : `tenderness ${value}` };
    });
  return (
    <div className="visit-body">
      <div className="chart-side">
        <FaceChart
          soundings={soundingsOf(readings, 'before')}
          muscles={USUAL_SITES.flatMap((id) => (['left', 'right'] as const).map((side) => ({ id, side })))}
          pick={{ places: pickable, onPick: tender.tap, onKey: tender.key }}
        />
      </div>
      <main className="work">
        <SaveConflict />
        <div className="work-head">
          <h1>Assess</h1>
          <span className="soft">how bad, where, and how far it opens</span>
          <div className="end">
            <SaveState />
            {!ended && <Button onClick={() => goTo('compose')}>Compose</Button>}
          </div>
        </div>
        <fieldset disabled={ended} className="border-0 p-0 m-0">
          <section className="section">
            <h2>How bad is it, 0 to 10?</h2>
            <Ratings phase="before" measures={['nrs-now', 'nrs-worst-week', 'nrs-average-week']} />
          </section>
          <section className="section">
            <h2>Tenderness</h2>
            <p className="soft small mb-1">Tap a muscle on the chart, or press 0 to 3 on it: nothing, mild, moderate, severe. Sides are the client’s.</p>
            <PressCount />
            <TendernessTable phase="before" />
          </section>
          <section className="section">
            <h2>Mouth opening</h2>
            <OpeningFields phase="before" />
          </section>
        </fieldset>
        <MeasuresSection />
      </main>
    </div>
  );
}

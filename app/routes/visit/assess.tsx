import { habitWords } from '../../../core/record';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { AssessChart, type ChartMode } from '../../rooms/visit/assess/assess-chart';
import { UndoButtons } from '../../parts/frame/undo-buttons';
import { useVisit } from '../../rooms/visit/session/context';
import { Correction } from '../../rooms/visit/session/correction';
import { type JawLook, lookedOn } from '../../rooms/visit/assess/jaw-look';
import { LevelSection } from '../../rooms/visit/assess/level-section';
import { MeasuresSection } from '../../rooms/visit/assess/measures-section';
import { OpeningFields } from '../../rooms/visit/assess/opening-fields';
import { PressCount } from '../../rooms/visit/assess/press-count';
import { Ratings } from '../../rooms/visit/assess/ratings';
import { SaveConflict, SaveState } from '../../rooms/visit/session/save-note';
import { ScanSection } from '../../rooms/visit/assess/scan-section';
import { SpotsSection } from '../../rooms/visit/assess/spots-section';
import { TendernessTable } from '../../rooms/visit/assess/tenderness-table';
import { ThresholdSection } from '../../rooms/visit/assess/threshold-section';

export default function Assess() {
  const { goTo, ended, client, undo, redo } = useVisit();
  const [mode, setMode] = useState<ChartMode>({ kind: 'press' });
  const [spot, setSpot] = useState<string | null>(null);
  const [look, setLook] = useState<JawLook | null>(null);
  const toggle = (kind: 'spots' | 'scan') => (on: boolean) => setMode(on ? { kind } : { kind: 'press' });
  const habits = habitWords(client.habitSides);
  return (
    <div className="visit-body">
      <div className="chart-side">
        <AssessChart mode={mode} onMode={setMode} chosenSpot={spot} onChooseSpot={setSpot} look={look} />
      </div>
      <main className="work">
        <SaveConflict />
        <div className="work-head">
          <h1>Assess</h1>
          <span className="soft">{habits ? `Client ${habits}` : 'how bad, where, and how far it opens'}</span>
          <div className="end">
            <UndoButtons undo={undo && (() => undo())} redo={redo && (() => redo())} />
            <SaveState />
            {!ended && <Button onClick={() => goTo('compose')}>Compose</Button>}
          </div>
        </div>
        <Correction what="what was found" />
        <fieldset disabled={ended} className="border-0 p-0 m-0">
          <section className="section">
            <h2>How bad is it, 0 to 10?</h2>
            <Ratings phase="before" measures={['nrs-now', 'nrs-worst-week', 'nrs-average-week']} />
          </section>
          <section className="section">
            <h2>Tenderness</h2>
            <p className="soft small mb-1">
              Tap a muscle on the chart, or press 0 to 3 on it: nothing, mild, moderate, severe. Sides are the client’s.
            </p>
            <PressCount />
            <TendernessTable
              phase="before"
              elsewhere={{
                from: mode.kind === 'elsewhere' ? mode.from : null,
                onAsk: (from) => setMode(from ? { kind: 'elsewhere', from } : { kind: 'press' }),
              }}
            />
          </section>
          <SpotsSection pinning={mode.kind === 'spots'} onPinning={toggle('spots')} chosen={spot} onChoose={setSpot} />
          <ScanSection phase="before" on={mode.kind === 'scan'} onScan={toggle('scan')} />
          <section className="section">
            <h2>Mouth opening</h2>
            <OpeningFields phase="before" onLook={(next) => setLook((last) => lookedOn(last, next))} />
          </section>
          <ThresholdSection phase="before" />
        </fieldset>
        <LevelSection phase="before" />
        <MeasuresSection />
      </main>
    </div>
  );
}

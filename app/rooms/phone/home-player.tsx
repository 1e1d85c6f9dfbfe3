import { useEffect, useMemo } from 'react';
import { runRecord } from '../../../core/guide';
import { expandRoutine, type JawLimits, type Step, stepOpening } from '../../../core/routine';
import { countsAsDone, homeCatalogue, type HomePacket } from '../../../core/schedule';
import { FaceChart } from '../../parts/chart/face-chart';
import { pathMark } from '../../parts/chart/path-layer';
import { fetchMovement } from '../../parts/chart/jaw/carried';
import { jawHeld, viewWithJaw } from '../../parts/chart/jaw/jaw-view';
import { isProfile } from '../../parts/chart/jaw/posed';
import { nowMs } from '../../parts/player/clock';
import { Player } from '../../parts/player/player';
import type { OpenRun, RunPort } from '../../parts/player/port';
import { REASONS } from './reasons';
import { addEvents, endOpen, openOnPhone, seenOpen } from './store';
// The letters come with what is fetched later: a slow phone reads in its own first.
import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import '@fontsource-variable/atkinson-hyperlegible-mono/index.css';
import '@fontsource-variable/bricolage-grotesque/index.css';
import '../../styles/phone-player.scss';

/** Where one step is done, as in a mirror. */
export function StepDrawing({ step, jaw }: { step: Step; jaw: JawLimits }) {
  const path = useMemo(() => pathMark(step), [step]);
  const places = path.sides.flat();
  const opening = stepOpening(step.body, jaw);
  const view = viewWithJaw(opening, places);
  const mostMm = opening?.moves ? opening.openingMm : 0;
  // What the guide moves later, perhaps without a network, is packed with the page.
  useEffect(() => {
    if (mostMm > 0 && isProfile(view)) void fetchMovement(view, mostMm);
  }, [view, mostMm]);
  if (!places.length) return null;
  return <FaceChart bare mirror isOwn views={[view]} follow={places} paths={[path]} jaw={jawHeld(opening)} />;
}

const SEEN_EVERY_MS = 2000;

/** The guide of the studio, for one’s own face: everything it tells is kept on this phone first. */
export function HomePlayer({
  packet,
  open,
  before,
  onEnded,
  onLeave,
}: {
  packet: HomePacket;
  /** A run to go on with. */
  open: OpenRun | null;
  /** How it was before. */
  before: number | null;
  onEnded: (runId: string, stopped: string | null) => void;
  onLeave: () => void;
}) {
  const planId = packet.plan.id;
  const catalogue = useMemo(() => homeCatalogue(packet), [packet]);
  const { routine } = packet.plan;
  const port = useMemo(
    (): RunPort => ({
      begin: async (id) => {
        const run = { id, routine, events: [] };
        await openOnPhone(planId, run, before, nowMs()).catch(() => {});
        return run;
      },
      // Where nothing can be kept, which the page has said, nothing is waited for.
      send: async (runId, events) => {
        await addEvents(planId, runId, events, nowMs()).catch(() => {});
        return events.map((e) => e.id);
      },
      packet: (run) =>
        endOpen(
          planId,
          run.events,
          nowMs(),
          countsAsDone(runRecord(expandRoutine(run.routine), run.events, nowMs()).steps),
        ).then(
          () => true,
          () => true,
        ),
    }),
    // The number is asked before the start and belongs to it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [planId, routine],
  );
  useEffect(() => {
    const timer = setInterval(() => void seenOpen(planId, nowMs()).catch(() => {}), SEEN_EVERY_MS);
    return () => clearInterval(timer);
  }, [planId]);
  return (
    <div className="phone-run" data-bs-theme="dark">
      <Player
        routine={open?.routine ?? routine}
        open={open}
        stopped={null}
        port={port}
        catalogue={catalogue}
        screening={null}
        jaw={packet.jaw}
        composed={open?.routine ?? routine}
        bar={{ who: null, caution: '', onLeave }}
        before={{ again: false, toReady: [], onReady: () => {}, avoid: [] }}
        after={{ label: 'Go on', onGo: onLeave }}
        alone={{ reasons: REASONS, onEnded }}
      />
    </div>
  );
}

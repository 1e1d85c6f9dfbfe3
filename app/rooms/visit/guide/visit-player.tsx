import { preparationFor, type Screening, toMind } from '../../../../core/limits';
import { MEASURES, type MeasureKey } from '../../../../core/measures';
import type { Catalogue, Routine, Step } from '../../../../core/routine';
import { useContext, useMemo } from 'react';
import { useCatalogue } from '../../../parts/catalogue/catalogue';
import { PREPARATION } from '../../../../reference/facts/preparation';
import { ClientJaw } from '../../../parts/chart/jaw/client-jaw';
import type { OpenRun } from '../../../parts/player/port';
import { Player } from '../../../parts/player/player';
import { useProductToday } from '../screen/product-choice';
import { useVisit } from '../session/context';
import { SaveConflict, SaveState } from '../session/save-note';
import { CurrentBeside } from './current-beside';
import { portOfVisit } from './port';

/** The first thing to mind today, in a few words. */
function cautionWord(screening: Screening): string {
  const [first, ...more] = toMind(screening);
  return first ? `Mind: ${first.title.toLowerCase()}${more.length ? ` and ${more.length} more` : ''}` : '';
}

/** Whether a step is done with a microcurrent unit. */
const usesCurrent = ({ technique, contact }: Step, { techniques }: Catalogue): boolean =>
  contact === 'conductive-gloves' || techniques.get(technique)?.tool === 'microcurrent-device';

/** The player of a visit: its runs are kept there, and what screening says counts. */
export function VisitPlayer({
  routine,
  open,
  stopped,
  again,
  hasCurrentUnit,
}: {
  routine: Routine;
  open: OpenRun | null;
  /** The last run, where it was stopped. */
  stopped: OpenRun | null;
  again: boolean;
  /** A microcurrent unit is named, and read while its steps run. */
  hasCurrentUnit: boolean;
}) {
  const { visit, client, screen, setScreen, setReading, screening, goTo, routine: composed } = useVisit();
  const catalogue = useCatalogue();
  const product = useProductToday();
  const port = useMemo(() => portOfVisit(visit.id), [visit.id]);
  const played = open?.routine ?? routine;
  const jaw = useContext(ClientJaw);
  return (
    <Player
      routine={routine}
      open={open}
      stopped={stopped}
      bar={{
        who: client.name,
        caution: cautionWord(screening),
        onLeave: () => goTo('compose'),
        roomScreen: `/visits/${visit.id}/room`,
      }}
      port={port}
      catalogue={catalogue}
      screening={screening}
      jaw={jaw}
      composed={composed}
      before={{
        again,
        toReady: preparationFor(PREPARATION, played, catalogue).filter((p) => !screen.preparation.includes(p.key)),
        onReady: (key) => setScreen({ ...screen, preparation: [...screen.preparation, key] }),
        saved: <SaveState />,
        conflict: <SaveConflict />,
        avoid: product.findings.filter((f) => f.severity === 'avoid').map((f) => `${product.chosen!.name}: ${f.words}`),
      }}
      after={{ label: 'Record', onGo: () => goTo('record') }}
      beside={({ step, status }) =>
        hasCurrentUnit &&
        usesCurrent(step, catalogue) &&
        (status === 'running' || status === 'paused') && <CurrentBeside isRunning={status === 'running'} />
      }
      onReading={({ measure, place, side, value }) => {
        const { belongs } = MEASURES[measure as MeasureKey];
        // What belongs to a complaint is rated in Record, where the complaint is named.
        if (belongs === 'complaint') return;
        const of = belongs === 'client' ? ({ place: '', side: 'midline' } as const) : { place, side };
        setReading({ measure: measure as MeasureKey, complaintId: null, ...of, phase: 'after', value });
      }}
    />
  );
}

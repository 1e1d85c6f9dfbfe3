import { useContext } from 'react';
import { ClientChart } from '../../../parts/chart/client-chart';
import { FeltElsewhereLayer, SpotLayer } from '../../../parts/chart/finding-layers';
import type { Shown, View } from '../../../parts/chart/places';
import { regionPlace } from '../assess/felt-elsewhere';
import { pinsIn } from '../assess/spot-places';
import { useBodies } from '../assess/use-bodies';
import { useVisit } from '../session/context';

/** What Assess found that is no number, drawn over any chart of the visit: where presses were felt, and the pinned spots. */
export function FindingsOver({
  view,
  shown,
  unit,
  mirrored,
  chosenSpot = null,
}: {
  view: View;
  shown: Shown;
  unit: number;
  mirrored: boolean;
  chosenSpot?: string | null;
}) {
  const { findings } = useVisit();
  const client = useContext(ClientChart);
  const bodies = useBodies(client.head ? client.measures : null);
  return (
    <>
      <FeltElsewhereLayer
        shown={shown}
        unit={unit}
        view={view}
        ways={findings.feltElsewhere.map((f) => ({
          key: `${f.muscle}.${f.side}-${f.to}.${f.toSide}`,
          from: { kind: 'muscle', id: f.muscle, side: f.side },
          to: regionPlace(f),
        }))}
      />
      <SpotLayer
        spots={pinsIn(view, findings.spots, bodies, client.head?.places)}
        unit={unit}
        view={view}
        mirrored={mirrored}
        chosen={chosenSpot}
      />
    </>
  );
}

import { useMemo } from 'react';
import { useFibres, type Fibres } from './fibres';
import type { FittedHead } from './fitted';
import { type JawShown, type PosedView, posedFibres, shownPosed, useJawFibres, usePosed } from './jaw/posed';
import { places as standardPlaces, shownIn, type PlaceTable, type Shown, type View } from './places';

interface Sheet {
  /** How the view shows an open jaw; null while it shows none. */
  posed: PosedView | null;
  /** The client's own head, where it is what is drawn. */
  own: FittedHead | null;
  fibres: Fibres;
  table: PlaceTable;
  shown: Shown;
  /** Where places are while the mouth is shut: an opening jaw does not shift the sheet. */
  aimed: Shown;
}

/** What a view is drawn from: the standard head, the client's own, or the standard one with its jaw open. */
export function useSheet({
  view,
  mirrored,
  jaw,
  fitted,
  needsFibres,
}: {
  view: View;
  mirrored: boolean;
  jaw: JawShown | null | undefined;
  fitted: FittedHead | null;
  needsFibres: boolean;
}): Sheet {
  const standardFibres = useFibres(needsFibres);
  // A jaw that opens is drawn on the adult that all know, with everything that goes along.
  const posed = usePosed(view, jaw);
  const own = posed ? null : fitted;
  const jawFibres = useJawFibres(!!posed);
  const fibres = useMemo(
    () => (posed && !posed.moving ? posedFibres(jawFibres, standardFibres, posed) : (own?.fibres ?? standardFibres)),
    [posed, own, jawFibres, standardFibres],
  );
  const table = own?.places ?? standardPlaces;
  const aimed = useMemo(() => shownIn(view, mirrored, table), [view, mirrored, table]);
  const shown = useMemo(() => (posed ? shownPosed(posed, mirrored) : aimed), [posed, mirrored, aimed]);
  return { posed, own, fibres, table, shown, aimed };
}

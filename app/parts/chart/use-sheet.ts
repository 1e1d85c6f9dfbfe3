import { DRAWN_HEAD, type PosableHead, type PoseName } from '../../../core/drawing';
import { useMemo } from 'react';
import { useFibres, type Fibres } from './fibres';
import type { FittedHead } from './fitted';
import { drawingsFor } from './jaw/carried';
import { ownDrawings, useOwnDrawings } from './jaw/own-drawings';
import { type JawShown, type PosedView, posedFibres, shownPosed, useJawFibres, usePosed } from './jaw/posed';
import { places as standardPlaces, shownIn, type PlaceTable, type Shown, type View } from './places';

interface Sheet {
  /** How the view shows an open jaw; null while it shows none. */
  posed: PosedView | null;
  /** The client's own head, where it is what is drawn. */
  own: FittedHead | null;
  /** The head that is drawn, as its jaw opens. */
  head: PosableHead;
  /** What is to be told of whose head it is; empty where it is the one that was asked for. */
  whose: string;
  fibres: Fibres;
  table: PlaceTable;
  shown: Shown;
  /** Where places are while the mouth is shut: an opening jaw does not shift the sheet. */
  aimed: Shown;
}

const NO_DRAWINGS: readonly (PoseName | null)[] = [];
const AVERAGE = 'jaw of the average adult';

/** What a view is drawn from: the standard head or the client's own, shut or with its jaw open. */
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
  const average = usePosed(view, jaw);
  const drawings = fitted && ownDrawings(fitted);
  const posedOwn = usePosed(view, jaw, drawings ?? undefined);
  const needed = useMemo(() => (drawings && posedOwn ? drawingsFor(posedOwn) : NO_DRAWINGS), [drawings, posedOwn]);
  const come = useOwnDrawings(drawings, needed.length && posedOwn ? posedOwn.view : null, needed);
  // Until a client's own head is drawn with its jaw open, it opens on the adult that all know.
  const isOwn = !!drawings && (!posedOwn || come === 'here');
  const posed = isOwn ? posedOwn : average;
  const own = isOwn ? fitted : null;
  const jawFibres = useJawFibres(posed);
  const shutFibres = own?.fibres ?? standardFibres;
  const fibres = useMemo(
    () => (posed && !posed.moving ? posedFibres(jawFibres, shutFibres, posed) : shutFibres),
    [posed, jawFibres, shutFibres],
  );
  const table = own?.places ?? standardPlaces;
  const aimed = useMemo(() => shownIn(view, mirrored, table), [view, mirrored, table]);
  const shown = useMemo(() => (posed ? shownPosed(posed, mirrored) : aimed), [posed, mirrored, aimed]);
  return {
    ...{ posed, own, fibres, table, shown, aimed },
    head: own && drawings ? drawings.head : DRAWN_HEAD,
    whose: !fitted || isOwn ? '' : come === 'failed' ? AVERAGE : `${AVERAGE}; this head’s own is being drawn`,
  };
}

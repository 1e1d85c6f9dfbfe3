import { DRAWN_HEAD, type JawFibreRow, type PosableHead, type PoseName, type PoseView } from '../../../../core/drawing';
import { useEffect, useState } from 'react';
import type { FittedHead } from '../fitted';
import { places, type PlaceTable } from '../places';
import { innerSvg } from '../terrain';

/** A head with the drawings of it whose jaw is open, and what goes along. */
export interface PoseDrawings {
  /** Tells heads apart. */
  key: string;
  head: PosableHead;
  /** Where places are while its mouth is shut. */
  places: PlaceTable;
  /** Fibres that its jaw moves; null for those of the drawn adult, which are loaded when a jaw first opens. */
  fibres: Record<string, JawFibreRow> | null;
  /** Inner markup of the shut head by view, where it is not the one that all charts draw. */
  shut: FittedHead['svg'] | null;
  /** Inner markup of a drawing, shut or in a pose. */
  markup: (view: PoseView, pose: PoseName | null) => Promise<string>;
  /** How deep the skin lies at the places of a profile's paths. */
  depths: (view: PoseView, pose: PoseName | null) => Promise<Uint8Array>;
}

/** Two drawings of one view stand on one page, so their ids are told apart. */
export const withOwnIds = (markup: string, view: PoseView, pose: PoseName | null): string =>
  markup.replaceAll(`chart-${view}-`, `chart-${view}-${pose ?? 'shut'}-`);

/** Asked for once while the page lives; what did not come is asked for again. */
export function once<T>(
  get: (view: PoseView, pose: PoseName | null) => Promise<T>,
): (view: PoseView, pose: PoseName | null) => Promise<T> {
  const store = new Map<string, Promise<T>>();
  return (view, pose) => {
    const key = `${view} ${pose}`;
    let known = store.get(key);
    if (!known) {
      known = get(view, pose);
      store.set(key, known);
      known.catch(() => store.delete(key));
    }
    return known;
  };
}

const URLS = import.meta.glob<string>('../terrain/*.*.{svg,bin}', { eager: true, query: '?url', import: 'default' });
const SHUT_URLS = import.meta.glob<string>('../terrain/{left,right,front,opened}.svg', {
  eager: true,
  query: '?url',
  import: 'default',
});
/** The file of a view's drawing; each is fetched when it is asked for. */
const fileOf = (view: PoseView, pose: PoseName | null): string => (pose ? `${view}.${pose}` : view);
const fetched = async (url: string): Promise<Response> => {
  const answer = await fetch(url);
  if (!answer.ok) throw new Error(`${url}: ${answer.status}`);
  return answer;
};

/** Those of the drawn adult. */
export const STANDARD_DRAWINGS: PoseDrawings = {
  key: '',
  head: DRAWN_HEAD,
  places,
  fibres: null,
  shut: null,
  markup: once(async (view, pose) => {
    const path = `../terrain/${fileOf(view, pose)}.svg`;
    return withOwnIds(innerSvg(await (await fetched((pose ? URLS : SHUT_URLS)[path]!)).text()), view, pose);
  }),
  depths: once(
    async (view, pose) =>
      new Uint8Array(await (await fetched(URLS[`../terrain/${fileOf(view, pose)}.depths.bin`]!)).arrayBuffer()),
  ),
};

/** The markup of some drawings, as far as they have come; without a network nothing. */
export function usePoseMarkup(
  drawings: PoseDrawings,
  view: PoseView,
  poses: readonly (PoseName | null)[],
): ReadonlyMap<PoseName | null, string> {
  const [come, setCome] = useState<ReadonlyMap<string, string>>(new Map());
  const keyOf = (pose: PoseName | null) => `${drawings.key} ${fileOf(view, pose)}`;
  const wanted = poses.map(keyOf).join(' ');
  useEffect(() => {
    let current = true;
    for (const pose of poses)
      void drawings
        .markup(view, pose)
        .then((text) => current && setCome((all) => new Map(all).set(keyOf(pose), text)))
        .catch(() => {});
    return () => {
      current = false;
    };
    // The names say which drawings are wanted.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [drawings, view, wanted]);
  return new Map(
    poses.flatMap((pose) => {
      const text = come.get(keyOf(pose));
      return text ? [[pose, text] as const] : [];
    }),
  );
}

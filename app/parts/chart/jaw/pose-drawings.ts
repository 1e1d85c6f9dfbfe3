import { type PoseName, type PoseView } from '../../../../core/drawing';
import { useEffect, useState } from 'react';
import { innerSvg } from '../terrain';

const URLS = import.meta.glob<string>('../terrain/*.*.{svg,bin}', { eager: true, query: '?url', import: 'default' });
const SHUT_URLS = import.meta.glob<string>('../terrain/{left,right,front,opened}.svg', {
  eager: true,
  query: '?url',
  import: 'default',
});

/** The file of a view's drawing, shut or in a pose; each is fetched when it is asked for. */
const fileOf = (view: PoseView, pose: PoseName | null): string => (pose ? `${view}.${pose}` : view);
const texts = new Map<string, Promise<string>>();
const depths = new Map<string, Promise<Uint8Array>>();

const fetched = async (url: string): Promise<Response> => {
  const answer = await fetch(url);
  if (!answer.ok) throw new Error(`${url}: ${answer.status}`);
  return answer;
};
/** Kept while the page lives; what could not be fetched is asked for again. */
function kept<T>(store: Map<string, Promise<T>>, key: string, get: () => Promise<T>): Promise<T> {
  let known = store.get(key);
  if (!known) {
    known = get();
    store.set(key, known);
    known.catch(() => store.delete(key));
  }
  return known;
}

/** Inner markup of a drawing. Two drawings of one view stand on one page, so their ids are told apart. */
export const poseMarkup = (view: PoseView, pose: PoseName | null): Promise<string> => {
  const file = fileOf(view, pose);
  return kept(texts, file, async () => {
    const url = pose ? URLS[`../terrain/${file}.svg`]! : SHUT_URLS[`../terrain/${file}.svg`]!;
    const text = innerSvg(await (await fetched(url)).text());
    return text.replaceAll(`chart-${view}-`, `chart-${view}-${pose ?? 'shut'}-`);
  });
};

/** How deep the skin lies at the places of a profile's paths. */
export const poseDepths = (view: PoseView, pose: PoseName | null): Promise<Uint8Array> => {
  const file = fileOf(view, pose);
  return kept(
    depths,
    file,
    async () => new Uint8Array(await (await fetched(URLS[`../terrain/${file}.depths.bin`]!)).arrayBuffer()),
  );
};

/** The markup of some drawings, as far as they have come; without a network nothing. */
export function usePoseMarkup(
  view: PoseView | null,
  poses: readonly (PoseName | null)[],
): ReadonlyMap<PoseName | null, string> {
  const [come, setCome] = useState<ReadonlyMap<string, string>>(new Map());
  const wanted = view ? poses.map((pose) => fileOf(view, pose)).join(' ') : '';
  useEffect(() => {
    if (!view) return;
    let current = true;
    for (const pose of poses)
      void poseMarkup(view, pose)
        .then((text) => current && setCome((all) => new Map(all).set(fileOf(view, pose), text)))
        .catch(() => {});
    return () => {
      current = false;
    };
    // The names say which drawings are wanted.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [view, wanted]);
  return new Map(
    poses.flatMap((pose) => {
      const text = view && come.get(fileOf(view, pose));
      return text ? [[pose, text] as const] : [];
    }),
  );
}

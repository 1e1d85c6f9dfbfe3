import { PosableHead, type PoseName, type PoseView } from '../../../../core/drawing';
import { useEffect, useState } from 'react';
import type { PoseAsked, PoseDrawn } from '../../../workers/fit-pose';
import { FIT_RESOLUTION, type FittedHead, keep, kept } from '../fitted';
import { innerSvg } from '../terrain';
import { isProfile } from './posed';
import { once, type PoseDrawings, withOwnIds } from './pose-drawings';

/** The right one is the left one in a mirror: they are drawn together. */
const PROFILES = ['left', 'right'] as const;

const known = new WeakMap<FittedHead, PoseDrawings>();
/** Which drawings have come since the page was loaded. */
const here = new Set<string>();
const hereAs = (key: string, view: PoseView, pose: PoseName | null): string => `${key} ${view} ${pose}`;
/** Drawn one after another: a head that is guided by needs the other core. */
let last: Promise<unknown> = Promise.resolve();

/** A client's own head with its jaw open: each drawing is made on this device when it is first asked for, and kept. */
export function ownDrawings(fitted: FittedHead): PoseDrawings {
  const before = known.get(fitted);
  if (before) return before;
  const { key, jaw, places, svg } = fitted;
  const made = once<PoseDrawn>(async (view, pose) => {
    const keptAs = `${key}/${view}.${pose}`;
    const found = await kept<PoseDrawn>(keptAs).catch(() => null);
    if (found) return found;
    const views = isProfile(view) ? PROFILES : [view];
    const drawing = last.then(() =>
      draw({ proportions: jaw.proportions, views, pose: pose!, resolution: FIT_RESOLUTION }),
    );
    last = drawing.catch(() => {});
    const drawn = await drawing;
    void keep(keptAs, drawn).catch(() => {});
    return drawn;
  });
  const posed = async (view: PoseView, pose: PoseName) =>
    (await made(isProfile(view) ? PROFILES[0] : view, pose))[view]!;
  const drawings: PoseDrawings = {
    ...{ key, places, fibres: jaw.fibres, shut: svg, head: new PosableHead(jaw.proportions) },
    markup: async (view, pose) => {
      const markup = withOwnIds(pose ? innerSvg((await posed(view, pose)).svg) : svg[view]!, view, pose);
      here.add(hereAs(key, view, pose));
      return markup;
    },
    depths: async (view, pose) =>
      Uint8Array.from(pose ? (await posed(view, pose)).depths : jaw.depths[view as 'left' | 'right']),
  };
  known.set(fitted, drawings);
  return drawings;
}

async function draw(asked: PoseAsked): Promise<PoseDrawn> {
  const worker = new Worker(new URL('../../../workers/fit-pose.ts', import.meta.url), { type: 'module' });
  try {
    return await new Promise<PoseDrawn>((done, failed) => {
      worker.onmessage = ({ data }: MessageEvent<PoseDrawn>) => done(data);
      worker.onerror = () => failed(new Error('the drawing stopped'));
      worker.postMessage(asked);
    });
  } finally {
    worker.terminate();
  }
}

/** Whether the drawings of a client's own head that a view needs are here; asks for those that are not. */
export function useOwnDrawings(
  own: PoseDrawings | null,
  view: PoseView | null,
  poses: readonly (PoseName | null)[],
): 'here' | 'coming' | 'failed' {
  // The shut one was there before.
  const each = own && view ? poses.flatMap((pose) => (pose ? [hereAs(own.key, view, pose)] : [])) : [];
  const wanted = each.join(' ');
  const [failed, setFailed] = useState('');
  const [, setCome] = useState('');
  useEffect(() => {
    if (!own || !view) return;
    let current = true;
    Promise.all(poses.map((pose) => own.markup(view, pose))).then(
      () => current && setCome(wanted),
      () => current && setFailed(wanted),
    );
    return () => {
      current = false;
    };
    // The names say which drawings are wanted.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [own, wanted]);
  // What has come before stands at once: no other face in between.
  if (each.every((key) => here.has(key))) return 'here';
  return failed === wanted ? 'failed' : 'coming';
}

/** What is drawn ahead of being asked for, what is needed most first. */
const AHEAD: readonly (readonly [PoseView, PoseName])[] = [
  ['left', 'open-25'],
  ['left', 'open-10'],
  ['left', 'open-40'],
  ['front', 'open-25'],
  ['front', 'o-shape'],
  ['front', 'open-10'],
  ['front', 'open-40'],
  ['opened', 'open-25'],
];

/** Draws a client's own head with its jaw open while the page stands: how many of the drawings are there; null when all are. */
export function useDrawnAhead(fitted: FittedHead | null): { done: number; of: number } | null {
  const [state, set] = useState<{ head: FittedHead; done: number } | null>(null);
  useEffect(() => {
    if (!fitted) return;
    let current = true;
    void (async () => {
      for (const [i, [view, pose]] of AHEAD.entries()) {
        // What cannot be drawn now is tried again where it is needed.
        await ownDrawings(fitted)
          .markup(view, pose)
          .catch(() => {});
        if (!current) return;
        set({ head: fitted, done: i + 1 });
      }
    })();
    return () => {
      current = false;
    };
  }, [fitted]);
  const done = state && state.head === fitted ? state.done : 0;
  return fitted && done < AHEAD.length ? { done, of: AHEAD.length } : null;
}

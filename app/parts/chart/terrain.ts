import { useEffect, useState } from 'react';
import type { View } from './places';
import back from './terrain/back.svg?url';
import backs from './terrain/backs.svg?url';
import chest from './terrain/chest.svg?url';
import front from './terrain/front.svg?url';
import left from './terrain/left.svg?url';
import opened from './terrain/opened.svg?url';
import palms from './terrain/palms.svg?url';
import thumbs from './terrain/thumbs.svg?url';
import right from './terrain/right.svg?url';
import top from './terrain/top.svg?url';

const TERRAIN_URLS: Record<View, string> = { opened, front, right, left, back, top, chest, palms, backs };
/** One small picture of every view in the order of the views. */
export const THUMBS_URL = thumbs;
const loaded = new Map<View, string>();

/** The drawing without its outer element. */
export const innerSvg = (text: string): string => text.replace(/^<svg[^>]*>/, '').replace(/<\/svg>\s*$/, '');

/** Inner markup of a view's drawing, fetched once from this very host when it is first shown; empty until then. */
export function useTerrain(view: View): string {
  const [, redraw] = useState(0);
  useEffect(() => {
    if (loaded.has(view)) return;
    let wanted = true;
    void fetch(TERRAIN_URLS[view])
      .then((r) => (r.ok ? r.text() : ''))
      .then((text) => {
        if (text) loaded.set(view, innerSvg(text));
        if (wanted) redraw((n) => n + 1);
      })
      .catch(() => {});
    return () => {
      wanted = false;
    };
  }, [view]);
  return loaded.get(view) ?? '';
}

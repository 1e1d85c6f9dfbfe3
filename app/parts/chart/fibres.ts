import type { FibreDrawing } from '../../../core/drawing';
import { useEffect, useState } from 'react';
import type { View } from './places';

export type { FibreDrawing };
export type Fibres = Record<string, Partial<Record<View, FibreDrawing>>>;
let known: Fibres | null = null;

/** Hatching of the muscles, loaded when a muscle is first shown. */
export function useFibres(wanted: boolean): Fibres {
  const [fibres, set] = useState<Fibres>(known ?? {});
  useEffect(() => {
    if (!wanted || known) return;
    // Without a network muscles stand without their fibres; the next chart asks again.
    void import('../../../reference/derived/fibres.json').then(
      (m) => set((known = m.default as Fibres)),
      () => {},
    );
  }, [wanted]);
  return known ?? fibres;
}

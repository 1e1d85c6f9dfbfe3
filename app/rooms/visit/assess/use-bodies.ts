import { type ClientMeasures, proportionsOf, withFingers } from '../../../../core/atlas';
import { type Bodies, buildBodies } from '../../../../core/drawing';
import { useMemo } from 'react';
import { BODY_INCHES } from '../../../../reference/facts/body-inches';
import { LANDMARKS } from '../../../../reference/facts/landmarks';
import { referenceBodies } from '../../../parts/chart/bodies';

/** The body that the chart draws, built when it is first asked for: the reference one, or a measured client's. */
export function useBodies(measures: ClientMeasures | null): () => Bodies {
  return useMemo(() => {
    if (!measures) return referenceBodies;
    let made: Bodies | null = null;
    return () => (made ??= buildBodies(proportionsOf(withFingers(BODY_INCHES, measures), LANDMARKS)));
  }, [measures]);
}

import type { AtlasEntry } from '../../../core/atlas';
import { CATALOGUE } from '../../../reference/catalogue';
import { LANDMARKS } from '../../../reference/facts/landmarks';
import { LYMPH_NODES } from '../../../reference/facts/lymph';
import { MUSCLES } from '../../../reference/facts/muscles';
import { POINTS } from '../../../reference/facts/points';
import { MuscleSheet } from './sheet-muscle';
import { LandmarkSheet, NodeSheet, TechniqueSheet } from './sheet-others';
import { PointSheet, type WhoseMeasures } from './sheet-point';

/** The sheet of one row. */
export function Sheet({ entry, whose }: { entry: AtlasEntry; whose: WhoseMeasures | null }) {
  const of = <T extends { id: string }>(rows: Iterable<T>): T => [...rows].find((r) => r.id === entry.id)!;
  switch (entry.kind) {
    case 'point':
      return <PointSheet point={of(POINTS)} whose={whose} />;
    case 'muscle':
      return <MuscleSheet muscle={of(MUSCLES)} />;
    case 'node':
      return <NodeSheet node={of(LYMPH_NODES)} />;
    case 'landmark':
      return <LandmarkSheet landmark={of(LANDMARKS)} />;
    case 'technique':
      return <TechniqueSheet technique={of(CATALOGUE.techniques.values())} />;
  }
}

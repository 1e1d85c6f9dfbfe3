import { chartData, inchesMm, proportionsOf, withFingers, type ClientMeasures } from '../../core/atlas';
import {
  buildBodies,
  CAMERAS,
  type DepthMap,
  depthBytes,
  drawView,
  jawFibres,
  pathsOfSvg,
  PICTURES,
  PosableHead,
  traceView,
  type View,
  VIEWS,
} from '../../core/drawing';
import { BODY_INCHES } from '../../reference/facts/body-inches';
import { LANDMARKS } from '../../reference/facts/landmarks';
import { STRETCHED_BY_OPENING } from '../../reference/facts/muscles/jaw';
import { CHART_TABLES } from '../../reference/chart-tables';
import type { FitMessage } from '../parts/chart/fitted';

const say = (message: FitMessage): void => self.postMessage(message);

/** Draws every view of a head as it was measured. Hands have none: they are traced for their places and not redrawn. */
self.onmessage = ({ data }: MessageEvent<{ measures: ClientMeasures; resolution: number }>) => {
  try {
    const proportions = proportionsOf(withFingers(BODY_INCHES, data.measures), LANDMARKS);
    const bodies = buildBodies(proportions);
    const maps = {} as Record<View, DepthMap>;
    const svg = {} as Record<View, string>;
    const order: View[] = ['left', ...VIEWS.filter((v) => v !== 'left')];
    order.forEach((view, i) => {
      const isHand = PICTURES[view].body === 'hand';
      const map = traceView(bodies, view, isHand ? 0.4 : data.resolution, maps.left);
      maps[view] = map;
      if (!isHand) svg[view] = drawView(bodies, view, map);
      say({ done: i + 1, of: order.length });
    });
    const depths = (view: 'left' | 'right') => [...depthBytes(pathsOfSvg(svg[view]), maps[view], CAMERAS[view])];
    const jaw = {
      proportions,
      depths: { left: depths('left'), right: depths('right') },
      fibres: jawFibres(CHART_TABLES.muscles, STRETCHED_BY_OPENING, bodies, new PosableHead(proportions), maps),
    };
    say({ head: { ...chartData(bodies, maps, CHART_TABLES, inchesMm(BODY_INCHES, data.measures)), svg, jaw } });
  } catch (error) {
    say({ failed: (error as Error).message });
  }
};

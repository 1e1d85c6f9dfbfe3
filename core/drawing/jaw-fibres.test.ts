import { expect, test } from 'vitest';
import { buildBodies, jawFibres, PosableHead, traceView } from './index.ts';
import { MUSCLES } from '../../reference/facts/muscles/index.ts';
import { STRETCHED_BY_OPENING } from '../../reference/facts/muscles/jaw.ts';

test('the fibres of a head are those that its jaw moves, on its own skin, as each view sees them', () => {
  const proportions = { lowerThird: 1.1 };
  const bodies = buildBodies(proportions);
  const [front, left, opened] = (['front', 'left', 'opened'] as const).map((view) => traceView(bodies, view, 0.4));
  const asked = MUSCLES.filter(({ id }) =>
    ['masseter-superficial', 'temporalis-posterior', 'mentalis', 'frontalis'].includes(id),
  );
  const maps = { front: front!, left: left!, opened: opened! };
  const rows = jawFibres(asked, STRETCHED_BY_OPENING, bodies, new PosableHead(proportions), maps);
  // Over the rear temporalis no skin moves; its lower end does.
  expect(Object.keys(rows).sort()).toEqual(['masseter-superficial', 'mentalis', 'temporalis-posterior']);
  expect(Object.keys(rows['masseter-superficial']!)).toEqual(['isRing', 'front', 'left', 'opened']);
  for (const line of rows['masseter-superficial']!.left!)
    for (const [x, y, z] of line) expect(Math.abs(bodies.head.body.distance(x!, y!, z!))).toBeLessThan(1);
});

import type { Anchor } from './anchors.ts';
import { dropper, type Dropper } from './drop.ts';
import { buildHand, handDropper, type HandDropper } from './hand.ts';
import { buildHead, type Head } from './head.ts';
import type { Proportions } from './proportions.ts';
import type { Distance } from './shapes.ts';
import type { Vec3 } from './vector.ts';

/** What everything is placed on: a head of some proportions and a hand. */
export interface Bodies {
  /** Head and neck. */
  head: Head;
  /** Lays anchors on the head. */
  drop: Dropper;
  /** Lays anchors on the hand. */
  hand: HandDropper;
  /** Signed distance to the hand, in mm. */
  handDistance: Distance;
}

let theHand: { drop: HandDropper; distance: Distance } | undefined;

export const buildBodies = (proportions: Partial<Proportions> = {}): Bodies => bodiesOf(buildHead(proportions));

/** Everything around one head. */
export function bodiesOf(head: Head): Bodies {
  // The hand has no proportions, so one is enough.
  if (!theHand) {
    const body = buildHand();
    theHand = { drop: remembering(handDropper(body)), distance: body.distance };
  }
  return { head, drop: dropper(head.body.distance), hand: theHand.drop, handDistance: theHand.distance };
}

function remembering({ palm, back }: HandDropper): HandDropper {
  const keep = (drop: HandDropper['palm']): HandDropper['palm'] => {
    const known = new Map<string, Vec3 | null>();
    return (x, y) => {
      const key = `${x} ${y}`;
      let place = known.get(key);
      if (place === undefined) known.set(key, (place = drop(x, y)));
      return place;
    };
  };
  return { palm: keep(palm), back: keep(back) };
}

/** About where what is laid on from above comes to lie, where that is the trunk. */
export const SHOULDER_Y = -190;

/**
 * The whole way, or as much of it as meets the skin: of measures that no head joins (the longest finger on the
 * narrowest skull) a line can end beside the body.
 */
export function asFarAsTheBodyGoes(at: (share: number) => Vec3 | null): Vec3 | null {
  for (let share = 1; share > 0; share -= 0.05) {
    const place = at(share);
    if (place) return place;
  }
  return null;
}

/** World position of an anchor, in mm of its body; null when its line misses the body. */
export function locateAnchor({ head, drop, hand }: Bodies, anchor: Anchor): Vec3 | null {
  switch (anchor.from) {
    case 'ear':
      return head.ear.at(anchor.up, anchor.rear, 2);
    case 'palm':
      return hand.palm(anchor.x, anchor.y);
    case 'back-of-hand':
      return hand.back(anchor.x, anchor.y);
  }
  const zone = head.frame.zone[anchor.zone];
  switch (anchor.from) {
    case 'front':
    case 'back': {
      const [x, y] = zone(anchor.x, anchor.y);
      const look = drop[anchor.from];
      return asFarAsTheBodyGoes((share) => look(x * share, y));
    }
    case 'side': {
      const [, y] = zone(0, anchor.y);
      return asFarAsTheBodyGoes((share) => drop.side(y, anchor.z * share));
    }
    case 'above':
      return drop.above(zone(anchor.x, SHOULDER_Y)[0], anchor.z);
  }
}

/** Sides are always the client's. */
export const SIDES = ['left', 'right', 'both', 'midline'] as const;
export type Side = (typeof SIDES)[number];
export type OneSide = 'left' | 'right';

export const otherSide = (side: OneSide): OneSide => (side === 'left' ? 'right' : 'left');

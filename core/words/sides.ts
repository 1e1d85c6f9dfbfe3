/** Sides are always the client's. */
export type Side = 'left' | 'right' | 'both' | 'midline';
export type OneSide = 'left' | 'right';

export const otherSide = (side: OneSide): OneSide => (side === 'left' ? 'right' : 'left');

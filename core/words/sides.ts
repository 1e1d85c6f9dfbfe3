/** Sides are always the client's. */
export type Side = 'left' | 'right' | 'both' | 'midline';
export type OneSide = 'left' | 'right';

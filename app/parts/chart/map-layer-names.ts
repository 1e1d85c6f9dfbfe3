/** Layers of the map itself, drawn below whatever a page puts on it. */
export const MAP_LAYERS = ['Points', 'Muscles', 'Fibres', 'Deep', 'Landmarks', 'Lymph', 'Measures'] as const;
export type MapLayer = (typeof MAP_LAYERS)[number];

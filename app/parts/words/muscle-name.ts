import { PLACE_INDEX } from '../../../reference/place-index';

export const muscleName = (id: string): string => PLACE_INDEX.placeName({ kind: 'muscle', id }) ?? id;

import { REGION_NAMES, type Region } from '../../core/atlas/regions';
import { takesAway, type Caution } from '../../core/screening/screen';
import { MUSCLES } from '../../reference/muscles';

const MUSCLE_NAMES = new Map(MUSCLES.map((m) => [m.id, m.name]));
const NAMES = { region: (id: string) => REGION_NAMES[id as Region] ?? id, muscle: (id: string) => MUSCLE_NAMES.get(id) ?? id };

/** What a caution takes away, in the words of the screen. */
export const takenAwayBy = (caution: Caution): string => takesAway(caution, NAMES);

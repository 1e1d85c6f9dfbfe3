import { REGION_NAMES, type Region } from '../../../core/words/regions';
import { takesAway, type Caution } from '../../../core/limits/screen';

const NAMES = { region: (id: string) => REGION_NAMES[id as Region] ?? id };

/** What a caution takes away, in the words of the screen. */
export const takenAwayBy = (caution: Caution): string => takesAway(caution, NAMES);

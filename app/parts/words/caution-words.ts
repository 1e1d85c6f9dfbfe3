import { type Caution, takesAway } from '../../../core/limits';
import { type Region, REGION_NAMES } from '../../../core/words';

const NAMES = { region: (id: string) => REGION_NAMES[id as Region] ?? id };

/** What a caution takes away, in the words of the screen. */
export const takenAwayBy = (caution: Caution): string => takesAway(caution, NAMES);

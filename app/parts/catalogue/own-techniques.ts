import type { StoredTechnique } from '../../../core/record';
import { createContext } from 'react';

export type OwnHere = readonly Pick<StoredTechnique, 'own' | 'retired'>[];

/** The practice's own techniques on this page, as the loader brought them; without the library, which not every page needs. */
export const OwnTechniques = createContext<OwnHere>([]);

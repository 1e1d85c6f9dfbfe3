import { createContext, use } from 'react';
import { datesIn, type Dates } from '../../../core/schedule';

/** Days and times as the practice of whoever is signed in reads them. */
export const PracticeDates = createContext<Dates>(datesIn('UTC', 'day-first'));
export const useDates = (): Dates => use(PracticeDates);

import type { ClientMeasures } from '../../../core/atlas';
import { createContext } from 'react';
import type { FittedHead } from './fitted';

/** Whose face the charts of a page show: measures, and the drawing fitted to them when this device has it. */
export const ClientChart = createContext<{ measures: ClientMeasures | null; head: FittedHead | null }>({
  measures: null,
  head: null,
});

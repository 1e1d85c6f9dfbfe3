import type { JawLimits } from '../../../../core/routine';
import { createContext } from 'react';

/** How far the mouth of the client of this page may open; nothing where it was not measured, or nobody is treated. */
export const ClientJaw = createContext<JawLimits>({});

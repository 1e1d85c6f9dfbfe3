import { createContext } from 'react';

/** The nonce of this response; scripts that carry it may run. Empty in the browser. */
export const NonceContext = createContext<string | undefined>(undefined);

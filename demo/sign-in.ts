/** How the owner of the demo practice signs in; said where the demo is started. */
export const DEMO_SIGN_IN = { email: 'imke@harbour-row.example', password: 'velvet-harbour' } as const;
/** Her colleague. */
export const DEMO_COLLEAGUE = { email: 'rafe@harbour-row.example', password: 'velvet-harbour' } as const;

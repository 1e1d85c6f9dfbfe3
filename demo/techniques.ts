import { ownFileOf, ownFrom, type OwnTechnique } from '../core/routine/index.ts';
import { CATALOGUE } from '../reference/catalogue.ts';

const from = (id: string, own: string, name: string): OwnTechnique =>
  ownFrom(CATALOGUE.techniques.get(id)!, `own-${own}`, name);

/** What the demo practice made for itself: two of its own, changed from the library's. */
export const OWN_TECHNIQUES: readonly OwnTechnique[] = [
  {
    ...from('masseter-warm-hold', 'warm-jaw-hum', 'Warm palms while the client hums'),
    cue: 'Palms warm on both chewing muscles; let the client hum low on each breath out.',
    clientCue: 'Hum low, lips closed, teeth apart.',
    feelFor: 'The hum spreads under the palms',
    avoid: 'Pressing against the hum',
  },
  {
    ...from('temple-circles', 'temple-cool', 'Cool fingertips at the temples'),
    comesWith: ['cold'],
    cue: 'Cool the fingertips on the stone first, then circle the dip of each temple, one way and the other.',
    feelFor: 'The dip grows softer as it warms',
    avoid: 'Ice on the skin',
  },
];
export const TECHNIQUES_FILE = ownFileOf(OWN_TECHNIQUES);

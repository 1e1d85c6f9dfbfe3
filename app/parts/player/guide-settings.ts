import { type Hearing, USUAL_HEARING } from '../../../core/guide';
import { useSyncExternalStore } from 'react';
import { boolean, number, object, string } from 'yup';

/** How a run is announced; kept on this device, because voice and loudness are the device’s. */
export interface GuideSettings {
  sound: boolean;
  voice: boolean;
  /** Stops between the sides to compare them. */
  between: boolean;
  /** Finding a place and changing hands or sides wait until they are said to be done. */
  waitsForHands: boolean;
  /** 0 to 1, of tones and voice. */
  volume: number;
  /** Name of one of the device’s voices; empty for the first that fits. */
  voiceName: string;
  hearing: Hearing;
}
const USUAL: GuideSettings = {
  sound: true,
  voice: true,
  between: false,
  waitsForHands: false,
  volume: 0.8,
  voiceName: '',
  hearing: USUAL_HEARING,
};
const schema = object({
  sound: boolean().required(),
  voice: boolean().required(),
  between: boolean().required(),
  waitsForHands: boolean().required(),
  volume: number().min(0).max(1).required(),
  voiceName: string().max(200).defined(),
  hearing: object({
    who: string().oneOf(['practitioner', 'client', 'both']).required(),
    counts: string().oneOf(['every', 'fifths', 'last-three', 'none']).required(),
    countdown: string().oneOf(['eyes-shut', 'always', 'never']).required(),
  }).required(),
}).noUnknown();

const NAME = 'velvet-guide';
const CHANGED = 'velvet-guide-changed';
/** Settings that an earlier form of the application kept say nothing of what came later. */
const inPresentForm = (text: string | null): unknown => ({
  ...USUAL,
  ...(JSON.parse(text ?? '{}') as Partial<GuideSettings>),
});
let known: { text: string | null; settings: GuideSettings } = { text: null, settings: USUAL };
function kept(): GuideSettings {
  let text: string | null;
  try {
    text = localStorage.getItem(NAME);
  } catch {
    // A device without a store keeps them as long as the page.
    return known.settings;
  }
  if (text === known.text) return known.settings;
  try {
    known = { text, settings: schema.validateSync(inPresentForm(text), { strict: true }) as GuideSettings };
  } catch {
    // Something else lies there.
    known = { text, settings: USUAL };
  }
  return known.settings;
}
function keep(settings: GuideSettings): void {
  const text = JSON.stringify(settings);
  try {
    localStorage.setItem(NAME, text);
    known = { text, settings };
  } catch {
    known = { ...known, settings };
  }
  window.dispatchEvent(new Event(CHANGED));
}
function onChanged(changed: () => void): () => void {
  window.addEventListener(CHANGED, changed);
  return () => window.removeEventListener(CHANGED, changed);
}

/** The settings of this device, and the way to change them. */
export const useGuideSettings = (): [GuideSettings, (next: GuideSettings) => void] => [
  useSyncExternalStore(onChanged, kept, () => USUAL),
  keep,
];

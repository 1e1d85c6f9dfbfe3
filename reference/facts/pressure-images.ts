import type { Pressure } from '../../core/words/index.ts';

/** What each word of pressure is likened to when it is taught. Common practice, no source. */
export const PRESSURE_IMAGES: Record<Pressure, string> = {
  feather: 'dusting a surface; the skin is touched and not moved',
  light: 'the skin follows the finger, a mild pull and no more',
  medium: 'the hand rests with its weight, as a face sinks into a soft ball',
  firm: 'through the skin into the muscle, as cloth is smoothed on a board',
  deep: 'slowly in until it yields; on neck, shoulder and hand only',
};
/** Area of the pads that press, in cm², to tell newtons by: a fingertip, a thumb. Order of magnitude, from memory. */
export const PAD_CM2 = { fingertip: 1, thumb: 2 } as const;

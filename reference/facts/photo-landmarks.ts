import type { PhotoLandmark } from '../../core/measures/index.ts';

/** How each landmark is found on a front photo, in the order in which it is asked for. Common practice, no source. */
export const HOW_FOUND: Record<PhotoLandmark, { name: string; how: string }> = {
  'pupil-right': { name: 'Pupil, client’s right', how: 'Middle of the pupil, in the left half of the picture.' },
  'pupil-left': { name: 'Pupil, client’s left', how: 'Middle of the pupil, in the right half of the picture.' },
  'iris-outer': {
    name: 'Iris, outer edge',
    how: 'Of the client’s right eye: where the coloured ring ends on the side of the temple. It gives the scale.',
  },
  'iris-inner': { name: 'Iris, inner edge', how: 'The same ring, on the side of the nose, at the same height.' },
  'brow-right': { name: 'Brow, client’s right', how: 'Highest point of the brow’s lower edge.' },
  'brow-left': { name: 'Brow, client’s left', how: 'The same place on the other brow.' },
  'upper-lid-right': { name: 'Upper lid, client’s right', how: 'Edge of the upper lid, straight above the pupil.' },
  'lower-lid-right': { name: 'Lower lid, client’s right', how: 'Edge of the lower lid, straight below the pupil.' },
  'upper-lid-left': { name: 'Upper lid, client’s left', how: 'Edge of the upper lid, straight above the pupil.' },
  'lower-lid-left': { name: 'Lower lid, client’s left', how: 'Edge of the lower lid, straight below the pupil.' },
  glabella: { name: 'Between the brows', how: 'Middle between the inner ends of the brows.' },
  'nose-tip': { name: 'Tip of the nose', how: 'The foremost point.' },
  subnasale: { name: 'Below the nose', how: 'Where the partition of the nose meets the upper lip.' },
  'mouth-right': { name: 'Mouth corner, client’s right', how: 'Where the lips meet, lips closed and loose.' },
  'mouth-left': { name: 'Mouth corner, client’s left', how: 'The same on the other side.' },
  chin: { name: 'Chin', how: 'Lowest point in the middle of the chin.' },
};

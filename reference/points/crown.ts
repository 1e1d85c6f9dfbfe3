import { point } from './define.ts';

/** Points best seen from above, and those of throat, collarbone and chest. */
export const CROWN_POINTS = [
  point('BL7', 'Tongtian', 'reaching the sky', true, 'scalp', { from: 'top', landmark: 'trichion', cun: [1.5, 4] }, {
    where: 'Top of the head, four body-inches behind the front hairline and 1.5 beside the midline.',
    find: 'From the crown point one forward and 1.5 aside: a slight dip.',
    press: 'Straight onto the bone.',
    muscles: ['epicranial-aponeurosis'], limbMuscles: [],
    under: ['supraorbital and greater occipital nerve branches', 'superficial temporal and occipital artery branches'],
    tradition: ['headache', 'sinus'], cautions: ['children'], mark: 'sure',
  }),
  point('ST12', 'Quepen', 'empty basin', true, 'neck-side', { from: 'chest', landmark: 'suprasternal-notch', cun: [4, 0.65] }, {
    where: 'Hollow above the middle of the collarbone, four body-inches beside the midline.',
    find: 'Shoulder loose: middle of the collarbone, just above it.',
    press: 'Feather drainage only, never downward pressure.',
    muscles: ['platysma', 'scalenes', 'scm-clavicular'], limbMuscles: [],
    under: ['brachial plexus', 'subclavian artery and vein', 'supraclavicular nerves and nodes', 'top of the lung'],
    tradition: ['neck-tension', 'puffiness', 'stress'], cautions: ['pleura', 'pregnancy', 'lymphoedema', 'unexplained-lump', 'implanted-electronics'], mark: 'sure',
  }),
  point('ST13', 'Qihu', 'breath door', true, 'chest', { from: 'chest', landmark: 'suprasternal-notch', cun: [4, -0.2] }, {
    where: 'Just below the collarbone, four body-inches beside the midline.',
    find: 'Roll off the lower edge of mid-collarbone.',
    press: 'Up to the underside of the collarbone, light to medium.',
    muscles: ['pectoralis-major'], limbMuscles: [],
    under: ['subclavian vessels deep', 'pectoral nerves', 'lung apex below'],
    tradition: ['stress', 'neck-tension'], cautions: ['pleura', 'implanted-electronics', 'lymphoedema'], mark: 'sure',
  }),
  point('GV20', 'Baihui', 'hundred meetings', false, 'scalp', { from: 'top', landmark: 'trichion', cun: [0, 5] }, {
    where: 'Top of the head, five body-inches behind the front hairline and seven above the rear one.',
    find: 'Cross the midline with the line over the head from ear tip to ear tip.',
    press: 'Straight down, slow and steady.',
    muscles: ['epicranial-aponeurosis'], limbMuscles: [],
    under: ['greater occipital and supraorbital nerve endings', 'joining superficial temporal and occipital vessels'],
    tradition: ['headache', 'stress', 'sleep'], cautions: ['children', 'hypertension'], mark: 'sure',
  }),
  point('CV22', 'Tiantu', 'heaven’s chimney', false, 'neck-front', { from: 'chest', landmark: 'suprasternal-notch', cun: null }, {
    where: 'Middle of the hollow above the breastbone.',
    find: 'Dip between the inner ends of the collarbones.',
    press: 'Feather contact resting down on the bone’s edge, never back toward the windpipe.',
    muscles: ['infrahyoids', 'platysma'], limbMuscles: [],
    under: ['trachea', 'inferior thyroid veins', 'brachiocephalic vessels behind the breastbone', 'thyroid gland above'],
    tradition: ['stress'], cautions: ['throat-airway', 'thyroid', 'carotid'], mark: 'sure',
  }),
  point('EX-HN1.front', 'Sishencong', 'four alert spirits', false, 'scalp', { from: 'top', landmark: 'crown-point', cun: [0, -1] }, {
    where: 'One body-inch in front of GV20; one of a group of four.',
    find: 'Mark GV20, then one finger-inch forward.',
    press: 'Straight down, all four together.',
    muscles: ['epicranial-aponeurosis'], limbMuscles: [],
    under: ['greater occipital, auriculotemporal and supraorbital nerve endings', 'scalp vessel network'],
    tradition: ['headache', 'stress', 'sleep'], cautions: ['children'], mark: 'sure',
  }),
  point('EX-HN1.back', 'Sishencong', 'four alert spirits', false, 'scalp', { from: 'top', landmark: 'crown-point', cun: [0, 1] }, {
    where: 'One body-inch behind GV20; one of a group of four.',
    find: 'Mark GV20, then one finger-inch back.',
    press: 'Straight down, all four together.',
    muscles: ['epicranial-aponeurosis'], limbMuscles: [],
    under: ['greater occipital, auriculotemporal and supraorbital nerve endings', 'scalp vessel network'],
    tradition: ['headache', 'stress', 'sleep'], cautions: ['children'], mark: 'sure',
  }),
  point('EX-HN1.side', 'Sishencong', 'four alert spirits', true, 'scalp', { from: 'top', landmark: 'crown-point', cun: [1, 0] }, {
    where: 'One body-inch to either side of GV20; one of a group of four.',
    find: 'Mark GV20, then one finger-inch aside.',
    press: 'Straight down, all four together.',
    muscles: ['epicranial-aponeurosis'], limbMuscles: [],
    under: ['greater occipital, auriculotemporal and supraorbital nerve endings', 'scalp vessel network'],
    tradition: ['headache', 'stress', 'sleep'], cautions: ['children'], mark: 'sure',
  }),
];

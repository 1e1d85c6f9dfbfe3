import type { Region } from '../../core/words/index.ts';

/**
 * In which region each landmark lies, so that what is said of a region holds at its landmarks too. Where two regions meet
 * the more careful one is taken: the lower rim counts as under the eye, the side of the nose as nose. Our choice.
 */
const IN_REGION: Partial<Record<Region, readonly string[]>> = {
  scalp: [
    'trichion',
    'vertex',
    'crown-point',
    'opisthocranion',
    'eop',
    'hairline-brow',
    'hairline-pupil',
    'forehead-corner',
    'eurion',
    'temporal-hairline-ear',
  ],
  forehead: ['frontotemporale'],
  glabella: ['glabella'],
  brow: ['brow-medial', 'brow-mid', 'brow-peak', 'brow-lateral', 'supraorbital-notch', 'orbitale-superius'],
  'upper-lid': ['pupil', 'palpebrale-superius', 'palpebrale-inferius'],
  'under-eye': ['orbitale', 'endocanthion'],
  temple: ['exocanthion', 'temple-midpoint', 'arch-mid-upper'],
  nose: ['nasion', 'pronasale', 'alare', 'nostril-lateral', 'nasolabial-ala', 'alar-groove-top'],
  'upper-lip': ['subnasale', 'subalare', 'crista-philtri'],
  lips: ['labiale-superius', 'stomion', 'labiale-inferius', 'cheilion'],
  chin: ['sublabiale', 'pogonion', 'mental-foramen'],
  'under-chin': ['gnathion'],
  cheek: ['malar', 'zygomatic-lower-border', 'infraorbital-foramen', 'zygion', 'arch-mid-lower'],
  jaw: ['gonion', 'masseter-front-jaw'],
  ear: [
    'condyle',
    'tragion',
    'supratragic-hollow',
    'tragus-hollow',
    'intertragic-hollow',
    'otobasion-superius',
    'otobasion-inferius',
    'preaurale',
    'postaurale',
    'ear-apex',
    'subaurale',
    'lobule-hollow',
    'mastoid-tip',
    'mastoid-rear',
  ],
  'neck-front': ['throat-point', 'hyoid-upper', 'thyroid-upper', 'cricoid', 'suprasternal-notch', 'scm-front-thyroid'],
  'neck-side': ['scm-mid-thyroid', 'neck-side', 'scm-rear-gonion'],
  'neck-back': ['posterior-hairline', 'c2-spinous', 'c7-spinous', 'suboccipital-hollow'],
  shoulder: ['acromion', 'shoulder-midpoint'],
  chest: ['clavicle-sternal', 'mid-clavicle', 'nipple'],
  hand: [
    'wrist-crease',
    'middle-fingertip',
    'middle-finger-creases',
    'thumb-ip',
    'four-finger-band',
    'metacarpal2-mid',
    'palm-2-3',
    'mcp5-ulnar',
    'web-1',
    'web-2',
    'web-3',
    'web-4',
  ],
  arm: ['cubital-crease', 'fcu-wrist', 'pl-fcr-gap', 'apl-groove'],
  body: ['metatarsal-1-2', 'knee-outer-hollow', 'tibial-crest', 'popliteal-crease', 'lateral-malleolus'],
};

/** By landmark. */
export const LANDMARK_REGION: ReadonlyMap<string, Region> = new Map(
  Object.entries(IN_REGION).flatMap(([region, ids]) => ids.map((id) => [id, region as Region] as const)),
);

import type { DrainagePath, NodeRow } from '../core/atlas/rows.ts';
import { above, back, front, side } from '../core/terrain/anchors.ts';

/**
 * Lymph node groups of head and neck as a graph that ends where the great veins meet, and the strokes that feed them.
 * Names, order and territories are standard anatomy (sure); places on the drawing are from memory.
 */
export const LYMPH_NODES: readonly NodeRow[] = [
  { id: 'preauricular', name: 'in front of the ear', region: 'ear', next: ['deep-cervical-upper', 'superficial-cervical'], where: 'In front of the tragus, on the gland.', note: 'Takes most of forehead, temple, outer lids and the front of the ear.', cautions: ['unexplained-lump'], anchor: side('mid', -9, 9) },
  { id: 'parotid', name: 'below the ear lobe', region: 'ear', next: ['superficial-cervical', 'deep-cervical-upper'], where: 'Below and in front of the lobe, within the gland.', note: 'Often counted with the group in front of the ear.', cautions: ['unexplained-lump'], anchor: side('mid', -40, 7) },
  { id: 'postauricular', name: 'behind the ear', region: 'ear', next: ['deep-cervical-upper', 'superficial-cervical'], where: 'On the mastoid.', note: 'Back of the ear and the scalp above it.', cautions: ['unexplained-lump'], anchor: side('mid', -18, -28) },
  { id: 'occipital', name: 'back of the skull', region: 'neck-back', next: ['spinal-accessory', 'deep-cervical-upper'], where: 'Top of the nape, near the trapezius.', note: 'Back of the scalp and upper nape.', cautions: ['unexplained-lump'], anchor: back('mid', 28, -28) },
  { id: 'buccal', name: 'on the cheek', region: 'cheek', next: ['submandibular'], where: 'Beside the facial vein; not in everybody.', note: 'Part of the facial chain.', cautions: ['unexplained-lump', 'dental-abscess'], anchor: front('face', 38, -44) },
  { id: 'submental', name: 'under the chin', region: 'under-chin', next: ['submandibular', 'deep-cervical-lower'], where: 'Between the two cords under the chin.', note: 'Chin, middle of the lower lip.', cautions: ['throat-airway', 'unexplained-lump'], anchor: front('mid', 7, -101) },
  { id: 'submandibular', name: 'under the jaw edge', region: 'jaw', next: ['deep-cervical-upper'], where: 'Just below the jaw’s edge.', note: 'Nose, inner lids, cheek, upper lip, outer lower lip.', cautions: ['unexplained-lump', 'dental-abscess'], anchor: side('mid', -80, 42) },
  { id: 'superficial-cervical', name: 'side of the neck, on the muscle', region: 'neck-side', next: ['deep-cervical-lower', 'supraclavicular'], where: 'Along the outer jugular vein.', note: 'Lower ear, jaw angle, side of the neck.', cautions: ['carotid', 'unexplained-lump'], anchor: side('neck', -98, -10) },
  { id: 'anterior-cervical', name: 'front of the neck', region: 'neck-front', next: ['deep-cervical-lower', 'supraclavicular'], where: 'Beside larynx and windpipe.', note: 'Front of the neck.', cautions: ['throat-airway', 'thyroid'], anchor: front('neck', 17, -141) },
  { id: 'deep-cervical-upper', name: 'side of the neck, upper', region: 'neck-side', next: ['deep-cervical-lower'], where: 'Under the sternomastoid near the jaw angle.', note: 'Common station of face and scalp.', cautions: ['carotid', 'cervical-artery', 'unexplained-lump'], anchor: side('neck', -78, 2) },
  { id: 'deep-cervical-lower', name: 'side of the neck, lower', region: 'neck-side', next: ['supraclavicular'], where: 'Under the lower sternomastoid.', note: 'Takes the whole chain above.', cautions: ['carotid', 'unexplained-lump'], anchor: front('neck', 34, -150) },
  { id: 'spinal-accessory', name: 'side of the nape', region: 'neck-side', next: ['supraclavicular'], where: 'Behind the sternomastoid.', note: 'Back of the scalp, nape and side of the neck.', cautions: ['unexplained-lump'], anchor: side('neck', -122, -30) },
  { id: 'supraclavicular', name: 'hollow above the collarbone', region: 'neck-side', next: ['terminus'], where: 'In the hollow above the collarbone.', note: 'Last group before the veins. A lump here needs a doctor.', cautions: ['unexplained-lump', 'lymphoedema', 'pleura'], anchor: front('none', 54, -172) },
  { id: 'terminus', name: 'behind the inner collarbone', region: 'neck-side', next: [], where: 'Where the great veins meet behind the collarbone’s inner end.', note: 'End of the graph.', cautions: ['pleura', 'carotid'], anchor: front('none', 22, -181) },
  { id: 'axillary', name: 'armpit', region: 'chest', next: ['terminus'], where: 'In the armpit.', note: 'Upper chest, shoulder and arm.', cautions: ['lymphoedema', 'unexplained-lump'], anchor: front('none', 152, -252) },
];

/** A region with two paths has two accepted basins. */
export const DRAINAGE_PATHS: readonly DrainagePath[] = [
  { id: 'scalp.1', region: 'scalp', area: 'front scalp', to: 'preauricular', way: 'down and back over the temple to the front of the ear', note: '', cautions: ['superficial-artery'], mark: 'sure', start: side('mid', 75, 46) },
  { id: 'scalp.2', region: 'scalp', area: 'crown and above the ear', to: 'postauricular', way: 'down behind the ear', note: 'The strip above the ear also reaches the upper side of the neck.', cautions: [], mark: 'sure', start: side('mid', 62.5, -17) },
  { id: 'scalp.3', region: 'scalp', area: 'back of head', to: 'occipital', way: 'down to the nape edge', note: '', cautions: [], mark: 'sure', start: back('mid', 23.5, 32) },
  { id: 'forehead.1', region: 'forehead', area: 'main forehead', to: 'preauricular', way: 'outward to the temple, then down in front of the ear', note: '', cautions: [], mark: 'sure', start: front('face', 27, 50) },
  { id: 'forehead.2', region: 'forehead', area: 'strip above nose root', to: 'buccal', way: 'down beside the nose and cheek to the jaw edge', note: 'Many stroke outward to the ear instead; both are accepted.', cautions: [], mark: 'from-memory', start: front('face', 5.5, 44) },
  { id: 'glabella.1', region: 'glabella', area: 'between the brows', to: 'buccal', way: 'down beside the nose and cheek to the jaw edge', note: 'Many stroke outward to the ear instead; both are accepted.', cautions: [], mark: 'from-memory', start: front('face', 0, 32) },
  { id: 'brow.1', region: 'brow', area: 'outer brow', to: 'preauricular', way: 'outward and down to the front of the ear', note: '', cautions: [], mark: 'sure', start: front('face', 41.5, 34) },
  { id: 'brow.2', region: 'brow', area: 'inner brow', to: 'buccal', way: 'down beside the nose to the jaw edge, or outward to the ear', note: 'Mixed: outward to the ear is accepted too.', cautions: [], mark: 'from-memory', start: front('face', 18, 31) },
  { id: 'upper-lid.1', region: 'upper-lid', area: 'upper lid', to: 'preauricular', way: 'outward to the temple, then to the front of the ear', note: '', cautions: ['eye-pressure'], mark: 'sure', start: front('face', 32.5, 20) },
  { id: 'under-eye.1', region: 'under-eye', area: 'outer half of lower lid', to: 'preauricular', way: 'outward to the front of the ear', note: '', cautions: ['eye-pressure'], mark: 'sure', start: front('face', 39.5, 4.5) },
  { id: 'under-eye.2', region: 'under-eye', area: 'inner half of lower lid', to: 'buccal', way: 'down beside the nose and cheek to the jaw edge', note: '', cautions: ['eye-pressure'], mark: 'sure', start: front('face', 21.5, 4.5) },
  { id: 'temple.1', region: 'temple', area: 'temple', to: 'preauricular', way: 'back and down to the front of the ear', note: '', cautions: ['superficial-artery'], mark: 'sure', start: side('mid', 27.5, 46) },
  { id: 'ear.1', region: 'ear', area: 'front of ear', to: 'preauricular', way: 'down in front of the tragus', note: '', cautions: [], mark: 'sure', start: side('mid', 4.5, 4.5) },
  { id: 'ear.2', region: 'ear', area: 'back of ear', to: 'postauricular', way: 'down to the mastoid', note: '', cautions: [], mark: 'sure', start: side('mid', 14.5, -22.5) },
  { id: 'ear.3', region: 'ear', area: 'lobe', to: 'superficial-cervical', way: 'down the side of the neck on the SCM', note: '', cautions: [], mark: 'sure', start: side('mid', -32.5, -4.5) },
  { id: 'nose.1', region: 'nose', area: 'nose', to: 'buccal', way: 'outward and down along the cheek to the jaw edge', note: '', cautions: [], mark: 'sure', start: front('face', 9, -12) },
  { id: 'cheek.1', region: 'cheek', area: 'inner cheek', to: 'buccal', way: 'down to the jaw edge', note: '', cautions: ['filler'], mark: 'sure', start: front('face', 29, -24) },
  { id: 'cheek.2', region: 'cheek', area: 'outer cheek', to: 'parotid', way: 'outward and slightly down to the ear lobe', note: '', cautions: ['filler'], mark: 'sure', start: front('face', 48.5, -19) },
  { id: 'upper-lip.1', region: 'upper-lip', area: 'upper lip', to: 'buccal', way: 'outward round the mouth corner and down to the jaw edge', note: '', cautions: ['cold-sore'], mark: 'sure', start: front('face', 9, -41.5) },
  { id: 'chin.1', region: 'chin', area: 'chin centre and middle of lower lip', to: 'submental', way: 'straight down under the chin', note: '', cautions: ['cold-sore'], mark: 'sure', start: front('face', 0, -77.5) },
  { id: 'chin.2', region: 'chin', area: 'outer lower lip and side of chin', to: 'submandibular', way: 'outward and down to the jaw edge', note: '', cautions: ['cold-sore'], mark: 'sure', start: front('face', 18, -73) },
  { id: 'jaw.1', region: 'jaw', area: 'jaw body', to: 'submandibular', way: 'down over the jaw edge', note: '', cautions: [], mark: 'sure', start: front('face', 39.5, -73) },
  { id: 'jaw.2', region: 'jaw', area: 'jaw angle and masseter', to: 'parotid', way: 'back and up to the ear lobe', note: 'Its lower edge may go straight down the neck.', cautions: [], mark: 'sure', start: side('mid', -54, 24.5) },
  { id: 'jaw.3', region: 'jaw', area: 'skin over jaw angle', to: 'superficial-cervical', way: 'down the side of the neck', note: '', cautions: [], mark: 'sure', start: side('mid', -65, 10) },
  { id: 'under-chin.1', region: 'under-chin', area: 'under chin', to: 'submandibular', way: 'outward along the jaw edge', note: 'The middle goes by the group under the chin.', cautions: ['throat-airway'], mark: 'sure', start: front('neck', 11, -103) },
  { id: 'neck-front.1', region: 'neck-front', area: 'front of neck', to: 'anterior-cervical', way: 'down and slightly outward, feather light', note: '', cautions: ['throat-airway', 'thyroid'], mark: 'sure', start: front('neck', 9, -120.5) },
  { id: 'neck-front.2', region: 'neck-front', area: 'lower front of neck', to: 'supraclavicular', way: 'outward and down to the hollow above the collarbone', note: '', cautions: ['throat-airway', 'thyroid'], mark: 'sure', start: front('neck', 14.5, -160.5) },
  { id: 'neck-side.1', region: 'neck-side', area: 'side of neck', to: 'superficial-cervical', way: 'down the side of the neck', note: '', cautions: ['carotid'], mark: 'sure', start: side('neck', -77.5, -8) },
  { id: 'neck-side.2', region: 'neck-side', area: 'lower side of neck', to: 'supraclavicular', way: 'down to the hollow above the collarbone', note: '', cautions: ['carotid'], mark: 'sure', start: front('neck', 54, -138) },
  { id: 'neck-back.1', region: 'neck-back', area: 'upper nape', to: 'spinal-accessory', way: 'forward and down to the side of the neck', note: 'Skin just below the skull first meets the group at the back of the skull.', cautions: [], mark: 'sure', start: side('neck', -62, -64) },
  { id: 'neck-back.2', region: 'neck-back', area: 'lower nape', to: 'supraclavicular', way: 'outward and down over the shoulder to the collarbone', note: '', cautions: [], mark: 'sure', start: back('neck', 27, -103) },
  { id: 'shoulder.1', region: 'shoulder', area: 'shoulder crest', to: 'supraclavicular', way: 'forward and in to the hollow above the collarbone', note: '', cautions: [], mark: 'sure', start: above('none', 91, -64) },
  { id: 'shoulder.2', region: 'shoulder', area: 'shoulder cap and back of shoulder', to: 'axillary', way: 'down and in toward the armpit', note: '', cautions: ['lymphoedema'], mark: 'sure', start: above('none', 165, -46) },
  { id: 'chest.1', region: 'chest', area: 'upper chest below collarbone', to: 'axillary', way: 'outward to the armpit', note: '', cautions: ['lymphoedema', 'implanted-electronics'], mark: 'sure', start: front('none', 72, -208.5) },
  { id: 'chest.2', region: 'chest', area: 'strip next to collarbone', to: 'supraclavicular', way: 'up over the collarbone', note: 'A minor way.', cautions: ['lymphoedema'], mark: 'from-memory', start: front('none', 63, -189) },
];

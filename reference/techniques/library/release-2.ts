import { beats, hold, open, technique } from '../define.ts';

/** Release of muscle and fascia. */
export const RELEASE_2 = [
  technique('ear-circles-to-crown', 'Circles from around the ears to the crown', 'release', {
    regions: ['scalp', 'ear', 'temple'], muscles: ['epicranial-aponeurosis', 'temporalis-anterior', 'temporalis-middle', 'temporalis-posterior'], contacts: ['fingertips'], motion: 'circle', direction: 'around the ears up to the top of the head', press: ['light', 'light', 'medium'], sides: 'together', parts: [beats(5, 10, 'circles')],
    glide: 'dry', school: 'hand-massage', serves: ['stress'], cue: 'Around the ears up to the top of the head.',
  }),
  technique('brow-nape-circles-to-crown', 'Circles from forehead and back of head to the crown', 'release', {
    regions: ['scalp', 'forehead'], muscles: ['epicranial-aponeurosis', 'frontalis', 'occipitalis'], contacts: ['whole-hand'], motion: 'circle', direction: 'front and back hands meet at the top', press: ['light', 'light', 'medium'], sides: 'midline', parts: [beats(5, 30, 'circles')],
    glide: 'dry', school: 'hand-massage', serves: ['stress'], cue: 'Front hand over the forehead, rear hand behind the head.',
  }),
  technique('crown-interlaced-shear', 'Interlaced fingers shear the top of the head', 'release', {
    regions: ['scalp', 'forehead'], muscles: ['epicranial-aponeurosis', 'temporalis-anterior', 'temporalis-middle', 'temporalis-posterior'], contacts: ['whole-hand'], motion: 'shear', direction: 'forward and back, then side to side', press: ['light', 'light', 'medium'], sides: 'midline',
    parts: [open('it softens', 30, 15, 90)], school: 'fascia-release', serves: ['eye-strain'], cue: 'Hands on the line that runs up from both ears.',
  }),
  technique('ear-whole-massage', 'Massage the whole ear, top to lobe', 'release', {
    regions: ['ear'], contacts: ['fingertips'], motion: 'circle', direction: 'top of the ear down to the lobe, every fold', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    school: 'hand-massage', heed: ['ear-canal'], serves: ['stress', 'jaw'], cue: 'Top of the ear down to the lobe, every fold.',
  }),
  technique('ear-fold-circles', 'Index circles inside the ear folds', 'release', {
    regions: ['ear'], contacts: ['index-finger'], motion: 'circle', direction: 'circles or half circles in the folds of the outer ear', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    school: 'hand-massage', heed: ['ear-canal'], serves: ['jaw', 'stress'], cue: 'Circles or half circles in the folds of the outer ear.',
  }),
  technique('masseter-clench-circles', 'Circles on the bulge of the chewing muscle', 'release', {
    regions: ['jaw', 'cheek'], muscles: ['masseter-superficial', 'masseter-deep'], points: ['ST6'], contacts: ['fingertips'], motion: 'circle', direction: 'one way, then the other', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    glide: 'dry', school: 'point-holding', serves: ['jaw', 'stress'], cue: 'Bite together to find it.',
  }),
  technique('masseter-oil-circles', 'Very light oiled circles while the jaw moves', 'release', {
    regions: ['jaw', 'cheek'], muscles: ['masseter-superficial', 'masseter-deep'], contacts: ['fingertips'], motion: 'circle', direction: 'on the spot', press: ['feather', 'light', 'light'], sides: 'together', parts: [open('it softens', 30, 15, 90)], glide: 'product',
    school: 'hand-massage', heed: ['skin-drag'], serves: ['jaw', 'stress'], cue: 'Mouth slightly open, then opening and closing.',
  }),
  technique('jaw-knuckle-massage-o-mouth', 'Knuckle massage of the jaw with an O mouth', 'release', {
    regions: ['jaw', 'cheek'], muscles: ['masseter-superficial', 'masseter-deep'], contacts: ['knuckles'], motion: 'circle', direction: 'on the spot', press: ['light', 'light', 'light'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'hand-massage', serves: ['jaw'], cue: 'Mouth slowly opened to a small O, stopping at the biting point.',
  }),
  technique('jaw-two-finger-smooth-up', 'Two fingers smoothing up the jaw', 'release', {
    regions: ['jaw', 'cheek'], muscles: ['masseter-superficial', 'masseter-deep'], contacts: ['two-fingers'], motion: 'glide', direction: 'jaw upward', press: ['light', 'light', 'light'], sides: 'together',
    parts: [hold(60)], school: 'hand-massage', serves: ['jaw', 'stress'], cue: 'Jaw upward.',
  }),
  technique('under-jaw-press-shake', 'Fingertips press and shake below the jaw edge', 'release', {
    regions: ['jaw', 'under-chin'], contacts: ['fingertips'], motion: 'press-pulse', direction: 'up below the bone, moving along it, with small shakes', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)],
    school: 'shiatsu-press', heed: ['stop-rule'], serves: ['puffiness'], cue: 'Either hand; a smile may lift the cheeks.',
  }),
  technique('under-chin-press', 'Presses below the chin', 'release', {
    regions: ['under-chin'], contacts: ['fingertips'], motion: 'press-pulse', direction: 'upward', press: ['light', 'light', 'medium'], sides: 'midline',
    parts: [open('it softens', 30, 15, 90)], school: 'shiatsu-press', serves: ['jaw'], cue: 'Head tipped back a little to stretch the front of the neck.',
  }),
  technique('chin-side-massage', 'Massage of the sides and underside of the chin', 'release', {
    regions: ['chin', 'jaw', 'under-chin'], muscles: ['depressor-anguli-oris'], contacts: ['fingertips'], motion: 'circle', direction: 'on the spot', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'hand-massage', serves: ['jaw'], cue: 'Stay on the spot.',
  }),
  technique('chin-fist-press', 'Fists pressed into the chin muscle', 'release', {
    regions: ['chin'], muscles: ['mentalis'], contacts: ['fist'], motion: 'press-pulse', direction: 'inward', press: ['firm', 'firm', 'firm'], sides: 'midline', parts: [beats(10, 15, 'presses')],
    glide: 'product', school: 'fascia-release', serves: ['jaw'], cue: 'Inward.',
  }),
  technique('chin-to-ear-fist-shear', 'Fist from chin to ear with the jaw shifted', 'release', {
    regions: ['chin', 'jaw', 'ear'], muscles: ['masseter-superficial', 'masseter-deep', 'depressor-anguli-oris'], contacts: ['fist'], motion: 'shear', direction: 'chin along the jaw to the ear', press: ['firm', 'firm', 'firm'], sides: 'each', parts: [beats(10, 12, 'strokes')],
    glide: 'product', school: 'fascia-release', serves: ['jaw'], cue: 'Jaw moved so the worked side is stretched.',
  }),
  technique('under-chin-knuckle-glide', 'Knuckles drawn back below the chin', 'release', {
    regions: ['under-chin'], contacts: ['knuckles'], motion: 'glide', direction: 'chin tip backward', press: ['light', 'light', 'medium'], sides: 'midline', parts: [beats(20, 10, 'strokes')],
    glide: 'product', school: 'fascia-release', serves: ['jaw'], cue: 'Chin tip backward.',
  }),
  technique('under-lip-finger-rub', 'Finger up and down below the lip', 'release', {
    regions: ['chin', 'lips'], muscles: ['mentalis', 'orbicularis-oris'], contacts: ['index-finger'], motion: 'shear', direction: 'up and down, place by place to the sides', press: ['light', 'light', 'medium'], sides: 'each', parts: [beats(10, 12, 'strokes', { directions: 2 })],
    glide: 'product', school: 'fascia-release', serves: ['jaw'], cue: 'Up and down, place by place to the sides.',
  }),
  technique('chin-finger-circles', 'Brisk circles on the chin', 'release', {
    regions: ['chin'], muscles: ['mentalis'], contacts: ['fingertips'], motion: 'circle', direction: 'each side and the tip, both ways', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)], spots: 3,
    glide: 'product', school: 'fascia-release', serves: ['jaw'], cue: 'Each side and the tip, both ways.',
  }),
  technique('jaw-knuckle-pin-circles', 'Pinned knuckle circles on jaw and lower cheek', 'release', {
    regions: ['jaw', 'chin', 'cheek'], muscles: ['masseter-superficial', 'masseter-deep', 'buccinator', 'depressor-anguli-oris'], contacts: ['knuckles'], motion: 'circle', direction: 'small circles both ways', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)], spots: 2,
    glide: 'product', school: 'fascia-release', serves: ['jaw'], cue: 'Relaxed, breathing.',
  }),
  technique('jaw-knuckle-pin-shear', 'Pinned knuckles side to side and up and down on jaw and lower cheek', 'release', {
    regions: ['jaw', 'chin', 'cheek'], muscles: ['masseter-superficial', 'masseter-deep', 'buccinator', 'depressor-anguli-oris'], contacts: ['knuckles'], motion: 'shear', direction: 'side to side; on the cheek also up and down', press: ['light', 'light', 'medium'], sides: 'together', parts: [beats(10, 12, 'strokes', { directions: 2 })], spots: 2,
    glide: 'product', school: 'fascia-release', serves: ['jaw'], cue: 'Relaxed, breathing.',
  }),
  technique('lower-cheek-index-circles', 'Index circles in the lower cheek, tongue up', 'release', {
    regions: ['cheek', 'jaw'], muscles: ['buccinator', 'masseter-superficial', 'masseter-deep'], contacts: ['index-finger'], motion: 'circle', direction: 'on the spot', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    glide: 'product', school: 'fascia-release', serves: ['jaw'], cue: 'Tongue pressed to the palate.',
  }),
  technique('upper-cheek-to-mouth-shear', 'Long shear from upper cheek to mouth on a stretched side', 'release', {
    regions: ['cheek', 'lips', 'jaw'], muscles: ['zygomaticus-major', 'buccinator', 'masseter-superficial', 'masseter-deep'], contacts: ['knuckles'], motion: 'shear', direction: 'below the cheekbone to mouth level and back, then across', press: ['light', 'light', 'medium'], sides: 'each', parts: [beats(20, 12, 'strokes', { directions: 2 })],
    glide: 'product', school: 'fascia-release', serves: ['jaw'], cue: 'Side of jaw and cheek held on a stretch; contact surface not stated, knuckles assumed.',
  }),
  technique('cheek-index-hook-down', 'Hooked index draws the cheek muscle down', 'release', {
    regions: ['cheek', 'jaw'], muscles: ['masseter-superficial', 'masseter-deep', 'buccinator'], contacts: ['index-finger'], motion: 'shear', direction: 'down', press: ['light', 'light', 'medium'], sides: 'each', parts: [beats(10, 12, 'strokes')],
    glide: 'product', school: 'fascia-release', serves: ['jaw'], cue: 'Other hand holds the jaw.',
  }),
  technique('upper-lip-cheek-shear', 'Short shear between nose and upper lip', 'release', {
    regions: ['upper-lip', 'cheek'], muscles: ['levator-labii-superioris', 'orbicularis-oris'], contacts: ['index-finger'], motion: 'shear', direction: 'back and forth with a small stretch', press: ['light', 'light', 'medium'], sides: 'each', parts: [beats(20, 12, 'strokes', { directions: 2 })],
    glide: 'product', school: 'fascia-release', serves: ['jaw'], cue: 'Back and forth with a small stretch.',
  }),
  technique('tongue-inner-circles', 'Tongue-tip circles inside the upper cheek', 'release', {
    regions: ['cheek', 'upper-lip', 'nose'], muscles: ['levator-labii-superioris', 'orbicularis-oris'], contacts: ['tongue'], motion: 'circle', direction: 'small circles close to the nose, each way', sides: 'each', parts: [open('it softens', 30, 15, 90)],
    words: ['intraoral'], school: 'fascia-release', serves: ['jaw'], cue: 'Lips closed.',
  }),
  technique('upper-cheek-fists-pin-shear', 'Pinned fists below the cheekbones', 'release', {
    regions: ['cheek'], muscles: ['zygomaticus-major', 'zygomaticus-minor', 'levator-labii-superioris'], contacts: ['fist'], motion: 'shear', direction: 'up and down, side to side', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    glide: 'product', school: 'fascia-release', serves: ['jaw'], cue: 'Up and down, side to side.',
  }),
  technique('nose-side-flick-down', 'Strokes down the nose, flicked off at the nostrils', 'release', {
    regions: ['nose'], muscles: ['nasalis', 'procerus'], contacts: ['fingertips'], motion: 'glide', direction: 'bridge down the sides and off above the nostrils; short outward flicks at the bridge', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    glide: 'product', school: 'fascia-release', serves: ['sinus'], cue: 'Bridge down the sides and off above the nostrils; short outward flicks at the bridge.',
  }),
  technique('nose-side-hold-push', 'Hold one side of the nose, ease the other', 'release', {
    regions: ['nose'], muscles: ['nasalis'], contacts: ['fingertips'], motion: 'hold', direction: 'down on one side, then inward on one side while the other is held', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)], swapHands: true,
    glide: 'product', school: 'fascia-release', serves: ['other'], cue: 'Down on one side, then inward on one side while the other is held.',
  }),
  technique('nose-side-cheek-knuckle-circles', 'Index-knuckle presses and circles beside the nose', 'release', {
    regions: ['nose', 'cheek'], muscles: ['levator-labii-superioris', 'nasalis'], contacts: ['index-knuckle'], motion: 'circle', direction: 'nose side, then below the cheekbone', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'shiatsu-press', serves: ['puffiness'], cue: 'Head tipped down for more pressure.',
  }),
  technique('cheekbone-knuckle-press-walk', 'Knuckles press and shake outward below the cheekbones', 'release', {
    regions: ['cheek'], muscles: ['zygomaticus-major', 'masseter-superficial', 'masseter-deep'], contacts: ['knuckles'], motion: 'press-pulse', direction: 'upward below the bone, then stepping outward with small shakes', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    school: 'shiatsu-press', heed: ['stop-rule'], serves: ['puffiness'], cue: 'Head tipped down for more pressure.',
  }),
  technique('lip-ring-massage', 'Massage around the mouth', 'release', {
    regions: ['lips', 'upper-lip', 'chin', 'cheek'], muscles: ['orbicularis-oris', 'zygomaticus-major', 'zygomaticus-minor', 'levator-anguli-oris'], contacts: ['fingertips'], motion: 'circle', direction: 'above and below the lips', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'hand-massage', serves: ['stress'], cue: 'Above and below the lips.',
  }),
  technique('neck-back-hand-massage', 'One hand massages side and back of the neck', 'release', {
    regions: ['neck-back', 'neck-side'], muscles: ['trapezius-upper'], contacts: ['whole-hand'], motion: 'circle', direction: 'from behind the head downward', press: ['light', 'light', 'medium'], sides: 'each',
    parts: [open('it softens', 30, 15, 90)], school: 'hand-massage', serves: ['neck-tension', 'puffiness'], cue: 'From behind the head downward.',
  }),
  technique('neck-back-turn-glide', 'Hand slides off the back of the neck as the head turns', 'release', {
    regions: ['neck-back', 'neck-side'], muscles: ['trapezius-upper', 'scm-sternal', 'scm-clavicular'], contacts: ['whole-hand'], motion: 'glide', direction: 'back of the neck round and down to the collarbone while the face turns the other way', press: ['light', 'light', 'medium'], sides: 'each', parts: [beats(7, 10, 'strokes')],
    glide: 'product', school: 'hand-massage', serves: ['neck-tension'], cue: 'Back of the neck round and down to the collarbone while the face turns the other way.',
  }),
  technique('scm-soft-massage', 'Soft massage of the side-neck muscle', 'release', {
    regions: ['neck-side'], muscles: ['scm-sternal', 'scm-clavicular'], contacts: ['fingertips'], motion: 'circle', direction: 'along the muscle, upper end last', press: ['feather', 'light', 'light'], sides: 'each', parts: [open('it softens', 30, 15, 90)],
    school: 'hand-massage', heed: ['stop-rule'], serves: ['neck-tension'], cue: 'Along the muscle, upper end last.',
  }),
  technique('scm-between-fingers-glide', 'Side-neck muscle slid between two fingers', 'release', {
    regions: ['neck-side'], muscles: ['scm-sternal', 'scm-clavicular'], contacts: ['two-fingers'], motion: 'glide', direction: 'up and down along the muscle', press: ['light', 'light', 'medium'], sides: 'each', parts: [beats(5, 10, 'strokes', { directions: 2 })],
    glide: 'product', school: 'hand-massage', serves: ['neck-tension'], cue: 'Head turned to one side.',
  }),
  technique('trapezius-compress-hold', 'Shorten and hold the upper trapezius', 'release', {
    regions: ['neck-back', 'shoulder'], muscles: ['trapezius-upper'], contacts: ['none'], motion: 'contract', direction: 'shoulder up, elbow back, head turned 45 degrees and laid back on the shoulder', sides: 'each',
    parts: [hold(20)], school: 'fascia-release', serves: ['neck-tension', 'eye-strain'], cue: 'Hand at the back just above the waist.',
  }),
  technique('trapezius-spread', 'Spread and pinch the trapezius beside the spine', 'release', {
    regions: ['neck-back', 'shoulder'], muscles: ['trapezius-upper'], contacts: ['fingertips'], motion: 'stretch', direction: 'from beside the spine outward', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)],
    school: 'fascia-release', heed: ['spine'], serves: ['neck-tension', 'eye-strain'], cue: 'From beside the spine outward.',
  }),
  technique('spine-side-push-down', 'Push the tissue down beside the spine', 'release', {
    regions: ['neck-back'], muscles: ['trapezius-upper'], contacts: ['whole-hand'], motion: 'glide', direction: 'back of the neck downward beside the spine', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    school: 'fascia-release', heed: ['spine'], serves: ['neck-tension'], cue: 'Back of the neck downward beside the spine.',
  }),
];

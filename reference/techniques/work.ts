import { beats, hold, landmark, muscle, open, point, region, technique } from './define.ts';

/** The work itself: warming, release and presses, from neck to forehead. */
export const WORK_TECHNIQUES = [
  technique('scm-pinch-walk', 'Side-neck lift and roll', 'neck', {
    regions: ['neck-side'], muscles: ['scm-sternal'], contacts: ['pinch'], motion: 'pinch', direction: 'behind the ear to the collarbone and back', press: ['feather', 'light', 'light'], sides: 'each', parts: [beats(5, 7.5, 'passes')],
    serves: ['neck-tension', 'headache', 'jaw'], cue: 'Lift the muscle away from the neck; let go of a pulse.', client: 'Turn your head a little away.',
  }),
  technique('skull-base-circles', 'Skull-base thumb circles', 'neck', {
    regions: ['neck-back'], muscles: ['suboccipitals', 'trapezius-upper'], points: ['GB20'], places: [point('GB20'), point('BL10')], contacts: ['thumb', 'fingertips'], motion: 'circle', direction: 'behind the ears to the middle', press: ['light', 'medium', 'medium'], sides: 'together', spots: 3, parts: [beats(5, 30, 'circles', { directions: 2 })],
    serves: ['headache', 'neck-tension', 'eye-strain', 'stress'], cue: 'Under the edge of the skull, head neutral.', client: 'Let your head be heavy.',
  }),
  technique('neck-cup-squeeze', 'Cup and squeeze the nape', 'neck', {
    regions: ['neck-back'], muscles: ['trapezius-upper'], contacts: ['whole-hand'], motion: 'press-pulse', direction: 'fingers towards the palm, beside the spine', press: ['light', 'medium', 'medium'], sides: 'each', parts: [beats(8, 12, 'squeezes')], swapHands: true,
    serves: ['neck-tension', 'headache', 'stress'], cue: 'Muscle beside the spine, never the spine.',
  }),
  technique('ear-to-shoulder', 'Ear to shoulder', 'stretch', {
    regions: ['neck-side', 'shoulder'], muscles: ['trapezius-upper', 'scm-sternal'], contacts: ['whole-hand'], motion: 'stretch', direction: 'ear towards the shoulder, hand as weight only', press: ['feather', 'feather', 'light'], sides: 'each', parts: [hold(30)], head: 'tilts', words: ['neck-rotation'],
    serves: ['neck-tension', 'stress'], cue: 'The hand lies there; it does not pull.', client: 'Only as far as is comfortable.',
  }),
  technique('face-taps', 'Quick light taps', 'warm-up', {
    regions: ['whole-face'], places: [region('jaw'), region('cheek'), region('forehead')], contacts: ['fingertips'], motion: 'tap', direction: 'jaw, cheeks, temples, forehead', press: ['feather', 'light', 'light'], sides: 'together', parts: [beats(60, 120, 'taps', { per: 'pass' })], glide: 'dry',
    serves: ['stress', 'eye-strain', 'other'], cue: 'Quick, springy; skip the eyes.',
  }),
  technique('scalp-circles', 'Scalp circles', 'warm-up', {
    regions: ['scalp'], places: [region('scalp')], contacts: ['fingertips'], motion: 'circle', direction: 'the scalp moves, the fingers do not slide', press: ['light', 'medium', 'medium'], sides: 'together', spots: 4, parts: [beats(5, 30, 'circles')],
    serves: ['headache', 'stress'], cue: 'Front, middle, sides, back.',
  }),
  technique('masseter-warm-hold', 'Warm palms on the jaw', 'warm-up', {
    regions: ['jaw', 'cheek'], muscles: ['masseter-superficial'], contacts: ['palm'], motion: 'hold', direction: 'resting', press: ['feather', 'light', 'light'], sides: 'together', parts: [hold(60)], jaw: 'loose', words: ['heat'],
    serves: ['jaw', 'stress', 'headache'], cue: 'Palms rubbed hot first; weight only.', client: 'Let the jaw hang.',
  }),
  technique('forehead-sweep', 'Forehead sweep', 'warm-up', {
    regions: ['forehead', 'temple'], muscles: ['frontalis'], places: [region('forehead'), point('EX-HN5')], contacts: ['fingertips'], motion: 'sweep', direction: 'centre to temples', press: ['feather', 'light', 'medium'], sides: 'together', parts: [beats(10, 15, 'sweeps', { per: 'pass' })], glide: 'product',
    serves: ['headache', 'stress', 'eye-strain'], cue: 'First pass barely touching; build only if it feels good.',
  }),
  technique('eye-rim-circles', 'Circles on the eye rim', 'warm-up', {
    regions: ['brow', 'temple', 'cheek'], muscles: ['orbicularis-oculi-orbital'], places: [region('brow'), landmark('malar')], contacts: ['two-fingers'], motion: 'circle', direction: 'out over the brow, back over the cheekbone', press: ['feather', 'light', 'light'], sides: 'together', parts: [beats(6, 12, 'rounds', { per: 'pass' })], eyes: 'shut', glide: 'product',
    serves: ['eye-strain', 'stress'], cue: 'On bone all the way round.',
  }),
  technique('temple-circles', 'Temple circles', 'release', {
    regions: ['temple'], muscles: ['temporalis-anterior'], points: ['EX-HN5'], contacts: ['two-fingers'], motion: 'circle', direction: 'slow, skin moves with the finger', press: ['feather', 'light', 'medium'], sides: 'together', parts: [beats(10, 30, 'circles', { directions: 2 })],
    serves: ['headache', 'jaw', 'eye-strain', 'stress'], cue: 'Feel for the pulse and stay beside it.',
  }),
  technique('temporalis-knuckles', 'Temporalis knuckles', 'release', {
    regions: ['temple', 'scalp'], muscles: ['temporalis-anterior', 'temporalis-middle'], places: [muscle('temporalis-anterior'), muscle('temporalis-middle'), muscle('temporalis-posterior')], contacts: ['fingertips', 'knuckles'], motion: 'circle', direction: 'pinned, from temple to above the ear', press: ['light', 'medium', 'firm'], sides: 'together', spots: 3, parts: [beats(8, 30, 'circles')],
    serves: ['jaw', 'headache'], cue: 'The contact stays; the tissue moves under it.', client: 'Teeth apart.',
  }),
  technique('masseter-heel-lift', 'Masseter, slow heel lift', 'release', {
    regions: ['jaw', 'cheek'], muscles: ['masseter-superficial'], contacts: ['palm-heel'], motion: 'shear', direction: 'jaw edge up to the cheekbone', press: ['light', 'firm', 'firm'], sides: 'together', parts: [beats(3, 6, 'slides')], jaw: 'loose',
    serves: ['jaw', 'headache'], cue: 'Very slow; skin and muscle travel together.', client: 'Let the jaw hang.',
  }),
  technique('masseter-pin-open', 'Masseter press, open and close', 'release', {
    regions: ['jaw', 'cheek'], muscles: ['masseter-superficial'], contacts: ['fingertips', 'knuckles'], motion: 'press-pulse', direction: 'straight in, still, while the jaw moves', press: ['light', 'medium', 'firm'], sides: 'each', parts: [beats(10, 10, 'openings')], jaw: 'moving', words: ['jaw-mobilisation'],
    serves: ['jaw', 'headache'], cue: 'Stay on the muscle, in front of the joint.', client: 'Open to just before the click, and close. Tongue on the palate.',
  }),
  technique('masseter-melt', 'Masseter, wait on the tight spot', 'release', {
    regions: ['jaw', 'cheek'], muscles: ['masseter-superficial'], contacts: ['two-fingers', 'index-knuckle'], motion: 'hold', direction: 'slowly inward', press: ['light', 'medium', 'firm'], sides: 'each', parts: [open('it softens', 45, 15, 90)], jaw: 'loose',
    serves: ['jaw', 'headache'], cue: 'Sink in, stay until it yields, come out slowly.', client: 'Say when it eases or travels.',
  }),
  technique('masseter-knuckle-slide', 'Masseter, two-knuckle slide', 'release', {
    regions: ['jaw', 'cheek'], muscles: ['masseter-superficial'], contacts: ['knuckles'], motion: 'shear', direction: 'cheekbone down to the jaw angle', press: ['light', 'medium', 'firm'], sides: 'each', parts: [beats(10, 15, 'slides')], jaw: 'loose', glide: 'product',
    serves: ['jaw'], cue: 'Lower knuckle works, upper one steadies.',
  }),
  technique('jaw-line-pinch', 'Pinches along the jaw', 'release', {
    regions: ['jaw', 'chin'], muscles: ['masseter-superficial', 'mentalis'], places: [landmark('pogonion'), landmark('gonion')], contacts: ['pinch'], motion: 'pinch', direction: 'chin along the jaw to below the ear', press: ['feather', 'light', 'light'], sides: 'together', parts: [beats(12, 30, 'pinches', { per: 'pass' })],
    serves: ['jaw', 'other'], cue: 'Small picks, no pulling.',
  }),
  technique('forehead-circles', 'Forehead circles', 'release', {
    regions: ['forehead'], muscles: ['frontalis'], contacts: ['two-fingers'], motion: 'circle', direction: 'brow to hairline, in rows', press: ['light', 'light', 'medium'], sides: 'together', spots: 3, parts: [beats(6, 30, 'circles')],
    serves: ['headache', 'stress', 'eye-strain'], cue: 'Move the muscle over the bone.',
  }),
  technique('brow-pinch-walk', 'Brow pinches, inner to outer', 'release', {
    regions: ['brow'], muscles: ['corrugator-supercilii', 'orbicularis-oculi-orbital'], places: [landmark('brow-medial'), landmark('brow-peak'), landmark('brow-lateral')], contacts: ['pinch'], motion: 'pinch', direction: 'inner to outer', press: ['feather', 'light', 'light'], sides: 'together', spots: 5, parts: [hold(4)], glide: 'dry',
    serves: ['eye-strain', 'headache', 'stress'], cue: 'Lift off gently at the end of each pinch.',
  }),
  technique('brow-lift-circles', 'Brow, three places', 'release', {
    regions: ['brow'], muscles: ['corrugator-supercilii', 'orbicularis-oculi-orbital'], places: [landmark('brow-lateral'), landmark('brow-peak'), landmark('brow-medial')], contacts: ['ring-finger', 'index-finger'], motion: 'circle', direction: 'up and out against the rim', press: ['light', 'medium', 'medium'], sides: 'each', spots: 3, parts: [beats(10, 40, 'circles')],
    serves: ['eye-strain', 'headache'], cue: 'Against the bone, not into the lid.',
  }),
  technique('sinus-circles', 'Circles from the nose outward', 'release', {
    regions: ['nose', 'cheek'], points: ['LI20', 'ST3', 'SI18'], contacts: ['fingertips'], motion: 'circle', direction: 'nose outward under the cheekbone', press: ['light', 'light', 'medium'], sides: 'together', spots: 3, parts: [beats(6, 30, 'circles')],
    serves: ['sinus', 'puffiness', 'headache'], cue: 'Up under the edge of the bone.',
  }),
  technique('ball-masseter-roll', 'Two balls on the jaw', 'release', {
    regions: ['jaw', 'cheek'], muscles: ['masseter-superficial'], contacts: ['ball-pair'], motion: 'roll', direction: 'up and down, then circles', press: ['light', 'medium', 'medium'], sides: 'together', parts: [beats(10, 20, 'rolls', { directions: 2 })], tool: 'ball', glide: 'dry',
    serves: ['jaw'], cue: 'In front of the joint, on the muscle.',
  }),
  technique('brow-centre-hold-pulse', 'Yintang, hold and pulse', 'press', {
    regions: ['glabella'], muscles: ['procerus'], points: ['EX-HN3'], contacts: ['ring-finger', 'middle-finger', 'index-finger'], motion: 'press-pulse', direction: 'straight in', press: ['feather', 'light', 'medium'], sides: 'midline', parts: [hold(20), beats(10, 30, 'pulses')], eyes: 'shut',
    serves: ['stress', 'headache', 'eye-strain'], cue: 'Hold with slow breath first, then small pulses.', client: 'Let the forehead rest.',
  }),
  technique('temple-hold-pulse', 'Taiyang, hold and pulse', 'press', {
    regions: ['temple'], muscles: ['temporalis-anterior'], points: ['EX-HN5'], contacts: ['middle-finger', 'index-finger'], motion: 'press-pulse', direction: 'straight in', press: ['feather', 'light', 'medium'], sides: 'together', parts: [hold(20), beats(10, 30, 'pulses')], eyes: 'shut',
    serves: ['headache', 'stress', 'eye-strain'], cue: 'Beside the pulse, never on it.',
  }),
  technique('above-brow-hold-pulse', 'Yangbai, hold and pulse', 'press', {
    regions: ['forehead'], muscles: ['frontalis'], points: ['GB14'], contacts: ['middle-finger', 'index-finger'], motion: 'press-pulse', direction: 'straight in', press: ['feather', 'light', 'medium'], sides: 'together', parts: [hold(15), beats(10, 30, 'pulses')], eyes: 'shut',
    serves: ['headache', 'eye-strain'], cue: 'A body-inch above the brow.',
  }),
  technique('inner-brow-press', 'Cuanzhu, thumbs upward', 'press', {
    regions: ['brow'], muscles: ['corrugator-supercilii'], points: ['BL2'], contacts: ['middle-finger', 'thumb'], motion: 'hold', direction: 'upward against the bone', press: ['light', 'medium', 'medium'], sides: 'together', parts: [hold(20)], eyes: 'shut', sets: 2,
    serves: ['eye-strain', 'headache', 'sinus'], cue: 'Up into the rim; stop on tingling.',
  }),
  technique('inner-eye-hold-circles', 'Jingming, hold then circles', 'press', {
    regions: ['nose'], muscles: ['procerus'], points: ['BL1'], contacts: ['ring-finger', 'index-finger'], motion: 'circle', direction: 'towards the bone of the nose', press: ['feather', 'light', 'light'], sides: 'together', parts: [hold(10), beats(5, 20, 'circles', { directions: 2 })], eyes: 'shut',
    serves: ['eye-strain', 'stress'], cue: 'Never towards the eye.',
  }),
  technique('outer-eye-press', 'Tongziliao press', 'press', {
    regions: ['temple'], muscles: ['orbicularis-oculi-orbital'], points: ['GB1'], contacts: ['middle-finger'], motion: 'hold', direction: 'against the bony rim', press: ['light', 'light', 'medium'], sides: 'each', parts: [hold(15)], eyes: 'shut',
    serves: ['eye-strain', 'headache'], cue: 'A dull ache that lets go is enough; strong pain means lighter.',
  }),
  technique('under-eye-four-points', 'Four places under the eye', 'press', {
    regions: ['under-eye'], muscles: ['orbicularis-oculi-orbital'], places: [region('under-eye'), landmark('malar')], contacts: ['ring-finger'], motion: 'hold', direction: 'straight in, onto the bone', press: ['feather', 'feather', 'light'], sides: 'together', spots: 4, parts: [hold(10)], eyes: 'shut', glide: 'dry',
    serves: ['eye-strain', 'puffiness'], cue: 'Inward, not sideways; lighter here.',
  }),
  technique('nostril-hold', 'Yingxiang hold', 'press', {
    regions: ['nose', 'cheek'], points: ['LI20'], contacts: ['index-finger', 'index-knuckle'], motion: 'hold', direction: 'inward and a little up', press: ['light', 'medium', 'firm'], sides: 'together', parts: [hold(10)], sets: 3,
    serves: ['sinus', 'puffiness'], cue: 'Do not push the cheek up.', client: 'Breathe through the nose.',
  }),
  technique('jaw-angle-press', 'Jiache, hold and pulse', 'press', {
    regions: ['jaw'], muscles: ['masseter-superficial'], points: ['ST6'], contacts: ['middle-finger', 'thumb', 'index-knuckle'], motion: 'press-pulse', direction: 'straight in', press: ['light', 'medium', 'firm'], sides: 'together', parts: [hold(10), beats(10, 30, 'pulses')], jaw: 'loose',
    serves: ['jaw', 'headache'], cue: 'On the bulge that rises on biting.', client: 'Teeth apart.',
  }),
  technique('ear-hollow-circles', 'Yifeng circles', 'press', {
    regions: ['ear', 'jaw'], points: ['TE17'], contacts: ['ring-finger', 'middle-finger'], motion: 'circle', direction: 'small, both ways', press: ['feather', 'light', 'light'], sides: 'together', parts: [beats(8, 30, 'circles', { directions: 2 })],
    serves: ['jaw', 'headache'], cue: 'Light contact; no hooking.',
  }),
  technique('hegu-web', 'Hegu, squeeze the web', 'press', {
    regions: ['hand'], points: ['LI4'], contacts: ['pinch'], motion: 'press-pulse', direction: 'towards the index bone', press: ['light', 'medium', 'firm'], sides: 'each', parts: [hold(20), beats(10, 30, 'pulses')],
    serves: ['headache', 'jaw', 'stress'], cue: 'Between thumb and index bones.',
  }),
  technique('probe-smile-line', 'Probe along the smile line', 'release', {
    regions: ['cheek', 'upper-lip'], places: [landmark('nasolabial-ala'), landmark('cheilion')], contacts: ['probe'], motion: 'rub', direction: 'nostril to mouth corner and back', press: ['light', 'light', 'medium'], sides: 'each', parts: [beats(15, 60, 'strokes', { most: 30, per: 'pass' })], tool: 'probe', glide: 'product',
    serves: ['puffiness', 'other'], cue: 'Same force up and down.', perDayMost: 4,
  }),
  technique('glove-masseter-split', 'Gloves part along the jaw muscle', 'release', {
    regions: ['jaw', 'cheek'], muscles: ['masseter-superficial'], contacts: ['conductive-gloves'], still: 'conductive-gloves', motion: 'stretch', direction: 'middle of the muscle, one hand up, one down', press: ['light', 'medium', 'medium'], sides: 'each', parts: [beats(5, 6, 'strokes')], tool: 'microcurrent-device', words: ['microcurrent'], glide: 'product',
    serves: ['jaw'], cue: 'Neither hand loses contact; watch the indicator.',
  }),
  technique('slow-opening-stretch', 'Slow opening against the fingers', 'stretch', {
    regions: ['jaw', 'cheek'], muscles: ['masseter-superficial'], contacts: ['index-finger'], motion: 'stretch', direction: 'fingers pin, the jaw opens slowly', press: ['light', 'medium', 'medium'], sides: 'together', parts: [hold(20)], jaw: 'moving', words: ['jaw-mobilisation'], sets: 2,
    serves: ['jaw'], cue: 'Stop just before a click.', client: 'Open slowly, only as far as is comfortable.',
  }),
  technique('lower-lid-lift', 'Lower-lid lifts', 'exercise', {
    regions: ['under-eye'], muscles: ['orbicularis-oculi-orbital'], places: [region('under-eye')], contacts: ['none'], motion: 'contract', direction: 'lower lid up, brows still', sides: 'together', parts: [beats(10, 30, 'lifts'), hold(10)], eyes: 'open',
    serves: ['eye-strain'], cue: 'Brows and nose stay quiet.', client: 'Lift the lower lids, and hold the last one.',
  }),
  technique('brow-raise-resist', 'Brows up against fingers', 'exercise', {
    regions: ['brow', 'forehead'], muscles: ['frontalis'], contacts: ['fingertips'], motion: 'resist', direction: 'brows up, fingers hold', press: ['feather', 'light', 'light'], sides: 'together', parts: [beats(8, 15, 'raises')], glide: 'dry',
    serves: ['eye-strain', 'other'], cue: 'No forehead lines.',
  }),
  technique('corner-lift', 'Mouth-corner lift', 'exercise', {
    regions: ['cheek', 'lips'], muscles: ['zygomaticus-major'], contacts: ['none'], motion: 'contract', direction: 'corners towards the temples', sides: 'together', parts: [hold(10)], sets: 3,
    serves: ['jaw', 'other'], cue: 'Jaw stays loose.', client: 'Lips tucked in, lift the corners.',
  }),
];

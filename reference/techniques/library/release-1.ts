import { beats, hold, open, technique } from '../define.ts';

/** Release of muscle and fascia. */
export const RELEASE_1 = [
  technique('glove-trapezius-glide', 'Glove glide down the upper trapezius', 'release', {
    regions: ['neck-back', 'shoulder'], muscles: ['trapezius-upper'], contacts: ['conductive-gloves'], motion: 'glide', direction: 'one hand fixed at the back of the neck, the other down and away over the shoulder', press: ['medium', 'firm', 'firm'], sides: 'each', parts: [open('it softens', 30, 15, 90)], words: ['microcurrent'], tool: 'microcurrent-device',
    glide: 'product', school: 'microcurrent-glide', serves: ['neck-tension'], cue: 'One hand fixed at the back of the neck, the other down and away over the shoulder.',
  }),
  technique('glove-scm-split', 'Gloves part along the side-neck muscle', 'release', {
    regions: ['neck-side'], muscles: ['scm-sternal', 'scm-clavicular'], contacts: ['conductive-gloves'], motion: 'stretch', direction: 'middle of the muscle, one hand up toward the ear, one down toward the collarbone', press: ['light', 'light', 'light'], sides: 'each', parts: [open('it softens', 30, 15, 90)], words: ['microcurrent'], tool: 'microcurrent-device', glide: 'product',
    school: 'microcurrent-glide', heed: ['thyroid'], serves: ['neck-tension'], cue: 'Middle of the muscle, one hand up toward the ear, one down toward the collarbone.',
  }),
  technique('glove-platysma-split', 'Gloves part over the front-side of the neck', 'release', {
    regions: ['neck-front', 'neck-side', 'cheek'], muscles: ['platysma'], contacts: ['conductive-gloves'], motion: 'stretch', direction: 'mid-neck, one hand up to the cheekbone, one down to the collarbone', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)], spots: 3, words: ['microcurrent'], tool: 'microcurrent-device',
    glide: 'product', school: 'microcurrent-glide', serves: ['neck-tension'], cue: 'Mid-neck, one hand up to the cheekbone, one down to the collarbone.',
  }),
  technique('glove-jaw-to-cheek-glide', 'Glove glide from below the jaw to the cheek', 'release', {
    regions: ['jaw', 'cheek'], muscles: ['buccinator', 'masseter-superficial', 'masseter-deep', 'zygomaticus-major'], contacts: ['conductive-gloves'], motion: 'glide', direction: 'one hand fixed below the jaw, the other up and away to the cheekbone', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)], words: ['microcurrent'], tool: 'microcurrent-device',
    glide: 'product', school: 'microcurrent-glide', serves: ['jaw'], cue: 'One hand fixed below the jaw, the other up and away to the cheekbone.',
  }),
  technique('glove-chin-down-glide', 'Glove glide down over chin and mouth corner', 'release', {
    regions: ['chin', 'lips', 'jaw'], muscles: ['mentalis', 'depressor-anguli-oris', 'platysma'], contacts: ['conductive-gloves'], motion: 'glide', direction: 'centre of the chin apart and down over the chin edge, then the same at the mouth corner', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)], spots: 2, words: ['microcurrent'], tool: 'microcurrent-device',
    glide: 'product', school: 'microcurrent-glide', serves: ['jaw'], cue: 'Centre of the chin apart and down over the chin edge, then the same at the mouth corner.',
  }),
  technique('glove-lip-ring-glide', 'Glove glide around the mouth', 'release', {
    regions: ['lips', 'upper-lip'], muscles: ['orbicularis-oris'], contacts: ['conductive-gloves'], motion: 'glide', direction: 'from one corner up and over the upper lip, then back down', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)], words: ['microcurrent'], tool: 'microcurrent-device',
    glide: 'product', school: 'microcurrent-glide', serves: ['other'], cue: 'From one corner up and over the upper lip, then back down.',
  }),
  technique('glove-smile-line-open', 'Glove glide over the smile line', 'release', {
    regions: ['cheek', 'nose', 'upper-lip'], muscles: ['levator-labii-superioris', 'zygomaticus-major', 'zygomaticus-minor'], contacts: ['conductive-gloves'], motion: 'glide', direction: 'one hand fixed beside the mouth, the other up and out over the cheek', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)], words: ['microcurrent'], tool: 'microcurrent-device',
    glide: 'product', school: 'microcurrent-glide', serves: ['puffiness'], cue: 'One hand fixed beside the mouth, the other up and out over the cheek.',
  }),
  technique('glove-cheek-lift-hold', 'Gloves gather and hold the cheek', 'release', {
    regions: ['cheek'], muscles: ['zygomaticus-major', 'zygomaticus-minor'], contacts: ['conductive-gloves'], motion: 'hold', direction: 'one hand lifts, the other keeps hold below', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)], words: ['microcurrent'], tool: 'microcurrent-device',
    glide: 'product', school: 'microcurrent-glide', serves: ['other'], cue: 'One hand lifts, the other keeps hold below.',
  }),
  technique('glove-brow-nose-split', 'Gloves part between the brows', 'release', {
    regions: ['glabella', 'nose', 'forehead'], muscles: ['procerus', 'nasalis'], contacts: ['conductive-gloves'], motion: 'stretch', direction: 'middle of the brows, one hand up, one down the nose', press: ['light', 'light', 'light'], sides: 'midline', parts: [open('it softens', 30, 15, 90)], words: ['microcurrent'], tool: 'microcurrent-device',
    glide: 'product', school: 'microcurrent-glide', serves: ['other'], cue: 'Middle of the brows, one hand up, one down the nose.',
  }),
  technique('glove-nose-side-glide', 'Glove glide from brow centre past the nose', 'release', {
    regions: ['glabella', 'nose', 'cheek'], muscles: ['procerus', 'nasalis', 'levator-labii-superioris'], contacts: ['conductive-gloves'], motion: 'glide', direction: 'one hand fixed between the brows, the other down the nose side and out below the cheekbone', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)], words: ['microcurrent'], tool: 'microcurrent-device',
    glide: 'product', school: 'microcurrent-glide', serves: ['sinus'], cue: 'One hand fixed between the brows, the other down the nose side and out below the cheekbone.',
  }),
  technique('glove-brow-out-glide', 'Glove glide outward along the brow', 'release', {
    regions: ['glabella', 'brow'], muscles: ['procerus', 'corrugator-supercilii', 'orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral'], contacts: ['conductive-gloves'], motion: 'glide', direction: 'brow centre outward', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)], words: ['microcurrent'], tool: 'microcurrent-device',
    glide: 'product', school: 'microcurrent-glide', serves: ['eye-strain'], cue: 'Brow centre outward.',
  }),
  technique('glove-under-eye-sweep', 'Glove sweep below the eye, both ways', 'release', {
    regions: ['under-eye', 'temple'], muscles: ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral'], contacts: ['conductive-gloves'], motion: 'sweep', direction: 'inner corner outward, then the other way', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)], words: ['microcurrent'], tool: 'microcurrent-device',
    glide: 'product', school: 'microcurrent-glide', serves: ['eye-strain', 'sinus'], cue: 'Inner corner outward, then the other way.',
  }),
  technique('glove-eye-corner-stretch', 'Glove stretch at the outer eye corner', 'release', {
    regions: ['temple', 'under-eye', 'brow'], muscles: ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral'], contacts: ['conductive-gloves'], motion: 'stretch', direction: 'outer corner apart, up and down', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)], words: ['microcurrent'], tool: 'microcurrent-device',
    glide: 'product', school: 'microcurrent-glide', serves: ['eye-strain', 'sinus'], cue: 'Outer corner apart, up and down.',
  }),
  technique('glove-forehead-split', 'Gloves part over the forehead', 'release', {
    regions: ['forehead', 'scalp'], muscles: ['frontalis', 'epicranial-aponeurosis'], contacts: ['conductive-gloves'], motion: 'stretch', direction: 'centre of the forehead apart, lane by lane outward; may run on into the hair', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)], words: ['microcurrent'], tool: 'microcurrent-device',
    glide: 'product', school: 'microcurrent-glide', serves: ['other'], cue: 'Centre of the forehead apart, lane by lane outward; may run on into the hair.',
  }),
  technique('probe-nose-side-to-brow', 'Probe strokes beside the nose up to the brow', 'release', {
    regions: ['nose', 'brow', 'glabella'], contacts: ['probe'], motion: 'rub', direction: 'up and down the nose side to the brow', press: ['light', 'light', 'medium'], sides: 'each', parts: [beats(15, 40, 'rubs', { most: 30, directions: 2 })], tool: 'probe',
    school: 'reflex-probe', perDayMost: 4, serves: ['puffiness'], cue: 'Up and down the nose side to the brow.',
  }),
  technique('probe-nose-length', 'Probe strokes along the nose', 'release', {
    regions: ['nose'], contacts: ['probe'], motion: 'rub', direction: 'up and down the nose ridge', press: ['light', 'light', 'medium'], sides: 'midline', parts: [beats(15, 40, 'rubs', { most: 30, directions: 2 })], tool: 'probe',
    school: 'reflex-probe', perDayMost: 4, serves: ['puffiness'], cue: 'Up and down the nose ridge.',
  }),
  technique('probe-nostril-rim', 'Probe tip around the nostrils', 'release', {
    regions: ['nose', 'upper-lip'], contacts: ['probe'], motion: 'rub', direction: 'back and forth around the nostril rim', press: ['light', 'light', 'medium'], sides: 'each', parts: [beats(15, 40, 'rubs', { most: 30, directions: 2 })], tool: 'probe',
    school: 'reflex-probe', perDayMost: 4, serves: ['puffiness'], cue: 'Back and forth around the nostril rim.',
  }),
  technique('probe-chin-top', 'Probe strokes above the chin', 'release', {
    regions: ['chin', 'lips'], contacts: ['probe'], motion: 'rub', direction: 'back and forth just above the chin', press: ['light', 'light', 'medium'], sides: 'midline', parts: [beats(15, 40, 'rubs', { most: 30, directions: 2 })], tool: 'probe',
    school: 'reflex-probe', perDayMost: 4, serves: ['puffiness'], cue: 'Back and forth just above the chin.',
  }),
  technique('probe-ear-surround', 'Probe path around the ear', 'release', {
    regions: ['ear'], contacts: ['probe'], motion: 'rub', direction: 'top of the ear down in front, round and up behind', press: ['light', 'light', 'medium'], sides: 'each', parts: [beats(15, 40, 'rubs', { most: 30, directions: 2 })], tool: 'probe',
    school: 'reflex-probe', perDayMost: 4, serves: ['puffiness'], cue: 'Top of the ear down in front, round and up behind.',
  }),
  technique('ball-masseter-pin-open', 'Ball pins the chewing muscle while the jaw moves', 'release', {
    regions: ['jaw', 'cheek'], muscles: ['masseter-superficial', 'masseter-deep'], contacts: ['single-ball'], motion: 'press-pulse', direction: 'ball hooks the muscle just in front of the joint; jaw opens and closes', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)], tool: 'ball',
    school: 'ball-release', heed: ['on-joint'], serves: ['jaw', 'stress'], cue: 'Head tilted slightly down.',
  }),
  technique('ball-nose-side-rock', 'Two balls turned or rocked beside the nose', 'release', {
    regions: ['nose', 'cheek', 'upper-lip'], muscles: ['llsan', 'levator-labii-superioris'], contacts: ['ball-pair'], motion: 'rock', direction: 'twist, or back and forth', press: ['medium', 'medium', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    tool: 'ball', school: 'ball-release', serves: ['jaw'], cue: 'Face sinks forward into the balls.',
  }),
  technique('ball-brow-twist', 'One ball twisted between the brows', 'release', {
    regions: ['glabella'], muscles: ['procerus', 'corrugator-supercilii'], contacts: ['single-ball'], motion: 'rock', direction: 'twist right and left', press: ['light', 'light', 'medium'], sides: 'midline', parts: [open('it softens', 30, 15, 90)],
    tool: 'ball', school: 'ball-release', serves: ['jaw'], cue: 'Jaw loose, tongue resting on the palate.',
  }),
  technique('ball-temporalis-circles', 'Two balls circling above the temples', 'release', {
    regions: ['temple', 'scalp'], muscles: ['temporalis-anterior', 'temporalis-middle', 'temporalis-posterior'], contacts: ['ball-pair'], motion: 'circle', direction: 'circles from just above the temple to the hairline and side of the skull', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)], spots: 2,
    tool: 'ball', school: 'ball-release', serves: ['jaw', 'headache'], cue: 'Circles from just above the temple to the hairline and side of the skull.',
  }),
  technique('ball-temple-twist', 'Two balls twisted on the temples', 'release', {
    regions: ['temple', 'scalp'], muscles: ['temporalis-anterior', 'temporalis-middle', 'temporalis-posterior'], contacts: ['ball-pair'], motion: 'rock', direction: 'twist in place at the temple, then higher at the hairline', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)], spots: 2,
    tool: 'ball', school: 'ball-release', serves: ['jaw', 'headache'], cue: 'Twist in place at the temple, then higher at the hairline.',
  }),
  technique('ball-skull-base-sink', 'Larger ball below the skull, sinking', 'release', {
    regions: ['neck-back'], muscles: ['trapezius-upper', 'suboccipitals'], contacts: ['single-ball'], motion: 'traction', direction: 'head lengthens away from the neck', press: ['light', 'light', 'medium'], sides: 'midline', parts: [open('it softens', 30, 15, 90)],
    tool: 'ball', school: 'ball-release', serves: ['neck-tension', 'stress'], cue: 'Head resting on the ball where neck meets skull, slow nose breathing.',
  }),
  technique('ball-skull-base-small-moves', 'Larger ball below the skull, tiny moves', 'release', {
    regions: ['neck-back'], muscles: ['trapezius-upper', 'suboccipitals'], contacts: ['single-ball'], motion: 'circle', direction: 'very small circles, crosses or figure eights', press: ['light', 'light', 'medium'], sides: 'midline', parts: [open('it softens', 30, 15, 90)],
    tool: 'ball', school: 'ball-release', serves: ['neck-tension', 'stress'], cue: 'Head resting on the ball.',
  }),
  technique('ear-front-hollow-massage', 'Massage the hollow in front of the ear, mouth open', 'release', {
    regions: ['jaw', 'ear'], muscles: ['masseter-superficial', 'masseter-deep'], points: ['SI19'], contacts: ['index-finger'], motion: 'circle', direction: 'on the spot', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    school: 'point-holding', heed: ['stop-rule'], serves: ['jaw', 'headache'], cue: 'Mouth open, not too wide, stopping just before any click.',
  }),
  technique('forehead-knuckle-spread', 'Knuckles parting over the forehead', 'release', {
    regions: ['forehead'], muscles: ['frontalis'], contacts: ['knuckles'], motion: 'glide', direction: 'midline outward', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [hold(60)], school: 'hand-massage', serves: ['stress'], cue: 'Midline outward.',
  }),
  technique('forehead-knuckle-massage', 'Knuckle massage of the forehead', 'release', {
    regions: ['forehead'], muscles: ['frontalis'], contacts: ['knuckles'], motion: 'circle', direction: 'on the spot', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    school: 'shiatsu-press', heed: ['stop-rule'], serves: ['other'], cue: 'Contact surface not stated, knuckles assumed.',
  }),
  technique('forehead-knuckle-downstroke', 'Knuckles drawn down the forehead', 'release', {
    regions: ['forehead', 'glabella', 'nose', 'temple'], muscles: ['frontalis', 'procerus'], contacts: ['knuckles'], motion: 'shear', direction: 'hairline down to the nose, lanes out to the temples', press: ['light', 'light', 'medium'], sides: 'each', parts: [beats(10, 12, 'strokes')],
    glide: 'product', school: 'fascia-release', serves: ['headache'], cue: 'Hairline down to the nose, lanes out to the temples.',
  }),
  technique('forehead-palms-shear', 'Hands move the forehead up and down', 'release', {
    regions: ['forehead', 'scalp'], muscles: ['frontalis', 'epicranial-aponeurosis'], contacts: ['whole-hand'], motion: 'shear', direction: 'up and down', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'fascia-release', serves: ['eye-strain'], cue: 'Shoulders down, chin in.',
  }),
  technique('forehead-hands-upstroke', 'Hands stroke up the forehead', 'release', {
    regions: ['forehead'], muscles: ['frontalis'], contacts: ['fingertips'], motion: 'glide', direction: 'brows to hairline', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'hand-massage', serves: ['eye-strain'], cue: 'Brows to hairline.',
  }),
  technique('forehead-scrape-head-turn', 'Deep finger scrape of the forehead as the head turns away', 'release', {
    regions: ['forehead', 'temple'], muscles: ['frontalis'], contacts: ['fingertips'], motion: 'shear', direction: 'midline toward the side while the head turns the other way', press: ['firm', 'firm', 'firm'], sides: 'each',
    parts: [open('it softens', 30, 15, 90)], school: 'fascia-release', serves: ['eye-strain'], cue: 'Chin tucked.',
  }),
  technique('glabella-knuckle-up', 'Index knuckle up from the nose root', 'release', {
    regions: ['glabella', 'forehead'], muscles: ['procerus', 'corrugator-supercilii'], points: ['EX-HN3'], contacts: ['index-knuckle'], motion: 'glide', direction: 'nose root to hairline, then slight diagonals', press: ['light', 'light', 'medium'], sides: 'midline', parts: [hold(60)],
    school: 'hand-massage', heed: ['stop-rule'], serves: ['stress'], cue: 'Nose root to hairline, then slight diagonals.',
  }),
  technique('frown-knuckle-rock', 'Knuckles rocked over the frown lines', 'release', {
    regions: ['glabella', 'forehead'], muscles: ['procerus', 'corrugator-supercilii'], contacts: ['knuckles'], motion: 'rock', direction: 'outward', press: ['light', 'light', 'medium'], sides: 'midline', parts: [open('it softens', 30, 15, 90)],
    glide: 'product', school: 'fascia-release', serves: ['other'], cue: 'Other hand holds the top of the forehead still.',
  }),
  technique('above-brow-fist-circles', 'Fist circles above the inner brow', 'release', {
    regions: ['forehead', 'brow'], muscles: ['corrugator-supercilii', 'frontalis'], contacts: ['fist'], motion: 'circle', direction: 'on the spot', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)],
    glide: 'product', school: 'fascia-release', serves: ['other'], cue: 'Stay on the spot.',
  }),
  technique('brow-center-finger-circles', 'Finger-pad circles between the brows', 'release', {
    regions: ['glabella'], muscles: ['procerus'], contacts: ['fingertips'], motion: 'circle', direction: 'circles, side to side', press: ['light', 'light', 'medium'], sides: 'midline', parts: [open('it softens', 30, 15, 90)],
    glide: 'product', school: 'fascia-release', serves: ['other'], cue: 'Circles, side to side.',
  }),
  technique('brow-center-pinch', 'Pinch, roll and shake between the brows', 'release', {
    regions: ['glabella', 'brow'], muscles: ['corrugator-supercilii', 'procerus'], contacts: ['pinch'], motion: 'pinch', direction: 'lifted outward, rolled, shaken, then pressed in', press: ['light', 'light', 'medium'], sides: 'midline',
    parts: [open('it softens', 30, 15, 90)], school: 'hand-massage', serves: ['stress', 'headache'], cue: 'Clean fingers.',
  }),
  technique('orbit-pinch-roll', 'Pinch and roll the rim of the eye socket', 'release', {
    regions: ['brow', 'under-eye', 'temple'], muscles: ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral'], contacts: ['pinch'], motion: 'roll', direction: 'upper cheek round the rim and along the brow, drawing outward', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    school: 'hand-massage', heed: ['eye-pressure'], serves: ['eye-strain', 'stress'], cue: 'Clean fingers, little or no make-up.',
  }),
  technique('brow-thumb-knuckle-circles', 'Thumb-knuckle circles point by point on the brow', 'release', {
    regions: ['brow', 'temple'], muscles: ['corrugator-supercilii', 'orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral', 'frontalis'], contacts: ['thumb-knuckle'], motion: 'circle', direction: 'inner brow to tail, small circles each way', press: ['light', 'light', 'medium'], sides: 'each', parts: [beats(10, 30, 'circles', { directions: 2 })], spots: 3, glide: 'product',
    school: 'fascia-release', heed: ['skin-drag'], serves: ['eye-strain'], cue: 'Other hand steadies forehead and scalp.',
  }),
  technique('brow-knuckle-trace', 'Bent finger joints traced along the brows', 'release', {
    regions: ['brow', 'temple'], muscles: ['corrugator-supercilii', 'orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral'], contacts: ['knuckles'], motion: 'glide', direction: 'inner brow to temple', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'shiatsu-press', serves: ['eye-strain', 'headache', 'stress'], cue: 'Index and middle finger bent.',
  }),
  technique('brow-index-scrape-apart', 'Two index fingers scraped apart on the brow', 'release', {
    regions: ['brow'], muscles: ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral', 'corrugator-supercilii'], contacts: ['index-finger'], motion: 'shear', direction: 'fingers meet, then part along the brow', press: ['light', 'light', 'medium'], sides: 'each',
    parts: [open('it softens', 30, 15, 90)], school: 'fascia-release', serves: ['eye-strain'], cue: 'Fingers meet, then part along the brow.',
  }),
  technique('inner-eye-to-under-eye-massage', 'Massage from the inner eye corner along below the eye', 'release', {
    regions: ['nose', 'under-eye'], muscles: ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral'], points: ['BL1'], contacts: ['fingertips'], motion: 'glide', direction: 'inner corner, then outward below the eye', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'tapping-qigong', serves: ['eye-strain'], cue: 'Inner corner, then outward below the eye.',
  }),
  technique('under-eye-nose-massage', 'Two-finger massage between eye and nose', 'release', {
    regions: ['under-eye', 'nose', 'cheek'], muscles: ['levator-labii-superioris', 'nasalis'], contacts: ['two-fingers'], motion: 'circle', direction: 'on the spot', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'hand-massage', serves: ['other'], cue: 'Stay on the spot.',
  }),
  technique('under-eye-anchor-pull-down', 'One finger anchors, the other draws down below the eye', 'release', {
    regions: ['under-eye', 'cheek'], muscles: ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral'], contacts: ['index-finger'], motion: 'shear', direction: 'down from a fixed finger', press: ['light', 'light', 'light'], sides: 'each', parts: [beats(10, 12, 'strokes')],
    school: 'fascia-release', heed: ['thin-skin-under-eye'], serves: ['eye-strain'], cue: 'Down from a fixed finger.',
  }),
  technique('under-eye-index-spread', 'Two fingers meet and part on the lower socket bone', 'release', {
    regions: ['under-eye'], muscles: ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral'], contacts: ['index-finger'], motion: 'stretch', direction: 'fingers together, then lightly apart, ending with a washing sweep', press: ['light', 'light', 'light'], sides: 'each', parts: [beats(10, 6, 'stretches')],
    school: 'fascia-release', heed: ['thin-skin-under-eye'], serves: ['eye-strain'], cue: 'Fingers together, then lightly apart, ending with a washing sweep.',
  }),
  technique('crows-feet-upward-shear', 'Short upward strokes at the outer eye corner', 'release', {
    regions: ['temple', 'under-eye', 'upper-lid'], muscles: ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral'], contacts: ['fingertips'], motion: 'shear', direction: 'lower lid corner up to the upper lid corner', press: ['light', 'light', 'medium'], sides: 'each', parts: [beats(10, 12, 'strokes')], glide: 'product',
    school: 'fascia-release', heed: ['eye-pressure'], serves: ['eye-strain'], cue: 'Other hand covers and shields the eye.',
  }),
  technique('eye-area-tapping', 'Tap around the eyes', 'release', {
    regions: ['under-eye', 'temple', 'brow'], muscles: ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral'], contacts: ['fingertips'], motion: 'tap', direction: 'cheekbone to temple, then above the brows', press: ['feather', 'light', 'light'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    words: ['jaw-mobilisation'], school: 'tapping-qigong', serves: ['eye-strain', 'stress'], cue: 'Gaze loose, jaw slightly open.',
  }),
  technique('temporalis-fingertip-circles', 'Fingertip circles and presses over the side of the head', 'release', {
    regions: ['temple', 'scalp'], muscles: ['temporalis-anterior', 'temporalis-middle', 'temporalis-posterior'], contacts: ['fingertips'], motion: 'circle', direction: 'temple back above the ear', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'hand-massage', serves: ['headache', 'jaw'], cue: 'Temple back above the ear.',
  }),
  technique('temporalis-zigzag', 'Zigzag presses above the ear', 'release', {
    regions: ['temple', 'scalp', 'ear'], muscles: ['temporalis-anterior', 'temporalis-middle', 'temporalis-posterior'], contacts: ['fingertips'], motion: 'rub', direction: 'zigzag above the ear', press: ['light', 'light', 'medium'], sides: 'each',
    parts: [open('it softens', 30, 15, 90)], school: 'shiatsu-press', serves: ['other'], cue: 'Zigzag above the ear.',
  }),
  technique('temple-knuckle-back-forth', 'Knuckles back and forth over the temple', 'release', {
    regions: ['temple'], muscles: ['temporalis-anterior', 'temporalis-middle', 'temporalis-posterior'], contacts: ['knuckles'], motion: 'shear', direction: 'forward and back', press: ['light', 'light', 'medium'], sides: 'each', parts: [beats(20, 12, 'strokes', { directions: 2 })],
    glide: 'product', school: 'fascia-release', serves: ['jaw', 'headache'], cue: 'Other hand holds hairline or scalp back.',
  }),
  technique('temple-knuckle-up-down', 'Knuckles up and down from jaw to forehead', 'release', {
    regions: ['temple', 'cheek', 'forehead'], muscles: ['temporalis-anterior', 'temporalis-middle', 'temporalis-posterior', 'masseter-superficial', 'masseter-deep'], contacts: ['knuckles'], motion: 'shear', direction: 'almost from jaw up to forehead and back, hand slightly slanted', press: ['light', 'light', 'medium'], sides: 'each', parts: [beats(20, 12, 'strokes', { directions: 2 })],
    glide: 'product', school: 'fascia-release', serves: ['jaw', 'headache'], cue: 'Other hand holds hairline or scalp back.',
  }),
  technique('temple-hairline-knuckle-circles', 'Pinned knuckle circles at the temple hairline', 'release', {
    regions: ['temple', 'scalp'], muscles: ['temporalis-anterior', 'temporalis-middle', 'temporalis-posterior'], contacts: ['knuckles'], motion: 'circle', direction: 'on the spot', press: ['light', 'light', 'medium'], sides: 'together', parts: [beats(20, 30, 'circles')],
    glide: 'product', school: 'fascia-release', serves: ['jaw', 'headache'], cue: 'Stay on the spot.',
  }),
  technique('temple-firm-massage', 'Firm careful massage of the temples', 'release', {
    regions: ['temple'], muscles: ['temporalis-anterior', 'temporalis-middle', 'temporalis-posterior'], contacts: ['knuckles'], motion: 'circle', direction: 'on the spot', press: ['firm', 'firm', 'firm'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    school: 'shiatsu-press', heed: ['stop-rule'], serves: ['other'], cue: 'Contact surface not stated, knuckles assumed.',
  }),
  technique('above-ear-palm-heel-massage', 'Palm heels above the ears down to the jaw', 'release', {
    regions: ['temple', 'scalp', 'ear', 'jaw'], muscles: ['temporalis-anterior', 'temporalis-middle', 'temporalis-posterior', 'masseter-superficial', 'masseter-deep'], contacts: ['palm-heel'], motion: 'circle', direction: 'above the ear, along and down to the jaw', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'hand-massage', serves: ['jaw', 'headache'], cue: 'Deep breaths, in by the nose, out by the mouth.',
  }),
  technique('around-ear-circles', 'Circles above and down around the ear', 'release', {
    regions: ['ear', 'temple', 'jaw'], muscles: ['temporalis-anterior', 'temporalis-middle', 'temporalis-posterior'], contacts: ['fingertips'], motion: 'circle', direction: 'above the ear, then down', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'hand-massage', serves: ['jaw'], cue: 'Above the ear, then down.',
  }),
  technique('ear-front-upstroke', 'Hands around the ears, stroking up', 'release', {
    regions: ['ear', 'temple', 'scalp'], muscles: ['temporalis-anterior', 'temporalis-middle', 'temporalis-posterior'], contacts: ['whole-hand'], motion: 'shear', direction: 'in front of and around the ear upward to the side of the head', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [beats(10, 12, 'strokes')], school: 'fascia-release', serves: ['eye-strain'], cue: 'In front of and around the ear upward to the side of the head.',
  }),
  technique('scalp-shake', 'Gentle shaking of the scalp', 'release', {
    regions: ['scalp'], muscles: ['epicranial-aponeurosis'], contacts: ['fingertips'], motion: 'shear', direction: 'small shakes', press: ['light', 'light', 'light'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'shiatsu-press', serves: ['stress'], cue: 'Small shakes.',
  }),
  technique('scalp-gather', 'Gather the scalp between the fingers', 'release', {
    regions: ['scalp'], muscles: ['epicranial-aponeurosis'], contacts: ['fingertips'], motion: 'pinch', direction: 'fingers drawn toward each other', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'shiatsu-press', serves: ['stress'], cue: 'Fingers drawn toward each other.',
  }),
  technique('crown-massage', 'Massage the top of the head', 'release', {
    regions: ['scalp'], muscles: ['epicranial-aponeurosis'], contacts: ['fingertips'], motion: 'circle', direction: 'on the spot', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'shiatsu-press', serves: ['stress'], cue: 'Stay on the spot.',
  }),
  technique('hair-grip-pull', 'Grip the hair at the roots and pull or twist', 'release', {
    regions: ['scalp'], muscles: ['epicranial-aponeurosis'], contacts: ['whole-hand'], motion: 'traction', direction: 'away from the skull, small twists, all over the head', press: ['light', 'light', 'light'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    glide: 'dry', school: 'hand-massage', serves: ['stress'], cue: 'Away from the skull, small twists, all over the head.',
  }),
  technique('hairline-pinch', 'Gentle pinches along the hairline', 'release', {
    regions: ['forehead', 'scalp'], muscles: ['frontalis', 'epicranial-aponeurosis'], contacts: ['pinch'], motion: 'pinch', direction: 'along the hairline', press: ['light', 'light', 'light'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'shiatsu-press', serves: ['other'], cue: 'Along the hairline.',
  }),
];

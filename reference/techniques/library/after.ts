import { beats, breaths, hold, open, technique } from '../define.ts';

/** Exercise, closing drainage, settling. */
export const AFTER = [
  technique('five-closing-breaths', 'Five closing breaths', 'settle', {
    regions: ['body'], contacts: ['none'], motion: 'breathe', direction: 'on the spot', sides: 'midline',
    parts: [breaths(5, 4, 6)], school: 'breathwork', serves: ['stress', 'jaw'], cue: 'Seated, hands in the lap, shoulders loose.',
  }),
  technique('arm-circle-breath', 'Arms up and down with the breath', 'settle', {
    regions: ['arm', 'body'], contacts: ['none'], motion: 'breathe', direction: 'wide circle up on the inhale, down the front on the exhale', sides: 'together',
    parts: [breaths(3, 4, 6)], school: 'breathwork', serves: ['stress'], cue: 'Wide circle up on the inhale, down the front on the exhale.',
  }),
  technique('heart-palms-rest', 'Palms resting on the chest', 'settle', {
    regions: ['chest'], contacts: ['palm'], motion: 'hold', direction: 'on the spot', press: ['light', 'light', 'medium'], sides: 'midline',
    parts: [open('it softens', 30, 15, 90)], school: 'breathwork', serves: ['stress', 'eye-strain'], cue: 'Eyes closed.',
  }),
  technique('body-down-sweep', 'Sweep down the body to the floor', 'settle', {
    regions: ['body'], contacts: ['whole-hand'], motion: 'sweep', direction: 'back, hips, legs, then to the ground', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'tapping-qigong', serves: ['stress'], cue: 'Back, hips, legs, then to the ground.',
  }),
  technique('post-exercise-massage', 'Ease the muscles just used', 'settle', {
    regions: ['whole-face'], contacts: ['fingertips'], motion: 'circle', direction: 'on the spot', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'hand-massage', serves: ['stress'], cue: 'Stay on the spot.',
  }),
  technique('hair-finger-comb', 'Comb the hair with the hands', 'settle', {
    regions: ['scalp'], contacts: ['fingertips'], motion: 'glide', direction: 'through the hair', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'hand-massage', serves: ['stress'], cue: 'Through the hair.',
  }),
  technique('ear-v-to-collarbone', 'V fingers from ears to collarbones', 'close-drainage', {
    regions: ['ear', 'neck-side'], contacts: ['v-fingers'], motion: 'glide', direction: 'both sides of the ears, down the neck to collarbone', press: ['feather', 'light', 'light'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'lymph-drainage', serves: ['puffiness', 'stress'], cue: 'Both sides of the ears, down the neck to collarbone.',
  }),
  technique('nape-to-collarbone-sweep', 'Over the ears to the nape, then to the collarbones', 'close-drainage', {
    regions: ['ear', 'neck-back', 'neck-side'], contacts: ['fingertips'], motion: 'sweep', direction: 'above the ear, round to the nape until the fingers meet, then down the neck side to collarbone', press: ['feather', 'light', 'light'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'lymph-drainage', serves: ['puffiness', 'jaw'], cue: 'Above the ear, round to the nape until the fingers meet, then down the neck side to collarbone.',
  }),
  technique('mid-face-to-temple-drain', 'Light drain from nose and eyes to temples', 'close-drainage', {
    regions: ['under-eye', 'nose', 'glabella', 'temple'], contacts: ['fingertips'], motion: 'glide', direction: 'below the eyes, over the nose and between the brows out to the temples', press: ['feather', 'feather', 'feather'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    glide: 'product', school: 'lymph-drainage', serves: ['puffiness'], cue: 'Below the eyes, over the nose and between the brows out to the temples.',
  }),
  technique('nose-ear-neck-loop', 'Loop over nose, ears, cheeks and neck', 'close-drainage', {
    regions: ['nose', 'cheek', 'ear', 'neck-side'], contacts: ['whole-hand'], motion: 'glide', direction: 'centre over the nose to the ears, down cheeks and neck, back up to the eyes, hold the cheeks, down again', press: ['light', 'light', 'light'], sides: 'together', parts: [beats(3, 10, 'strokes')], glide: 'product',
    school: 'lymph-drainage', heed: ['skin-drag'], serves: ['puffiness'], cue: 'Centre over the nose to the ears, down cheeks and neck, back up to the eyes, hold the cheeks, down again.',
  }),
  technique('glove-node-to-collarbone-drain', 'Glove drain from ear and jaw to collarbone', 'close-drainage', {
    regions: ['ear', 'jaw', 'neck-side'], contacts: ['conductive-gloves'], motion: 'glide', direction: 'one hand fixed below the ear, the other down to the collarbone; then out along the jaw and down', press: ['feather', 'light', 'light'], sides: 'each', parts: [open('it softens', 30, 15, 90)], words: ['microcurrent'], tool: 'microcurrent-device',
    glide: 'product', school: 'microcurrent-glide', serves: ['puffiness'], cue: 'One hand fixed below the ear, the other down to the collarbone; then out along the jaw and down.',
  }),
  technique('glove-jaw-node-pump', 'Glove pumps along the jaw', 'close-drainage', {
    regions: ['jaw', 'under-chin'], contacts: ['conductive-gloves'], motion: 'pump', direction: 'press and ease off, moving along the jaw', press: ['light', 'light', 'light'], sides: 'each', parts: [open('it softens', 30, 15, 90)], words: ['microcurrent'], tool: 'microcurrent-device',
    glide: 'product', school: 'microcurrent-glide', serves: ['puffiness'], cue: 'Press and ease off, moving along the jaw.',
  }),
  technique('glove-ear-v-pump', 'Glove V pumps around the ear', 'close-drainage', {
    regions: ['ear', 'neck-side'], contacts: ['conductive-gloves'], motion: 'pump', direction: 'small circling pumps in front of and behind the ear, then down the neck', press: ['light', 'light', 'light'], sides: 'each', parts: [open('it softens', 30, 15, 90)], words: ['microcurrent'], tool: 'microcurrent-device',
    glide: 'product', school: 'microcurrent-glide', serves: ['puffiness'], cue: 'Small circling pumps in front of and behind the ear, then down the neck.',
  }),
  technique('glove-upper-face-drain', 'Glove drain from eye and forehead', 'close-drainage', {
    regions: ['under-eye', 'forehead', 'temple', 'neck-side'], contacts: ['conductive-gloves'], motion: 'glide', direction: 'below the eye outward and down; forehead across and down', press: ['feather', 'feather', 'feather'], sides: 'each', parts: [open('it softens', 30, 15, 90)], words: ['microcurrent'], tool: 'microcurrent-device',
    glide: 'product', school: 'microcurrent-glide', serves: ['puffiness'], cue: 'Below the eye outward and down; forehead across and down.',
  }),
  technique('ball-skull-base-rock', 'Larger ball below the skull, gentle rocking', 'settle', {
    regions: ['neck-back', 'body'], muscles: ['suboccipitals'], contacts: ['single-ball'], motion: 'rock', direction: 'small nodding swing set off by the body', press: ['light', 'light', 'light'], sides: 'midline', parts: [open('it softens', 30, 15, 90)],
    tool: 'ball', school: 'ball-release', serves: ['stress', 'neck-tension'], cue: 'Head resting on the ball.',
  }),
  technique('dry-face-wash', 'Palms up the face, combing back over the head', 'settle', {
    regions: ['whole-face', 'scalp', 'under-chin'], contacts: ['palm'], motion: 'sweep', direction: 'chin up over the face to the crown, back over the head, forward below the chin', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [beats(7, 12, 'sweeps')], school: 'tapping-qigong', serves: ['stress'], cue: 'Eyes closed, opened for the seventh pass.',
  }),
  technique('ear-front-back-brush', 'Brush up in front of and behind the ears, then shake off', 'settle', {
    regions: ['ear', 'hand'], contacts: ['fingertips'], motion: 'sweep', direction: 'upward in front of and behind the ear, then shake the hands', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'tapping-qigong', serves: ['stress'], cue: 'Upward in front of and behind the ear, then shake the hands.',
  }),
  technique('brow-lift-eye-squeeze', 'Forehead held up by the hand, eyes squeezed shut', 'exercise', {
    regions: ['forehead', 'brow', 'glabella', 'upper-lid'], muscles: ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral', 'procerus', 'corrugator-supercilii', 'frontalis'], contacts: ['palm'], motion: 'resist', direction: 'hand presses in and up, eyelids pull in and down', press: ['light', 'light', 'medium'], sides: 'midline', parts: [beats(6, 6, 'holds')],
    swapHands: true, school: 'resisted-exercise', serves: ['stress', 'eye-strain'], cue: 'Other hand behind the skull, long spine, tongue on the palate, lower face loose.',
  }),
  technique('temple-heel-eye-squeeze', 'Palm heels on the temples, eyes squeezed in waves', 'exercise', {
    regions: ['temple', 'brow', 'upper-lid'], muscles: ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral'], contacts: ['palm-heel'], motion: 'resist', direction: 'heels press back and up, eyelids squeeze from gentle to firm', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [beats(1, 6, 'holds')], school: 'resisted-exercise', serves: ['eye-strain'], cue: 'Gaze down, forehead and jaw loose, in by the nose, out by the mouth.',
  }),
  technique('lip-ring-tongue-press', 'Pouted lips in a finger ring, tongue lifting to the palate', 'exercise', {
    regions: ['lips', 'under-chin', 'neck-front', 'jaw'], muscles: ['orbicularis-oris', 'platysma'], contacts: ['l-fingers'], motion: 'resist', direction: 'lips out into the ring, face up chin first, tongue slowly up and down twice as if swallowing', press: ['light', 'light', 'medium'], sides: 'midline', parts: [beats(6, 6, 'holds')],
    swapHands: true, school: 'resisted-exercise', serves: ['jaw'], cue: 'Thumb and index in a ring round the lips, other hand at the collarbone.',
  }),
  technique('wide-eyes-calm-forehead', 'Open the eyes wide with a still forehead', 'exercise', {
    regions: ['upper-lid', 'forehead'], muscles: ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral', 'frontalis'], contacts: ['fingertips'], motion: 'contract', direction: 'lids open, brows stay', press: ['feather', 'light', 'light'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    glide: 'product', school: 'resisted-exercise', serves: ['headache', 'stress'], cue: 'Fingers stroke the forehead meanwhile; keep blinking.',
  }),
  technique('tongue-palate-forehead-lift', 'Tongue firm on the palate, forehead raised, neck massaged', 'exercise', {
    regions: ['under-chin', 'neck-front', 'neck-side'], muscles: ['platysma'], contacts: ['whole-hand'], motion: 'contract', direction: 'forehead up to one side, up to the other, then straight up with mouth corners lifted', press: ['feather', 'light', 'light'], sides: 'each', parts: [open('it softens', 30, 15, 90)], spots: 3, glide: 'product',
    school: 'resisted-exercise', heed: ['thyroid'], serves: ['neck-tension', 'stress'], cue: 'Long neck, jaw and chin loose, nose breathing; one hand strokes the stretched neck.',
  }),
  technique('vowel-thumbs-cheeks', 'Wide vowels with thumbs in the cheeks', 'exercise', {
    regions: ['cheek', 'lips', 'jaw'], muscles: ['buccinator', 'orbicularis-oris'], contacts: ['thumb'], motion: 'resist', direction: 'ah, ee, oh in turn', press: ['light', 'light', 'light'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    sets: 2, school: 'resisted-exercise', serves: ['other'], cue: 'Ah, ee, oh in turn.',
  }),
  technique('vowel-head-side-pull', 'Vowels with the head drawn to the side', 'exercise', {
    regions: ['cheek', 'lips', 'neck-side'], muscles: ['scm-sternal', 'scm-clavicular', 'orbicularis-oris'], contacts: ['whole-hand'], motion: 'stretch', direction: 'side of the head drawn over; ah, ee, large oh, then a last round vowel', press: ['light', 'light', 'light'], sides: 'each', parts: [open('it softens', 30, 15, 90)],
    sets: 2, school: 'resisted-exercise', serves: ['neck-tension'], cue: 'Side of the head drawn over; ah, ee, large oh, then a last round vowel.',
  }),
  technique('vowel-chest-head-back', 'Vowels with hands on the chest and head back', 'exercise', {
    regions: ['neck-front', 'chest', 'lips'], muscles: ['platysma'], contacts: ['whole-hand'], motion: 'stretch', direction: 'head back; ah, ee, oh, then a last round vowel', press: ['light', 'light', 'light'], sides: 'midline',
    parts: [beats(1, 6, 'stretches')], school: 'resisted-exercise', serves: ['neck-tension'], cue: 'Hands hold the chest.',
  }),
  technique('glabella-open-squint', 'Squint with the brows held apart', 'exercise', {
    regions: ['glabella', 'brow', 'forehead'], muscles: ['corrugator-supercilii', 'procerus', 'orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral'], contacts: ['index-finger'], motion: 'resist', direction: 'fingers open the space between the brows, brows try to meet', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [hold(30)], school: 'resisted-exercise', serves: ['eye-strain'], cue: 'Thumbs beside the nose keep the tissue still, shoulders down; close the eyes to finish.',
  }),
  technique('eye-corner-v-squint', 'Squint against V fingers at the eye corners', 'exercise', {
    regions: ['temple', 'under-eye', 'upper-lid'], muscles: ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral'], contacts: ['v-fingers'], motion: 'resist', direction: 'fingers lightly open and draw back, lids squeeze', press: ['light', 'light', 'light'], sides: 'together',
    parts: [hold(10), beats(10, 6, 'holds')], school: 'resisted-exercise', serves: ['eye-strain'], cue: 'Forehead still.',
  }),
  technique('lips-wrapped-look-up-smile', 'Lips over the teeth, wide eyes up, smile', 'exercise', {
    regions: ['cheek', 'under-eye', 'lips'], muscles: ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral', 'zygomaticus-major'], contacts: ['fingertips'], motion: 'resist', direction: 'gaze up, mouth corners up', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [hold(10), beats(10, 6, 'holds')], school: 'resisted-exercise', serves: ['eye-strain'], cue: 'Hands at the outer edge of the eyes, lips wrapped over the teeth.',
  }),
  technique('under-eye-o-smile', 'O mouth and smile with fingers on the smile lines', 'exercise', {
    regions: ['cheek', 'under-eye', 'upper-lip'], muscles: ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral', 'zygomaticus-major', 'zygomaticus-minor'], contacts: ['ring-finger'], motion: 'resist', direction: 'ring fingers press the smile lines, index fingers ease the face sides up, mouth corners up', press: ['firm', 'firm', 'firm'], sides: 'together', parts: [open('it softens', 30, 15, 90)], sets: 2,
    glide: 'product', school: 'resisted-exercise', serves: ['puffiness'], cue: 'Mouth in an O, lips wrapped over the teeth.',
  }),
  technique('slanted-jaw-eye-lift-smile', 'Hand along the jaw, other hand lifts both eyes, smile and look up', 'exercise', {
    regions: ['jaw', 'cheek', 'upper-lid', 'forehead'], muscles: ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral', 'zygomaticus-major', 'platysma'], contacts: ['whole-hand'], motion: 'resist', direction: 'jaw hand 45 degrees toward the ear, gaze to the upper corner on that side', press: ['light', 'light', 'medium'], sides: 'each', parts: [hold(10)], sets: 2,
    swapHands: true, school: 'resisted-exercise', serves: ['eye-strain'], cue: 'Palm lifts one brow, fingers of the same hand the other.',
  }),
  technique('cheek-puff-tap', 'Puffed cheeks tapped', 'exercise', {
    regions: ['cheek', 'upper-lip'], muscles: ['buccinator', 'orbicularis-oris'], contacts: ['fingertips'], motion: 'tap', direction: 'all over one cheek, then the other', press: ['light', 'light', 'light'], sides: 'each', parts: [hold(60)],
    swapHands: true, school: 'resisted-exercise', serves: ['other'], cue: 'Cheeks full of air, nose breathing, other hand smooths the mouth lines.',
  }),
  technique('lips-tucked-corner-lift', 'Lips tucked in, mouth corners lifted', 'exercise', {
    regions: ['cheek', 'lips', 'under-eye'], muscles: ['zygomaticus-major', 'orbicularis-oris'], contacts: ['fingertips'], motion: 'contract', direction: 'mouth corners up', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [hold(10), beats(3, 6, 'holds')], school: 'resisted-exercise', serves: ['other'], cue: 'Lips drawn in over the teeth, fingers may smooth the lines, space between the brows loose.',
  }),
  technique('head-back-tongue-tap', 'Head back, tongue tip up and down', 'exercise', {
    regions: ['under-chin', 'neck-front'], contacts: ['tongue'], motion: 'contract', direction: 'tongue tip to the palate and down', sides: 'midline', parts: [hold(60)], words: ['intraoral'],
    school: 'resisted-exercise', heed: ['neck-injury'], serves: ['other'], cue: 'Head tilted back only as far as is easy, lips closed, nose breathing.',
  }),
  technique('brow-raise-against-hand', 'Raise the brows into a firm hand', 'exercise', {
    regions: ['forehead', 'brow'], muscles: ['frontalis'], contacts: ['whole-hand'], motion: 'resist', direction: 'brows up into the hand', press: ['firm', 'firm', 'firm'], sides: 'midline', parts: [open('it softens', 30, 15, 90)], sets: 2,
    glide: 'product', school: 'resisted-exercise', serves: ['other'], cue: 'Whole hand spread over the forehead.',
  }),
  technique('brow-up-lash-down', 'Brows up into the hand, closed lids reach down', 'exercise', {
    regions: ['upper-lid', 'brow', 'forehead'], muscles: ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral', 'frontalis'], contacts: ['whole-hand'], motion: 'resist', direction: 'brows up, lashes down', press: ['light', 'light', 'medium'], sides: 'midline', parts: [open('it softens', 30, 15, 90)], sets: 2, swapHands: true,
    glide: 'product', school: 'resisted-exercise', serves: ['eye-strain'], cue: 'Other hand than in the set before, eyes closed.',
  }),
  technique('nose-side-push-o-mouth', 'Push the nose to the middle with an O mouth', 'exercise', {
    regions: ['nose', 'lips', 'jaw'], muscles: ['nasalis', 'orbicularis-oris'], contacts: ['index-finger'], motion: 'resist', direction: 'flat side of the index finger toward the midline', press: ['light', 'light', 'medium'], sides: 'each',
    parts: [hold(10)], school: 'resisted-exercise', serves: ['other'], cue: 'Seated tall, jaw dropped, mouth in an O; other hand may steady the forehead.',
  }),
  technique('nose-lift-o-mouth', 'Forehead and nose held up with an O mouth', 'exercise', {
    regions: ['nose', 'forehead', 'lips'], muscles: ['procerus', 'nasalis', 'orbicularis-oris'], contacts: ['index-finger'], motion: 'resist', direction: 'middle and ring fingers lift the forehead slightly, index finger on the nose top, jaw drops', press: ['light', 'light', 'medium'], sides: 'midline',
    parts: [hold(10)], school: 'resisted-exercise', serves: ['other'], cue: 'Head level.',
  }),
];

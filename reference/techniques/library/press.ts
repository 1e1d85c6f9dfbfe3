import { hold, open, technique } from '../define.ts';

/** Presses, holds and stretches. */
export const PRESS = [
  technique('glove-pectoral-spread', 'Glove spread across the chest muscle', 'stretch', {
    regions: ['chest', 'shoulder'], muscles: ['pectoralis-major'], contacts: ['conductive-gloves'], motion: 'glide', direction: 'one hand fixed at the breastbone, the other out toward the armpit', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)], words: ['microcurrent'], tool: 'microcurrent-device',
    glide: 'product', school: 'microcurrent-glide', serves: ['neck-tension'], cue: 'One hand fixed at the breastbone, the other out toward the armpit.',
  }),
  technique('ball-masseter-traction', 'Two balls holding a stretch toward the ears', 'stretch', {
    regions: ['jaw', 'cheek'], muscles: ['masseter-superficial', 'masseter-deep'], contacts: ['ball-pair'], motion: 'traction', direction: 'toward the ear and jaw joint', press: ['light', 'medium', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)], tool: 'ball',
    school: 'ball-release', heed: ['stop-rule'], serves: ['jaw'], cue: 'Jaw still, tongue resting on the palate, nose breathing.',
  }),
  technique('ball-nose-side-traction', 'Two balls drawn apart beside the nose', 'stretch', {
    regions: ['nose', 'cheek', 'upper-lip'], muscles: ['llsan', 'levator-labii-superioris'], contacts: ['ball-pair'], motion: 'traction', direction: 'nose outward', press: ['medium', 'medium', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    tool: 'ball', school: 'ball-release', serves: ['jaw'], cue: 'Face sinks forward into the balls.',
  }),
  technique('inner-brow-thumb-head-drop', 'Thumbs below the inner brows, head rests on them', 'press', {
    regions: ['brow', 'upper-lid'], muscles: ['corrugator-supercilii', 'orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral'], points: ['BL2'], contacts: ['thumb'], motion: 'hold', direction: 'upward against the bone by the weight of the head', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    glide: 'dry', school: 'point-holding', serves: ['puffiness'], cue: 'Head hangs forward onto the thumbs.',
  }),
  technique('mid-brow-pinch-head-drop', 'Pinch at mid-brow, head rests on it', 'press', {
    regions: ['brow'], muscles: ['frontalis', 'orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral'], points: ['EX-HN4'], contacts: ['pinch'], motion: 'hold', direction: 'brow held between thumb and index while the head hangs', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    glide: 'dry', school: 'point-holding', serves: ['puffiness'], cue: 'Head hangs forward.',
  }),
  technique('brow-tail-head-drop', 'Index fingers at the brow ends, head rests on them', 'press', {
    regions: ['brow', 'temple'], muscles: ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral'], points: ['TE23'], contacts: ['index-finger'], motion: 'hold', direction: 'inward by the weight of the head', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    glide: 'dry', school: 'point-holding', serves: ['puffiness'], cue: 'Head hangs forward.',
  }),
  technique('inner-eye-head-drop', 'Fingers beside the inner eye corners, head rests on them', 'press', {
    regions: ['nose', 'under-eye'], muscles: ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral', 'procerus'], points: ['BL1'], contacts: ['index-finger'], motion: 'hold', direction: 'toward the nose bone by the weight of the head', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    glide: 'dry', school: 'point-holding', serves: ['puffiness'], cue: 'Head hangs forward.',
  }),
  technique('inner-eye-knuckle-hold', 'Index knuckles at the inner eye corners', 'press', {
    regions: ['nose'], muscles: ['procerus', 'orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral'], points: ['BL1'], contacts: ['index-knuckle'], motion: 'hold', direction: 'inward to the top of the nose bone', press: ['firm', 'firm', 'firm'], sides: 'together',
    parts: [hold(10)], school: 'point-holding', serves: ['other'], cue: 'Shoulders loose, nose breathing.',
  }),
  technique('nose-bone-edge-knuckle-hold', 'Knuckles at the lower edge of the nose bone', 'press', {
    regions: ['nose'], muscles: ['nasalis'], points: ['EX-HN8'], contacts: ['knuckles'], motion: 'hold', direction: 'inward where bone gives way to cartilage, angle may change', press: ['firm', 'firm', 'firm'], sides: 'together',
    parts: [hold(10)], school: 'point-holding', serves: ['other'], cue: 'Forehead loose, nose breathing.',
  }),
  technique('upper-orbit-thumb-knuckle-hold', 'Thumb knuckles along the upper socket rim', 'press', {
    regions: ['upper-lid', 'brow'], muscles: ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral'], contacts: ['thumb-knuckle'], motion: 'hold', direction: 'up against the bone, inner to outer', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)], spots: 4,
    glide: 'product', school: 'point-holding', serves: ['eye-strain'], cue: 'Steady breathing.',
  }),
  technique('cheekbone-knuckle-head-drop', 'Knuckles below the cheekbones, head rests on them', 'press', {
    regions: ['cheek'], muscles: ['zygomaticus-major', 'masseter-superficial', 'masseter-deep'], contacts: ['knuckles'], motion: 'hold', direction: 'upward below the cheekbone by the weight of the head', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)], sets: 2,
    glide: 'dry', school: 'point-holding', serves: ['puffiness'], cue: 'Fists, head hangs forward.',
  }),
  technique('under-eye-inward-press', 'Gentle inward press below the eyes', 'press', {
    regions: ['under-eye'], muscles: ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral'], contacts: ['fingertips'], motion: 'hold', direction: 'straight in against the bone', press: ['feather', 'light', 'light'], sides: 'together', parts: [open('it softens', 30, 15, 90)], glide: 'product',
    school: 'point-holding', heed: ['skin-drag'], serves: ['puffiness', 'stress'], cue: 'Straight in against the bone.',
  }),
  technique('below-ear-thumb-rub', 'Thumb tips up and down below the ears', 'press', {
    regions: ['ear', 'jaw'], points: ['TE17'], contacts: ['thumb'], motion: 'rub', direction: 'up and down in the hollow', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    school: 'shiatsu-press', heed: ['stop-rule'], serves: ['puffiness'], cue: 'Up and down in the hollow.',
  }),
  technique('below-ear-knuckle-press', 'Index knuckles pressing below the ears', 'press', {
    regions: ['ear', 'jaw'], points: ['TE17'], contacts: ['index-knuckle'], motion: 'press-pulse', direction: 'straight in, repeated', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    school: 'shiatsu-press', heed: ['stop-rule'], serves: ['puffiness', 'jaw'], cue: 'Straight in, repeated.',
  }),
  technique('nape-groove-press', 'Press the groove where skull meets spine', 'press', {
    regions: ['neck-back'], muscles: ['suboccipitals'], points: ['GV16'], contacts: ['fingertips'], motion: 'press-pulse', direction: 'inward and up', press: ['light', 'light', 'light'], sides: 'midline',
    parts: [open('it softens', 30, 15, 90)], school: 'point-holding', serves: ['headache'], cue: 'Eyes closed, steady breathing.',
  }),
  technique('palm-center-massage', 'Massage the centre of the palm', 'press', {
    regions: ['hand'], points: ['PC8'], contacts: ['thumb'], motion: 'circle', direction: 'on the spot', press: ['light', 'light', 'medium'], sides: 'each',
    parts: [open('it softens', 30, 15, 90)], school: 'point-holding', serves: ['stress'], cue: 'Stay on the spot.',
  }),
  technique('finger-back-stretch', 'Stretch each finger backward', 'stretch', {
    regions: ['hand'], contacts: ['whole-hand'], motion: 'stretch', direction: 'finger drawn back from the palm', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)],
    spots: 5, school: 'tapping-qigong', serves: ['stress'], cue: 'Finger drawn back from the palm.',
  }),
  technique('collarbone-point-hold', 'Hold the points above and below the collarbone', 'press', {
    regions: ['chest', 'neck-side'], points: ['ST12', 'ST13'], contacts: ['l-fingers'], motion: 'hold', direction: 'index finger above, thumb below the mid-collarbone', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'point-holding', serves: ['other'], cue: 'Index finger above, thumb below the mid-collarbone.',
  }),
  technique('orbit-knuckle-fixed-head-turn', 'Knuckle fixed on the socket rim, head rotates', 'press', {
    regions: ['brow', 'upper-lid', 'temple'], muscles: ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral', 'corrugator-supercilii'], contacts: ['knuckles'], motion: 'rock', direction: 'head turns slowly, fist stays still', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)],
    school: 'shiatsu-press', heed: ['stop-rule'], serves: ['eye-strain'], cue: 'Elbow on a table, slow breathing; exact spot on the rim not stated.',
  }),
  technique('occiput-interlaced-lift', 'Interlaced fingers behind the head, lifted', 'stretch', {
    regions: ['scalp', 'neck-back'], muscles: ['occipitalis', 'suboccipitals'], contacts: ['whole-hand'], motion: 'shear', direction: 'up toward the crown, scalp carried with the fingers', press: ['light', 'light', 'medium'], sides: 'midline',
    parts: [open('it softens', 30, 15, 90)], school: 'fascia-release', serves: ['eye-strain', 'headache'], cue: 'Chin slightly down, crown toward the ceiling.',
  }),
  technique('earlobe-pull', 'Stretch the earlobes down', 'stretch', {
    regions: ['ear'], contacts: ['pinch'], motion: 'traction', direction: 'down', press: ['light', 'light', 'light'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'hand-massage', serves: ['jaw', 'stress'], cue: 'Straight down, both lobes.',
  }),
  technique('masseter-index-pin-stretch', 'Index fingers pin the jaw muscle, mouth opens wide', 'stretch', {
    regions: ['jaw', 'cheek'], muscles: ['masseter-superficial', 'masseter-deep'], contacts: ['index-finger'], motion: 'stretch', direction: 'fingers fixed, jaw down', press: ['light', 'light', 'medium'], sides: 'together', parts: [hold(20)],
    glide: 'product', school: 'fascia-release', serves: ['jaw'], cue: 'Tongue on the palate, then mouth as wide as is easy, nose breathing; close gently.',
  }),
  technique('jawbone-thumb-outward-press', 'Thumbs press the jaw bone outward', 'press', {
    regions: ['jaw', 'under-chin'], contacts: ['thumb'], motion: 'press-pulse', direction: 'outward against the bone', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    glide: 'product', school: 'fascia-release', serves: ['jaw'], cue: 'Outward against the bone.',
  }),
  technique('cheekbone-thumb-lift', 'Thumb pads lift the cheeks on the slant', 'stretch', {
    regions: ['cheek'], muscles: ['zygomaticus-major'], contacts: ['thumb'], motion: 'hold', direction: 'below the cheekbone diagonally up and out', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'shiatsu-press', serves: ['other'], cue: 'Below the cheekbone diagonally up and out.',
  }),
  technique('front-neck-stretch', 'Front-neck stretch with hands holding the chest', 'stretch', {
    regions: ['neck-front', 'chest'], muscles: ['platysma', 'scm-sternal', 'scm-clavicular'], contacts: ['whole-hand'], motion: 'stretch', direction: 'chest tissue held down, chin lifted', press: ['light', 'light', 'medium'], sides: 'midline', parts: [hold(30)], words: ['neck-rotation'],
    glide: 'product', school: 'neck-stretch', serves: ['neck-tension'], cue: 'Seated tall, lower teeth in front of the upper.',
  }),
  technique('chin-to-chest-stretch', 'Chin to chest with resting hands', 'stretch', {
    regions: ['neck-back'], muscles: ['trapezius-upper'], contacts: ['whole-hand'], motion: 'stretch', direction: 'chin down', press: ['light', 'light', 'medium'], sides: 'midline', parts: [hold(30)],
    words: ['neck-rotation'], school: 'neck-stretch', serves: ['neck-tension'], cue: 'Seated tall, hands on the head for weight only.',
  }),
  technique('three-way-neck-stretch', 'Neck stretch in three directions', 'stretch', {
    regions: ['neck-side', 'neck-front', 'neck-back'], muscles: ['scm-sternal', 'scm-clavicular', 'scalenes', 'trapezius-upper'], contacts: ['whole-hand'], motion: 'stretch', direction: 'to the side, to the side and back, to the side and forward', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)], spots: 3,
    words: ['neck-rotation'], school: 'neck-stretch', serves: ['neck-tension'], cue: 'One hand on the head; the other holds the chest for the backward part.',
  }),
  technique('neck-side-tongue-stretch', 'Side-neck stretch with tongue reaching down', 'stretch', {
    regions: ['neck-side', 'under-chin'], muscles: ['scalenes', 'trapezius-upper'], contacts: ['whole-hand'], motion: 'stretch', direction: 'ear toward the shoulder, tongue tip toward the floor', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)], sets: 2,
    words: ['neck-rotation'], school: 'neck-stretch', serves: ['neck-tension', 'jaw'], cue: 'Arm over the head holding the far temple; tiny chin nods to find the best line.',
  }),
  technique('shoulder-anchored-neckline-stretch', 'Neckline stretch with a hand on the shoulder', 'stretch', {
    regions: ['neck-side', 'shoulder'], muscles: ['trapezius-upper'], contacts: ['whole-hand'], motion: 'stretch', direction: 'head away from the held shoulder, then slowly up', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)],
    words: ['neck-rotation'], school: 'neck-stretch', serves: ['neck-tension'], cue: 'Deep breaths.',
  }),
  technique('hands-behind-chest-opener', 'Hands linked behind the back, head side to side', 'stretch', {
    regions: ['chest', 'shoulder', 'neck-side', 'neck-back'], muscles: ['pectoralis-major', 'trapezius-upper'], contacts: ['none'], motion: 'stretch', direction: 'chest forward, head gently side to side', sides: 'together', parts: [open('it has been felt', 20, 10, 60)], words: ['neck-rotation'],
    school: 'neck-stretch', heed: ['neck-injury'], serves: ['neck-tension', 'stress'], cue: 'Fingers linked behind the back, nose breathing.',
  }),
];

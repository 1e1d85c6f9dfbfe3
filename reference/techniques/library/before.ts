import { beats, breaths, hold, open, technique } from '../define.ts';

/** Preparing, breathing, opening drainage, warming up. */
export const BEFORE = [
  technique('masseter-clench-find', 'Find the chewing muscle by biting', 'prepare', {
    regions: ['jaw', 'cheek'], muscles: ['masseter-superficial', 'masseter-deep'], contacts: ['whole-hand'], motion: 'contract', direction: 'on the spot', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'hand-massage', serves: ['jaw', 'stress', 'headache'], cue: 'Lips closed, hands resting on the cheeks.',
  }),
  technique('jaw-opening-finger-count', 'Count fingers in the open mouth', 'prepare', {
    regions: ['jaw', 'lips'], muscles: ['masseter-superficial', 'masseter-deep'], contacts: ['fingertips'], motion: 'stretch', direction: 'stacked fingers between the front teeth, two then three then four', press: ['light', 'light', 'medium'], sides: 'midline',
    parts: [open('it softens', 30, 15, 90)], school: 'hand-massage', serves: ['jaw', 'headache'], cue: 'Hands washed, mouth open wide but comfortable.',
  }),
  technique('jaw-click-side-check', 'Notice click and chewing side', 'prepare', {
    regions: ['jaw', 'ear'], muscles: ['masseter-superficial', 'masseter-deep'], contacts: ['none'], motion: 'contract', direction: 'open and close', sides: 'together', parts: [open('it has been felt', 20, 10, 60)],
    school: 'hand-massage', heed: ['jaw-lock'], serves: ['jaw', 'headache'], cue: 'Seated, back straight.',
  }),
  technique('sit-tall-grounded', 'Sit tall with feet on the floor', 'prepare', {
    regions: ['body'], contacts: ['none'], motion: 'stretch', direction: 'crown upward, shoulders down and back', sides: 'midline',
    parts: [open('it has been felt', 20, 10, 60)], school: 'breathwork', serves: ['stress', 'neck-tension', 'jaw'], cue: 'Upright on both sit bones, feet flat.',
  }),
  technique('glove-setup', 'Set up conductive gloves', 'prepare', {
    regions: ['hand'], contacts: ['conductive-gloves'], motion: 'hold', direction: 'on the spot', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)], words: ['microcurrent'], tool: 'microcurrent-device',
    glide: 'product', school: 'microcurrent-glide', serves: ['other'], cue: 'Cleansed, oil-free, well hydrated skin.',
  }),
  technique('nose-line-check', 'Check where the nose points', 'prepare', {
    regions: ['nose', 'whole-face'], contacts: ['none'], motion: 'hold', direction: 'vertical line from crown through nose, lips and chin to the breastbone', sides: 'midline',
    parts: [open('it has been felt', 20, 10, 60)], school: 'resisted-exercise', serves: ['other'], cue: 'Seated tall.',
  }),
  technique('scent-drop-inhale', 'One drop of lavender, breathed in', 'prepare', {
    regions: ['hand'], contacts: ['fingertips'], motion: 'breathe', direction: 'on the spot', press: ['light', 'light', 'medium'], sides: 'together', parts: [breaths(1, 4, 6)], words: ['essential-oil'],
    school: 'breathwork', heed: ['essential-oil'], serves: ['headache', 'stress'], cue: 'Stay on the spot.',
  }),
  technique('body-shake', 'Shake out body, then face', 'prepare', {
    regions: ['body', 'whole-face'], contacts: ['none'], motion: 'rock', direction: 'on the spot', sides: 'together',
    parts: [open('it has been felt', 20, 10, 60)], school: 'tapping-qigong', serves: ['stress'], cue: 'Stay on the spot.',
  }),
  technique('shoulder-collarbone-sweep', 'Strokes over shoulders and collarbones', 'open-drainage', {
    regions: ['shoulder', 'chest'], contacts: ['whole-hand'], motion: 'glide', direction: 'over the shoulders and along the collarbones', press: ['feather', 'feather', 'feather'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'lymph-drainage', serves: ['puffiness', 'neck-tension'], cue: 'Over the shoulders and along the collarbones.',
  }),
  technique('glove-chest-to-armpit-drain', 'Glove drain from collarbone to armpit', 'open-drainage', {
    regions: ['chest'], muscles: ['pectoralis-major'], contacts: ['conductive-gloves'], motion: 'glide', direction: 'one hand fixed at the collarbone, the other toward the armpit', press: ['feather', 'feather', 'feather'], sides: 'each', parts: [open('it softens', 30, 15, 90)], words: ['microcurrent'], tool: 'microcurrent-device',
    glide: 'product', school: 'microcurrent-glide', serves: ['puffiness', 'neck-tension'], cue: 'One hand fixed at the collarbone, the other toward the armpit.',
  }),
  technique('below-ear-skull-edge-massage', 'Fingertips below and behind the ears at the skull edge', 'warm-up', {
    regions: ['ear', 'neck-back'], contacts: ['fingertips'], motion: 'circle', direction: 'on the spot', press: ['light', 'light', 'light'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'hand-massage', serves: ['jaw', 'headache'], cue: 'Stay on the spot.',
  }),
  technique('finger-web-sweep', 'Sweep from fingertips through the webs to the elbow', 'warm-up', {
    regions: ['hand', 'arm'], points: ['EX-UE9.1', 'EX-UE9.2', 'EX-UE9.3', 'EX-UE9.4'], contacts: ['whole-hand'], motion: 'sweep', direction: 'fingertips over the webs and wrist to the elbow, then shake off', press: ['light', 'light', 'medium'], sides: 'each',
    parts: [open('it softens', 30, 15, 90)], school: 'tapping-qigong', serves: ['stress'], cue: 'Fingertips over the webs and wrist to the elbow, then shake off.',
  }),
  technique('collarbone-point-massage-head-up', 'Massage beside the collarbone with head raised', 'open-drainage', {
    regions: ['chest', 'neck-front', 'shoulder'], contacts: ['fingertips'], motion: 'circle', direction: 'on the spot', press: ['feather', 'feather', 'feather'], sides: 'each',
    parts: [open('it softens', 30, 15, 90)], school: 'shiatsu-press', serves: ['neck-tension', 'puffiness'], cue: 'Head slowly raised, deep breaths; exact place not stated, collarbone assumed.',
  }),
  technique('orbit-ring-finger-trace', 'Ring-finger path around the eye socket', 'warm-up', {
    regions: ['brow', 'under-eye'], muscles: ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral'], contacts: ['ring-finger'], motion: 'glide', direction: 'inner brow along the brow, past the outer corner, below on the bone to the inner corner, back to the start', press: ['light', 'medium', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)], glide: 'product',
    school: 'hand-massage', heed: ['skin-drag', 'thin-skin-under-eye'], serves: ['puffiness', 'eye-strain'], cue: 'Inner brow along the brow, past the outer corner, below on the bone to the inner corner, back to the start.',
  }),
  technique('scalp-knuckle-massage', 'Knuckle massage of the scalp', 'warm-up', {
    regions: ['scalp'], muscles: ['epicranial-aponeurosis'], contacts: ['knuckles'], motion: 'circle', direction: 'on the spot', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [open('it softens', 30, 15, 90)], school: 'shiatsu-press', serves: ['stress'], cue: 'Stay on the spot.',
  }),
  technique('ear-rub', 'Rub the ears', 'warm-up', {
    regions: ['ear'], contacts: ['fingertips'], motion: 'rub', direction: 'on the spot', press: ['light', 'light', 'medium'], sides: 'together', parts: [beats(36, 40, 'rubs')],
    glide: 'dry', school: 'hand-massage', serves: ['puffiness', 'stress'], cue: 'Stay on the spot.',
  }),
  technique('ear-v-rub', 'V fingers rubbed up and down around the ear', 'warm-up', {
    regions: ['ear', 'jaw'], contacts: ['v-fingers'], motion: 'rub', direction: 'up and down in front of and behind the ear', press: ['light', 'light', 'medium'], sides: 'together',
    parts: [hold(30)], school: 'hand-massage', serves: ['puffiness'], cue: 'Up and down in front of and behind the ear.',
  }),
  technique('jawline-thumb-under-glide', 'Jaw edge held between thumb and fingers, stroked out', 'warm-up', {
    regions: ['jaw', 'under-chin'], muscles: ['masseter-superficial', 'masseter-deep', 'platysma'], contacts: ['pinch'], motion: 'glide', direction: 'chin to ear', press: ['feather', 'light', 'light'], sides: 'together', parts: [open('it softens', 30, 15, 90)], glide: 'product',
    school: 'hand-massage', heed: ['skin-drag'], serves: ['puffiness', 'jaw'], cue: 'Thumbs below, fingers on top.',
  }),
  technique('jaw-cream-glide', 'Creamed strokes up to the jaw edge', 'warm-up', {
    regions: ['neck-side', 'jaw', 'chin'], contacts: ['whole-hand'], motion: 'glide', direction: 'neck and chin to the jaw edge', press: ['medium', 'medium', 'medium'], sides: 'together', parts: [beats(5, 10, 'strokes')], glide: 'product',
    school: 'hand-massage', heed: ['skin-drag'], serves: ['puffiness'], cue: 'Neck and chin to the jaw edge.',
  }),
  technique('cheek-to-ear-glide', 'Cheek strokes up toward the ears', 'warm-up', {
    regions: ['cheek', 'ear'], muscles: ['zygomaticus-major'], contacts: ['whole-hand'], motion: 'glide', direction: 'smile line up to the ear', press: ['feather', 'light', 'light'], sides: 'together', parts: [beats(5, 10, 'strokes')], glide: 'product',
    school: 'hand-massage', heed: ['skin-drag'], serves: ['puffiness', 'stress'], cue: 'Smile line up to the ear.',
  }),
  technique('face-side-upstroke', 'Slow fingertip strokes up the side of the face', 'warm-up', {
    regions: ['cheek', 'temple', 'jaw'], contacts: ['fingertips'], motion: 'glide', direction: 'jaw up to temple', press: ['light', 'light', 'light'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    school: 'hand-massage', heed: ['skin-drag'], serves: ['puffiness'], cue: 'Jaw up to temple.',
  }),
  technique('face-warm-circles', 'Fingertip circles over the whole face', 'warm-up', {
    regions: ['whole-face'], contacts: ['fingertips'], motion: 'circle', direction: 'on the spot', press: ['light', 'light', 'medium'], sides: 'together', parts: [open('it softens', 30, 15, 90)],
    glide: 'product', school: 'hand-massage', serves: ['headache', 'jaw', 'sinus'], cue: 'Stay on the spot.',
  }),
  technique('shoulder-rolls', 'Roll the shoulders', 'warm-up', {
    regions: ['shoulder'], muscles: ['trapezius-upper'], contacts: ['none'], motion: 'circle', direction: 'on the spot', sides: 'together',
    parts: [open('it has been felt', 20, 10, 60)], school: 'neck-stretch', serves: ['headache', 'neck-tension', 'stress'], cue: 'Stay on the spot.',
  }),
  technique('shoulder-blade-massage', 'Massage over the shoulder and below the blade, then push back', 'warm-up', {
    regions: ['shoulder'], muscles: ['trapezius-upper'], contacts: ['whole-hand'], motion: 'circle', direction: 'hand across to the other shoulder blade, then palm pushed away behind', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)], sets: 2,
    swapHands: true, school: 'tapping-qigong', serves: ['stress', 'neck-tension'], cue: 'Hand across to the other shoulder blade, then palm pushed away behind.',
  }),
  technique('arm-stroke-up-down', 'Stroke up the arm and down off the fingers', 'warm-up', {
    regions: ['arm', 'shoulder', 'neck-side', 'hand'], contacts: ['palm'], motion: 'sweep', direction: 'fingertips to shoulder and neck, then down and off through the finger webs', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)],
    swapHands: true, school: 'tapping-qigong', serves: ['stress'], cue: 'Fingertips to shoulder and neck, then down and off through the finger webs.',
  }),
  technique('throat-side-stroke', 'Index-side strokes up the throat as the head turns', 'warm-up', {
    regions: ['neck-front', 'neck-side'], muscles: ['platysma'], contacts: ['index-finger'], motion: 'glide', direction: 'up the throat and neck while the head turns side to side', press: ['light', 'light', 'medium'], sides: 'each', parts: [open('it softens', 30, 15, 90)],
    swapHands: true, school: 'tapping-qigong', serves: ['neck-tension', 'stress'], cue: 'Up the throat and neck while the head turns side to side.',
  }),
];

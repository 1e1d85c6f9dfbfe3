import { beats, breaths, check, landmark, muscle, node, open, region, technique } from './define.ts';

/** What stands around the work: preparing, breathing, drainage opened and closed, settling, comparing. */
export const FRAME_TECHNIQUES = [
  technique('slow-breaths', 'Slow breaths', 'breathe', {
    regions: ['body'], places: [region('chest')], contacts: ['none'], motion: 'breathe', direction: 'in and out', sides: 'midline', parts: [breaths(6, 4, 6)], eyes: 'shut', leadInSeconds: 2,
    serves: ['stress', 'headache', 'jaw', 'eye-strain'], cue: 'Breathe with the client; hands rest.', client: 'Close your eyes. In through the nose, longer out.',
  }),
  technique('belly-breath', 'Belly breathing', 'breathe', {
    regions: ['body'], places: [region('chest')], contacts: ['none'], motion: 'breathe', direction: 'longer out than in', sides: 'midline', parts: [breaths(9, 4, 6)], eyes: 'shut', leadInSeconds: 4,
    serves: ['stress'], cue: 'One hand of the client on the belly, one on the chest; only the lower one moves.', client: 'Let the lower hand rise and fall.',
  }),
  technique('double-inhale-sigh', 'Double inhale and sigh', 'breathe', {
    regions: ['body'], places: [region('chest')], contacts: ['none'], motion: 'breathe', direction: 'two breaths in, one long out', sides: 'midline', parts: [breaths(5, 3, 6)], eyes: 'shut', leadInSeconds: 4,
    serves: ['stress'], cue: 'A long breath in, a short one on top, then let go.', client: 'In through the nose, a little more, and sigh it out.',
  }),
  technique('tension-scan', 'Scan for tension', 'prepare', {
    regions: ['body'], places: [landmark('glabella')], contacts: ['none'], motion: 'test', direction: 'forehead to shoulders', sides: 'midline', parts: [open('the client has gone through every area', 40, 20, 90)], eyes: 'shut', leadInSeconds: 2,
    serves: ['stress'], cue: 'Name forehead, eyes, cheeks, jaw, neck, shoulders.', client: 'Tense, at ease, or nothing felt: just notice.',
  }),
  technique('spread-glide', 'Spread oil or cream', 'prepare', {
    regions: ['whole-face', 'neck-side'], places: [region('cheek'), region('neck-side')], contacts: ['palm'], motion: 'glide', direction: 'patted on, then spread', press: ['feather', 'feather', 'light'], sides: 'together', parts: [open('face and neck are covered', 25, 15, 60)], glide: 'product', words: ['oil'],
    serves: ['jaw', 'headache', 'eye-strain', 'stress', 'puffiness'], cue: 'Start with the neck; add more the moment skin drags.',
  }),
  technique('warm-hands', 'Rub the palms warm', 'prepare', {
    regions: ['hand'], places: [], contacts: ['palm'], motion: 'rub', direction: 'palm on palm', sides: 'midline', parts: [open('palms are hot', 15, 10, 40)], glide: 'dry', leadInSeconds: 1,
    serves: ['jaw', 'stress', 'eye-strain'], cue: 'Until really hot, then straight to the face.',
  }),
  technique('collarbone-pump', 'Collarbone pumps', 'open-drainage', {
    regions: ['neck-side', 'chest'], places: [node('supraclavicular')], contacts: ['fingertips'], motion: 'pump', direction: 'straight in and let go', press: ['feather', 'feather', 'feather'], sides: 'together', parts: [beats(5, 15, 'pumps')],
    serves: ['puffiness', 'eye-strain', 'sinus', 'jaw', 'headache', 'stress'], cue: 'Both hollows at once; fingertips never leave the skin.', client: 'Swallow when you need to.',
  }),
  technique('neck-side-drain', 'Down the sides of the neck', 'open-drainage', {
    regions: ['neck-side'], places: [node('deep-cervical-upper'), node('supraclavicular')], contacts: ['fingertips'], motion: 'glide', direction: 'below the ear to the collarbone', press: ['feather', 'feather', 'feather'], sides: 'together', parts: [beats(5, 12, 'strokes', { per: 'pass' })],
    serves: ['puffiness', 'eye-strain', 'sinus', 'headache', 'jaw', 'stress'], cue: 'Flat fingers, barely touching, down only.',
  }),
  technique('ear-v-drain', 'V round the ears', 'open-drainage', {
    regions: ['ear', 'neck-side'], places: [node('parotid'), node('postauricular')], contacts: ['v-fingers'], motion: 'glide', direction: 'in front of and behind the ear, downward', press: ['feather', 'feather', 'feather'], sides: 'together', parts: [beats(5, 15, 'strokes', { most: 30, per: 'pass' })],
    serves: ['puffiness', 'eye-strain', 'jaw'], cue: 'Ear between the fingers; down only.',
  }),
  technique('neck-back-drain', 'Down the back of the neck', 'open-drainage', {
    regions: ['neck-back'], places: [node('occipital')], contacts: ['fingertips'], motion: 'glide', direction: 'edge of the skull downward', press: ['feather', 'feather', 'feather'], sides: 'together', parts: [beats(5, 12, 'strokes')],
    serves: ['puffiness', 'headache'], cue: 'Flat fingers beside the spine.',
  }),
  technique('jaw-fan-drain', 'Fan from jaw to ear', 'open-drainage', {
    regions: ['jaw', 'cheek'], places: [node('submandibular'), node('parotid')], contacts: ['l-fingers'], motion: 'sweep', direction: 'cheek outward to below the ear', press: ['feather', 'feather', 'feather'], sides: 'together', parts: [beats(5, 12, 'sweeps', { per: 'pass' })],
    serves: ['puffiness', 'jaw'], cue: 'Thumb stays under the jaw, index fans over the cheek.',
  }),
  technique('eye-ring-drain', 'Feather ring round the eyes', 'close-drainage', {
    regions: ['brow', 'under-eye'], places: [region('brow'), region('under-eye')], contacts: ['ring-finger'], motion: 'glide', direction: 'out over the brow, in below the eye', press: ['feather', 'feather', 'feather'], sides: 'together', parts: [beats(5, 10, 'rings', { per: 'pass' })], eyes: 'shut',
    serves: ['eye-strain', 'puffiness', 'stress'], cue: 'On the bony rim, ring finger only.',
  }),
  technique('forehead-drain', 'Forehead to temples', 'close-drainage', {
    regions: ['forehead', 'temple'], places: [region('forehead'), region('temple')], contacts: ['fingertips'], motion: 'glide', direction: 'midline to temple', press: ['feather', 'feather', 'feather'], sides: 'together', parts: [beats(5, 12, 'strokes', { per: 'pass' })],
    serves: ['headache', 'puffiness', 'stress'], cue: 'Light as dusting.',
  }),
  technique('temple-neck-drain', 'Temples down the neck', 'close-drainage', {
    regions: ['temple', 'cheek', 'neck-side'], places: [region('temple'), node('parotid'), node('deep-cervical-upper')], contacts: ['fingertips'], motion: 'glide', direction: 'temple down the side of face and neck', press: ['feather', 'feather', 'feather'], sides: 'together', parts: [beats(5, 10, 'strokes', { per: 'pass' })],
    serves: ['headache', 'puffiness', 'jaw'], cue: 'In front of the ear, then straight down.',
  }),
  technique('ear-collarbone-drain', 'Ears to collarbones', 'close-drainage', {
    regions: ['ear', 'neck-side'], places: [node('parotid'), node('deep-cervical-upper'), node('supraclavicular')], contacts: ['fingertips'], motion: 'glide', direction: 'behind the ear down to the collarbone', press: ['feather', 'feather', 'feather'], sides: 'together', parts: [beats(5, 10, 'strokes', { per: 'pass' })],
    serves: ['stress', 'jaw', 'headache', 'eye-strain', 'puffiness', 'sinus'], cue: 'Fingers spread over the neck; end in the hollow.',
  }),
  technique('chin-collarbone-drain', 'Chin to collarbones', 'close-drainage', {
    regions: ['chin', 'neck-side'], places: [node('submandibular'), node('supraclavicular')], contacts: ['fingertips'], motion: 'glide', direction: 'along the jaw and down beside the throat', press: ['feather', 'feather', 'feather'], sides: 'together', parts: [beats(10, 15, 'strokes', { per: 'pass' })],
    serves: ['puffiness', 'jaw', 'sinus'], cue: 'Beside the throat, never over it.',
  }),
  technique('terminus-close', 'Close at the collarbones', 'close-drainage', {
    regions: ['neck-side', 'chest'], places: [node('supraclavicular')], contacts: ['fingertips'], motion: 'pump', direction: 'straight in and let go', press: ['feather', 'feather', 'feather'], sides: 'together', parts: [beats(5, 15, 'pumps')],
    serves: ['puffiness', 'eye-strain', 'sinus', 'jaw', 'headache', 'stress'], cue: 'The same hollows as at the start; last stroke of the drainage.',
  }),
  technique('palm-eyes', 'Warm palms over the eyes', 'settle', {
    regions: ['brow'], places: [region('brow')], contacts: ['palm'], motion: 'hold', direction: 'cupped, no weight on the eyes', press: ['feather', 'feather', 'feather'], sides: 'together', parts: [open('the client has settled', 30, 15, 90)], eyes: 'shut', words: ['heat'],
    serves: ['eye-strain', 'stress'], cue: 'Cupped: the palms touch bone, never the eye.', client: 'Look into the dark.',
  }),
  technique('let-go-scan', 'Let go, part by part', 'settle', {
    regions: ['body'], places: [landmark('glabella')], contacts: ['none'], motion: 'breathe', direction: 'forehead to shoulders', sides: 'midline', parts: [breaths(6, 4, 6)], eyes: 'shut', leadInSeconds: 2,
    serves: ['stress'], cue: 'One area with every breath out.', client: 'Forehead, eyes, cheeks, jaw, neck, shoulders: let each one drop.',
  }),
  technique('closing-strokes', 'Slow closing strokes', 'settle', {
    regions: ['whole-face'], places: [region('cheek'), region('forehead')], contacts: ['whole-hand'], motion: 'glide', direction: 'up and out', press: ['feather', 'light', 'light'], sides: 'together', parts: [beats(6, 10, 'strokes', { per: 'pass' })], eyes: 'shut',
    serves: ['jaw', 'headache', 'eye-strain', 'stress'], cue: 'Slower with each stroke.', client: 'Open your eyes when you like.',
  }),
  technique('retest-opening', 'Test the opening again', 'compare', {
    regions: ['jaw'], places: [muscle('masseter-superficial')], contacts: ['none'], motion: 'test', direction: 'as wide as is comfortable', sides: 'midline', parts: [check('opening', 20)], jaw: 'moving', leadInSeconds: 0,
    serves: ['jaw'], cue: 'Same fingers, same hand as before.', client: 'Open as wide as is comfortable.',
  }),
  technique('compare-sides', 'Compare the sides', 'compare', {
    regions: ['whole-face'], places: [landmark('nasion')], contacts: ['none'], motion: 'test', direction: 'head straight, same light', sides: 'midline', parts: [check('sides', 20)], eyes: 'open', leadInSeconds: 0,
    serves: ['jaw', 'eye-strain'], cue: 'Same head position and light; what differs?', client: 'Does one side feel different?',
  }),
];

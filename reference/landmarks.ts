import { above, back, backOfHand, ear, front, palm, side, type Anchor } from '../core/terrain/anchors.ts';
import type { LandmarkRow } from '../core/atlas/rows.ts';

/**
 * Landmarks under their usual anthropometric names (Farkas 1994 for the face; names and meanings sure). Positions
 * are a drawing of one average adult head and hand, from memory, to be verified; everything else on the chart is
 * measured off from them.
 */
type Words = [name: string, code: string, what: string, find: string];
const mid = (id: string, anchor: Anchor | null, ...[name, code, what, find]: Words): LandmarkRow => ({ id, name, code, what, find, paired: false, anchor });
const pair = (id: string, anchor: Anchor | null, ...[name, code, what, find]: Words): LandmarkRow => ({ id, name, code, what, find, paired: true, anchor });

const MIDLINE = [
  mid('trichion', front('mid', 0, 78), 'trichion', 'tr', 'Middle of the front hairline.', 'Brush the hair back and slide up the forehead. Receded hair: let the client frown upward and take the top of the moving skin.'),
  mid('glabella', front('mid', 0, 32), 'glabella', 'g', 'Foremost midline point between the brows.', 'Fingertip between the inner brow ends, where the bone bulges.'),
  mid('nasion', front('mid', 0, 19), 'nasion', 'n', 'Root of the nose, over the seam of nose and forehead bone.', 'Slide down from the glabella into the dip, about level with the lid crease.'),
  mid('pronasale', front('mid', 0, -24), 'pronasale', 'prn', 'Foremost point of the nose.', 'Tip of the nose seen from the side.'),
  mid('subnasale', front('mid', 0, -34.5), 'subnasale', 'sn', 'Where the septum meets the upper lip.', 'Follow the septum back to the lip.'),
  mid('labiale-superius', front('mouth', 0, -47.5), 'labiale superius', 'ls', 'Upper edge of the red lip in the midline.', 'Centre of the lip’s bow.'),
  mid('stomion', front('mouth', 0, -55.6), 'stomion', 'sto', 'Where the closed lips meet in the midline.', 'Lips lightly together, teeth apart.'),
  mid('labiale-inferius', front('mouth', 0, -63.5), 'labiale inferius', 'li', 'Lower edge of the red lip in the midline.', 'Centre of the lower border.'),
  mid('sublabiale', front('mid', 0, -71.5), 'sublabiale', 'sl', 'Deepest point of the groove between lower lip and chin.', 'Slide down from the lip into the dip.'),
  mid('pogonion', front('mid', 0, -84), 'pogonion', 'pg', 'Foremost point of the chin.', 'Front of the chin pad seen from the side.'),
  mid('gnathion', front('mid', 0, -95), 'gnathion', 'gn', 'Lowest front point of the chin.', 'Press up lightly under the chin onto the bone.'),
  mid('throat-point', front('mid', 0, -106), 'cervical point', 'c', 'Angle of chin floor and neck.', 'Seen from the side, the corner below the chin.'),
  mid('vertex', above('mid', 0, -8), 'vertex', 'v', 'Highest point of the head when the eyes look level.', 'Lay a flat hand on the head.'),
  mid('crown-point', above('mid', 0, -46), 'crown point', '', 'Five twelfths of the way from front to rear hairline.', 'Divide the arc between the hairlines in twelve and count five. The line over the ear tips, tilted back with the ears, passes near; both can differ by two or three centimetres.'),
  mid('opisthocranion', back('mid', 0, 14), 'opisthocranion', 'op', 'Rearmost point of the head.', 'Rear bulge of the skull.'),
  mid('eop', back('mid', 0, -8), 'external occipital protuberance', 'i', 'Bump at the top of the nape.', 'Slide up the nape until the finger stops on a knob.'),
  mid('posterior-hairline', back('mid', 0, -62), 'posterior hairline', '', 'Middle of the hairline at the nape.', 'Lowest regular hair; stray hairs do not count.'),
  mid('c2-spinous', back('mid', 0, -47), 'spinous process of C2, upper border', '', 'First large knob below the skull.', 'From the bump down through the hollow to the first firm knob.'),
  mid('c7-spinous', back('none', 0, -118), 'spinous process of C7, cervicale', '', 'Most prominent knob at the base of the neck.', 'Neck bent: the lower of the two knobs stays, the one above it moves; that is C7.'),
  mid('hyoid-upper', front('mid', 0, -109), 'upper border of the hyoid', '', 'Upper edge of the tongue bone.', 'Chin slightly raised: slide back to the neck angle and feel gently.'),
  mid('thyroid-upper', front('mid', 0, -126), 'upper border of the thyroid cartilage', '', 'Level of the notch of the Adam’s apple.', 'Slide down from the tongue bone, fingertip weight only.'),
  mid('cricoid', front('mid', 0, -148), 'cricoid cartilage', '', 'Ring of cartilage below the Adam’s apple.', 'Watch only; no pressing.'),
  mid('suprasternal-notch', front('none', 0, -187), 'suprasternal notch', 'sst', 'Hollow at the top of the breastbone.', 'Between the inner ends of the collarbones.'),
];

const FACE = [
  pair('endocanthion', front('eye', 15.5, 10.5), 'endocanthion', 'en', 'Inner corner of the eye.', 'Where the lids meet on the nose side.'),
  pair('exocanthion', front('eye', 46, 11.2), 'exocanthion', 'ex', 'Outer corner of the eye.', 'Where the lids meet on the temple side.'),
  pair('pupil', front('eye', 31.2, 11), 'pupil centre', 'p', 'Centre of the pupil, looking level and far.', 'Client looks straight ahead.'),
  pair('palpebrale-superius', front('eye', 31, 16), 'palpebrale superius', 'ps', 'Highest point of the upper lid’s edge, eye open.', 'Top of the lid’s edge.'),
  pair('palpebrale-inferius', front('eye', 31.4, 5.4), 'palpebrale inferius', 'pi', 'Lowest point of the lower lid’s edge, eye open.', 'Bottom of the lid’s edge.'),
  pair('orbitale', front('eye', 32, -3), 'orbitale', 'or', 'Lowest point of the socket’s rim.', 'Slide up the cheek below the pupil to the rim.'),
  pair('orbitale-superius', front('brow', 31.2, 29.6), 'orbitale superius', 'os', 'Highest point of the socket’s rim.', 'Press up under the brow above the pupil.'),
  pair('supraorbital-notch', front('brow', 25, 30), 'supraorbital notch', '', 'Notch in the upper rim, about 25 mm from the midline.', 'Run a fingertip along the rim: a tender dip in its inner third.'),
  pair('infraorbital-foramen', front('face', 28.5, -13), 'infraorbital foramen', '', 'Nerve exit 6–10 mm below the lower rim.', 'Just under a finger’s width below the rim.'),
  pair('mental-foramen', front('face', 24.5, -79), 'mental foramen', '', 'Nerve exit below the second lower premolar.', 'On the jaw body, in line with mouth corner and pupil.'),
  pair('brow-medial', front('brow', 15, 29), 'inner end of the brow', '', 'Over the frontal notch.', 'Stroke outward from the nose root to where the hair begins.'),
  pair('brow-mid', front('brow', 31.2, 34.2), 'middle of the brow', '', 'Straight above the pupil.', 'Sight up from the pupil.'),
  pair('brow-peak', front('brow', 37, 35.6), 'top of the brow', 'sci', 'Top of the arch.', 'Highest hair, about above the iris’s outer edge.'),
  pair('brow-lateral', front('brow', 51, 28), 'outer end of the brow', '', 'In the dip on the bone’s edge.', 'Slide out along the brow until the finger drops off.'),
  pair('temple-midpoint', front('brow', 48.5, 19.6), 'middle between brow end and outer eye corner', '', 'Half way from the brow’s outer end to the outer eye corner.', 'Halve that line.'),
  pair('frontotemporale', front('face', 53, 40), 'frontotemporale', 'ft', 'Innermost point of the temporal crest.', 'Bite: the front of the bulge meets a bony crest above the brow end.'),
  pair('hairline-brow', front('mid', 15, 78.8), 'front hairline above the inner brow', '', 'On the hairline, straight above the inner brow end.', 'Sight up from the inner brow end.'),
  pair('hairline-pupil', front('mid', 31.2, 78.6), 'front hairline above the pupil', '', 'On the hairline, straight above the pupil.', 'Sight up from the pupil.'),
  pair('forehead-corner', front('mid', 60, 70), 'corner of the front hairline', '', 'Where the hairline turns down to the temple.', 'Follow the hairline outward to its angle.'),
  pair('eurion', side('mid', 52, -28), 'eurion', 'eu', 'Widest point of the head.', 'Above and behind the ears.'),
  pair('alare', front('nose', 17, -26), 'alare', 'al', 'Widest point of the nostril wing.', 'Seen from the front.'),
  pair('subalare', front('nose', 13.6, -33.6), 'subalare', 'sbal', 'Where the wing joins the lip.', 'Lower edge of the wing.'),
  pair('nostril-lateral', front('nose', 10.4, -33.2), 'outer margin of the nostril', '', 'Outer edge of the opening.', 'Seen from the front.'),
  pair('nasolabial-ala', front('nose', 19.6, -26.4), 'nose-lip groove at mid-wing', '', 'Groove beside the wing at half its height.', 'Slide out from mid-wing into the crease while the client smiles softly.'),
  pair('alar-groove-top', front('bridge', 14, -15), 'upper end of the nose-lip groove', '', 'Where the wing’s cartilage meets bone.', 'Slide up beside the wing until the crease runs out.'),
  pair('crista-philtri', front('mouth', 5.5, -46.5), 'crista philtri', 'cph', 'Peak of the upper lip.', 'Peak of the lip’s bow.'),
  pair('cheilion', front('mouth', 25, -55.8), 'cheilion', 'ch', 'Corner of the closed mouth.', 'Outer end of the lip line, mouth relaxed.'),
  pair('malar', front('face', 46, -9), 'malar', '', 'Foremost part of the cheekbone.', 'Slide out below the eye to the highest bone.'),
  pair('zygomatic-lower-border', front('face', 46, -23), 'lower border of the cheekbone', '', 'Below the outer eye corner.', 'Hook the fingertip up under the cheekbone.'),
  pair('scm-front-thyroid', front('neck', 27.5, -126), 'front edge of sternomastoid at the thyroid’s top', '', 'Over the carotid pulse.', 'Head turned away against light resistance; the band’s front edge. Do not press.'),
  pair('scm-mid-thyroid', front('neck', 36.5, -126), 'middle of sternomastoid at the thyroid’s top', '', 'Half way across the band.', 'Same band, half way across.'),
  pair('neck-side', side('neck', -128, -24), 'side of the neck', '', 'Narrowest outline, half way from jaw to shoulder.', 'Read on the outline.'),
  pair('clavicle-sternal', front('none', 14, -187), 'inner end of the collarbone', '', 'Upper edge of the bone’s inner end.', 'Slide out from the notch onto bone.'),
  pair('mid-clavicle', front('none', 84, -184), 'middle of the collarbone', '', 'Half way along the bone.', 'Half way from its inner end to the shoulder tip.'),
  pair('nipple', front('none', 84, -330), 'nipple, mid-clavicular line', '', 'Fourth rib gap on the line down from mid-collarbone.', 'Drop a vertical from mid-collarbone; use the line, not the breast.'),
];

const SIDE = [
  pair('zygion', side('mid', -3, 32), 'zygion', 'zy', 'Widest point of the cheek arch.', 'Both index fingers at once: the widest bone of the face.'),
  pair('arch-mid-upper', side('mid', 7, 25), 'upper border of the cheek arch, middle', '', 'Hollow just above the arch.', 'From the tragus a thumb forward along the arch and up over its edge.'),
  pair('arch-mid-lower', side('mid', -11, 25), 'hollow under the cheek arch', '', 'In front of the jaw’s head, under the arch.', 'Slide forward off the joint: a hollow with the mouth shut.'),
  pair('condyle', side('none', -4, 12), 'condylion', 'cdl', 'Outer pole of the jaw’s head.', 'In front of the tragus; it glides as the mouth opens.'),
  pair('tragion', side('none', 0, 1), 'tragion', 't', 'Notch above the tragus.', 'Upper edge of the flap before the ear canal.'),
  pair('supratragic-hollow', side('none', 4, 6), 'hollow before the notch above the tragus', '', 'Upper of three hollows in front of the ear.', 'Mouth slightly open.'),
  pair('tragus-hollow', side('none', -5, 5.4), 'hollow before the middle of the tragus', '', 'Middle of three hollows in front of the ear.', 'Mouth slightly open.'),
  pair('intertragic-hollow', side('none', -14, 5), 'hollow before the notch below the tragus', '', 'Lowest of three hollows in front of the ear.', 'Mouth slightly open.'),
  pair('otobasion-superius', side('none', 24, -4), 'otobasion superius', 'obs', 'Upper root of the ear.', 'Where the ear’s front rim joins the temple.'),
  pair('otobasion-inferius', side('none', -27, -2), 'otobasion inferius', 'obi', 'Lower root of the ear.', 'Where the lobe joins the cheek.'),
  pair('preaurale', side('none', 10, -2), 'preaurale', 'pra', 'Foremost point of the ear.', 'Front edge of the ear’s root.'),
  pair('postaurale', ear(8, 34.5), 'postaurale', 'pa', 'Rearmost point of the ear.', 'Back edge of the rim.'),
  pair('ear-apex', ear(33, 16), 'superaurale', 'sa', 'Highest point of the ear.', 'Fold the ear to the front and mark its tip on the scalp.'),
  pair('subaurale', ear(-30, 8), 'subaurale', 'sba', 'Lowest point of the lobe.', 'Lower edge of the lobe.'),
  pair('temporal-hairline-ear', side('mid', 37, -21), 'hairline above the ear tip', '', 'Lower edge of the hair straight above the ear.', 'Lift the hair above the folded ear tip.'),
  pair('lobule-hollow', side('mid', -31, -10), 'hollow behind the ear lobe', '', 'Between jaw and lower mastoid.', 'Press the lobe flat: the dip behind it.'),
  pair('mastoid-tip', side('mid', -37, -19), 'mastoid tip', 'ms', 'Lower tip of the knob behind the ear.', 'Follow the knob down to its end.'),
  pair('mastoid-rear', side('mid', -29, -33), 'hollow behind the mastoid', '', 'Rear lower edge of the knob.', 'Slide back off the knob, a little above its tip.'),
  pair('gonion', side('mid', -62, 8), 'gonion', 'go', 'Angle of the jaw.', 'Follow the jaw’s edge back to its corner.'),
  pair('masseter-front-jaw', side('mid', -76, 40), 'front of masseter at the jaw’s edge', '', 'On the edge, over the facial pulse.', 'Bite; slide along the edge to the front of the bulge.'),
  pair('scm-rear-gonion', side('neck', -62, -27), 'rear edge of sternomastoid at the jaw angle', '', 'Level with the jaw angle.', 'Slide back from the angle, across the muscle and off it.'),
  pair('suboccipital-hollow', back('mid', 35, -32), 'hollow under the skull', '', 'Between sternomastoid and trapezius.', 'Thumbs slide up the outer border of the nape into the dip.'),
  pair('acromion', above('none', 182, -46), 'acromion', 'a', 'Outer edge of the shoulder tip.', 'Follow the spine of the shoulder blade outward.'),
  pair('shoulder-midpoint', above('none', 91, -66), 'middle from C7 to the shoulder tip', '', 'On the crest of the trapezius.', 'Halve the line with a tape.'),
];

const HAND = [
  pair('wrist-crease', palm(0, 0), 'wrist crease', '', 'Middle of the main crease of the wrist.', 'Bend the wrist.'),
  pair('cubital-crease', palm(0, -254), 'elbow crease', '', 'Middle of the crease at the bend of the elbow.', 'Bend the elbow.'),
  pair('middle-fingertip', palm(-8.6, 184), 'dactylion', 'da', 'Tip of the middle finger.', 'The tip, not the nail.'),
  pair('middle-finger-creases', palm(-13, 151), 'ends of the middle finger’s joint creases', '', 'On the thumb side, between the two joints.', 'Thumb and middle finger form a ring: measure between the crease ends.'),
  pair('thumb-ip', palm(-64, 77), 'end joint of the thumb', '', 'Its widest place.', 'Measure the width across the joint.'),
  pair('four-finger-band', palm(-7.5, 136), 'four fingers at the middle joint', '', 'Index to little finger, held together.', 'Measure across the back crease of the middle finger’s first joint.'),
  pair('metacarpal2-mid', backOfHand(-31, 50), 'middle of the second hand bone', '', 'Beside it, on the thumb side.', 'Thumb to index: top of the bulge.'),
  pair('palm-2-3', palm(-16, 73), 'hollow between second and third hand bone', '', 'On the wrist side of the knuckles.', 'Loose fist: the middle fingertip points to it.'),
  pair('mcp5-ulnar', backOfHand(36.5, 68), 'below the fifth knuckle', '', 'Little-finger edge, where the skin changes colour.', 'Loose fist: end of the fold at the hand’s edge.'),
  pair('fcu-wrist', palm(19, 0), 'thumb side of the flexor carpi ulnaris', '', 'On the wrist crease.', 'Beside the tendon that runs to the pea-shaped bone.'),
  pair('pl-fcr-gap', palm(-4, 0), 'gap between the two middle wrist tendons', '', 'On the wrist crease.', 'Fist and a slight bend; if the middle tendon is missing, the little-finger side of the other.'),
  pair('apl-groove', palm(-24.5, 0), 'groove of the long thumb tendons', '', 'Thumb edge, level with the wrist crease.', 'Slide up from the crease over the wrist bone.'),
  pair('web-1', backOfHand(-38, 71), 'web of thumb and index', '', 'Edge of the fold.', 'Spread the thumb.'),
  pair('web-2', backOfHand(-17.5, 101), 'web of index and middle finger', '', 'Edge of the fold.', 'Spread the fingers.'),
  pair('web-3', backOfHand(2.5, 102), 'web of middle and ring finger', '', 'Edge of the fold.', 'Spread the fingers.'),
  pair('web-4', backOfHand(21.5, 93), 'web of ring and little finger', '', 'Edge of the fold.', 'Spread the fingers.'),
];

const LEG = [
  pair('metatarsal-1-2', null, 'hollow between first and second foot bone', '', 'In front of where they meet.', 'Slide up from the first web.'),
  pair('knee-outer-hollow', null, 'outer hollow beside the kneecap’s tendon', '', 'Below the kneecap, knee bent.', 'Bend the knee.'),
  pair('tibial-crest', null, 'crest of the shin', '', 'Sharp front edge of the shin bone.', 'Run a finger down the shin.'),
  pair('popliteal-crease', null, 'crease behind the knee', '', 'Its middle.', 'Bend the knee.'),
  pair('lateral-malleolus', null, 'outer ankle', '', 'Most prominent point of the outer ankle.', 'Outer ankle bone.'),
];

export const LANDMARKS: readonly LandmarkRow[] = [...MIDLINE, ...FACE, ...SIDE, ...HAND, ...LEG];

export const landmarkName = (id: string): string => LANDMARKS.find((l) => l.id === id)?.name ?? id;

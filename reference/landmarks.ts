import { above, back, fixed, front, side, type Anchor } from '../core/terrain/anchors.ts';

/**
 * Landmarks of the standard head under their usual anthropometric names. Positions: a drawing of one average adult
 * head, from memory, to be verified.
 */
export interface Landmark {
  id: string;
  name: string;
  paired: boolean;
  anchor: Anchor;
}

const mid = (id: string, name: string, anchor: Anchor): Landmark => ({ id, name, paired: false, anchor });
const pair = (id: string, name: string, anchor: Anchor): Landmark => ({ id, name, paired: true, anchor });

export const LANDMARKS: readonly Landmark[] = [
  mid('vertex', 'crown of the head', above('mid', 0, -8)),
  mid('trichion', 'middle of the front hairline', front('mid', 0, 78)),
  mid('metopion', 'middle of the forehead', front('mid', 0, 56)),
  mid('glabella', 'bulge between the brows', front('mid', 0, 32)),
  mid('nasion', 'root of the nose', front('mid', 0, 19)),
  mid('rhinion', 'where nose bone meets cartilage', front('mid', 0, 0)),
  mid('pronasale', 'tip of the nose', front('mid', 0, -24)),
  mid('subnasale', 'base of the nose', front('mid', 0, -34.5)),
  mid('labrale-superius', 'edge of the upper lip', front('mouth', 0, -47.5)),
  mid('stomion', 'where the lips meet', front('mouth', 0, -55.6)),
  mid('labrale-inferius', 'edge of the lower lip', front('mouth', 0, -63.5)),
  mid('sublabiale', 'groove above the chin', front('mid', 0, -71.5)),
  mid('pogonion', 'front of the chin', front('mid', 0, -84)),
  mid('gnathion', 'lower front edge of the chin', fixed('mid', 0, -95, 84)),
  mid('menton', 'underside of the chin', fixed('mid', 0, -98, 76)),
  pair('endocanthion', 'inner corner of the eye', front('eye', 15.5, 10.5)),
  pair('exocanthion', 'outer corner of the eye', front('eye', 46, 11.2)),
  pair('pupil', 'pupil', front('eye', 31.2, 11)),
  pair('palpebrale-superius', 'top of the upper lid', front('eye', 31, 20.8)),
  pair('orbitale', 'lowest edge of the eye socket', front('eye', 32, -3)),
  pair('brow-head', 'inner end of the brow', front('brow', 12, 30)),
  pair('brow-peak', 'top of the brow', front('brow', 37, 35)),
  pair('brow-tail', 'outer end of the brow', front('brow', 51, 28)),
  pair('frontotemporale', 'corner of the forehead', front('face', 52, 52)),
  pair('alare', 'widest point of the nostril wing', front('nose', 17, -26)),
  pair('alar-curvature', 'groove of the nostril wing', front('nose', 15, -30)),
  pair('cheilion', 'corner of the mouth', front('mouth', 25, -55.8)),
  pair('crista', 'peak of the upper lip', front('mouth', 5.5, -46.5)),
  pair('maxillofrontale', 'side of the nose root', front('bridge', 11, 16)),
  pair('malar', 'front of the cheekbone', front('face', 46, -9)),
  pair('cheek-hollow', 'hollow of the cheek', front('face', 46, -34)),
  pair('zygion', 'widest point of the cheekbone', side('mid', -3, 32)),
  pair('tragion', 'notch above the ear opening', side('none', 0, 1)),
  pair('gonion', 'angle of the jaw', side('mid', -62, 8)),
  pair('mastoid', 'bone behind the ear', side('mid', -26, -24)),
  pair('condylion', 'head of the jaw joint', side('none', -2, 12)),
  pair('coronoid', 'hollow under the cheekbone arch', side('mid', -6, 34)),
  pair('temple', 'hollow of the temple', side('mid', 24, 46)),
  pair('euryon', 'widest point of the skull', side('mid', 52, -28)),
  pair('antegonion', 'notch in front of the jaw angle', side('mid', -76, 36)),
  pair('otobasion-superius', 'upper root of the ear', side('none', 24, -6)),
  pair('otobasion-inferius', 'root of the ear lobe', side('none', -27, -2)),
  pair('sternomastoid-mid', 'middle of the side-neck muscle', side('mid', -104, -2)),
  mid('angle-of-neck', 'angle between chin and neck', front('mid', 0, -106)),
  mid('hyoid', 'tongue bone', front('mid', 0, -108)),
  mid('laryngeal', 'larynx', front('mid', 0, -126)),
  mid('suprasternale', 'notch of the breastbone', front('none', 0, -187)),
  pair('clavicle-mid', 'middle of the collarbone', front('none', 62, -186)),
  pair('supraclavicular', 'hollow above the collarbone', front('none', 52, -172)),
  mid('opisthocranion', 'rearmost point of the skull', back('mid', 0, 14)),
  mid('inion', 'bump at the back of the skull', back('mid', 0, -8)),
  mid('nape', 'rear hairline', back('mid', 0, -58)),
  mid('cervicale', 'most prominent neck bone', back('none', 0, -118)),
  pair('occipital-hollow', 'hollow under the skull', back('mid', 24, -32)),
  pair('trapezius-mid', 'crest of the shoulder muscle', back('none', 74, -150)),
];

import { back, front, side, type Anchor } from '../core/terrain/anchors.ts';
import type { Mark } from './marks.ts';
import type { Region } from '../core/atlas/regions.ts';

/**
 * Acupressure points of this slice, under their WHO standard codes (WHO Standard Acupuncture Point Locations, 2008;
 * extra points by their customary codes). The millimetres place them on the drawing by their distance from
 * landmarks and carry the mark below; `null` = not on the head views (hand and forearm).
 */
export interface Point {
  id: string;
  name: string;
  paired: boolean;
  region: Region;
  anchor: Anchor | null;
  find: string;
  mark: Mark;
}

const point = (id: string, name: string, paired: boolean, region: Region, anchor: Anchor | null, find: string, mark: Mark = 'from-memory'): Point => ({ id, name, paired, region, anchor, find, mark });

export const POINTS: readonly Point[] = [
  point('BL1', 'Jingming', true, 'upper-lid', front('eye', 14.2, 13), 'Small dip just above the inner eye corner, on the bone of the nose.'),
  point('BL2', 'Cuanzhu', true, 'brow', front('brow', 15.5, 28.5), 'Dip at the inner end of the brow, on the rim of the socket.'),
  point('BL10', 'Tianzhu', true, 'neck-back', back('mid', 18, -52), 'Beside the upper neck spine, on the thick muscle just below the hairline.'),
  point('GB1', 'Tongziliao', true, 'temple', front('eye', 53, 11.4), 'Just outside the bony rim at the outer eye corner.'),
  point('GB12', 'Wangu', true, 'ear', side('mid', -28, -30), 'Hollow behind and below the bone behind the ear.'),
  point('GB14', 'Yangbai', true, 'forehead', front('brow', 31.2, 46), 'One body-inch above the brow, straight above the pupil.'),
  point('GB20', 'Fengchi', true, 'neck-back', back('mid', 34.5, -38), 'Hollow under the skull between the two neck muscles.'),
  point('ST2', 'Sibai', true, 'cheek', front('face', 29, -15), 'Dip in the bone under the eye, below the pupil.'),
  point('ST3', 'Juliao', true, 'cheek', front('face', 31, -31), 'Below the pupil, level with the lower edge of the nostril wing.'),
  point('ST6', 'Jiache', true, 'jaw', side('mid', -53, 27), 'Top of the bulge that rises in front of the jaw angle on biting.'),
  point('ST7', 'Xiaguan', true, 'jaw', side('mid', -20, 25), 'Hollow under the cheekbone arch, in front of the joint, mouth closed.'),
  point('ST12', 'Quepen', true, 'neck-side', front('none', 62, -170), 'Hollow above the middle of the collarbone.'),
  point('SI18', 'Quanliao', true, 'cheek', front('face', 44, -25), 'Under the cheekbone, below the outer eye corner.'),
  point('SI19', 'Tinggong', true, 'ear', side('mid', -6, 10), 'Hollow in front of the ear that opens with the mouth.'),
  point('TE17', 'Yifeng', true, 'ear', side('mid', -31, -10), 'Hollow behind the ear lobe.'),
  point('TE23', 'Sizhukong', true, 'brow', front('brow', 50, 28), 'Dip at the outer end of the brow.'),
  point('LI20', 'Yingxiang', true, 'nose', front('nose', 19, -28.5), 'Groove beside the middle of the nostril wing.'),
  point('GV16', 'Fengfu', false, 'neck-back', back('mid', 0, -38), 'Midline hollow just below the bump of the skull.'),
  point('GV26', 'Shuigou', false, 'upper-lip', front('mid', 0, -40), 'Groove between nose and upper lip.'),
  point('CV24', 'Chengjiang', false, 'chin', front('mid', 0, -71.5), 'Groove between lower lip and chin.'),
  point('EX-HN3', 'Yintang', false, 'glabella', front('mid', 0, 30), 'Midway between the inner ends of the brows.'),
  point('EX-HN4', 'Yuyao', true, 'brow', front('brow', 31.2, 34), 'Middle of the brow, above the pupil.'),
  point('EX-HN5', 'Taiyang', true, 'temple', side('mid', 18.5, 50), 'Hollow of the temple, about one body-inch behind brow end and eye corner.'),
  point('EX-HN8', 'Shangyingxiang', true, 'nose', front('bridge', 13.8, -14), 'Side of the nose where bone gives way to cartilage.'),
  point('LI4', 'Hegu', true, 'hand', null, 'Back of the hand between thumb and index bones.'),
  point('PC6', 'Neiguan', true, 'arm', null, 'Inner forearm, two body-inches above the wrist crease, between the tendons.'),
];

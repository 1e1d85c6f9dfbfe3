import { bearingOf, fibreBearing, inchesMm, locateAll, strokeToFibres } from '../../core/atlas/index.ts';
import { buildBodies, fibreLines, type Vec3 } from '../../core/drawing/index.ts';
import { describe, expect, test } from 'vitest';
import { BODY_INCHES } from '../../reference/facts/body-inches.ts';
import { LANDMARKS } from '../../reference/facts/landmarks.ts';
import { palpationOf, PRESS_SECONDS } from '../../reference/facts/palpation.ts';
import { MUSCLES } from '../../reference/facts/muscles/index.ts';
import { POINTS } from '../../reference/facts/points/index.ts';

const bodies = buildBodies();
const { landmarks } = locateAll(bodies, LANDMARKS, POINTS, inchesMm(BODY_INCHES, {}));
const at = (id: string): Vec3 => landmarks.get(id)!.mm;

/** Fibres as they are drawn on the reference head, from origin to insertion, in mm. */
function drawnFibres(id: string): Vec3[][] {
  const { fan } = MUSCLES.find((m) => m.id === id)!;
  if (!fan || fan.kind === 'ring') throw new Error(`${id} has no fibres from end to end`);
  return fibreLines(fan, bodies).map((line) => line.filter((p): p is Vec3 => p !== null));
}
function drawnEnds(id: string): { origin: Vec3; insertion: Vec3 } {
  const lines = drawnFibres(id);
  const middle = lines[lines.length >> 1]!;
  return { origin: middle[0]!, insertion: middle[middle.length - 1]! };
}
type Plane = 'profile' | 'front';
/** From one place to another: degrees against the horizontal 0–90, and which way. Profile: forward; front: outward. */
function course(from: Vec3, to: Vec3, plane: Plane) {
  const across = plane === 'profile' ? to[2] - from[2] : to[0] - from[0];
  const up = to[1] - from[1];
  return { steepness: (Math.atan2(Math.abs(up), Math.abs(across)) * 180) / Math.PI, across, up };
}
/** The words of the books as ranges of steepness (our reading of the words). */
const VERTICAL = [75, 90] as const;
const STEEP = [50, 80] as const;
const OBLIQUE = [30, 75] as const;
const LEVEL = [0, 30] as const;

/**
 * Courses from origin to insertion as Gray's Anatomy words them (sure, the words; the ranges are our reading): what is
 * checked is the drawn fibre, on the drawn head. "down", "up", "forward", "back", "outward", "inward"; "" where the
 * course is along the other axis.
 */
describe('fibres run as anatomy words it', () => {
  test.each([
    ['masseter-superficial', 'profile', 'down', 'back', STEEP],
    ['masseter-deep', 'profile', 'down', '', VERTICAL],
    ['temporalis-anterior', 'profile', 'down', '', VERTICAL],
    ['temporalis-middle', 'profile', 'down', 'forward', STEEP],
    ['temporalis-posterior', 'profile', 'down', 'forward', LEVEL],
    ['medial-pterygoid', 'profile', 'down', 'back', STEEP],
    ['lateral-pterygoid', 'profile', '', 'back', LEVEL],
    ['digastric-posterior', 'profile', 'down', 'forward', OBLIQUE],
    ['digastric-anterior', 'profile', 'down', 'back', LEVEL],
    ['buccinator', 'profile', '', 'forward', LEVEL],
    ['scm-sternal', 'profile', 'up', 'back', [65, 90]],
    ['scm-clavicular', 'profile', 'up', 'back', [65, 90]],
    ['frontalis', 'front', 'down', '', VERTICAL],
    ['occipitalis', 'front', 'up', '', VERTICAL],
    ['procerus', 'front', 'up', '', VERTICAL],
    ['corrugator-supercilii', 'front', 'up', 'outward', LEVEL],
    ['depressor-supercilii', 'front', 'up', '', [65, 90]],
    ['llsan', 'front', 'down', '', VERTICAL],
    ['levator-labii-superioris', 'front', 'down', 'inward', STEEP],
    ['levator-anguli-oris', 'front', 'down', '', VERTICAL],
    ['zygomaticus-major', 'front', 'down', 'inward', OBLIQUE],
    ['zygomaticus-minor', 'front', 'down', 'inward', OBLIQUE],
    ['risorius', 'front', '', 'inward', LEVEL],
    ['depressor-anguli-oris', 'front', 'up', 'inward', STEEP],
    ['depressor-labii-inferioris', 'front', 'up', 'inward', STEEP],
    ['mentalis', 'front', 'down', '', VERTICAL],
    ['mylohyoid', 'front', 'down', 'inward', LEVEL],
    ['infrahyoids', 'front', 'up', '', VERTICAL],
    ['scalenes', 'front', 'down', 'outward', STEEP],
    ['trapezius-upper', 'front', 'down', 'outward', OBLIQUE],
    ['splenius-capitis', 'front', 'up', 'outward', OBLIQUE],
    ['semispinalis-capitis', 'front', 'up', '', VERTICAL],
    ['suboccipitals', 'front', 'up', 'outward', STEEP],
    ['levator-scapulae', 'front', 'down', 'outward', STEEP],
    ['pectoralis-major', 'front', '', 'outward', LEVEL],
  ] as const)('%s, seen from the %s: %s %s', (id, plane, vertical, sideways, [least, most]) => {
    const { origin, insertion } = drawnEnds(id);
    const { steepness, across, up } = course(origin, insertion, plane);
    expect(steepness).toBeGreaterThanOrEqual(least);
    expect(steepness).toBeLessThanOrEqual(most);
    if (vertical) expect(up * (vertical === 'up' ? 1 : -1), vertical).toBeGreaterThan(0);
    if (sideways)
      expect(across * (sideways === 'forward' || sideways === 'outward' ? 1 : -1), sideways).toBeGreaterThan(0);
  });
  test('the inner wing muscle runs as the masseter does: within 10°', () => {
    const steep = (id: string) => course(drawnEnds(id).origin, drawnEnds(id).insertion, 'profile').steepness;
    expect(Math.abs(steep('medial-pterygoid') - steep('masseter-superficial'))).toBeLessThan(10);
  });
  test('the temporal muscle fans: front steeper than middle, middle than rear', () => {
    const steep = (id: string) => course(drawnEnds(id).origin, drawnEnds(id).insertion, 'profile').steepness;
    expect(steep('temporalis-anterior')).toBeGreaterThan(steep('temporalis-middle') + 10);
    expect(steep('temporalis-middle')).toBeGreaterThan(steep('temporalis-posterior') + 10);
  });
  /** Lines along which electrodes are laid, from memory: Ferrario & Sforza 1996; Fridlund & Cacioppo 1986; Falla 2002. */
  test.each([
    ['masseter-superficial', 'profile', 'exocanthion', 'gonion', 15],
    ['zygomaticus-major', 'front', 'tragion', 'cheilion', 15],
    ['scm-sternal', 'profile', 'suprasternal-notch', 'mastoid-tip', 10],
  ] as const)('%s lies along the published line %s–%s–%s', (id, plane, from, to, most) => {
    const { origin, insertion } = drawnEnds(id);
    const line = course(at(from), at(to), plane).steepness;
    expect(Math.abs(course(origin, insertion, plane).steepness - line)).toBeLessThan(most);
  });
});

/** The table's own angle is what stroke and fibre are compared with: the drawing must agree with it. */
describe('the angles of the table are those of the drawing', () => {
  const drawn = MUSCLES.filter((m) => m.fan?.kind === 'fan' && m.fan.from !== 'above' && m.fibreDegrees !== null);
  test('most muscles have a direction to check', () => expect(drawn.length).toBeGreaterThan(30));
  test.each(drawn.map((m) => [m.id, m] as const))('%s', (id, m) => {
    const { origin, insertion } = drawnEnds(id);
    const flat = ([x, y, z]: Vec3): readonly [number, number] => (m.view === 'profile' ? [z, y] : [x, y]);
    const bearing = bearingOf(flat(origin), flat(insertion))!;
    expect(strokeToFibres(bearing, fibreBearing(m.fibreDegrees!, m.view)).degrees).toBeLessThan(12);
  });
});

/** Attachments by Gray's Anatomy and Terminologia Anatomica (sure, the places; the distances allow for breadth and depth). */
describe('attachments lie where anatomy has them', () => {
  test.each([
    ['masseter-superficial', 'origin', 'zygion', 10],
    ['masseter-superficial', 'insertion', 'gonion', 8],
    ['masseter-deep', 'origin', 'arch-mid-lower', 9],
    ['temporalis-anterior', 'insertion', 'arch-mid-upper', 16],
    ['temporalis-middle', 'insertion', 'arch-mid-upper', 12],
    ['temporalis-posterior', 'insertion', 'arch-mid-upper', 9],
    ['lateral-pterygoid', 'insertion', 'condyle', 4],
    ['medial-pterygoid', 'insertion', 'gonion', 8],
    ['digastric-anterior', 'origin', 'gnathion', 30],
    ['digastric-posterior', 'origin', 'mastoid-tip', 8],
    ['scm-sternal', 'insertion', 'mastoid-tip', 13],
    ['scm-clavicular', 'insertion', 'mastoid-tip', 13],
    ['splenius-capitis', 'insertion', 'mastoid-tip', 18],
    ['zygomaticus-major', 'insertion', 'cheilion', 5],
    ['zygomaticus-major', 'origin', 'malar', 6],
    ['zygomaticus-minor', 'origin', 'malar', 5],
    ['risorius', 'insertion', 'cheilion', 4],
    ['levator-anguli-oris', 'insertion', 'cheilion', 6],
    ['levator-anguli-oris', 'origin', 'infraorbital-foramen', 6],
    ['levator-labii-superioris', 'origin', 'orbitale', 6],
    ['corrugator-supercilii', 'origin', 'brow-medial', 8],
    ['depressor-anguli-oris', 'insertion', 'cheilion', 8],
    ['infrahyoids', 'insertion', 'hyoid-upper', 8],
    ['infrahyoids', 'origin', 'suprasternal-notch', 7],
    ['trapezius-upper', 'insertion', 'shoulder-midpoint', 22],
    ['suboccipitals', 'insertion', 'eop', 24],
    ['semispinalis-capitis', 'insertion', 'eop', 20],
  ] as const)('%s, %s: near %s', (id, end, landmark, most) => {
    const b = at(landmark);
    // The nearest fibre: an attachment is a line or a field, the landmark one place of it.
    const off = drawnFibres(id).map((line) => {
      const a = end === 'origin' ? line[0]! : line[line.length - 1]!;
      return Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
    });
    expect(Math.min(...off)).toBeLessThan(most);
  });
  test('nerves: chewing muscles by V3, muscles of expression by VII, sternomastoid and trapezius by XI', () => {
    const nerve = (id: string) => MUSCLES.find((m) => m.id === id)!.nerve;
    for (const id of [
      'masseter-superficial',
      'temporalis-anterior',
      'medial-pterygoid',
      'lateral-pterygoid',
      'digastric-anterior',
      'mylohyoid',
    ])
      expect(nerve(id)).toMatch(/V3/);
    for (const id of [
      'frontalis',
      'orbicularis-oculi-orbital',
      'buccinator',
      'platysma',
      'digastric-posterior',
      'mentalis',
    ])
      expect(nerve(id)).toMatch(/VII/);
    for (const id of ['scm-sternal', 'trapezius-upper']) expect(nerve(id)).toMatch(/XI/);
    expect(nerve('tongue')).toMatch(/XII/);
  });
});

/** Pressing: Schiffman et al., J Oral Facial Pain Headache 2014;28:6–27 – closing muscles of the face 1.0 kgf, supplementary sites 0.5 kgf, both for 2 s (sure). */
describe('force of pressing', () => {
  test.each([
    'masseter-superficial',
    'masseter-deep',
    'temporalis-anterior',
    'temporalis-middle',
    'temporalis-posterior',
  ])('%s 1 kgf', (id) => expect(palpationOf(id)).toEqual({ forceKgf: 1, published: true }));
  test.each(['lateral-pterygoid', 'digastric-posterior'])('%s half of that', (id) =>
    expect(palpationOf(id)).toEqual({ forceKgf: 0.5, published: true }),
  );
  test('where nothing is published nothing is claimed to be', () =>
    expect(
      MUSCLES.filter((m) => palpationOf(m.id).published).every((m) =>
        ['jaw', 'temple', 'scalp', 'under-chin', 'neck-side'].includes(m.region),
      ),
    ).toBe(true));
  test('two seconds', () => expect(PRESS_SECONDS).toBe(2));
});

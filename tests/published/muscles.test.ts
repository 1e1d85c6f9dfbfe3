import { bearingOf, fibreBearing, locateAll, strokeToFibres } from '../../core/atlas/index.ts';
import { buildBodies } from '../../core/drawing/index.ts';
import { describe, expect, test } from 'vitest';
import { LANDMARKS } from '../../reference/facts/landmarks.ts';
import { palpationOf, PRESS_SECONDS } from '../../reference/facts/palpation.ts';
import { MUSCLES } from '../../reference/facts/muscles/index.ts';
import { POINTS } from '../../reference/facts/points/index.ts';

/**
 * Fibre directions and attachments against standard anatomy (Gray's Anatomy, Terminologia Anatomica; sure). Angles in
 * degrees as written in the table, undirected; the drawing's fibres are the chord of the middle fibre.
 */
const middle = (curve: readonly (readonly [number, number])[]): readonly [number, number] => {
  const n = curve.length;
  return n % 2
    ? curve[n >> 1]!
    : [(curve[n / 2 - 1]![0] + curve[n / 2]![0]) / 2, (curve[n / 2 - 1]![1] + curve[n / 2]![1]) / 2];
};
/** [lateral or forward, up] in mm of the reference head. */
const ends = (id: string) => {
  const { fan } = MUSCLES.find((m) => m.id === id)!;
  if (fan?.kind !== 'fan') throw new Error(`${id} has no fan`);
  const flat = ([a, b]: readonly [number, number]): readonly [number, number] =>
    fan.from === 'side' ? [b, a] : [a, b];
  return { origin: flat(middle(fan.origin)), insertion: flat(middle(fan.insertion)), from: fan.from };
};

describe('fibre directions', () => {
  const drawn = MUSCLES.filter((m) => m.fan?.kind === 'fan' && m.fan.from !== 'above' && m.fibreDegrees !== null);
  test('most muscles have a direction to check', () => expect(drawn.length).toBeGreaterThan(30));
  test.each(drawn.map((m) => [m.id, m] as const))('%s is drawn along its fibres', (id, m) => {
    const { origin, insertion, from } = ends(id);
    const bearing = bearingOf(origin, insertion)!;
    // Front fans are drawn on the client's left with lateral to the right; profile fans count from forward.
    const plane = m.view === 'profile' ? 'side' : m.view === 'back' ? 'back' : 'front';
    expect(from).toBe(plane);
    expect(strokeToFibres(bearing, fibreBearing(m.fibreDegrees!, m.view)).degrees, id).toBeLessThan(12);
  });
  test.each([
    ['masseter-superficial', 62],
    ['temporalis-posterior', 155],
    ['scm-sternal', 105],
    ['frontalis', 90],
    ['zygomaticus-major', 123],
    ['trapezius-upper', 125],
  ] as const)('%s: %s° as anatomy has it', (id, degrees) =>
    expect(MUSCLES.find((m) => m.id === id)!.fibreDegrees).toBe(degrees),
  );
});

const { landmarks } = locateAll(buildBodies(), LANDMARKS, POINTS);
/** Distance in the plane a muscle is drawn in, in mm. */
function off(id: string, end: 'origin' | 'insertion', landmark: string): number {
  const e = ends(id);
  const [x, y, z] = landmarks.get(landmark)!.mm;
  const at: readonly [number, number] = e.from === 'side' ? [z, y] : [x, y];
  return Math.hypot(e[end][0] - at[0], e[end][1] - at[1]);
}

describe('attachments lie where anatomy has them', () => {
  test.each([
    ['masseter-superficial', 'origin', 'zygion', 22],
    ['masseter-superficial', 'insertion', 'gonion', 14],
    ['masseter-deep', 'origin', 'arch-mid-lower', 14],
    ['temporalis-anterior', 'insertion', 'arch-mid-upper', 18],
    ['temporalis-middle', 'insertion', 'arch-mid-upper', 16],
    ['lateral-pterygoid', 'insertion', 'condyle', 8],
    ['medial-pterygoid', 'insertion', 'gonion', 12],
    ['digastric-anterior', 'origin', 'gnathion', 22],
    ['digastric-posterior', 'origin', 'mastoid-tip', 10],
    ['scm-sternal', 'insertion', 'mastoid-tip', 14],
    ['scm-sternal', 'origin', 'clavicle-sternal', 12],
    ['splenius-capitis', 'insertion', 'mastoid-tip', 18],
    ['zygomaticus-major', 'insertion', 'cheilion', 10],
    ['zygomaticus-major', 'origin', 'malar', 10],
    ['levator-labii-superioris', 'origin', 'orbitale', 8],
    ['corrugator-supercilii', 'origin', 'brow-medial', 10],
    ['depressor-anguli-oris', 'insertion', 'cheilion', 8],
    ['infrahyoids', 'insertion', 'hyoid-upper', 10],
    ['infrahyoids', 'origin', 'suprasternal-notch', 10],
    ['trapezius-upper', 'insertion', 'shoulder-midpoint', 14],
    ['suboccipitals', 'insertion', 'eop', 26],
    ['semispinalis-capitis', 'insertion', 'eop', 22],
  ] as const)('%s, %s: near %s', (id, end, landmark, most) => expect(off(id, end, landmark)).toBeLessThan(most));
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

import { levelness } from '../../../../core/measures';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, test } from 'vitest';
import { DRAWN_PX, drawnFace } from '../../../../demo/drawn-face';
import { PhotoMarker } from './photo-marker';
import { SameScale } from './same-scale';

const even = { leftBrowUpMm: 0, leftLidUpMm: 0, leftMouthUpMm: 0, chinToLeftMm: 0, tiltDeg: 0 };
const { marks } = drawnFace(even);
const marker = (given: typeof marks) =>
  renderToStaticMarkup(<PhotoMarker src="/photo" {...DRAWN_PX} marks={given} onMarks={() => {}} />);

describe('marking a photo', () => {
  test('begins with the first landmark that is missing, and says where it is', () => {
    expect(marker({})).toContain('Pupil, client’s right');
    const rest = Object.fromEntries(Object.entries(marks).filter(([k]) => k !== 'mouth-left' && k !== 'chin'));
    expect(marker(rest)).toContain('Mouth corner, client’s left');
    expect(marker(rest)).toContain('15 of 16');
    expect(marker(rest)).toContain('14 of 16 marked');
  });
  test('draws every mark, the line of the pupils and the midline', () => {
    const out = marker(marks);
    // One more in the loupe.
    expect(out.match(/class="photo-mark(?!er)/g)).toHaveLength(17);
    expect(out.match(/<path d="M[^"]+L/g)).toHaveLength(2);
    expect(marker({}).match(/class="photo-mark(?!er)/g)).toBeNull();
  });
  test('R stands at the left of the picture, where the client’s right is', () =>
    expect(marker({})).toMatch(/is-left">R<.*is-right">L</));
  test('can be reached and read without a pointer', () =>
    expect(marker({})).toMatch(/tabindex="0" role="group" aria-label="Photo\. Pupil, client’s right, not marked yet/));
});

describe('two photos to one scale', () => {
  const photo = (title: string, scale: number, tiltDeg: number) => {
    const face = drawnFace({ ...even, tiltDeg });
    const larger = Object.fromEntries(
      Object.entries(face.marks).map(([k, p]) => [k, { x: p.x * scale, y: p.y * scale }]),
    );
    return {
      title,
      src: `/${title}`,
      width: DRAWN_PX.width * scale,
      height: DRAWN_PX.height * scale,
      marks: larger,
      level: levelness(larger),
    };
  };
  const out = renderToStaticMarkup(<SameScale photos={[photo('before', 1, 4), photo('after', 2, -3)]} />);
  const transforms = [...out.matchAll(/scale\(([\d.-]+)\) rotate\(([\d.-]+)\)/g)].map((m) => [
    Number(m[1]),
    Number(m[2]),
  ]);
  test('a picture of twice the px is drawn at half the scale', () =>
    expect(transforms[0]![0]! / transforms[1]![0]!).toBeCloseTo(2, 2));
  test('each is turned level', () => {
    expect(transforms[0]![1]).toBeCloseTo(-4, 1);
    expect(transforms[1]![1]).toBeCloseTo(3, 1);
  });
  test('both show a bar of 50 mm and their title', () => {
    expect(out.match(/50 mm/g)).toHaveLength(2);
    expect(out).toMatch(/<figcaption>before.*<figcaption>after/);
  });
});

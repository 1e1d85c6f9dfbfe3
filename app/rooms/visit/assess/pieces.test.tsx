import { describe, expect, test } from 'vitest';
import { drawnFace, DRAWN_PX } from '../../../../demo/drawn-face';
import { CAUTIONS } from '../../../../reference/facts/cautions/index';
import { emptyVisit, shownIn, taken, wordsOf } from '../../../../tests/support/visit';
import type { VisitData } from '../session/context';
import { VisitConsent } from '../screen/visit-consent';
import { LevelSection } from './level-section';
import { OpeningFields } from './opening-fields';
import { OverrideLine } from '../frame/override-line';
import { ProductChoice } from '../screen/product-choice';
import { Ratings } from './ratings';
import { ReferNote } from '../screen/refer-note';
import { ScanSection } from './scan-section';
import { ScreenResult } from '../screen/screen-result';
import { SpotsSection } from './spots-section';
import { TendernessTable } from './tenderness-table';
import { ThresholdSection } from './threshold-section';

const visit = (change: (data: VisitData) => void = () => {}): VisitData => {
  const data = emptyVisit();
  change(data);
  return data;
};
const words = (data: VisitData, element: React.ReactNode) => wordsOf(shownIn(data, element));
const masseter = (side: 'left' | 'right') => ({ place: 'masseter-superficial', side });

describe('ratings', () => {
  const ratings = <Ratings phase="before" measures={['nrs-now']} />;
  const before = (d: VisitData) =>
    (d.earlier = [
      { measure: 'nrs-now', complaintId: 'k1', place: '', side: 'both', values: [7, 7, 6, 5, 4], first: 7 },
    ]);
  test('show the course so far and fill nothing in', () => {
    const out = shownIn(visit(before), ratings);
    expect(wordsOf(out)).toContain('was 7 → 6 → 5 → 4');
    expect(out).not.toContain('checked=""');
  });
  test('a course that is worse is told where it is rated, before the work only', () => {
    const isWorse = visit((d) => (d.worse = ['k1']));
    expect(words(isWorse, ratings)).toContain('Worse over the visits');
    expect(words(visit(), ratings)).not.toContain('Worse');
    expect(words(isWorse, <Ratings phase="after" measures={['nrs-now']} />)).not.toContain('Worse');
  });
  test('after the work, what was said before it stands beside', () =>
    expect(
      words(
        visit((d) => (before(d), (d.readings = [taken('nrs-now', 6, { complaintId: 'k1', side: 'left' })]))),
        <Ratings phase="after" measures={['nrs-now']} />,
      ),
    ).toContain('was 6'));
  test('without a complaint it says what to do', () =>
    expect(
      words(
        visit((d) => (d.client.complaints = [])),
        ratings,
      ),
    ).toContain('Add one under the client’s details'));
});

describe('tenderness', () => {
  const table = <TendernessTable phase="before" elsewhere={{ from: null, onAsk: () => {} }} />;
  test('asks about pain and where it is felt only where something hurts', () => {
    const out = words(
      visit(
        (d) => (d.readings = [taken('tenderness', 2, masseter('left')), taken('tenderness', 0, masseter('right'))]),
      ),
      table,
    );
    expect(out.match(/your pain\?/g)).toHaveLength(1);
    expect(out.match(/felt elsewhere\?/g)).toHaveLength(1);
    expect(out).toContain('Mean tenderness 1 of 3 over 2 places pressed.');
  });
  test('tells published forces in kgf and newtons', () =>
    expect(words(visit(), table)).toContain('Masseter 1 kgf (9.8 N)'));
  test('where it was felt stands there with a way out', () => {
    const out = shownIn(
      visit(
        (d) => (
          (d.readings = [taken('tenderness', 2, masseter('left'))]),
          (d.visit.findings = {
            feltElsewhere: [{ muscle: 'masseter-superficial', side: 'left', to: 'temple', toSide: 'left' }],
            spots: [],
            thresholds: [],
          })
        ),
      ),
      table,
    );
    expect(out).toContain('Take away: Masseter, client’s left, felt in temple, left');
  });
});

describe('opening', () => {
  const fields = <OpeningFields phase="before" />;
  test.each<[string, (d: VisitData) => void, string]>([
    [
      'a limited one by the caution level',
      (d) => (d.readings = [taken('opening-mm', 36)]),
      'Below 40 mm: taken as limited',
    ],
    ['one of exactly 40 mm', (d) => (d.readings = [taken('opening-mm', 40)]), '40 mm or more: not limited'],
    [
      'a helped one by the published rule',
      (d) => (d.readings = [taken('opening-assisted-mm', 39)]),
      'limited by the published rule',
    ],
    [
      'the overlap added up',
      (d) => (d.readings = [taken('opening-mm', 41), taken('overlap-mm', 3)]),
      '38 + 3 = 41 mm.',
    ],
    [
      'an open bite taken off',
      (d) => (d.readings = [taken('opening-mm', 42), taken('overlap-mm', -2)]),
      '44 − 2 = 42 mm.',
    ],
    [
      'a change within the error',
      (d) => (
        (d.readings = [taken('opening-mm', 41)]),
        (d.earlier = [
          { measure: 'opening-mm', complaintId: null, place: '', side: 'midline', values: [38], first: 38 },
        ])
      ),
      '38 → 41 mm is within measuring error',
    ],
    [
      'openings that contradict each other',
      (d) => (d.readings = [taken('opening-mm', 45), taken('opening-furthest-mm', 41)]),
      'These openings do not go together',
    ],
    [
      'fingers by the client’s own widths',
      (d) => ((d.client.fingerWidthsMm = [17, 18, 17, 15]), (d.readings = [taken('opening-fingers', 3)])),
      'At least 52 mm, less than 67 mm by this client’s own fingers.',
    ],
    [
      'fingers without widths',
      (d) => (d.readings = [taken('opening-fingers', 3)]),
      'Measure the fingers under Details',
    ],
    [
      'sideways and the path',
      (d) =>
        (d.readings = [
          taken('sideways-mm', 5, { side: 'right' }),
          taken('sideways-mm', 8, { side: 'left' }),
          taken('path-off-mm', 4, { side: 'left' }),
          taken('path-returns', 1),
        ]),
      'Sideways 5 mm, under the usual 7 to the right, 8 mm to the left. Swings to the client’s left',
    ],
  ])('%s', (_what, change, told) => expect(words(visit(change), fields)).toContain(told));
});

describe('scan, spots and threshold', () => {
  test('a closed scan names what is tense', () =>
    expect(
      words(
        visit(
          (d) =>
            (d.readings = [
              taken('region-felt', 2, { place: 'temple', side: 'left' }),
              taken('region-felt', 1, { place: 'forehead' }),
            ]),
        ),
        <ScanSection phase="before" on={false} onScan={() => {}} />,
      ),
    ).toMatch(/2 of 22 told, 1 tense.*Tense: temple left\./));
  test('an open one shows what was felt last time, and chooses nothing', () => {
    const out = shownIn(
      visit(
        (d) =>
          (d.earlier = [
            { measure: 'region-felt', complaintId: null, place: 'forehead', side: 'midline', values: [1, 2], first: 1 },
          ]),
      ),
      <ScanSection phase="before" on onScan={() => {}} />,
    );
    expect(wordsOf(out)).toContain('was tense');
    expect(out).not.toContain('aria-pressed="true" aria-label');
  });
  test('spots say where they are', () => {
    const data = visit(
      (d) =>
        (d.visit.findings = {
          feltElsewhere: [],
          thresholds: [],
          spots: [
            {
              id: 's',
              view: 'front',
              anchor: 'landmark:nasion.midline',
              rightMm: 4,
              downMm: -12,
              tenderness: 3,
              words: 'hard band',
            },
          ],
        }),
    );
    const out = shownIn(data, <SpotsSection pinning={false} onPinning={() => {}} chosen={null} onChoose={() => {}} />);
    expect(wordsOf(out)).toContain('1 12 mm above, 4 mm to the client’s left of nasion (front)');
    expect(out).toContain('value="hard band"');
  });
  test('a threshold is told in three units, with what makes it less sure', () => {
    const kept = (second: number, ramp: number | null) =>
      visit(
        (d) => (
          (d.readings = [taken('pressure-threshold', (second + 203) / 2, masseter('left'))]),
          (d.visit.findings = {
            feltElsewhere: [],
            spots: [],
            thresholds: [
              {
                muscle: 'masseter-superficial',
                side: 'left',
                tipCm2: 1,
                device: 'x',
                trials: [
                  { kpa: 150, rampKpaPerSecond: 40 },
                  { kpa: second, rampKpaPerSecond: ramp },
                  { kpa: 203, rampKpaPerSecond: null },
                ],
              },
            ],
          })
        ),
      );
    const steady = words(kept(207, 40), <ThresholdSection phase="before" />);
    expect(steady).toContain('205.0 kPa, 20.5 N, 2.09 kgf');
    expect(steady).not.toMatch(/less sure|faster or slower/);
    expect(words(kept(130, 40), <ThresholdSection phase="before" />)).toContain('differ by more than a fifth');
    expect(words(kept(207, 61), <ThresholdSection phase="before" />)).toContain('faster or slower than 30 to 50 kPa/s');
  });
});

describe('consent', () => {
  const consent =
    (textVersion: number, withdrawnAt: string | null = null) =>
    (d: VisitData) =>
      (d.alongside.consents = [
        { id: 'x', kind: 'work', textVersion, givenAt: '2027-01-05T12:00:00.000Z', withdrawnAt },
      ]);
  test.each<[(d: VisitData) => void, string, string]>([
    [() => {}, 'not on file yet', 'Client agrees'],
    [consent(0), 'given 5 Jan 2027, the first wording', 'Client takes it back'],
    [consent(0, '2027-02-01T00:00:00.000Z'), 'taken back by the client', 'Client agrees'],
    [
      (d) => (consent(0)(d), (d.texts['consent-work'] = { kind: 'consent-work', version: 1, body: 'New words.' })),
      'given to an older wording (version 0); the present one is version 1',
      'Client agrees',
    ],
  ])('%#: %s', (change, told, button) => {
    const out = words(visit(change), <VisitConsent kind="work" />);
    expect(out).toContain(told);
    expect(out).toContain(button);
  });
});

describe('products', () => {
  const almond = {
    id: 'p1',
    name: 'Silk glide',
    kind: 'oil' as const,
    ingredients: ['Prunus amygdalus dulcis oil'],
    essentialPercent: null,
    retired: false,
    version: 1,
  };
  test('none on file: it says where they are typed in', () =>
    expect(words(visit(), <ProductChoice />)).toContain('type in what stands on the shelf'));
  test('what the client may not have is marked before it is chosen, and told why after', () => {
    const data = visit((d) => ((d.products = [almond]), (d.client.allergies = ['nuts'])));
    expect(words(data, <ProductChoice />)).toMatch(/Silk glide \(not for this client\).*reacts to nuts/);
    data.visit.screen = { ...data.visit.screen, product: 'p1' };
    expect(words(data, <ProductChoice />)).toContain(
      'Avoid. “Prunus amygdalus dulcis oil”: the client reacts to nuts.',
    );
  });
  test('a good patch test is told with its day', () =>
    expect(
      words(
        visit(
          (d) => (
            (d.products = [almond]),
            (d.visit.screen = { ...d.visit.screen, product: 'p1' }),
            (d.alongside.patchTests = { p1: { testedOn: '2027-03-01', reacted: false } })
          ),
        ),
        <ProductChoice />,
      ),
    ).toContain('Patch test of 1 Mar 2027: nothing seen.'));
});

describe('what screening changes', () => {
  const answered = (key: string) => (d: VisitData) => (d.visit.screen = { answers: { [key]: 'yes' }, preparation: [] });
  test('the practice’s own words of what it does stand below', () =>
    expect(
      words(
        visit((d) => (d.texts.scope = { kind: 'scope', version: 3, body: 'Only what our hands can do.' })),
        <ScreenResult />,
      ),
    ).toContain('Only what our hands can do.'));
  test('a standing caution can be overridden in writing, a red flag cannot', () => {
    expect(words(visit(answered('pregnancy')), <ScreenResult />)).toContain('Override in writing');
    const red = CAUTIONS.find((c) => c.group === 'red-flag')!;
    expect(words(visit(answered(red.key)), <ScreenResult />)).not.toContain('Override in writing');
  });
  test('a signed one says who, when and why, and offers nothing more', () => {
    const out = words(
      visit(
        (d) => (
          answered('pregnancy')(d),
          (d.alongside.overrides = [
            {
              caution: 'pregnancy',
              reason: 'Agreed with her midwife.',
              signedName: 'Rafe Oyelaran',
              signedAt: '2027-03-09T10:02:00.000Z',
            },
          ])
        ),
      ),
      <OverrideLine caution={CAUTIONS.find((c) => c.key === 'pregnancy')!} />,
    );
    expect(out).toBe('Overridden by Rafe Oyelaran, 9 Mar 2027: Agreed with her midwife.');
  });
  test('the note to take along names questions and who to see, and no condition', () => {
    const flag = CAUTIONS.find((c) => c.key === 'thunderclap')!;
    const out = words(
      visit(
        (d) => (
          (d.visit.stage = 'stopped'),
          (d.visit.referral = { cautions: ['thunderclap'], seeWho: flag.seeWho, outcome: null, outcomeOn: null })
        ),
      ),
      <ReferNote />,
    );
    expect(out).toContain(flag.question!);
    expect(out).toContain(flag.seeWho);
    expect(out).toContain('Jun Castellan , 9 Mar 2027, at Harbour Row Face Studio.');
    expect(out).not.toContain(flag.title);
  });
});

describe('levelness', () => {
  const { marks } = drawnFace({ leftBrowUpMm: -3, leftLidUpMm: 0, leftMouthUpMm: 0.2, chinToLeftMm: 0, tiltDeg: 0 });
  const photo = {
    id: 'f',
    visitId: 'v1',
    phase: 'before' as const,
    widthPx: DRAWN_PX.width,
    heightPx: DRAWN_PX.height,
    landmarks: marks,
    version: 3,
    takenAt: '2027-03-09T10:06:00.000Z',
  };
  test('nothing taken: it says what it would tell', () =>
    expect(words(visit(), <LevelSection phase="before" />)).toContain('brows, eyes, mouth corners and chin in mm'));
  test('closed, the differences stand there, and what is smaller than its error is none', () => {
    const out = words(
      visit((d) => (d.alongside.photos = [photo])),
      <LevelSection phase="before" />,
    );
    expect(out).toMatch(/Brows client’s right higher by 3\.0 mm, ± 1\.\d/);
    expect(out).toMatch(/Mouth corners none that can be told/);
  });
  test('marks that are not whole yet tell nothing', () =>
    expect(
      words(
        visit((d) => (d.alongside.photos = [{ ...photo, landmarks: { chin: marks.chin } }])),
        <LevelSection phase="before" />,
      ),
    ).not.toContain('± '));
  test('an ended visit takes no new photo', () =>
    expect(
      words(
        visit((d) => (d.visit.stage = 'done')),
        <LevelSection phase="before" />,
      ),
    ).not.toContain('Take from a photo'));
});

import { cautionOf } from '../core/limits/index.ts';
import type { Findings } from '../core/record/index.ts';
import type { Transaction } from 'sequelize';
import sharp from 'sharp';
import { cleanPhoto } from '../server/photo-file.server.ts';
import { writeAudit } from '../server/db/queries/audit.server.ts';
import {
  ConsentModel,
  LocalRuleModel,
  OverrideModel,
  PatchTestModel,
  PhotoModel,
  ProductModel,
  type VisitModel,
} from '../server/db/models/index.ts';
import { drawnFace, type DrawnUnevenness } from './drawn-face.ts';

const RULE = {
  title: 'Performs tonight',
  question: 'Playing or singing within the next four hours?',
  group: 'today' as const,
  severity: 'adapt' as const,
  regions: ['lips' as const, 'upper-lip' as const, 'cheek' as const, 'jaw' as const],
  pressures: ['firm' as const, 'deep' as const],
  works: [],
  advice: 'Medium at most on lips, cheek and jaw, so that the embouchure stays as it is.',
  seeWho: '',
};
const PRODUCTS = {
  plain: {
    name: 'Plain jojoba',
    kind: 'oil' as const,
    ingredients: ['Simmondsia chinensis seed oil'],
    essentialPercent: null,
  },
  almond: {
    name: 'Almond glide',
    kind: 'oil' as const,
    ingredients: ['Prunus amygdalus dulcis oil', 'tocopherol'],
    essentialPercent: null,
  },
  evening: {
    name: 'Evening balm',
    kind: 'cream' as const,
    ingredients: ['Helianthus annuus seed oil', 'cera alba', 'Lavandula angustifolia oil', 'linalool'],
    essentialPercent: 0.5,
  },
};

/** Ids of what the practice made, for the visits that use it. */
export interface SeededPractice {
  ruleKey: string;
  products: Record<keyof typeof PRODUCTS, string>;
}

/** What the made-up practice decided for itself. */
export async function seedPractice(
  practiceId: string,
  owner: string,
  at: Date,
  transaction: Transaction,
): Promise<SeededPractice> {
  const rule = await LocalRuleModel.create({ practiceId, body: RULE, updatedAt: at }, { transaction });
  await writeAudit({ practiceId, practitionerId: owner }, 'rule-added', { rule: rule.id }, transaction);
  const ids: Partial<Record<keyof typeof PRODUCTS, string>> = {};
  for (const [key, body] of Object.entries(PRODUCTS))
    ids[key as keyof typeof PRODUCTS] = (
      await ProductModel.create({ practiceId, body, updatedAt: at }, { transaction })
    ).id;
  return { ruleKey: cautionOf(rule.id, RULE).key, products: ids as SeededPractice['products'] };
}

const FINDINGS: Record<string, Record<number, Findings>> = {
  'Noor Halvorsen': {
    24: {
      feltElsewhere: [{ muscle: 'masseter-superficial', side: 'left', to: 'temple', toSide: 'left' }],
      spots: [
        {
          id: 'noor-1',
          view: 'front',
          anchor: 'landmark:cheilion.left',
          rightMm: 24,
          downMm: -6,
          tenderness: 3,
          words: 'tight band',
        },
      ],
      thresholds: [
        {
          muscle: 'masseter-superficial',
          side: 'left',
          tipCm2: 1,
          trials: [
            { kpa: 158, rampKpaPerSecond: 41 },
            { kpa: 149.5, rampKpaPerSecond: 43 },
            { kpa: 152.5, rampKpaPerSecond: 40 },
          ],
          device: 'stand-in gauge',
        },
      ],
    },
    0: {
      feltElsewhere: [{ muscle: 'masseter-superficial', side: 'left', to: 'temple', toSide: 'left' }],
      spots: [
        {
          id: 'noor-2',
          view: 'front',
          anchor: 'landmark:cheilion.left',
          rightMm: 23,
          downMm: -5,
          tenderness: 1,
          words: 'softer than in the first visit',
        },
      ],
      thresholds: [
        {
          muscle: 'masseter-superficial',
          side: 'left',
          tipCm2: 1,
          trials: [
            { kpa: 199, rampKpaPerSecond: 38 },
            { kpa: 207, rampKpaPerSecond: 42 },
            { kpa: 203, rampKpaPerSecond: 41 },
          ],
          device: 'stand-in gauge',
        },
      ],
    },
  },
};
export const findingsOf = (name: string, daysAgo: number): Findings | undefined => FINDINGS[name]?.[daysAgo];

/** The drawn face at two visits. */
const PHOTOS: Record<string, [daysAgo: number, drawn: DrawnUnevenness][]> = {
  'Noor Halvorsen': [
    [24, { leftBrowUpMm: -2.6, leftLidUpMm: -0.8, leftMouthUpMm: 2.4, chinToLeftMm: 2.8, tiltDeg: 2.2 }],
    [0, { leftBrowUpMm: -2.4, leftLidUpMm: -0.6, leftMouthUpMm: 0.6, chinToLeftMm: 1.2, tiltDeg: -1 }],
  ],
};

export async function seedBeside(
  making: { practiceId: string; practitionerId: string; transaction: Transaction },
  client: { id: string; name: string; firstVisitAt: Date | null },
  visits: ReadonlyMap<number, VisitModel>,
  products: SeededPractice['products'],
): Promise<void> {
  const { practiceId, practitionerId, transaction } = making;
  const consent = (kind: 'work' | 'photo', givenAt: Date) =>
    ConsentModel.create(
      { practiceId, clientId: client.id, kind, textVersion: 0, givenAt, takenBy: practitionerId },
      { transaction },
    );
  if (client.firstVisitAt) await consent('work', client.firstVisitAt);
  if (client.name === 'Tobias Achterberg' || client.name === 'Noor Halvorsen')
    await PatchTestModel.create(
      {
        practiceId,
        clientId: client.id,
        productId: products.plain,
        testedOn: (client.firstVisitAt ?? new Date(0)).toISOString().slice(0, 10),
        reacted: false,
        notedBy: practitionerId,
        notedAt: client.firstVisitAt ?? new Date(0),
      },
      { transaction },
    );
  const photos = PHOTOS[client.name] ?? [];
  if (photos.length && client.firstVisitAt) await consent('photo', client.firstVisitAt);
  for (const [daysAgo, drawn] of photos) {
    const visit = visits.get(daysAgo);
    if (!visit) continue;
    const { svg, marks } = drawnFace(drawn);
    const picture = await cleanPhoto(await sharp(Buffer.from(svg)).png().toBuffer());
    await PhotoModel.create(
      {
        practiceId,
        clientId: client.id,
        visitId: visit.id,
        phase: 'before',
        ...picture,
        landmarks: marks,
        takenBy: practitionerId,
        takenAt: new Date(visit.startsAt.getTime() + 7 * 60_000),
      },
      { transaction },
    );
  }
  const neck = client.name === 'Noor Halvorsen' ? visits.get(8) : undefined;
  if (neck) {
    await OverrideModel.create(
      {
        practiceId,
        visitId: neck.id,
        caution: 'neck-strain',
        reason:
          'Strain of spring is healed, full movement without pain today; light holds at the side only, stopped at the first pull.',
        signedBy: practitionerId,
        signedName: 'Imke Dahl',
        signedAt: new Date(neck.startsAt.getTime() + 4 * 60_000),
      },
      { transaction },
    );
    await writeAudit(
      { practiceId, practitionerId },
      'caution-overridden',
      { visit: neck.id, caution: 'neck-strain' },
      transaction,
    );
  }
}

import { type ClientMeasures, GRADE_LIMITS_MM } from '../core/atlas/index.ts';
import { afterAnswer, type TrainerGrade } from '../core/learning/index.ts';
import type { Transaction } from 'sequelize';
import { BodyMeasureModel, TrainerAnswerModel, TrainerCardModel } from '../server/db/models/index.ts';

/** Invented measures of the made-up clients, in mm, by name and days ago. */
const TAKEN_MEASURES: Record<string, { daysAgo: number; valuesMm: ClientMeasures }[]> = {
  'Noor Halvorsen': [
    {
      daysAgo: 24,
      valuesMm: {
        hairlineBrow: 56,
        browNose: 63,
        noseChin: 64,
        hairlineChin: 172,
        browChin: 118,
        pupils: 61,
        noseBreadth: 32,
        mouthWidth: 49,
        cheekbones: 129,
        jawAngles: 97,
        middleFinger: 21,
      },
    },
    {
      daysAgo: 0,
      valuesMm: {
        hairlineBrow: 55,
        browNose: 63,
        noseChin: 64,
        hairlineCorners: 152,
        cheekbones: 130,
        jawAngles: 92,
        headBreadth: 146,
        scalpArc: 338,
        mastoids: 124,
        forearm: 248,
        middleFinger: 21,
        thumb: 20,
      },
    },
  ],
  'Caspian Holt': [
    {
      daysAgo: 9,
      valuesMm: {
        hairlineBrow: 63,
        browNose: 69,
        noseChin: 75,
        cheekbones: 140,
        jawAngles: 112,
        headBreadth: 155,
        pupils: 66,
        noseBreadth: 37,
        mouthWidth: 56,
        thumb: 24,
      },
    },
  ],
};

export async function seedMeasures(
  practiceId: string,
  clientId: string,
  name: string,
  takenBy: string,
  day: (daysAgo: number) => string,
  transaction: Transaction,
): Promise<void> {
  for (const m of TAKEN_MEASURES[name] ?? [])
    await BodyMeasureModel.create(
      { practiceId, clientId, takenOn: day(m.daysAgo), valuesMm: m.valuesMm, takenBy },
      { transaction },
    );
}

const PRACTISED = [
  'point:GB20',
  'point:ST6',
  'point:EX-HN5',
  'point:BL2',
  'muscle:masseter-superficial',
  'node:supraclavicular',
];
const NEIGHBOUR: Record<string, string> = { 'point:GB20': 'point:EX-HN-Anmian.left', 'point:EX-HN5': 'point:GB1.left' };

/** Eight days of practice with the find-it trainer, getting nearer. */
export async function seedTrainer(
  practiceId: string,
  practitionerId: string,
  at: (daysAgo: number) => Date,
  random: () => number,
  transaction: Transaction,
): Promise<void> {
  const cards = new Map<string, ReturnType<typeof afterAnswer>>();
  for (let daysAgo = 15; daysAgo >= 1; daysAgo -= 2)
    for (const place of PRACTISED.slice(0, 4 + (daysAgo % 3))) {
      const errorMm = Math.round((3 + daysAgo * 0.9 + random() * 9) * 10) / 10;
      const grade: TrainerGrade =
        errorMm <= GRADE_LIMITS_MM.easy
          ? 'easy'
          : errorMm <= GRADE_LIMITS_MM.good
            ? 'good'
            : errorMm <= GRADE_LIMITS_MM.hard
              ? 'hard'
              : 'again';
      const when = new Date(at(daysAgo).getTime() + random() * 600_000);
      const takenFor = errorMm > 12 ? (NEIGHBOUR[place] ?? null) : null;
      await TrainerAnswerModel.create(
        { practiceId, practitionerId, place, at: when, errorMm, takenFor, grade },
        { transaction },
      );
      cards.set(place, afterAnswer(cards.get(place)?.card ?? null, grade, when));
    }
  for (const [place, card] of cards)
    await TrainerCardModel.create(
      { practiceId, practitionerId, place, card: card.card, due: card.due },
      { transaction },
    );
}

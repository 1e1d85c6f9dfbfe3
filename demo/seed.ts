import { eventRow } from '../server/db/stored.ts';
import { expandRoutine, type Routine, stepsOf } from '../core/routine/index.ts';
import { techniquesWorked } from '../core/relief/index.ts';
import { endsByFeel, EXTEND_MS, type GuideEvent, lengthsOf, runRecord } from '../core/guide/index.ts';
import { type MeasureKey, pressureThreshold } from '../core/measures/index.ts';
import { admitRoutine, type Answer, screen } from '../core/limits/index.ts';
import { EMPTY_RECORD, EMPTY_SCREEN, type Findings } from '../core/record/index.ts';
import type { Side } from '../core/words/index.ts';
import { TZDate } from '@date-fns/tz';
import { addDays, format, startOfDay } from 'date-fns';
import type { Transaction } from 'sequelize';
import { CATALOGUE } from '../reference/catalogue.ts';
import { CAUTIONS } from '../reference/facts/cautions/index.ts';
import { PREPARATION } from '../reference/facts/preparation.ts';
import { hash } from '@node-rs/argon2';
import { randomUUID } from 'node:crypto';
import { database } from '../server/db/connection.ts';
import { plantStartingRoutines } from '../server/db/queries/starting.server.ts';
import { refreshOutdatedCourses } from '../server/db/queries/courses.server.ts';
import { inPractice } from '../server/db/scope.ts';
import {
  ClientModel,
  ComplaintModel,
  PracticeModel,
  PractitionerModel,
  ReadingModel,
  RunEventModel,
  RunModel,
  TechniqueModel,
  TemplateModel,
  VisitModel,
} from '../server/db/models/index.ts';
import { seedMeasures, seedTrainer } from './atlas.ts';
import { PEOPLE, type DemoClient, type DemoVisit } from './people.ts';
import { findingsOf, seedBeside, seedPractice, type SeededPractice } from './practice.ts';
import { seeded } from './random.ts';
import { ROUTINES } from './routines.ts';
import { seedScores } from './scores.ts';
import { DEMO_COLLEAGUE, DEMO_SIGN_IN } from './sign-in.ts';
import { seedHomePlans } from './home-plans.ts';
import { seedReminders } from './reminders.ts';
import { seedBookings, seedRooms } from './day.ts';
import { seedPad } from './pad.ts';
import { OWN_TECHNIQUES } from './techniques.ts';

const ZONE = 'Europe/Lisbon';

/** The moment at HH:MM, some days before the day the demo is made. */
const moment = (today: Date, daysAgo: number, time: string): Date => {
  const day = addDays(startOfDay(new TZDate(today.getTime(), ZONE)), -daysAgo);
  return new Date(day.getTime() + (Number(time.slice(0, 2)) * 60 + Number(time.slice(3))) * 60_000);
};
const dayWord = (today: Date, daysAhead: number): string =>
  format(addDays(new TZDate(today.getTime(), ZONE), daysAhead), 'yyyy-MM-dd');

/** The demo practice, relative to a day. The same day gives the same data. */
export async function seedDemo(today: Date): Promise<{ practiceId: string }> {
  const passwordHash = await hash(DEMO_SIGN_IN.password);
  const practiceId = randomUUID();
  await inPractice(practiceId, () =>
    database().transaction((transaction) => seedPracticeOf(practiceId, passwordHash, today, transaction)),
  );
  await refreshOutdatedCourses(practiceId);
  await inPractice(practiceId, () => seedHomePlans(practiceId, dayWord(today, 0)));
  await inPractice(practiceId, () => seedReminders(practiceId, moment(today, -1, '10:00')));
  await inPractice(practiceId, () => seedBookings(practiceId, (days, time) => moment(today, -days, time)));
  await inPractice(practiceId, () => seedPad(practiceId, (days, time) => moment(today, days, time)));
  return { practiceId };
}

async function seedPracticeOf(
  practiceId: string,
  passwordHash: string,
  today: Date,
  transaction: Transaction,
): Promise<void> {
  await PracticeModel.create(
    { id: practiceId, name: 'Harbour Row Face Studio', timeZone: ZONE, contact: '555 0142' },
    { transaction },
  );
  const imke = await PractitionerModel.create(
    { practiceId, name: 'Imke Dahl', email: DEMO_SIGN_IN.email, passwordHash, role: 'owner' },
    { transaction },
  );
  const rafe = await PractitionerModel.create(
    { practiceId, name: 'Rafe Oyelaran', email: DEMO_COLLEAGUE.email, passwordHash, role: 'practitioner' },
    { transaction },
  );
  const templates = new Map<string, string>();
  for (const [key, body] of Object.entries(ROUTINES)) {
    const { id } = await TemplateModel.create(
      {
        practiceId,
        name: body.name,
        body,
        createdBy: key === 'calm' || key === 'drain' ? rafe.id : imke.id,
        updatedAt: moment(today, 30, '18:00'),
      },
      { transaction },
    );
    templates.set(key, id);
  }
  await plantStartingRoutines({ practiceId, practitionerId: imke.id }, moment(today, 60, '12:00'), transaction);
  for (const body of OWN_TECHNIQUES)
    await TechniqueModel.create(
      { practiceId, id: body.id, body, createdBy: imke.id, updatedAt: moment(today, 45, '12:00') },
      { transaction },
    );
  const rooms = await seedRooms(practiceId, transaction);
  const made = await seedPractice(practiceId, imke.id, moment(today, 60, '12:00'), transaction);
  const random = seeded(20_260_309);
  for (const person of PEOPLE)
    await seedClient(
      {
        practiceId,
        today,
        transaction,
        random,
        made,
        templates,
        practitionerId: person.by === 'imke' ? imke.id : rafe.id,
        roomId: person.by === 'imke' ? rooms.street : rooms.yard,
      },
      person,
    );
  await seedTrainer(practiceId, imke.id, (daysAgo) => moment(today, daysAgo, '08:10'), random, transaction);
}

interface Making {
  practiceId: string;
  practitionerId: string;
  /** Where they work. */
  roomId: string;
  today: Date;
  transaction: Transaction;
  random: () => number;
  made: SeededPractice;
  /** Ids of the practice's routines by their key. */
  templates: ReadonlyMap<string, string>;
}

async function seedClient(making: Making, person: DemoClient): Promise<void> {
  const { practiceId, transaction, today } = making;
  const client = await ClientModel.create(
    {
      practiceId,
      name: person.name,
      about: person.about,
      note: person.note ?? '',
      pressureCap: person.pressureCap ?? null,
      fingerWidthsMm: person.fingers ?? null,
      habitSides: person.habitSides ?? {},
      allergies: person.allergies ?? [],
    },
    { transaction },
  );
  await seedMeasures(
    practiceId,
    client.id,
    person.name,
    making.practitionerId,
    (daysAgo) => dayWord(today, -daysAgo),
    transaction,
  );
  const complaints = [];
  for (const [position, { ratings, ...own }] of person.complaints.entries())
    complaints.push({
      ratings,
      row: await ComplaintModel.create({ practiceId, clientId: client.id, ...own, position }, { transaction }),
    });

  const visitAt = new Map<number, VisitModel>();
  for (const visit of person.visits) visitAt.set(visit.daysAgo, await seedVisit(making, client.id, person, visit));
  if (person.today && !visitAt.has(0)) visitAt.set(0, await seedVisit(making, client.id, person, { daysAgo: 0 }));

  await seedScores(practiceId, person.name, making.practitionerId, visitAt, transaction);
  const begun = [...visitAt.values()].filter((v) => v.stage !== 'screen').map((v) => v.startsAt.getTime());
  await seedBeside(
    making,
    { id: client.id, name: person.name, firstVisitAt: begun.length ? new Date(Math.min(...begun)) : null },
    visitAt,
    making.made.products,
  );

  const rows = complaints.flatMap(({ ratings, row }) =>
    ratings.flatMap(([daysAgo, value, at]) => {
      const visit = at === 'h' ? null : (visitAt.get(daysAgo) ?? null);
      const takenAt =
        at === 'h'
          ? moment(today, daysAgo, `${8 + Math.floor(making.random() * 12)}:30`.padStart(5, '0'))
          : new Date((visit?.startsAt ?? moment(today, daysAgo, '12:00')).getTime() + 5 * 60_000);
      const one = {
        practiceId,
        clientId: client.id,
        visitId: visit?.id ?? null,
        complaintId: row.id,
        place: '',
        side: row.side,
        source: at === 'h' ? ('home' as const) : ('studio' as const),
        takenBy: at === 'h' ? null : making.practitionerId,
        takenAt,
      };
      const now = {
        ...one,
        measure: 'nrs-now' as MeasureKey,
        phase: at === 'h' ? ('between' as const) : ('before' as const),
        value,
      };
      if (!visit) return [now];
      const week = (measure: MeasureKey, v: number) => ({
        ...one,
        measure,
        phase: 'before' as const,
        value: Math.min(10, Math.max(0, v)),
      });
      const done = visit.stage === 'done';
      return [
        now,
        week('nrs-worst-week', value + 1 + Math.floor(making.random() * 2)),
        week('nrs-average-week', value),
        ...(done
          ? [
              {
                ...now,
                phase: 'after' as const,
                value: Math.max(0, value - 1 - Math.floor(making.random() * 2)),
                takenAt: new Date(takenAt.getTime() + 35 * 60_000),
              },
            ]
          : []),
      ];
    }),
  );
  await ReadingModel.bulkCreate(rows, { transaction });
}

function answersOf(person: DemoClient, yes: readonly string[], ruleKey: string): Record<string, Answer> {
  return Object.fromEntries(
    [...CAUTIONS.filter((q) => q.question).map((q) => q.key), ruleKey].map((key) => [
      key,
      [...(person.yes ?? []), ...yes].includes(key) ? 'yes' : 'no',
    ]),
  );
}

async function seedVisit(making: Making, clientId: string, person: DemoClient, visit: DemoVisit): Promise<VisitModel> {
  const { practiceId, practitionerId, roomId, today, transaction } = making;
  const isToday = visit.daysAgo === 0;
  const startsAt = moment(
    today,
    visit.daysAgo,
    isToday && person.today ? person.today.time : `${10 + Math.floor(making.random() * 8)}:00`,
  );
  const stage = isToday && person.today ? person.today.stage : visit.stopped ? 'stopped' : 'done';
  const ended = stage === 'done' || stage === 'stopped';
  const fresh = stage === 'screen';
  const caution = CAUTIONS.find((q) => q.key === visit.stopped);
  const key = visit.routine ?? (isToday ? person.today?.routine : undefined);
  const answers = answersOf(person, visit.stopped ? [visit.stopped] : [], making.made.ruleKey);
  // As Compose starts a template: without what this client may not have.
  const routine: Routine | null = key
    ? admitRoutine(ROUTINES[key], screen(CAUTIONS, answers), CATALOGUE).routine
    : null;
  const isLast = stage === 'done' && !person.visits.some((v) => v.daysAgo < visit.daysAgo && v.daysAgo > 0);
  const row = await VisitModel.create(
    {
      practiceId,
      clientId,
      practitionerId,
      roomId,
      bookedMinutes: isToday ? (person.today?.minutes ?? 60) : 60,
      startsAt,
      stage,
      routine,
      routineOrigin: key ? { template: making.templates.get(key)!, version: 1 } : null,
      findings: findingsOf(person.name, visit.daysAgo),
      screen: fresh
        ? EMPTY_SCREEN
        : {
            answers,
            preparation: visit.stopped ? [] : PREPARATION.map((p) => p.key),
          },
      record:
        stage === 'done'
          ? {
              ...EMPTY_RECORD,
              reactions: making.random() < 0.6 ? ['warmth'] : [],
              note: visit.note ?? '',
              product:
                routine && stepsOf(routine).some((s) => s.glide === 'product') ? 'plain almond-free face oil' : '',
              reviewOn: isLast && person.reviewInDays !== undefined ? dayWord(today, person.reviewInDays) : '',
            }
          : null,
      referral: caution ? { cautions: [caution.key], seeWho: caution.seeWho, outcome: null, outcomeOn: null } : null,
      endedAt: ended ? new Date(startsAt.getTime() + 45 * 60_000) : null,
    },
    { transaction },
  );
  if (isLast)
    await ClientModel.update(
      { reviewOn: row.record?.reviewOn || null, reviewVisitId: row.id },
      { where: { practiceId, id: clientId }, transaction },
    );
  await seedReadings(making, row, visit, findingsOf(person.name, visit.daysAgo));
  if (routine && stage === 'done') await seedRun(making, row, routine, visit.stopReason);
  return row;
}

async function seedReadings(
  { practiceId, practitionerId, transaction }: Making,
  row: VisitModel,
  visit: DemoVisit,
  findings: Findings | undefined,
): Promise<void> {
  const takenAt = new Date(row.startsAt.getTime() + 8 * 60_000);
  const one = (measure: MeasureKey, side: Side, value: number, place = '', phase: 'before' | 'after' = 'before') => ({
    practiceId,
    clientId: row.clientId,
    visitId: row.id,
    complaintId: null,
    measure,
    place,
    side,
    phase,
    value,
    source: 'studio' as const,
    takenBy: practitionerId,
    takenAt: phase === 'after' ? new Date(takenAt.getTime() + 32 * 60_000) : takenAt,
  });
  const pair = (muscle: string, values: [number, number] | undefined) =>
    values
      ? [
          one('tenderness', 'right', values[0], muscle),
          one('tenderness', 'left', values[1], muscle),
          ...(row.stage === 'done'
            ? [
                one('tenderness', 'right', Math.max(0, values[0] - 1), muscle, 'after'),
                one('tenderness', 'left', Math.max(0, values[1] - 1), muscle, 'after'),
              ]
            : []),
        ]
      : [];
  await ReadingModel.bulkCreate(
    [
      ...pair('masseter-superficial', visit.masseter),
      ...pair('temporalis-anterior', visit.temple),
      ...(visit.openingMm === undefined
        ? []
        : [
            one('opening-mm', 'midline', visit.openingMm),
            ...(row.stage === 'done' ? [one('opening-mm', 'midline', visit.openingMm + 2, '', 'after')] : []),
          ]),
      ...(findings?.thresholds ?? []).map((t) =>
        one('pressure-threshold', t.side, pressureThreshold(t.trials, t.tipCm2).kpa, t.muscle),
      ),
      ...(visit.scan ?? []).map(([region, side, value]) => one('region-felt', side, value, region)),
      ...(visit.jaw ?? []).map(([measure, side, value]) => one(measure, side, value)),
      ...(visit.fingers === undefined ? [] : [one('opening-fingers', 'midline', visit.fingers)]),
    ],
    { transaction },
  );
}

/** Invented: how much longer than planned a step’s changes and waits took, from 0.9 to 1.5 times, spread evenly. */
const takesLonger = (startMs: number, stepIndex: number): number =>
  0.9 + 0.6 * (((Math.round(startMs / 60_000) + stepIndex) * 0.618034) % 1);

/** A run as it would have been played: started, hands waited for, here and there extended, played to its end or stopped. */
async function seedRun(
  { practiceId, practitionerId, transaction, random }: Making,
  row: VisitModel,
  routine: Routine,
  stopReason: string | undefined,
): Promise<void> {
  const cues = expandRoutine(routine);
  const startMs = row.startsAt.getTime() + 10 * 60_000;
  const events: GuideEvent[] = [
    { id: `${row.id.slice(0, 8)}-start`, kind: 'start', atMs: startMs },
    { id: `${row.id.slice(0, 8)}-hands`, kind: 'wait-for-hands', on: true, atMs: startMs },
  ];
  const lengthMs = cues.at(-1)?.endMs ?? 0;
  const extendedAtMs = random() < 0.5 ? startMs + Math.round(lengthMs * 0.4) : null;
  if (extendedAtMs !== null) events.push({ id: `${row.id.slice(0, 8)}-extend`, kind: 'extend', atMs: extendedAtMs });
  let atMs = startMs;
  const waiting = { waitsForHands: true };
  for (const cue of cues) {
    const byFeel = endsByFeel(cue, waiting);
    const plannedMs = cue.endMs - cue.startMs;
    const lengthMs = byFeel ? Math.round(plannedMs * takesLonger(startMs, cue.stepIndex)) : plannedMs;
    const endMs = atMs + (cue.open ? Math.min(cue.mostMs, lengthMs) : lengthMs);
    const isExtended = extendedAtMs !== null && extendedAtMs >= atMs && extendedAtMs < endMs;
    atMs = endMs + (isExtended ? EXTEND_MS : 0);
    if (byFeel) events.push({ id: `${row.id.slice(0, 8)}-on-${cue.index}`, kind: 'go-on', atMs });
  }
  if (stopReason)
    events.push({
      id: `${row.id.slice(0, 8)}-stopped`,
      kind: 'stop',
      atMs: startMs + Math.round(lengthMs * 0.7),
      reason: stopReason,
    });
  events.sort((a, b) => a.atMs - b.atMs);
  const endMs = atMs + 60_000;
  const { state, steps } = runRecord(cues, events, endMs);
  const run = await RunModel.create(
    {
      practiceId,
      visitId: row.id,
      routine,
      status: state.status === 'stopped' ? 'stopped' : 'done',
      steps,
      createdAt: new Date(startMs),
      practitionerId,
      felt: lengthsOf(routine, events, endMs),
      worked: techniquesWorked(routine, steps),
      endedAt: new Date(events[events.length - 1]!.atMs),
    },
    { transaction },
  );
  await RunEventModel.bulkCreate(
    events.map((e) => ({ runId: run.id, practiceId, ...eventRow(e) })),
    { transaction },
  );
}

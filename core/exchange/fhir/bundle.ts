import type {
  Bundle,
  CarePlan,
  CodeableConcept,
  Condition,
  FhirResource,
  Observation,
  Patient,
  Procedure,
  QuestionnaireResponse,
  QuestionnaireResponseItem,
} from 'fhir/r4';
import { MEASURES, type MeasureKey, measureOf } from '../../measures/index.ts';
import { readRoutine, stepsOf } from '../../routine/index.ts';
import { COMPLAINT_NAMES, type ComplaintKind, InputError, type Side } from '../../words/index.ts';
import type { ClientCopy, CopiedRow } from '../client-copy.ts';

/** Own codes; what they mean stands in docs/formats/fhir.md. */
const FHIR_SYSTEMS = {
  measure: 'urn:velvet-compass:measure',
  place: 'urn:velvet-compass:place',
  side: 'urn:velvet-compass:side',
  phase: 'urn:velvet-compass:phase',
  source: 'urn:velvet-compass:source',
  complaint: 'urn:velvet-compass:complaint',
  act: 'urn:velvet-compass:act',
} as const;
const LOINC = 'http://loinc.org';
const UCUM = 'http://unitsofmeasure.org';
/** Codes of others, only where the measure is the same one. LOINC 72514-3: pain severity, 0-10 verbal numeric rating, reported. */
const LOINC_OF: Partial<Record<MeasureKey, string>> = { 'nrs-now': '72514-3' };
/** In UCUM; what counts or grades has no dimension. */
const UNIT_OF = {
  'of 10': '{score}',
  'of 3': '{score}',
  mm: 'mm',
  kPa: 'kPa',
  fingers: '{count}',
  'yes or no': null,
  felt: '{grade}',
} as const;
const WEEKDAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const;

const urn = (id: unknown): string => `urn:uuid:${String(id)}`;
const of = (id: unknown) => ({ reference: urn(id) });
const text = (value: unknown): string => (typeof value === 'string' ? value : '');
const own = (system: keyof typeof FHIR_SYSTEMS, code: string, display?: string) => ({
  system: FHIR_SYSTEMS[system],
  code,
  ...(display ? { display } : {}),
});
const concept = (...coding: ReturnType<typeof own>[]): CodeableConcept => ({ coding });

const patientOf = (row: CopiedRow): Patient => ({
  resourceType: 'Patient',
  id: text(row.id),
  name: [{ text: text(row.name) }],
  ...(text(row.email) ? { telecom: [{ system: 'email', value: text(row.email) }] } : {}),
});

const conditionOf = (row: CopiedRow): Condition => ({
  resourceType: 'Condition',
  id: text(row.id),
  clinicalStatus: {
    coding: [
      {
        system: 'http://terminology.hl7.org/CodeSystem/condition-clinical',
        code: row.closed ? 'inactive' : 'active',
      },
    ],
  },
  // Told by the client, not diagnosed.
  code: {
    ...concept(own('complaint', text(row.kind), COMPLAINT_NAMES[row.kind as ComplaintKind])),
    text: text(row.label) || COMPLAINT_NAMES[row.kind as ComplaintKind],
  },
  bodySite: [concept(own('side', text(row.side)))],
  subject: of(row.client_id),
});

const observationOf = (row: CopiedRow): Observation => {
  const measure = MEASURES[row.measure as MeasureKey];
  const unit = UNIT_OF[measure.unit];
  const loinc = LOINC_OF[row.measure as MeasureKey];
  return {
    resourceType: 'Observation',
    id: text(row.id),
    status: 'final',
    category: [concept(own('phase', text(row.phase)))],
    code: {
      coding: [own('measure', measure.id, measure.name), ...(loinc ? [{ system: LOINC, code: loinc }] : [])],
      text: measure.name,
    },
    subject: of(row.client_id),
    ...(row.complaint_id ? { focus: [of(row.complaint_id)] } : {}),
    effectiveDateTime: text(row.taken_at),
    ...(unit === null
      ? { valueBoolean: Number(row.value) === 1 }
      : { valueQuantity: { value: Number(row.value), unit: measure.unit, system: UCUM, code: unit } }),
    bodySite: concept(own('side', text(row.side)), ...(text(row.place) ? [own('place', text(row.place))] : [])),
    method: concept(own('source', text(row.source))),
  };
};

const itemOf = ([linkId, answer]: [string, unknown]): QuestionnaireResponseItem => ({
  linkId,
  ...(typeof answer === 'number'
    ? { answer: [{ valueDecimal: answer }] }
    : typeof answer === 'boolean'
      ? { answer: [{ valueBoolean: answer }] }
      : answer === null || answer === undefined
        ? {}
        : { answer: [{ valueString: typeof answer === 'string' ? answer : JSON.stringify(answer) }] }),
});
const responseOf = (row: CopiedRow): QuestionnaireResponse => ({
  resourceType: 'QuestionnaireResponse',
  id: text(row.id),
  questionnaire: `urn:velvet-compass:questionnaire:${text(row.measure)}|${String(row.rule_version)}`,
  status: 'completed',
  subject: of(row.client_id),
  authored: text(row.taken_at),
  item: Object.entries((row.answers ?? {}) as Record<string, unknown>).map(itemOf),
});
const scoreOf = (row: CopiedRow): Observation => ({
  resourceType: 'Observation',
  status: 'final',
  code: {
    coding: [own('measure', text(row.measure), measureOf(text(row.measure))?.name)],
    text: measureOf(text(row.measure))?.name ?? text(row.measure),
  },
  subject: of(row.client_id),
  effectiveDateTime: text(row.taken_at),
  ...(row.value === null
    ? { dataAbsentReason: { text: 'could not be scored' } }
    : { valueQuantity: { value: Number(row.value), system: UCUM, code: '{score}' } }),
  ...(text(row.words) ? { note: [{ text: text(row.words) }] } : {}),
  derivedFrom: [of(row.id)],
});

const procedureOf = (clientId: string, row: CopiedRow): Procedure => {
  const routine = readRoutine(row.routine);
  return {
    resourceType: 'Procedure',
    id: text(row.id),
    status: row.status === 'done' ? 'completed' : row.status === 'stopped' ? 'stopped' : 'in-progress',
    code: { ...concept(own('act', 'guided-routine')), text: routine.name },
    subject: of(clientId),
    performedPeriod: { start: text(row.created_at), ...(row.ended_at ? { end: text(row.ended_at) } : {}) },
    note: [
      {
        text: stepsOf(routine)
          .map((s) => s.technique)
          .join(', '),
      },
    ],
  };
};

const carePlanOf = (row: CopiedRow): CarePlan => {
  const plan = row.plan as {
    routine: unknown;
    words: Record<string, string>;
    weekdays: number[];
    timesADay: number;
    from: string;
    until: string;
  };
  return {
    resourceType: 'CarePlan',
    id: text(row.id),
    status: row.ended_at ? 'completed' : 'active',
    intent: 'plan',
    title: `Home plan ${String(row.number)}`,
    subject: of(row.client_id),
    created: text(row.made_at),
    period: { start: plan.from, end: plan.until },
    activity: stepsOf(readRoutine(plan.routine)).map((step) => ({
      detail: {
        code: { ...concept(own('act', step.technique)) },
        status: row.ended_at ? 'completed' : 'in-progress',
        description: plan.words[step.id] ?? step.technique,
        scheduledTiming: {
          repeat: {
            frequency: plan.timesADay,
            period: 1,
            periodUnit: 'd',
            dayOfWeek: plan.weekdays.map((d) => WEEKDAYS[d - 1]!),
          },
        },
      },
    })),
  };
};

/**
 * What is on record of a client as a FHIR R4 bundle: who, what is complained of, every reading and score, every guided
 * run, every home plan. Names of practice and members stay out.
 */
export function fhirBundle({ madeAt, kinds }: Pick<ClientCopy, 'madeAt' | 'kinds'>): Bundle {
  const clientId = text(kinds.clients[0]?.id);
  const resources: FhirResource[] = [
    ...kinds.clients.map(patientOf),
    ...kinds.complaints.map(conditionOf),
    ...kinds.readings.map(observationOf),
    ...kinds.scores.flatMap((row) => [responseOf(row), scoreOf(row)]),
    ...kinds.runs.map((row) => procedureOf(clientId, row)),
    ...kinds['home-plans'].map(carePlanOf),
  ];
  return {
    resourceType: 'Bundle',
    type: 'collection',
    timestamp: madeAt,
    entry: resources.map((resource) => ({ ...(resource.id ? { fullUrl: urn(resource.id) } : {}), resource })),
  };
}

/** A reading as a bundle tells it. */
interface FhirReading {
  id: string;
  complaintId: string | null;
  measure: MeasureKey;
  place: string;
  side: Side;
  phase: string;
  source: string;
  value: number;
  takenAt: string;
}
/** Readings of a bundle that carry our codes; others are left alone. @throws InputError where one of them lacks its value or time */
export function readFhirReadings(bundle: Bundle): FhirReading[] {
  const code = (where: CodeableConcept | undefined, system: keyof typeof FHIR_SYSTEMS) =>
    where?.coding?.find((c) => c.system === FHIR_SYSTEMS[system])?.code ?? '';
  return (bundle.entry ?? []).flatMap(({ resource }, i) => {
    if (resource?.resourceType !== 'Observation') return [];
    const measure = code(resource.code, 'measure');
    if (!Object.hasOwn(MEASURES, measure)) return [];
    const value =
      resource.valueQuantity?.value ?? (resource.valueBoolean === undefined ? null : Number(resource.valueBoolean));
    if (value === null || !resource.effectiveDateTime)
      throw new InputError(`entry[${i}].resource`, 'an observation with its value and time is accepted');
    return [
      {
        id: resource.id ?? '',
        complaintId: resource.focus?.[0]?.reference?.replace('urn:uuid:', '') ?? null,
        measure: measure as MeasureKey,
        place: code(resource.bodySite, 'place'),
        side: code(resource.bodySite, 'side') as Side,
        phase: code(resource.category?.[0], 'phase'),
        source: code(resource.method, 'source'),
        value,
        takenAt: resource.effectiveDateTime,
      },
    ];
  });
}

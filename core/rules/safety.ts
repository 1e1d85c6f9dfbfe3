import { hardestOf } from '../routine/index.ts';
import {
  FACE_REGIONS,
  lighterOf,
  NECK_REGIONS,
  type Pressure,
  pressureRank,
  PRESSURES,
  type Region,
} from '../words/index.ts';
import { nameOf, type FixAction, type Placed, type Rule } from './types.ts';

const PRACTICE = 'common practice, no published source';
const rank = (p: Placed): number => {
  const hardest = hardestOf(p.step);
  return hardest ? pressureRank(hardest) : 0;
};
const regionsOf = (p: Placed, regionOf: (place: Placed['step']['places'][number]) => Region | null): Set<Region> =>
  new Set([...p.technique.regions, ...p.step.places.map(regionOf).filter((r): r is Region => r !== null)]);

/** A rule that caps pressure in some regions. */
function capRule(
  id: string,
  most: Pressure,
  regions: readonly Region[],
  where: string,
  reason: string,
  source: string,
): Rule {
  return {
    id,
    severity: 'stop',
    reason,
    source,
    check: ({ steps, catalogue }) =>
      steps
        .filter(
          (p) => rank(p) > pressureRank(most) && [...regionsOf(p, catalogue.regionOf)].some((r) => regions.includes(r)),
        )
        .map((p) => ({
          stepIds: [p.step.id],
          title: `${nameOf(p)} is ${hardestOf(p.step)}; ${where} takes ${most} at most.`,
          fix: { label: `Make it ${most}`, action: { do: 'set-pressure', stepId: p.step.id, pressure: most } },
        })),
  };
}

/** What may never stay in a routine, and what looks unsafe. */
export const SAFETY_RULES: readonly Rule[] = [
  {
    id: 'screening',
    severity: 'stop',
    reason: 'Screening took it away for this client today.',
    source: 'the practice’s cautions; see reference/facts/cautions',
    check: ({ steps, breaches }) =>
      steps.flatMap((p) => {
        const bans = breaches[p.index]!.filter((b) => b.effect === 'ban');
        const first = bans[0];
        if (!first) return [];
        const lower = bans.every((b) => b.lowerTo) ? bans.map((b) => b.lowerTo!).reduce(lighterOf) : null;
        const action: FixAction = lower
          ? { do: 'set-pressure', stepId: p.step.id, pressure: lower }
          : { do: 'remove', stepId: p.step.id };
        return [
          {
            stepIds: [p.step.id],
            title: `${nameOf(p)}: off limits. ${first.reason}`,
            fix: { label: lower ? `Make it ${lower}` : 'Take it out', action },
          },
        ];
      }),
  },
  {
    id: 'screening-care',
    severity: 'warn',
    reason: 'Screening asks for care here.',
    source: 'the practice’s cautions; see reference/facts/cautions',
    check: ({ steps, breaches }) =>
      steps.flatMap((p) => {
        const care = breaches[p.index]!.find((b) => b.effect === 'warn');
        return care ? [{ stepIds: [p.step.id], title: `${nameOf(p)}: ${care.reason}`, fix: null }] : [];
      }),
  },
  {
    id: 'keep-off',
    severity: 'stop',
    reason: 'The joint, the throat, the carotid pulse and the eye itself are never worked.',
    source: PRACTICE,
    check: ({ steps, catalogue }) =>
      steps
        .filter((p) => p.step.places.some((place) => place.kind === 'keep-off'))
        .map((p) => {
          const place = p.step.places.find((q) => q.kind === 'keep-off')!;
          const rest = p.step.places.length > 1;
          const action: FixAction = rest
            ? { do: 'drop-place', stepId: p.step.id }
            : { do: 'remove', stepId: p.step.id };
          return {
            stepIds: [p.step.id],
            title: `${nameOf(p)} touches the ${catalogue.placeName(place) ?? place.id}.`,
            fix: { label: rest ? 'Leave that place out' : 'Take it out', action },
          };
        }),
  },
  capRule(
    'under-eye-light',
    'light',
    ['under-eye', 'upper-lid'],
    'the skin under the eye',
    'The skin is thin and the eye lies behind it.',
    'our choice after common practice',
  ),
  {
    id: 'front-neck-never-pressed',
    severity: 'stop',
    reason: 'Windpipe, thyroid and carotid pulse lie there; only feather-light skin strokes.',
    source: PRACTICE,
    check: ({ steps, catalogue }) =>
      steps
        .filter((p) => rank(p) > 1 && regionsOf(p, catalogue.regionOf).has('neck-front'))
        .map((p) => ({
          stepIds: [p.step.id],
          title: `${nameOf(p)} presses on the front of the neck.`,
          fix: { label: 'Make it feather', action: { do: 'set-pressure', stepId: p.step.id, pressure: 'feather' } },
        })),
  },
  capRule(
    'neck-side-cap',
    'medium',
    ['neck-side'],
    'the side of the neck',
    'The carotid runs in front of the side-neck muscle.',
    PRACTICE,
  ),
  capRule(
    'face-at-most-firm',
    'firm',
    FACE_REGIONS,
    'the face',
    'Deep work belongs to neck, shoulder and hand.',
    'our choice',
  ),
  {
    id: 'both-sides-of-neck',
    severity: 'warn',
    reason: 'Never both carotids at once: one side of the neck after the other once it is more than a skin stroke.',
    source: PRACTICE,
    check: ({ steps, catalogue }) =>
      steps
        .filter(
          (p) => p.step.sides.mode === 'together' && rank(p) > 1 && regionsOf(p, catalogue.regionOf).has('neck-side'),
        )
        .map((p) => ({
          stepIds: [p.step.id],
          title: `${nameOf(p)} works both sides of the neck at once.`,
          fix: { label: 'One side after the other', action: { do: 'each-side', stepId: p.step.id } },
        })),
  },
  {
    id: 'pressure-in-range',
    severity: 'hint',
    reason: 'Outside the range this technique is usually done with.',
    source: PRACTICE,
    check: ({ steps }) =>
      steps
        .filter((p) => p.step.pressure && p.technique.pressure && rank(p) > pressureRank(p.technique.pressure.most))
        .map((p) => ({
          stepIds: [p.step.id],
          title: `${nameOf(p)} is usually ${p.technique.pressure!.least === p.technique.pressure!.most ? p.technique.pressure!.most : `${p.technique.pressure!.least} to ${p.technique.pressure!.most}`}.`,
          fix: {
            label: `Make it ${p.technique.pressure!.most}`,
            action: { do: 'set-pressure', stepId: p.step.id, pressure: p.technique.pressure!.most },
          },
        })),
  },
  {
    id: 'light-before-firm',
    severity: 'warn',
    reason: 'Start light and build: the first touch at a place is not the firmest.',
    source: PRACTICE,
    check: ({ steps }) => {
      const met = new Map<string, number>();
      const out = [];
      for (const p of steps) {
        const where = p.technique.muscles[0] ?? p.technique.regions[0] ?? '';
        const before = met.get(where) ?? 0;
        if (rank(p) >= pressureRank('firm') && before === 0)
          out.push({
            stepIds: [p.step.id],
            title: `${nameOf(p)} is the first touch there and already ${p.step.pressure}.`,
            fix: {
              label: `Begin ${PRESSURES[2]}`,
              action: { do: 'set-pressure' as const, stepId: p.step.id, pressure: PRESSURES[2] },
            },
          });
        if (rank(p) > 0)
          for (const m of [...p.technique.muscles, where]) met.set(m, Math.max(met.get(m) ?? 0, rank(p)));
      }
      return out;
    },
  },
];

export const isNeck = (p: Placed): boolean => p.technique.regions.some((r) => NECK_REGIONS.includes(r));
export const isFace = (p: Placed): boolean => p.technique.regions.some((r) => FACE_REGIONS.includes(r));

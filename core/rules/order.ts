import type { Phase } from '../words/index.ts';
import { isFace, isNeck } from './safety.ts';
import { nameOf, type Placed, type Rule } from './types.ts';

const PRACTICE = 'common practice, no published source';
const OPENER = 'collarbone-pump';
const FRAMING: ReadonlySet<Phase> = new Set<Phase>([
  'prepare',
  'breathe',
  'open-drainage',
  'close-drainage',
  'settle',
  'compare',
]);
/** Motions that slide over the skin. */
const SLIDING: ReadonlySet<string> = new Set(['glide', 'sweep', 'shear']);

/** Stations of a drainage in the order they are walked, each named by the places it touches. */
const stationOf = (p: Placed): string =>
  p.step.places
    .filter((x) => x.kind === 'node')
    .map((x) => x.id)
    .join('+');

/** How a routine is ordered. */
export const ORDER_RULES: readonly Rule[] = [
  {
    id: 'open-before-draining',
    severity: 'warn',
    reason: 'Fluid is sent to the collarbone only after the hollow there has been opened.',
    source: PRACTICE,
    check: ({ steps, routine }) => {
      if (routine.order.drainage !== 'open-and-close') return [];
      const first = steps.find(
        (p) =>
          (p.technique.phase === 'close-drainage' || p.technique.phase === 'open-drainage') &&
          p.step.technique !== OPENER,
      );
      if (!first || steps.some((p) => p.step.technique === OPENER && p.index < first.index)) return [];
      const at = steps.find((p) => !['prepare', 'breathe'].includes(p.technique.phase))?.index ?? first.index;
      return [
        {
          stepIds: [first.step.id],
          title: `${nameOf(first)} drains before the collarbone is opened.`,
          fix: { label: 'Open the collarbone first', action: { do: 'insert', technique: OPENER, at } },
        },
      ];
    },
  },
  {
    id: 'close-in-reverse',
    severity: 'warn',
    reason: 'What was opened is closed at the end, the same stations in reverse, the collarbone last.',
    source: PRACTICE,
    check: ({ steps, routine }) => {
      if (routine.order.drainage !== 'open-and-close') return [];
      const opened = steps.filter((p) => p.technique.phase === 'open-drainage');
      if (!opened.length) return [];
      const lastWork = steps.findLast((p) => !FRAMING.has(p.technique.phase))?.index ?? -1;
      const after = steps.filter(
        (p) => p.index > lastWork && (p.technique.phase === 'close-drainage' || p.technique.phase === 'open-drainage'),
      );
      const endsAtCollarbone = after[after.length - 1]?.step.places.some((x) => x.id === 'supraclavicular');
      if (lastWork < (opened[0]?.index ?? 0) && !after.some((p) => p.technique.phase === 'close-drainage')) return [];
      if (endsAtCollarbone) return [];
      return [
        {
          stepIds: opened.map((p) => p.step.id),
          title: after.length
            ? 'The closing drainage does not end at the collarbone.'
            : 'The drainage is opened but not closed.',
          fix: { label: 'Close it in reverse', action: { do: 'mirror-drainage' } },
        },
      ];
    },
  },
  {
    id: 'drainage-order',
    severity: 'hint',
    reason: 'The closing drainage walks the opening stations backward.',
    source: PRACTICE,
    check: ({ steps }) => {
      const close = steps.filter((p) => p.technique.phase === 'close-drainage');
      const collarbone = close.findIndex((p) => stationOf(p) === 'supraclavicular');
      if (collarbone < 0 || collarbone === close.length - 1) return [];
      const last = close[close.length - 1]!;
      return [
        {
          stepIds: [close[collarbone]!.step.id],
          title: `${nameOf(close[collarbone]!)} comes before ${nameOf(last)}; the collarbone is last.`,
          fix: {
            label: 'Move it to the end',
            action: { do: 'move', stepId: close[collarbone]!.step.id, to: last.index },
          },
        },
      ];
    },
  },
  {
    id: 'neck-before-face',
    severity: 'warn',
    reason: 'The neck is the passage: it is freed before the face. Schools differ; this is a setting of the routine.',
    source: PRACTICE,
    check: ({ steps, routine }) => {
      if (routine.order.begin !== 'neck') return [];
      const worked = steps.filter((p) => !FRAMING.has(p.technique.phase));
      const firstFace = worked.find((p) => isFace(p) && !isNeck(p));
      const late = firstFace && worked.find((p) => p.technique.phase === 'neck' && p.index > firstFace.index);
      if (!firstFace || !late) return [];
      return [
        {
          stepIds: [late.step.id],
          title: `${nameOf(late)} comes after ${nameOf(firstFace)}.`,
          fix: {
            label: 'Move the neck before the face',
            action: { do: 'move', stepId: late.step.id, to: firstFace.index },
          },
        },
      ];
    },
  },
  {
    id: 'release-before-exercise',
    severity: 'warn',
    reason:
      'A released muscle can be left out while its neighbour works. Schools differ; this is a setting of the routine.',
    source: PRACTICE,
    check: ({ steps, routine }) => {
      if (routine.order.exercise !== 'after-release') return [];
      const exercised = new Map<string, Placed>();
      for (const p of steps) {
        if (p.technique.phase === 'exercise')
          for (const m of p.technique.muscles) if (!exercised.has(m)) exercised.set(m, p);
        if (p.technique.phase !== 'release') continue;
        const before = p.technique.muscles.map((m) => exercised.get(m)).find((x) => x !== undefined);
        if (before)
          return [
            {
              stepIds: [before.step.id, p.step.id],
              title: `${nameOf(before)} exercises a muscle that ${nameOf(p)} releases later.`,
              fix: { label: 'Release first', action: { do: 'move', stepId: p.step.id, to: before.index } },
            },
          ];
      }
      return [];
    },
  },
  {
    id: 'glide-for-strokes',
    severity: 'hint',
    reason: 'Skin must not be dragged: strokes that slide with more than a feather touch want oil or cream.',
    source: PRACTICE,
    check: ({ steps }) => {
      const glide = steps.find((p) => p.step.technique === 'spread-glide');
      const dragging = steps.find(
        (p) =>
          p.step.pressure &&
          p.step.pressure !== 'feather' &&
          SLIDING.has(p.step.motion) &&
          p.technique.phase !== 'prepare' &&
          (!glide || glide.index > p.index),
      );
      if (!dragging) return [];
      return [
        {
          stepIds: [dragging.step.id],
          title: `${nameOf(dragging)} slides without a glide product.`,
          fix: glide
            ? { label: 'Bring the glide forward', action: { do: 'move', stepId: glide.step.id, to: dragging.index } }
            : {
                label: 'Spread oil or cream first',
                action: { do: 'insert', technique: 'spread-glide', at: dragging.index },
              },
        },
      ];
    },
  },
  {
    id: 'soothe-after-firm',
    severity: 'hint',
    reason: 'Firm work is followed by something soothing.',
    source: PRACTICE,
    check: ({ steps }) => {
      const firm = steps.findLast((p) => p.step.pressure === 'firm' || p.step.pressure === 'deep');
      if (!firm || steps.some((p) => p.index > firm.index && ['settle', 'close-drainage'].includes(p.technique.phase)))
        return [];
      return [
        {
          stepIds: [firm.step.id],
          title: `Nothing soothing follows ${nameOf(firm)}.`,
          fix: {
            label: 'Add slow closing strokes',
            action: { do: 'insert', technique: 'closing-strokes', at: steps.length },
          },
        },
      ];
    },
  },
];

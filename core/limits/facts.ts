import { goesBothWays, touchedRegions, type Catalogue, type Step, type Technique } from '../routine/index.ts';
import {
  pressureRank,
  TOOL_OF_CONTACT,
  type Contact,
  type PlaceRef,
  type PositionWord,
  type Pressure,
  type WorkWord,
} from '../words/index.ts';
import type { StepFacts } from './clause.ts';

/** Facts of a step are asked for by every caution: worked out once for as long as step and catalogue are the same. */
const KNOWN = new WeakMap<Catalogue, WeakMap<Step, StepFacts>>();

/** What a step is, in the words that cautions use. */
export function factsOf(step: Step, catalogue: Catalogue): StepFacts {
  let known = KNOWN.get(catalogue);
  if (!known) KNOWN.set(catalogue, (known = new WeakMap()));
  let facts = known.get(step);
  if (!facts) known.set(step, (facts = workOut(step, catalogue)));
  return facts;
}

const NO_TOUCH: ReadonlySet<Contact> = new Set(['none', 'tongue']);

function workOut(step: Step, catalogue: Catalogue): StepFacts {
  const technique = catalogue.techniques.get(step.technique);
  const region = touchedRegions(step, technique, catalogue);
  const point = new Set<string>();
  // A muscle counts where it is touched, not where it is merely stretched.
  const muscle = new Set<string>(
    (technique?.muscles ?? []).filter((id) => {
      const of = catalogue.regionOf({ kind: 'muscle', id });
      return !of || region.has(of);
    }),
  );
  const places = step.still?.place ? [...step.path, step.still.place] : step.path;
  for (const place of places) {
    // A landmark or a node counts as the point that lies there.
    for (const id of catalogue.pointsAt(place)) point.add(id);
    if (place.kind === 'muscle') muscle.add(place.id);
  }
  const tool = new Set<string>();
  // Who takes another contact takes another tool: gloves on a step of the hand are gloves, and a bare hand is none.
  const ownTool = technique && technique.tool !== TOOL_OF_CONTACT[technique.defaults.contact] ? technique.tool : null;
  for (const word of [ownTool, TOOL_OF_CONTACT[step.contact], step.still && TOOL_OF_CONTACT[step.still.contact]])
    if (word) tool.add(word);
  // Current spreads: gloves count in every region of their technique, wherever the stroke is drawn.
  if (tool.has('microcurrent-device')) for (const r of technique?.regions ?? []) region.add(r);
  const pressure = pressuresOf(step, technique, tool);
  return {
    work: workWords(step, technique, places, tool, pressure, region),
    pressure: new Set(pressure),
    tool,
    position: positionWords(step, technique),
    region,
    point,
    muscle,
  };
}

/** The pressures of a step; where one was left out although something presses, it counts as the hardest. */
function pressuresOf(step: Step, technique: Technique | undefined, tool: ReadonlySet<string>): Pressure[] {
  if (step.pressure) return [step.pressure.there, ...(step.pressure.back ? [step.pressure.back] : [])];
  const touches = !NO_TOUCH.has(step.contact) || tool.size > 0;
  return touches && (!technique || technique.pressure) ? ['deep'] : [];
}

/** Head hanging on the hands, face in the balls: what the eyes and the pressure in the head feel. */
function positionWords(step: Step, technique: Technique | undefined): Set<string> {
  const words = new Set<PositionWord>();
  const position = technique?.position;
  if (position === 'face-down' || position === 'head-low' || position === 'lying') words.add(position);
  if (step.body.head === 'drops') words.add('head-low');
  return words;
}

const STANDING: ReadonlySet<Step['motion']> = new Set([
  'hold',
  'press-pulse',
  'circle',
  'pinch',
  'roll',
  'pump',
  'rock',
]);
const SLIDES: ReadonlySet<Step['motion']> = new Set(['glide', 'sweep', 'roll']);
const PALMS: ReadonlySet<Contact> = new Set(['palm', 'whole-hand', 'palm-heel']);
const KNUCKLES: ReadonlySet<Contact> = new Set(['index-knuckle', 'thumb-knuckle', 'knuckles', 'fist']);
/** Landmarks that are the eye itself, the joint itself, bone of the spine, the nerve of the chin. */
const ON: Readonly<Record<string, WorkWord>> = {
  pupil: 'on-eye',
  'palpebrale-superius': 'on-eye',
  'palpebrale-inferius': 'on-eye',
  condyle: 'on-joint',
  'c7-spinous': 'on-spine',
  'c2-spinous': 'on-spine',
  'mental-foramen': 'mental-nerve',
  'orbitale-superius': 'upper-rim',
};
/** Where drainage ends. */
const BASINS = new Set(['supraclavicular', 'terminus', 'axillary']);
/** Seconds from which a hold on a pulse counts as long. Our choice. */
const LONG_HOLD_SECONDS = 20;

/** Words that follow from how a step moves and presses, and from what the client does, added to the technique's own. */
function workWords(
  step: Step,
  technique: Technique | undefined,
  places: readonly PlaceRef[],
  tools: ReadonlySet<string>,
  pressures: readonly Pressure[],
  region: ReadonlySet<string>,
): Set<string> {
  const words = new Set<string>(technique?.words);
  const add = (word: WorkWord) => words.add(word);
  const { motion, contact, sides } = step;
  const rank = Math.max(0, ...pressures.map(pressureRank));
  const touches = !NO_TOUCH.has(contact) || tools.size > 0;
  const current = tools.has('microcurrent-device');
  if (touches) add('touch');
  if (motion === 'circle' || motion === 'rub') add('circular-friction');
  if (motion === 'hold' || motion === 'press-pulse') add('press-hold');
  if (motion === 'pinch' || contact === 'pinch' || (motion === 'roll' && !tools.size)) add('pincer');
  if (motion === 'stretch' || motion === 'traction') add('stretch');
  if (motion === 'traction') add('neck-traction');
  if (motion === 'tap') add('taps');
  if ((motion === 'sweep' || motion === 'glide') && rank > 0 && rank <= 2) add('light-stroke');
  if (drains(step, technique)) add('lymph-stroke');
  if (step.glide === 'product' && technique?.glide !== 'water-based') add('oil');
  if (current) add('microcurrent');
  if (tools.has('vibration-device')) add('vibration');
  if (tools.has('gua-sha-tool')) add('gua-sha');
  if (tools.has('cup')) add('cupping');
  if (tools.has('light-device')) add('light-therapy');
  if (tools.has('ball')) add('ball-on-it');
  if (rank >= pressureRank('firm')) add('strong-stimulation');
  if (touches && STANDING.has(motion)) add('standing-contact');
  if (touches && !STANDING.has(motion)) add('moving-stroke');
  if (sides.mode === 'together' && touches) {
    if (STANDING.has(motion)) add('both-sides-standing');
    else if (motion !== 'tap') add('both-sides-moving');
    if (current) add('current-across');
  }
  if (step.dose.parts.some((p) => p.kind === 'hold' && p.seconds >= LONG_HOLD_SECONDS) && touches) add('long-hold');
  if (KNUCKLES.has(contact)) add('knuckle');
  if (PALMS.has(contact) && (motion === 'hold' || motion === 'press-pulse')) add('palm-press');
  if (technique?.roles.includes('spreads-glide')) add('spreading');
  if (step.glide === 'dry' && SLIDES.has(motion) && touches && !(region.size === 1 && region.has('scalp')))
    add('dry-slide');
  if (current && step.glide === 'product' && technique?.glide === 'oil-or-cream') add('oil-under-current');
  for (const { kind, id } of places) {
    if (kind === 'landmark' && ON[id]) add(ON[id]);
    if (kind === 'keep-off' && id === 'eyeball') add('on-eye');
    if (kind === 'keep-off' && id === 'jaw-joint') add('on-joint');
  }
  if (step.path.some((p) => p.id === 'upper-lid' || p.id === 'orbicularis-oculi-palpebral')) {
    add('lid');
    if (words.has('pincer')) add('lid-pinched');
  }
  if (PALMS.has(contact) && motion === 'hold' && (words.has('lid') || technique?.regions.includes('upper-lid')))
    add('palms-over-eyes');
  if (step.still?.place?.id === 'upper-lid') add('shields-eye');
  const atEye = words.has('palms-over-eyes') || region.has('upper-lid') || region.has('under-eye');
  if (atEye && words.has('essential-oil')) add('scent-at-eye');
  if (technique?.needs.includes('warmth')) add('heat');
  if (technique?.isTest || motion === 'test') add('finding-out');
  if (tools.has('ball') && step.body.jaw !== 'loose' && step.body.jaw !== 'closed') add('tool-on-moving-jaw');
  clientWords(step, touches, add);
  return words;
}

/** What the client does meanwhile. */
function clientWords({ body, motion, dose }: Step, touches: boolean, add: (word: WorkWord) => void): void {
  if (body.head !== 'still') add('neck-rotation');
  if (body.head === 'turns-away' || body.head === 'turns-toward') add('head-turns');
  if (body.head === 'tips-back' || body.head === 'tips-aside') add('head-tips');
  if (body.head === 'tips-back') add('head-back');
  if (body.head === 'drops') add('head-hangs');
  if (body.head === 'nods') add('head-nods');
  if (body.jaw === 'wide' || body.jaw === 'opens-and-closes') add('jaw-mobilisation');
  if (body.jaw === 'wide') add('jaw-wide');
  if (body.jaw === 'opens-and-closes') add('jaw-moves');
  if (body.jaw === 'clenches') add('jaw-bites');
  if (body.jaw === 'o-shape') add('jaw-drops');
  if (body.eyes === 'squeeze' || body.eyes === 'blink') add('eyes-squeezed');
  if (body.eyes === 'shut') add('eyes-shut');
  if (motion === 'resist' || motion === 'contract') add('face-exercise');
  if (motion === 'resist' && touches) add('effort');
  if (dose.parts.some((p) => p.kind === 'breath' && p.phases.some((x) => x.what === 'in-again'))) add('double-breath');
}

/** Drainage is a stroke or a pump that ends at the collarbone or the armpit, and what the library calls drainage. */
function drains({ path, stroke, motion }: Step, technique: Technique | undefined): boolean {
  if (technique?.phase === 'open-drainage' || technique?.phase === 'close-drainage') return true;
  const ends = goesBothWays(stroke) || stroke === 'to-and-fro' ? [path[0], path.at(-1)] : [path.at(-1)];
  return motion !== 'hold' && ends.some((p) => p?.kind === 'node' && BASINS.has(p.id));
}

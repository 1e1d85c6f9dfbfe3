import { type Catalogue, hardestOf, type Step, type Technique, touchedRegions } from '../routine/index.ts';
import { pressureRank, TOOL_OF_CONTACT, type PositionWord, type WorkWord } from '../words/index.ts';
import type { StepFacts } from './clause.ts';

/** What a step is, in the words that cautions use. */
export function factsOf(step: Step, catalogue: Catalogue): StepFacts {
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
  for (const place of step.still?.place ? [...step.path, step.still.place] : step.path) {
    if (place.kind === 'point') point.add(place.id);
    if (place.kind === 'muscle') muscle.add(place.id);
  }
  const tool = new Set<string>();
  // Who takes another contact takes another tool: gloves on a step of the hand are gloves.
  for (const word of [
    technique?.tool,
    TOOL_OF_CONTACT[step.contact],
    step.still && TOOL_OF_CONTACT[step.still.contact],
  ])
    if (word) tool.add(word);
  return {
    work: workWords(step, technique, tool),
    pressure: new Set(step.pressure ? [step.pressure.there, ...(step.pressure.back ? [step.pressure.back] : [])] : []),
    tool,
    position: positionWords(step, technique),
    region,
    point,
    muscle,
  };
}

/** Head hanging on the hands, face in the balls: what the eyes and the pressure in the head feel. */
function positionWords(step: Step, technique: Technique | undefined): Set<string> {
  const words = new Set<PositionWord>();
  if (technique?.position === 'face-down') words.add('face-down');
  if (step.body.head === 'drops') words.add('head-low');
  return words;
}

/** Words that follow from how a step moves and presses, added to the technique's own. */
function workWords(step: Step, technique: Technique | undefined, tools: ReadonlySet<string>): Set<string> {
  const words = new Set<string>(technique?.words);
  const add = (word: WorkWord) => words.add(word);
  const hardest = hardestOf(step);
  const rank = hardest ? pressureRank(hardest) : 0;
  if (step.motion === 'circle' || step.motion === 'rub') add('circular-friction');
  if (step.motion === 'hold' || step.motion === 'press-pulse') add('press-hold');
  if (step.motion === 'pinch' || step.motion === 'roll') add('pincer');
  if (step.motion === 'stretch' || step.motion === 'traction') add('stretch');
  if ((step.motion === 'sweep' || step.motion === 'glide') && rank > 0 && rank <= 2) add('light-stroke');
  if (technique && (technique.phase === 'open-drainage' || technique.phase === 'close-drainage')) add('lymph-stroke');
  if (step.glide === 'product' && technique?.glide !== 'water-based') add('oil');
  if (tools.has('microcurrent-device')) add('microcurrent');
  if (step.body.head !== 'still') add('neck-rotation');
  if (step.body.jaw === 'wide' || step.body.jaw === 'opens-and-closes') add('jaw-mobilisation');
  if (rank >= pressureRank('firm')) add('strong-stimulation');
  return words;
}

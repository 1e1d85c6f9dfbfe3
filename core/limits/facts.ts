import { type Catalogue, hardestOf, type Step, type Technique } from '../routine/index.ts';
import { pressureRank, type WorkWord } from '../words/index.ts';
import type { StepFacts } from './clause.ts';

/** What a step is, in the words that cautions use. */
export function factsOf(step: Step, catalogue: Catalogue): StepFacts {
  const technique = catalogue.techniques.get(step.technique);
  const region = new Set<string>(technique?.regions ?? []);
  const point = new Set<string>();
  const muscle = new Set<string>(technique?.muscles ?? []);
  for (const place of step.path) {
    const of = catalogue.regionOf(place);
    if (of) region.add(of);
    if (place.kind === 'point') point.add(place.id);
    if (place.kind === 'muscle') muscle.add(place.id);
  }
  const tool = new Set<string>();
  if (technique?.tool) tool.add(technique.tool);
  return {
    work: workWords(step, technique),
    pressure: new Set(step.pressure ? [step.pressure.there, ...(step.pressure.back ? [step.pressure.back] : [])] : []),
    tool,
    position: new Set(),
    region,
    point,
    muscle,
  };
}

/** Words that follow from how a step moves and presses, added to the technique's own. */
function workWords(step: Step, technique: Technique | undefined): Set<string> {
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
  if (step.glide === 'product') add('oil');
  if (rank >= pressureRank('firm')) add('strong-stimulation');
  return words;
}

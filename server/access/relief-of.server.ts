import { REGISTRY } from '../../core/measures/index';
import { readingPairs, scorePairs, type ValuePair } from '../../core/relief/index';
import type { CourseRatings } from '../../core/record/index';
import { scoresOfClient } from '../db/queries/scores.server';
import { endsOfClient, ratingsOfClient } from '../db/queries/readings.server';

/** What there is to tell of a client’s relief: ratings by complaint, and what was measured first and now. */
export interface ReliefOf {
  ratings: { before: CourseRatings[]; after: CourseRatings[] };
  pairs: ValuePair[];
  scored: ValuePair[];
}

export async function reliefOf(practiceId: string, clientId: string): Promise<ReliefOf> {
  const [ratings, ends, scores] = await Promise.all([
    ratingsOfClient(practiceId, clientId),
    endsOfClient(practiceId, clientId),
    scoresOfClient(practiceId, clientId),
  ]);
  const rank = (p: ValuePair) => REGISTRY.findIndex((m) => m.id === p.measure);
  const inOrder = (pairs: ValuePair[]) =>
    pairs.sort((a, b) => rank(a) - rank(b) || a.place.localeCompare(b.place) || a.side.localeCompare(b.side));
  return { ratings, pairs: inOrder(readingPairs(ends)), scored: inOrder(scorePairs(scores)) };
}

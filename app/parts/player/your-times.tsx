import { handWords } from '../../../core/guide';
import { useLearned } from '../frame/use-learned';

/** How long the hands of whoever is signed in take between the work, or how the plan comes to know it. */
export function YourTimes() {
  const { hands } = useLearned();
  const known = handWords(hands);
  return (
    <p className="soft small mb-0">
      {known
        ? `Your own times, by the middle of your runs: ${known}.`
        : 'After five runs that waited for your hands, plans are also told in your own times.'}
    </p>
  );
}

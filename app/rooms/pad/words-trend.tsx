import { wordFit, type PadScale, type WordPress } from '../../../core/touch';
import { counted } from '../../../core/words';
import { dayNumber, TrendWords } from './trend-words';

/** How the share of presses within their word changes over the weeks. */
export function WordsTrend({ presses, scale }: { presses: readonly WordPress[]; scale: PadScale }) {
  const within = presses.map((p) => {
    const fit = wordFit(p.kpa, p.word, scale);
    return { day: dayNumber(p.at), value: fit === 'in-aim' || fit === 'in-word' ? 1 : 0 };
  });
  return (
    <>
      <p className="small mb-0">
        {within.filter((w) => w.value).length} of {counted(within.length, 'press', 'presses')} of yours within their
        word.
      </p>
      <TrendWords points={within} />
    </>
  );
}

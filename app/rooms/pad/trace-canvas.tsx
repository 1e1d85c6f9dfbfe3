import { forceOn, wordNow, type Aim, type Touch, type Wanted } from '../../../core/touch';
import { PRESSURE_KPA, pressureRank, PRESSURES } from '../../../core/words';
import { scaleLinear } from 'd3';
import { useEffect, useRef } from 'react';
import type { TryNow } from './use-try';

interface Props {
  aim: Aim;
  areaCm2: number;
  wanted: readonly Wanted[];
  now: React.RefObject<TryNow>;
  /** What touches at this moment, also between tries. */
  live: React.RefObject<Touch | null>;
  /** Nothing of the hand is shown until the try is over. */
  isBlind: boolean;
  /** Told aloud. */
  words: string;
}
/** So much of a try is in sight. */
const WINDOW_MS = 28_000;
/** Where now stands in it. */
const NOW_AT = 0.8;
const [LEFT, RIGHT, TOP, BOTTOM] = [66, 44, 12, 34];
/** The words of the scale stand in a strip at its left end. */
const STRIP = 18;

/** The pressure of a try over its aim, as it comes: drawn anew with every frame, from readings that are no state. */
export function TraceCanvas({ aim, areaCm2, wanted, now, live, isBlind, words }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const own = canvas.current!;
    const context = own.getContext('2d')!;
    let frame = 0;
    const draw = () => {
      frame = requestAnimationFrame(draw);
      const { clientWidth: width, clientHeight: height } = own;
      const ratio = window.devicePixelRatio || 1;
      if (own.width !== Math.round(width * ratio) || own.height !== Math.round(height * ratio)) {
        own.width = Math.round(width * ratio);
        own.height = Math.round(height * ratio);
      }
      context.setTransform(ratio, 0, 0, ratio, 0, 0);
      context.clearRect(0, 0, width, height);
      paint(context, width, height, { aim, areaCm2, wanted, now: now.current, live: live.current, isBlind }, own);
    };
    draw();
    return () => cancelAnimationFrame(frame);
  }, [aim, areaCm2, wanted, now, live, isBlind]);
  return (
    <div className="pad-trace">
      <canvas ref={canvas} role="img" aria-label={words} />
    </div>
  );
}

interface Shown extends Omit<Props, 'now' | 'live' | 'words'> {
  now: TryNow;
  live: Touch | null;
}
function paint(
  context: CanvasRenderingContext2D,
  width: number,
  height: number,
  { aim, areaCm2, wanted, now, live, isBlind }: Shown,
  element: Element,
): void {
  const style = getComputedStyle(element);
  const colour = (name: string) => style.getPropertyValue(`--${name}`).trim();
  const topKpa = Math.max(aim.wordMostKpa * 1.5, aim.mostKpa * 1.8);
  const y = scaleLinear([0, topKpa], [height - BOTTOM, TOP]);
  const fromMs = Math.max(-2000, now.ms - WINDOW_MS * NOW_AT);
  const x = scaleLinear([fromMs, fromMs + WINDOW_MS], [LEFT, width - RIGHT]);
  const band = (least: number, most: number, fill: string, alpha: number) => {
    context.globalAlpha = alpha;
    context.fillStyle = fill;
    context.fillRect(LEFT, y(most), width - LEFT - RIGHT, y(least) - y(most));
    context.globalAlpha = 1;
  };
  const text = (words: string, atX: number, atY: number, align: CanvasTextAlign, fill = 'ink-soft') => {
    context.fillStyle = colour(fill);
    context.textAlign = align;
    context.fillText(words, atX, atY);
  };
  context.font = `13px ${style.fontFamily}`;
  context.textBaseline = 'middle';
  band(aim.wordLeastKpa, aim.wordMostKpa, colour(`pressure-${aim.word}`), 0.16);
  band(aim.leastKpa, aim.mostKpa, colour(`pressure-${aim.word}`), 0.42);

  words(context, y, topKpa, colour);
  context.lineWidth = 1;
  context.strokeStyle = colour('line');
  for (const kpa of y.ticks(5)) {
    context.beginPath();
    context.moveTo(LEFT, y(kpa));
    context.lineTo(width - RIGHT, y(kpa));
    context.stroke();
    text(String(kpa), LEFT - STRIP - 6, y(kpa), 'right');
    text(forceOn(kpa, areaCm2).toPrecision(2).replace(/\.0$/, ''), width - RIGHT + 10, y(kpa), 'left');
  }
  text('kPa', LEFT - STRIP - 6, TOP - 2, 'right');
  text('N', width - RIGHT + 10, TOP - 2, 'left');

  // When to press, counted; what is over or out of sight to the left is not written over the axis.
  const roomPx = wanted[1] ? x(wanted[1].startMs) - x(wanted[0]!.startMs) : Infinity;
  wanted.forEach(({ startMs, endMs }, i) => {
    const [from, to] = [Math.max(LEFT, x(startMs)), Math.min(width - RIGHT, x(endMs))];
    if (to <= LEFT || from >= width - RIGHT) return;
    context.fillStyle = colour('ink');
    context.fillRect(from, height - BOTTOM + 4, to - from, 5);
    if (x(startMs) >= LEFT && x(startMs) < width - RIGHT - 30)
      text(i === 0 && roomPx > 90 ? `press 1 of ${wanted.length}` : String(i + 1), x(startMs), height - 12, 'left');
  });

  if (now.status !== 'idle') {
    const hidden = isBlind && now.status === 'running';
    if (!hidden) trace(context, now.trace, { x, y, fromMs, aim, colour });
    if (now.status === 'running') {
      context.strokeStyle = colour('now');
      context.lineWidth = 2.5;
      context.beginPath();
      context.moveTo(x(now.ms), TOP);
      context.lineTo(x(now.ms), height - BOTTOM + 10);
      context.stroke();
    }
  }
  const last = live && !isBlind ? live : null;
  const atMs = now.status === 'running' ? now.ms : fromMs;
  if (last && now.status !== 'over') {
    context.beginPath();
    context.arc(x(atMs), y(Math.min(topKpa, last.kpa)), 6, 0, 2 * Math.PI);
    context.fillStyle = colour('now');
    context.fill();
    context.lineWidth = 2;
    context.strokeStyle = colour('sheet');
    context.stroke();
  }
}

/** What each word means, beside the scale. Where two lie over each other the lighter one ends. */
function words(context: CanvasRenderingContext2D, y: Scale, topKpa: number, colour: (name: string) => string): void {
  PRESSURES.forEach((word, i) => {
    const from = PRESSURE_KPA[word].least;
    const next = PRESSURES[i + 1];
    const to = Math.min(topKpa, next ? PRESSURE_KPA[next].least : PRESSURE_KPA[word].most);
    if (from >= to) return;
    context.fillStyle = colour(`pressure-${word}`);
    context.fillRect(LEFT - STRIP, y(to), STRIP, y(from) - y(to));
    if (y(from) - y(to) < 48) return;
    context.save();
    context.translate(LEFT - STRIP / 2, (y(from) + y(to)) / 2);
    context.rotate(-Math.PI / 2);
    context.textAlign = 'center';
    context.fillStyle = colour(pressureRank(word) >= 4 ? 'pressure-on-dark' : 'pressure-on-light');
    context.fillText(word, 0, 0);
    context.restore();
  });
}

type Scale = (value: number) => number;
/** The line of the hand; where it is harder than the aim it is drawn in another colour and thicker. */
function trace(
  context: CanvasRenderingContext2D,
  readings: readonly Touch[],
  { x, y, fromMs, aim, colour }: { x: Scale; y: Scale; fromMs: number; aim: Aim; colour: (name: string) => string },
): void {
  context.lineJoin = 'round';
  let isHard: boolean | null = null;
  let before: Touch | null = null;
  const end = () => isHard !== null && context.stroke();
  for (const touch of readings) {
    if (touch.atMs < fromMs) continue;
    const hard = wordNow(touch.kpa, aim) === 'softer';
    if (hard !== isHard) {
      end();
      isHard = hard;
      context.strokeStyle = colour(hard ? 'worse' : 'ink');
      context.lineWidth = hard ? 3 : 2;
      context.beginPath();
      if (before) context.moveTo(x(before.atMs), y(before.kpa));
    }
    if (before) context.lineTo(x(touch.atMs), y(touch.kpa));
    else context.moveTo(x(touch.atMs), y(touch.kpa));
    before = touch;
  }
  end();
}

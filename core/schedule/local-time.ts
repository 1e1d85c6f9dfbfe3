import { TZDate } from '@date-fns/tz';

/** Clocks go back by a whole hour, or by half of one. */
const BACK_MINUTES = [60, 30];

/**
 * A local time of a zone as a moment; null where there is no such time or day. One that comes twice, as clocks go back,
 * means its first.
 */
export function momentOfLocal(
  zone: string,
  [year, month, day, hour, minute, second = 0, ms = 0]: readonly [
    year: number,
    month: number,
    day: number,
    hour: number,
    minute: number,
    second?: number,
    ms?: number,
  ],
): Date | null {
  const at = new TZDate(year, month - 1, day, hour, minute, second, ms, zone);
  const isSame = (other: TZDate) => other.getHours() === hour && other.getMinutes() === minute;
  // The calendar moves on what there is none of: 31 February, an hour of a night in spring.
  if (at.getMonth() !== month - 1 || at.getDate() !== day || !isSame(at)) return null;
  const earlier = BACK_MINUTES.map((m) => new TZDate(at.getTime() - m * 60_000, zone)).find(isSame);
  return new Date((earlier ?? at).getTime());
}

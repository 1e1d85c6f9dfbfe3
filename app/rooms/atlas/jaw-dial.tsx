import { ChartBar, BarChoice } from '../../parts/chart/chart-bar';

/** Openings that the chart of the atlas can be set to, mm. */
const OPENINGS_MM = [0, 10, 25, 40] as const;
export type Opening = (typeof OPENINGS_MM)[number];

/** The opening that an address asks for; shut where it asks for none that is there. */
export const openingIn = (query: URLSearchParams): Opening =>
  OPENINGS_MM.find((mm) => String(mm) === query.get('jaw')) ?? 0;
/** The address with another opening. */
export function withOpening(query: URLSearchParams, mm: Opening): URLSearchParams {
  const next = new URLSearchParams(query);
  if (mm) next.set('jaw', String(mm));
  else next.delete('jaw');
  return next;
}

const NAMES: Record<Opening, string> = { 0: 'Jaw shut', 10: '10 mm', 25: '25 mm', 40: '40 mm open' };

/** How far the jaw of the chart is open, and what that changes. */
export function JawDial({ openingMm, onOpening }: { openingMm: Opening; onOpening: (mm: Opening) => void }) {
  return (
    <ChartBar told="">
      <BarChoice
        label="How far the jaw is open"
        value={String(openingMm)}
        onChoose={(v) => onOpening(Number(v) as Opening)}
        choices={OPENINGS_MM.map((mm) => ({ value: String(mm), words: NAMES[mm] }))}
      />
    </ChartBar>
  );
}

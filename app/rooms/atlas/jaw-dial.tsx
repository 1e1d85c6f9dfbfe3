import { ChartBar, BarChoice } from '../../parts/chart/chart-bar';

/** Openings that the chart of the atlas can be set to, mm. */
const OPENINGS_MM = [0, 10, 25, 40] as const;
export type Opening = (typeof OPENINGS_MM)[number];

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

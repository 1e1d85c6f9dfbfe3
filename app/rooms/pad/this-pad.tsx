import type { PadShape } from '../../../core/devices';

/** What a pad says of itself, and what its figures cannot tell. */
export const ThisPad = ({ shape }: { shape: PadShape }) => (
  <>
    <h2>This pad</h2>
    <p className="small">
      {shape.name}: {shape.rows} × {shape.columns} cells of {shape.cellMm} mm, {shape.ratePerSecond} readings a second,
      up to {shape.fullKpa} kPa a cell.
    </p>
    <p className="soft small">
      Force is what all cells bear. Area is worked out from how the pressure lies on them, as a rounded fingertip
      presses; one fingertip of 1 cm² can read up to a third too small on cells of 5 mm.
    </p>
  </>
);

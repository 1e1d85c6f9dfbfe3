import { create } from 'qrcode';

/** Modules of quiet around a code, as ISO/IEC 18004 asks. */
const QUIET = 4;

/** An address as a code to be read by a phone: black on white, whatever the room is. */
export default function Qr({ text, label }: { text: string; label: string }) {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const cells = Array.from(modules.data).flatMap((dark, i) =>
    dark ? [`M${(i % modules.size) + QUIET} ${Math.floor(i / modules.size) + QUIET}h1v1h-1z`] : [],
  );
  const across = modules.size + 2 * QUIET;
  return (
    <svg className="qr" viewBox={`0 0 ${across} ${across}`} role="img" aria-label={label} shapeRendering="crispEdges">
      <rect width={across} height={across} fill="#fff" />
      <path d={cells.join('')} fill="#000" />
    </svg>
  );
}

import type { Motion } from '../../../core/words';

/** Motion glyphs, drawn for this project: 16 px, 1.5 px line. */
const PATHS: Record<string, React.ReactNode> = {
  hold: <circle cx="8" cy="8" r="4" fill="currentColor" stroke="none" />,
  'press-pulse': (
    <>
      <circle cx="8" cy="8" r="2.6" fill="currentColor" stroke="none" />
      <path d="M3.2 4.6a6 6 0 0 0 0 6.8M12.8 4.6a6 6 0 0 1 0 6.8" />
    </>
  ),
  circle: (
    <>
      <path d="M13 8a5 5 0 1 1-1.8-3.8" />
      <path d="M11.6 1.6v2.9H8.7" />
    </>
  ),
  glide: (
    <path
      d="M1.5 12.6C6 12 10 9 13 4.2l1.2 1 .3-4.4-4.2 1.4 1.2 1C8.7 7.4 5.5 10.6 1.5 12.6z"
      fill="currentColor"
      stroke="none"
    />
  ),
  sweep: <path d="M2 13 13 3M2 13l12-4M2 13 8 1.8" />,
  shear: <path d="M2 12.5h12M3 7h10M5 4.8 3 7l2 2.2M11 4.8 13 7l-2 2.2" />,
  pinch: <path d="M5.5 3c2.6 2.5 2.6 7.5 0 10M10.5 3c-2.6 2.5-2.6 7.5 0 10" />,
  roll: <path d="M2 13.5h12M3 10a5 5 0 0 1 10 0" />,
  tap: (
    <>
      <circle cx="3.5" cy="4" r="1.4" fill="currentColor" stroke="none" />
      <circle cx="8" cy="8" r="1.6" fill="currentColor" stroke="none" />
      <circle cx="12.5" cy="12" r="1.8" fill="currentColor" stroke="none" />
    </>
  ),
  pump: <path d="m3 3.5 5 4 5-4M3 9l5 4 5-4" />,
  stretch: <path d="M8 3v10M5 5 2 8l3 3M11 5l3 3-3 3" />,
  traction: <path d="M3 13.5h10M8 11V2.5M5 5.5l3-3 3 3" />,
  contract: <path d="M8 3v10M2 5l3 3-3 3M14 5l-3 3 3 3" />,
  resist: <path d="M8 2.5v11M2 8h3.5M3.5 5.8 5.7 8l-2.2 2.2M14 8h-3.5M12.5 5.8 10.3 8l2.2 2.2" />,
  rock: <path d="M2.5 6.5a6.5 6.5 0 0 0 11 0M2 9.8l.4-3.4 3.3.8M14 9.8l-.4-3.4-3.3.8" />,
  breathe: <path d="M1.5 8c2-5 4.2-5 6.5 0s4.5 5 6.5 0" />,
  rub: <path d="M3 12.5 9.5 3M6.5 13.5 13 4M1.8 8.8 5.8 3" />,
  test: <path d="M3 8.5 6.5 12 13 4" />,
};

export function MotionGlyph({ motion, size = 16 }: { motion: Motion; size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 16 16"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.5"
      strokeLinecap="round"
      strokeLinejoin="round"
      role="img"
      aria-label={motion.replace('-', ' ')}
    >
      {PATHS[motion]}
    </svg>
  );
}

import type { Levelness, PhotoMarks } from '../../../../core/measures';

interface Shown {
  title: string;
  src: string;
  width: number;
  height: number;
  marks: PhotoMarks;
  level: Levelness;
}
/** What is shown around the middle of the eyes, in mm. */
const WINDOW_MM = { width: 150, above: 80, below: 130 };

/** Two photos side by side, turned level and drawn to one scale in mm, so that only the face differs. */
export function SameScale({ photos }: { photos: readonly Shown[] }) {
  const { width, above, below } = WINDOW_MM;
  return (
    <div className="same-scale">
      {photos.map(({ title, src, width: w, height: h, marks, level }) => {
        const [r, l] = [marks['pupil-right']!, marks['pupil-left']!];
        const middle = { x: (r.x + l.x) / 2, y: (r.y + l.y) / 2 };
        return (
          <figure key={title}>
            <svg
              viewBox={`${-width / 2} ${-above} ${width} ${above + below}`}
              role="img"
              aria-label={`${title}, level and to scale`}
            >
              <g transform={`scale(${level.mmPerPx}) rotate(${-level.rollDeg}) translate(${-middle.x} ${-middle.y})`}>
                <image href={src} width={w} height={h} />
              </g>
              <g className="photo-guides" strokeWidth={0.4} strokeDasharray="1.6 1.6">
                <path d={`M${-width / 2} 0h${width}M0 ${-above}v${above + below}`} />
              </g>
              <path className="scale-bar" d={`M${-width / 2 + 6} ${below - 6}h50`} strokeWidth={1} />
              <text className="scale-words" x={-width / 2 + 6} y={below - 9} fontSize={6}>
                50 mm
              </text>
            </svg>
            <figcaption>{title}</figcaption>
          </figure>
        );
      })}
    </div>
  );
}

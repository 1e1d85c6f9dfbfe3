import { PHOTO_LANDMARKS, type PhotoLandmark, type PhotoMarks, type Px } from '../../../../core/measures';
import { useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import { HOW_FOUND } from '../../../../reference/facts/photo-landmarks';

interface Props {
  src: string;
  width: number;
  height: number;
  marks: PhotoMarks;
  onMarks: (marks: PhotoMarks) => void;
}

const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
/** The loupe shows so many px of the photo around the mark. */
const LOUPE_PX = 90;

/** Landmarks on a front photo, asked for one by one: a tap sets, arrows move by a px (with Shift by ten), Enter goes on. */
export function PhotoMarker({ src, width, height, marks, onMarks }: Props) {
  const [asked, setAsked] = useState<PhotoLandmark>(() => PHOTO_LANDMARKS.find((k) => !marks[k]) ?? PHOTO_LANDMARKS[0]);
  const picture = useRef<SVGSVGElement>(null);
  const index = PHOTO_LANDMARKS.indexOf(asked);
  const here = marks[asked];
  const { name, how } = HOW_FOUND[asked];
  const done = PHOTO_LANDMARKS.filter((k) => marks[k]).length;
  const set = (p: Px) =>
    onMarks({ ...marks, [asked]: { x: Math.min(width, Math.max(0, p.x)), y: Math.min(height, Math.max(0, p.y)) } });
  const go = (by: number) => setAsked(PHOTO_LANDMARKS[Math.min(PHOTO_LANDMARKS.length - 1, Math.max(0, index + by))]!);
  const tap = (event: React.MouseEvent) => {
    const matrix = picture.current?.getScreenCTM();
    if (!matrix) return;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    set({ x: Math.round(x * 10) / 10, y: Math.round(y * 10) / 10 });
  };
  const key = (event: React.KeyboardEvent) => {
    const arrow = ARROWS[event.key];
    if (arrow) {
      const step = event.shiftKey ? 10 : 1;
      // The first arrow puts the mark where its mirror image or the middle is, so that it need not come from a corner.
      set(here ? { x: here.x + arrow[0] * step, y: here.y + arrow[1] * step } : startOf(asked, marks, width, height));
    } else if (event.key === 'Enter') go(1);
    else if (event.key === 'Backspace') go(-1);
    else return;
    event.preventDefault();
  };
  const unit = Math.max(width, height) / 480;
  const loupe = here ?? { x: width / 2, y: height / 2 };
  return (
    <div className="photo-marker">
      <div
        className="photo-frame"
        tabIndex={0}
        role="group"
        aria-label={`Photo. ${name}${here ? ', marked' : ', not marked yet'}. Arrows move the mark, Enter goes on.`}
        onKeyDown={key}
      >
        <svg ref={picture} viewBox={`0 0 ${width} ${height}`} onClick={tap} role="presentation">
          <image href={src} width={width} height={height} />
          <Guides marks={marks} unit={unit} />
          {PHOTO_LANDMARKS.map(
            (k) => marks[k] && <LandmarkCross key={k} at={marks[k]} unit={unit} asked={k === asked} />,
          )}
        </svg>
        <span className="photo-edge is-left">R</span>
        <span className="photo-edge is-right">L</span>
      </div>
      <div className="photo-side">
        <svg
          className="photo-loupe"
          viewBox={`${loupe.x - LOUPE_PX / 2} ${loupe.y - LOUPE_PX / 2} ${LOUPE_PX} ${LOUPE_PX}`}
          aria-hidden="true"
        >
          <image href={src} width={width} height={height} />
          {here && <LandmarkCross at={here} unit={LOUPE_PX / 160} asked />}
        </svg>
        <p className="mb-0" aria-live="polite">
          <strong>{name}</strong>{' '}
          <span className="soft small">
            {index + 1} of {PHOTO_LANDMARKS.length}
          </span>
        </p>
        <p className="soft small mb-1">{how}</p>
        <div className="d-flex gap-2">
          <Button size="sm" variant="outline-primary" onClick={() => go(-1)} disabled={index === 0}>
            Back
          </Button>
          <Button size="sm" onClick={() => go(1)} disabled={!here || index === PHOTO_LANDMARKS.length - 1}>
            Next
          </Button>
        </div>
        <p className="soft small mt-2 mb-0">
          {done} of {PHOTO_LANDMARKS.length} marked
        </p>
      </div>
    </div>
  );
}

/** Where a mark begins when it is placed by keys. */
function startOf(asked: PhotoLandmark, marks: PhotoMarks, width: number, height: number): Px {
  const twin = asked.endsWith('-left') ? marks[asked.replace('-left', '-right') as PhotoLandmark] : undefined;
  if (twin) return { x: width - twin.x, y: twin.y };
  const eye = marks['pupil-right'];
  return asked.startsWith('iris') && eye ? { ...eye } : { x: width / 2, y: height / 2 };
}

const LandmarkCross = ({ at, unit, asked }: { at: Px; unit: number; asked: boolean }) => (
  <g className={`photo-mark${asked ? ' is-asked' : ''}`} strokeWidth={1.3 * unit}>
    <path
      d={`M${at.x - 7 * unit} ${at.y}h${5 * unit}m${4 * unit} 0h${5 * unit}M${at.x} ${at.y - 7 * unit}v${5 * unit}m0 ${4 * unit}v${5 * unit}`}
    />
  </g>
);

/** The line through the pupils and the midline, once they can be drawn. */
function Guides({ marks, unit }: { marks: PhotoMarks; unit: number }) {
  const line = (a: Px | undefined, b: Px | undefined, beyond: number) =>
    a &&
    b && (
      <path
        d={`M${a.x - (b.x - a.x) * beyond} ${a.y - (b.y - a.y) * beyond}L${b.x + (b.x - a.x) * beyond} ${b.y + (b.y - a.y) * beyond}`}
      />
    );
  return (
    <g className="photo-guides" strokeWidth={unit} strokeDasharray={`${4 * unit} ${4 * unit}`}>
      {line(marks['pupil-right'], marks['pupil-left'], 0.5)}
      {line(marks.glabella, marks.subnasale, 1.2)}
    </g>
  );
}

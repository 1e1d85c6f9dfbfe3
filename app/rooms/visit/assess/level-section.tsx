import {
  differenceWords,
  LEVEL_NAMES,
  levelChange,
  levelness,
  type Levelness,
  MOST_TURN_DEG,
  NEEDED,
  type PhotoMarks,
} from '../../../../core/measures';
import { consentState, type Photo, type PhotoPhase } from '../../../../core/record';
import { useId, useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import { PhotoMarker } from './photo-marker';
import { SameScale } from './same-scale';
import { dayOf } from '../../../../core/schedule';
import { useDates } from '../../../parts/frame/use-dates';
import { useVisit } from '../session/context';
import { send } from '../../../parts/frame/send';
import { VisitConsent } from '../screen/visit-consent';
import { Failed } from '../../../parts/frame/failed';

const srcOf = (p: Photo): string => `/visits/${p.visitId}/photo/${p.id}`;
const levelOf = (marks: PhotoMarks): Levelness | null => {
  if (NEEDED.some((k) => !marks[k])) return null;
  try {
    return levelness(marks);
  } catch {
    // Marks that do not go together yet: told by what is asked next, not by a number.
    return null;
  }
};

/** Levelness from a front photo: brows, lids, mouth corners, nose and chin in mm, each with its error. */
export function LevelSection({ phase }: { phase: PhotoPhase }) {
  const { dayWords } = useDates();
  const { visit, alongside, texts, ended, noteAlongside, timeZone } = useVisit();
  const [open, setOpen] = useState(false);
  const [told, setTold] = useState('');
  const [busy, setBusy] = useState(false);
  const fileId = useId();
  const mine = alongside.photos.find((p) => p.visitId === visit.id && p.phase === phase);
  const other = alongside.photos.findLast(
    (p) => p !== mine && (p.visitId !== visit.id || p.phase === 'before') && Object.keys(p.landmarks).length > 0,
  );
  const may = consentState(alongside.consents, 'photo', texts['consent-photo'].version).state === 'given';

  const take = async (file: File | undefined) => {
    if (!file) return;
    setBusy(true);
    setTold('');
    const answer = await send<{ photo: Photo }>(`/visits/${visit.id}/photo?phase=${phase}`, file);
    setBusy(false);
    if (!answer.ok) return setTold(answer.message);
    noteAlongside((b) => ({
      photos: [...b.photos.filter((p) => !(p.visitId === visit.id && p.phase === phase)), answer.value.photo],
    }));
    setOpen(true);
  };
  const erase = async (photo: Photo) => {
    const answer = await send(srcOf(photo), { do: 'erase' });
    if (answer.ok) noteAlongside((b) => ({ photos: b.photos.filter((p) => p.id !== photo.id) }));
    else setTold(answer.message);
  };
  return (
    <section className="section level" aria-label="Levelness">
      <div className="d-flex align-items-baseline gap-3">
        <h2>Levelness</h2>
        {(mine || !ended) && (
          <Button size="sm" variant="outline-primary" aria-expanded={open} onClick={() => setOpen(!open)}>
            {open ? 'Close' : mine ? 'Open the photo' : 'Take from a photo'}
          </Button>
        )}
        <span className="soft small">
          {mine || open ? '' : 'brows, eyes, mouth corners and chin in mm, from a front photo'}
        </span>
      </div>
      {!open && mine && levelOf(mine.landmarks) && <Differences level={levelOf(mine.landmarks)!} />}
      {open && (
        <div className="measure-sheet">
          <VisitConsent kind="photo" />
          {may && !ended && (
            <div className="my-2">
              <label htmlFor={fileId} className="btn btn-sm btn-outline-primary">
                {busy ? 'Reading …' : mine ? 'Take another instead' : 'Choose the photo'}
              </label>
              <input
                id={fileId}
                type="file"
                accept="image/jpeg,image/png,image/webp"
                className="visually-hidden"
                disabled={busy}
                onChange={(e) => (void take(e.target.files?.[0]), (e.target.value = ''))}
              />{' '}
              <span className="soft small">
                Straight from the front at eye height, lips closed and loose, the same light as last time. JPEG, PNG or
                WebP up to 8 MB; place and time in the file are left behind.
              </span>
            </div>
          )}
          {!may && mine && <p className="caution fw-bold">There is no consent to this photo any more: erase it.</p>}
          <Failed words={told} />
          {mine && (
            <Marked
              key={mine.id}
              photo={mine}
              other={other}
              otherTitle={
                other
                  ? other.visitId === visit.id
                    ? 'the photo before the work'
                    : dayWords(dayOf(other.takenAt, timeZone))
                  : ''
              }
              onErase={() => void erase(mine)}
            />
          )}
          <p className="soft small mb-0">
            Unevenness is noted, its cause is open. If one side of a face droops newly, call the local emergency number
            instead of measuring it.
          </p>
        </div>
      )}
    </section>
  );
}

function Marked({
  photo,
  other,
  otherTitle,
  onErase,
}: {
  photo: Photo;
  other: Photo | undefined;
  otherTitle: string;
  onErase: () => void;
}) {
  const { noteAlongside } = useVisit();
  const [marks, setMarks] = useState(photo.landmarks);
  const [told, setTold] = useState('');
  // Marks are written one after the other, the latest state last.
  const version = useRef(photo.version);
  const writing = useRef<Promise<void>>(Promise.resolve());
  const latest = useRef(marks);
  const write = (next: PhotoMarks) => {
    setMarks(next);
    latest.current = next;
    writing.current = writing.current.then(async () => {
      if (latest.current !== next) return;
      const answer = await send<{ photo: Photo }>(srcOf(photo), {
        do: 'mark',
        version: version.current,
        landmarks: next,
      });
      setTold(answer.ok ? '' : answer.message);
      if (!answer.ok) return;
      version.current = answer.value.photo.version;
      noteAlongside((b) => ({
        photos: b.photos.map((p) => (p.id === photo.id ? { ...p, landmarks: next, version: version.current } : p)),
      }));
    });
  };
  const level = levelOf(marks);
  const before = other ? levelOf(other.landmarks) : null;
  return (
    <>
      <PhotoMarker src={srcOf(photo)} width={photo.widthPx} height={photo.heightPx} marks={marks} onMarks={write} />
      <Failed words={told} />
      {level && level.turnDeg !== null && Math.abs(level.turnDeg) > MOST_TURN_DEG && (
        <p className="worse mb-1" role="status">
          The head seems turned by {Math.round(Math.abs(level.turnDeg))}°, or the nose stands off the middle: take the
          photo again, straight from the front.
        </p>
      )}
      {level && <Differences level={level} before={before ?? undefined} beforeTitle={otherTitle} />}
      {level && before && other && (
        <SameScale
          photos={[
            {
              title: otherTitle,
              src: srcOf(other),
              width: other.widthPx,
              height: other.heightPx,
              marks: other.landmarks,
              level: before,
            },
            { title: 'This photo', src: srcOf(photo), width: photo.widthPx, height: photo.heightPx, marks, level },
          ]}
        />
      )}
      <Button variant="link" className="caution" onClick={onErase}>
        Erase this photo
      </Button>
    </>
  );
}

function Differences({ level, before, beforeTitle }: { level: Levelness; before?: Levelness; beforeTitle?: string }) {
  const changes = before ? levelChange(before, level) : [];
  if (!level.differences.length) return null;
  return (
    <table className="table table-sm level-table">
      <thead>
        <tr>
          <th scope="col">Pair</th>
          <th scope="col">Difference on this photo</th>
          {before && <th scope="col">Change since {beforeTitle}</th>}
        </tr>
      </thead>
      <tbody>
        {level.differences.map((d) => {
          const change = changes.find((c) => c.key === d.key);
          return (
            <tr key={d.key}>
              <th scope="row">{LEVEL_NAMES[d.key]}</th>
              <td>{differenceWords(d)}</td>
              {before && (
                <td className={change?.toward === 'more even' ? 'better' : ''}>
                  {!change
                    ? 'not marked then'
                    : change.toward
                      ? `${change.toward} by ${Math.abs(change.mm).toFixed(1)} mm, ± ${change.errorMm.toFixed(1)}`
                      : `none that can be told, ± ${change.errorMm.toFixed(1)} mm`}
                </td>
              )}
            </tr>
          );
        })}
      </tbody>
      <caption className="small">
        Eyes {level.interpupillaryMm.toFixed(1)} mm apart; scale from an iris of 11.7 mm, ±{' '}
        {(level.scaleError * 196).toFixed(0)} %. The picture is tilted by {Math.abs(level.rollDeg).toFixed(1)}° and
        levelled.
      </caption>
    </table>
  );
}

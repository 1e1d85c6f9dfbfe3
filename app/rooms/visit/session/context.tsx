import type { EarlierReadings, MeasureAnswers, Reading } from '../../../../core/measures';
import { emptyRoutine, type Routine } from '../../../../core/routine';
import {
  type Answers,
  type Caution,
  type Override,
  type PatchTest,
  type Screening,
  screenVisit,
} from '../../../../core/limits';
import {
  type Client,
  type Consent,
  type Findings,
  hasEnded,
  type Photo,
  type PracticeText,
  type ReadingEntry,
  type RoutineOrigin,
  type Screen,
  type Stage,
  stageIndex,
  type StoredProduct,
  type TakenScore,
  type TextKind,
  type Visit,
  type VisitPatch,
  type VisitRecord,
  type Working,
  workingOf,
  inverseOf,
  isCorrectable,
  STAGES,
} from '../../../../core/record';
import type { HelpedBefore } from '../../../../core/relief';
import { createContext, use, useEffect, useMemo, useRef, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { CAUTIONS } from '../../../../reference/facts/cautions/index';
import { useSignedInAgain } from '../../../parts/frame/signed-out';
import { usePulse } from '../../../parts/live/use-pulse';
import { nextRedo, nextUndo, noted, redone, undone, type Done, type History } from './history';
import { placeOnDevice } from './device-store';
import { postTo, readNow } from './post';
import { SaveQueue, type Kept, type SaveState } from './save-queue';

export interface VisitData {
  visit: Visit;
  number: number;
  client: Client;
  readings: Reading[];
  earlier: EarlierReadings[];
  /** What came before easier days, by complaint. */
  helped: HelpedBefore[];
  lastScreen: Screen | null;
  /** Told by the client ahead of the visit, by question. */
  said: Answers;
  /** Scored measures of this visit and of those before it, oldest first. */
  scores: TakenScore[];
  practiceName: string;
  /** School that new routines begin with. */
  practiceSchool: string;
  /** Ids of complaints whose course is worse. */
  worse: string[];
  /** Who works on it. */
  who: { practitionerId: string; name: string };
  timeZone: string;
  lastFindings: Findings | null;
  /** Cautions of the practice's own. */
  rules: Caution[];
  texts: Record<TextKind, PracticeText>;
  products: StoredProduct[];
  hasGauge: boolean;
  alongside: Alongside;
}

/** What is kept beside the visit, each by a door of its own. */
interface Alongside {
  overrides: Override[];
  consents: Consent[];
  /** By product. */
  patchTests: Record<string, PatchTest>;
  photos: Photo[];
}

export interface VisitWork extends Omit<VisitData, 'scores'>, Omit<Working, 'scores'> {
  /** Of this visit and of those before it, oldest first. */
  scores: TakenScore[];
  screening: Screening;
  /** Ours and the practice's own. */
  cautions: readonly Caution[];
  noteAlongside: (change: (before: Alongside) => Partial<Alongside>) => void;
  setFindings: (findings: Findings) => void;
  /** No more entries are taken; false while an ended visit is corrected. */
  ended: boolean;
  /** Why an ended visit is corrected at this stage; null while it is not. */
  amending: string | null;
  setAmending: (why: string | null) => void;
  save: SaveState;
  /** Entries that an earlier page left on this device and that are written now; 0 when there were none. */
  takenUp: number;
  /** Another screen changed what is shown, and nothing was entered here since. */
  changedElsewhere: boolean;
  /** Answers of a scored measure so far; null takes it back. */
  setAnswers: (measure: string, answers: MeasureAnswers | null) => void;
  takeBack: (saveId: string) => void;
  setScreen: (screen: Screen) => void;
  /** Readings given together are kept together. */
  setReading: (...entries: ReadingEntry[]) => void;
  /** Without an origin it keeps the one it has. */
  setRoutine: (routine: Routine, origin?: RoutineOrigin | null) => void;
  setRecord: (record: VisitRecord) => void;
  /** Leaves for a stage; the visit advances when it has not been there yet. */
  goTo: (stage: Stage) => void;
  end: (stage: 'done' | 'stopped' | 'postponed') => void;
  /** Takes back the last change made at the stage that is shown, or makes it again; null when there is none. */
  undo: Undo | null;
  redo: Undo | null;
  takeTheirs: () => void;
  keepMine: () => void;
}

/** Does it, unless `allow` says no to the change that it makes. */
type Undo = (allow?: (patch: VisitPatch) => boolean) => void;

/** What was planned and run stays as it was. */
const CORRECTED_AT: ReadonlySet<Stage> = new Set(['screen', 'assess', 'record']);

const Context = createContext<VisitWork | null>(null);
export function useVisit(): VisitWork {
  const work = use(Context);
  if (!work) throw new Error('useVisit outside of a visit');
  return work;
}

/** Holds a visit while it is worked on: what is on the screen at once, what is written in order behind it. */
export function VisitProvider({
  data,
  reload,
  children,
}: {
  data: VisitData;
  reload: () => void;
  children: React.ReactNode;
}) {
  const { visit, client, who } = data;
  const [before] = useState(() => data.scores.filter((s) => s.visitId !== visit.id));
  const [working, setWorking] = useState<Working>(() =>
    workingOf(
      visit,
      data.readings,
      data.scores.filter((s) => s.visitId === visit.id),
    ),
  );
  const [save, setSave] = useState<SaveState>({ status: 'opening', refused: [] });
  const [takenUp, setTakenUp] = useState(0);
  const navigate = useNavigate();
  const queue = useRef<SaveQueue>(null);
  const keep = useRef<(kept: Kept) => void>(() => {});
  queue.current ??= new SaveQueue({
    visitId: visit.id,
    version: visit.version,
    stored: working,
    post: postTo(visit.id),
    makeId: () => crypto.randomUUID(),
    keep: (kept) => keep.current(kept),
    tell: (shown, state) => {
      setWorking(shown);
      setSave(state);
    },
  });

  useEffect(() => {
    const mine = queue.current!;
    let gone = false;
    void placeOnDevice({ visitId: visit.id, practitionerId: who.practitionerId, clientName: client.name }).then(
      ({ found, keep: keeping }) => {
        if (gone) return;
        keep.current = keeping;
        setTakenUp(found?.writes.filter((w) => w.state !== 'refused').length ?? 0);
        mine.start(found);
      },
    );
    return () => {
      gone = true;
      mine.stop();
    };
    // A page is about one visit and one practitioner; another one is another page.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  useSignedInAgain(() => queue.current?.resume());

  const [history, setHistory] = useState<History<Stage>>({});
  /** Another screen changed what is shown here. */
  const [changedElsewhere, setChangedElsewhere] = useState(false);
  const besideShown = useRef<number>(null);
  usePulse(visit.id, ({ version, beside }) => {
    const isBeside = besideShown.current !== null && besideShown.current !== beside;
    besideShown.current = beside;
    if (!queue.current?.isBehind(version)) {
      if (isBeside) reload();
      return;
    }
    void readNow(visit.id).then((stored) => {
      if (!stored || !queue.current?.takeNewer(stored)) return;
      // What could be taken back was made on another state, and what stands beside the visit may have changed too.
      setHistory({});
      setChangedElsewhere(true);
      reload();
    });
  });

  useEffect(() => {
    const guard = (event: BeforeUnloadEvent) => {
      if (!queue.current?.isIdle) event.preventDefault();
    };
    window.addEventListener('beforeunload', guard);
    return () => window.removeEventListener('beforeunload', guard);
  }, []);

  const [alongside, setAlongside] = useState(data.alongside);
  const [alongsideOf, setAlongsideOf] = useState(data.alongside);
  if (alongsideOf !== data.alongside) {
    setAlongsideOf(data.alongside);
    setAlongside(data.alongside);
  }
  const cautions = useMemo(() => [...CAUTIONS, ...data.rules], [data.rules]);
  const screening = useMemo(
    () =>
      screenVisit(
        cautions,
        working.screen.answers,
        data.lastScreen?.answers ?? null,
        data.client.pressureCap,
        new Set(alongside.overrides.map((o) => o.caution)),
        data.client.complaints.filter((c) => data.worse.includes(c.id)).map((c) => c.kind),
      ),
    [cautions, working.screen.answers, data.lastScreen, data.client, data.worse, alongside.overrides],
  );
  const over = hasEnded(working.stage);
  const [why, setWhy] = useState<string | null>(null);
  const last = useLocation().pathname.split('/').at(-1) as Stage;
  const showing = STAGES.includes(last) ? last : 'screen';
  const amending = over && CORRECTED_AT.has(showing) ? why : null;
  const ended = over && amending === null;
  /** A correction says why. */
  const signed = (patch: VisitPatch): VisitPatch =>
    amending !== null && isCorrectable(patch) ? { ...patch, because: amending } : patch;
  const write = (patch: VisitPatch) => {
    if (ended || (amending !== null && !isCorrectable(patch))) return;
    const inverse = inverseOf(patch, working, emptyRoutine('Routine', data.practiceSchool));
    if (inverse) setHistory((h) => noted(h, showing, { patch, inverse }));
    setChangedElsewhere(false);
    queue.current!.add(signed(patch));
  };
  const take = (
    done: Done,
    way: 'patch' | 'inverse',
    moved: typeof undone,
    allow?: (patch: VisitPatch) => boolean,
  ): void => {
    if (allow && !allow(done[way])) return;
    queue.current!.add(signed(done[way]));
    setHistory((h) => moved(h, showing));
  };
  const back = ended ? null : nextUndo(history, showing);
  const again = ended ? null : nextRedo(history, showing);

  const work: VisitWork = {
    ...data,
    ...working,
    screening,
    cautions,
    alongside,
    noteAlongside: (change) => setAlongside((b) => ({ ...b, ...change(b) })),
    setFindings: (findings) => write({ kind: 'findings', findings }),
    ended,
    amending,
    setAmending: setWhy,
    save,
    takenUp,
    changedElsewhere,
    scores: [...before, ...working.scores],
    setScreen: (screen) => write({ kind: 'screen', screen }),
    setReading: (...entries) => write({ kind: 'readings', entries }),
    setAnswers: (measure, answers) => write({ kind: 'answers', measure, answers }),
    setRoutine: (routine, origin = working.origin) => write({ kind: 'routine', routine, origin }),
    setRecord: (record) => write({ kind: 'record', record }),
    goTo: (stage) => {
      if (stageIndex(stage) > stageIndex(working.stage)) write({ kind: 'stage', stage });
      void navigate(`/visits/${visit.id}/${stage}`);
    },
    end: (stage) => write({ kind: 'stage', stage }),
    takeBack: (saveId) => queue.current!.takeBack(saveId),
    undo: back && ((allow) => take(back, 'inverse', undone, allow)),
    redo: again && ((allow) => take(again, 'patch', redone, allow)),
    takeTheirs: () => {
      // What could be taken back was made on another state.
      setHistory({});
      queue.current!.takeTheirs();
      // What stands beside the visit may have changed with it.
      reload();
    },
    keepMine: () => queue.current!.keepMine(),
  };
  return <Context value={work}>{children}</Context>;
}

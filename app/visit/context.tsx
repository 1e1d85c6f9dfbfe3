import { createContext, use, useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import type { EarlierReadings, Reading } from '../../core/measures/reading';
import type { TakenScore } from '../../server/db/queries/scores.server';
import type { Routine } from '../../core/routine/model';
import type { Override } from '../../core/screening/override';
import type { PatchTest } from '../../core/screening/products';
import { screen as holdAgainst, type Caution, type Screening } from '../../core/screening/screen';
import type { Consent, PracticeText, TextKind } from '../../core/visit/consent';
import type { Findings } from '../../core/visit/findings';
import { hasEnded, stageIndex, EMPTY_RECORD, type Screen, type Stage, type VisitRecord, type VisitStage } from '../../core/visit/model';
import { CAUTIONS } from '../../reference/cautions/index';
import type { Client } from '../../server/db/queries/clients.server';
import type { Photo } from '../../server/db/queries/photos.server';
import type { StoredProduct } from '../../server/db/queries/practice.server';
import type { ReadingEntry, VisitPatch } from '../../server/db/queries/save-visit.server';
import type { Visit } from '../../server/db/queries/visits.server';
import { postTo } from './post';
import { SaveQueue, type SaveState } from './save-queue';

export interface VisitData {
  visit: Visit;
  number: number;
  client: Client;
  readings: Reading[];
  earlier: EarlierReadings[];
  lastScreen: Screen | null;
  /** Scored measures of this visit and of those before it, oldest first. */
  scores: TakenScore[];
  practiceName: string;
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
export interface Alongside {
  overrides: Override[];
  consents: Consent[];
  /** By product. */
  patchTests: Record<string, PatchTest>;
  photos: Photo[];
}

interface Working {
  stage: VisitStage;
  screen: Screen;
  readings: Reading[];
  routine: Routine | null;
  record: VisitRecord;
  findings: Findings;
}

export interface VisitWork extends VisitData, Working {
  screening: Screening;
  /** Ours and the practice's own. */
  cautions: readonly Caution[];
  noteAlongside: (change: (before: Alongside) => Partial<Alongside>) => void;
  setFindings: (findings: Findings) => void;
  ended: boolean;
  save: SaveState;
  setScreen: (screen: Screen) => void;
  /** Readings given together are kept together. */
  setReading: (...entries: ReadingEntry[]) => void;
  setRoutine: (routine: Routine) => void;
  setRecord: (record: VisitRecord) => void;
  /** Leaves for a stage; the visit advances when it has not been there yet. */
  goTo: (stage: Stage) => void;
  end: (stage: 'done' | 'stopped' | 'postponed') => void;
  takeTheirs: () => void;
  keepMine: () => void;
}

const Context = createContext<VisitWork | null>(null);
export function useVisit(): VisitWork {
  const work = use(Context);
  if (!work) throw new Error('useVisit outside of a visit');
  return work;
}

const workingOf = ({ visit, readings }: Pick<VisitData, 'visit' | 'readings'>): Working => ({ stage: visit.stage, screen: visit.screen, readings, routine: visit.routine, record: visit.record ?? EMPTY_RECORD, findings: visit.findings });

/** Holds a visit while it is worked on: what is on the screen at once, what is written in order behind it. */
export function VisitProvider({ data, reload, children }: { data: VisitData; reload: () => void; children: React.ReactNode }) {
  const [working, setWorking] = useState<Working>(() => workingOf(data));
  const [save, setSave] = useState<SaveState>({ status: 'saved' });
  const navigate = useNavigate();
  const queue = useRef<SaveQueue>(null);
  queue.current ??= new SaveQueue({ version: data.visit.version, post: postTo(data.visit.id), tell: setSave, makeId: () => crypto.randomUUID() });

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
    () => holdAgainst(cautions, working.screen.answers, data.client.pressureCap, new Set(alongside.overrides.map((o) => o.caution))),
    [cautions, working.screen.answers, data.client.pressureCap, alongside.overrides],
  );
  const ended = hasEnded(working.stage);
  const write = (change: (before: Working) => Working, patch: VisitPatch) => {
    if (ended) return;
    setWorking(change);
    queue.current!.add(patch);
  };

  const work: VisitWork = {
    ...data,
    ...working,
    screening,
    cautions,
    alongside,
    noteAlongside: (change) => setAlongside((b) => ({ ...b, ...change(b) })),
    setFindings: (findings) => write((b) => ({ ...b, findings }), { kind: 'findings', findings }),
    ended,
    save,
    setScreen: (screen) => write((b) => ({ ...b, screen }), { kind: 'screen', screen }),
    setReading: (...entries) => write((b) => ({ ...b, readings: entries.reduce((all, e) => withEntry(all, e, data.visit.id), b.readings) }), { kind: 'readings', entries }),
    setRoutine: (routine) => write((b) => ({ ...b, routine }), { kind: 'routine', routine }),
    setRecord: (record) => write((b) => ({ ...b, record }), { kind: 'record', record }),
    goTo: (stage) => {
      if (stageIndex(stage) > stageIndex(working.stage)) write((b) => ({ ...b, stage }), { kind: 'stage', stage });
      void navigate(`/visits/${data.visit.id}/${stage}`);
    },
    end: (stage) => write((b) => ({ ...b, stage }), { kind: 'stage', stage }),
    takeTheirs: () => {
      if (save.status !== 'stale' && save.status !== 'ended') return;
      setWorking((b) => ({ ...workingOf({ visit: save.theirs, readings: b.readings }) }));
      queue.current!.takeTheirs(save.theirs.version);
      reload();
    },
    keepMine: () => save.status === 'stale' && queue.current!.keepMine(save.theirs.version),
  };
  // Readings stored by another window come with the reload after "take theirs".
  useEffect(() => {
    if (queue.current?.isIdle) setWorking((b) => ({ ...b, readings: data.readings }));
  }, [data.readings]);
  return <Context value={work}>{children}</Context>;
}

function withEntry(readings: readonly Reading[], entry: ReadingEntry, visitId: string): Reading[] {
  const rest = readings.filter((r) => !(r.measure === entry.measure && r.complaintId === entry.complaintId && r.place === entry.place && r.side === entry.side && r.phase === entry.phase));
  if (entry.value === null) return rest;
  return [...rest, { ...entry, value: entry.value, source: 'studio', takenAt: new Date().toISOString(), visitId }];
}

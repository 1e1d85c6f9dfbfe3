import { emptyRoutine, type Routine } from '../../core/routine';
import { clock } from '../../core/words';
import { useMemo, useState } from 'react';
import { Button } from 'react-bootstrap';
import { data, Form, Link, redirect, useActionData, useSearchParams } from 'react-router';
import { STARTING_ROUTINES } from '../../reference/routines';
import { bringStartingRoutines } from '../../server/db/queries/starting.server';
import { ownTechniques } from '../../server/db/queries/techniques.server';
import { templateLines } from '../../server/db/queries/template-lines.server';
import { hideTemplate, saveTemplate, saveUnderFreeName } from '../../server/db/queries/templates.server';
import { sentRoutine } from '../../server/access/sent-routine.server';
import { may } from '../../server/access/may';
import { notFound, permitted } from '../../server/access/session.server';
import { withOwn } from '../parts/catalogue/catalogue';
import { OwnTechniques } from '../parts/catalogue/own-techniques';
import { OnceKey } from '../parts/fields/once-key';
import { scaleOf } from '../parts/ribbon/scale';
import { found, searchOf, type RoutineAsk } from '../rooms/routines/find-routines';
import { ImportRoutine, routineFromFile } from '../rooms/routines/import-routine';
import { RoutineFilters } from '../rooms/routines/routine-filters';
import { RoutineList } from '../rooms/routines/routine-list';
import { RoutinePreview } from '../rooms/routines/routine-preview';
import { checkForm, readForm } from '../schemas/read';
import { importTemplateSchema } from '../schemas/template';
import type { Route } from './+types/routines';

export const meta = () => [{ title: 'Routines · Velvet Compass' }];

export async function loader({ request }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'routines');
  const { practiceId } = who;
  const own = await ownTechniques(practiceId);
  const mark = own.map((t) => `${t.own.id}.${t.version}.${t.retired ? 1 : 0}`).join(' ');
  const templates = await templateLines(practiceId, withOwn(own), mark);
  const origins = new Map(STARTING_ROUTINES.map((s) => [s.id, s]));
  return {
    own,
    missing: STARTING_ROUTINES.filter((s) => !templates.some((t) => t.origin === s.id)).length,
    templates: templates.map(({ origin, createdById, serves, ...t }) => ({
      ...t,
      serves: (origin && origins.get(origin)?.serves) || serves,
      came: origin !== null,
      mine: may(who, 'change', { thing: 'routines', by: createdById }),
    })),
  };
}
export type RoutineRow = Awaited<ReturnType<typeof loader>>['templates'][number];

/** Hides a template, shows it again, brings in what came with the application, begins a new one, or keeps one from a file. */
export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'routines');
  const form = await readForm(request);
  const what = form.get('do');
  if (what === 'bring') {
    await bringStartingRoutines(who);
    return redirect('/routines');
  }
  if (what === 'new') {
    const nameOf = (n: number) => (n === 1 ? 'New routine' : `New routine ${n}`);
    const made = await saveUnderFreeName(who, emptyRoutine(nameOf(1)), nameOf, form.get('once'));
    return redirect(`/routines/${made}?edit=1`);
  }
  if (what === 'import') return takeIn(who, form);
  const hidden = what === 'hide';
  if (!hidden && what !== 'show') notFound('page');
  const result = await hideTemplate(who, form.get('id') ?? '', hidden);
  if (result === 'missing') notFound('routine');
  if (result === 'not-yours')
    return data(
      { told: 'Only who made it, or the owner of the practice, may hide it or show it again.' },
      { status: 403 },
    );
  return redirect('/routines');
}

async function takeIn(who: Awaited<ReturnType<typeof permitted>>, form: ReadonlyMap<string, string>) {
  const input = await checkForm(importTemplateSchema, form);
  if (!input.ok) return data({ name: Object.values(input.errors)[0] }, { status: 422 });
  const { name, once } = input.value;
  const sent = await sentRoutine(who.practiceId, input.value.routine);
  if ('told' in sent) return data({ name: `Not taken in: ${sent.told}` }, { status: 422 });
  const made = await saveTemplate(who, name, sent.routine, once);
  return made === 'name-taken'
    ? data({ name: 'There is a routine of this name already. Take another.' }, { status: 422 })
    : redirect(`/routines?show=${made}`);
}

/** Rows drawn before more are asked for: what is typed finds all of them. */
const AT_FIRST = 60;
const ASK: RoutineAsk = { text: '', serves: '', school: '', upTo: null, sort: 'name' };

export default function Routines({ loaderData: { templates, missing, own } }: Route.ComponentProps) {
  const answered = useActionData<{ told?: string; name?: string }>();
  const [ask, setAsk] = useState(ASK);
  /** What a dropped file was read as; null while there is none, undefined while nothing is imported. */
  const [importing, setImporting] = useState<Routine | string | null>();
  const [over, setOver] = useState(false);
  // What was just taken in closes its dialog and is shown.
  const [query] = useSearchParams();
  const taken = query.get('show');
  const [seen, setSeen] = useState(taken);
  const [showsAll, setShowsAll] = useState(false);
  const inUse = useMemo(() => templates.filter((t) => !t.hidden), [templates]);
  const hidden = templates.filter((t) => t.hidden);
  const search = useMemo(() => searchOf(inUse), [inUse]);
  const shown = useMemo(() => found(inUse, ask, search), [inUse, ask, search]);
  const [chosenId, setChosen] = useState<string | null>(taken);
  if (taken !== seen) {
    setSeen(taken);
    setChosen(taken);
    setImporting(undefined);
  }
  const chosen = shown.find((t) => t.id === chosenId) ?? shown[0] ?? null;
  return (
    <OwnTechniques value={own}>
      <div
        className={`routines-page${over ? ' is-over' : ''}`}
        onDragOver={(e) => {
          if (![...e.dataTransfer.types].includes('Files')) return;
          e.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={(e) => {
          e.preventDefault();
          setOver(false);
          const [file] = [...e.dataTransfer.files];
          if (!file) return;
          void routineFromFile(file).then(setImporting);
        }}
      >
        <main>
          <div className="page-head">
            <h1>Routines</h1>
            <span className="soft">{inUse.length} of this practice; a visit starts from a copy</span>
            <div className="actions d-flex gap-2">
              <Button variant="outline-primary" onClick={() => setImporting(null)}>
                Import a file
              </Button>
              <Link to="/routines/propose" className="btn btn-outline-primary">
                Propose one
              </Link>
              <Form method="post">
                <OnceKey />
                <Button variant="outline-primary" type="submit" name="do" value="new">
                  New routine
                </Button>
              </Form>
            </div>
          </div>
          {answered?.told && (
            <p className="caution" role="alert">
              {answered.told}
            </p>
          )}
          {inUse.length > 0 && <RoutineFilters lines={inUse} ask={ask} onAsk={setAsk} />}
          {shown.length > 0 ? (
            <RoutineList
              rows={showsAll ? shown : shown.slice(0, AT_FIRST)}
              scaleMinutes={scaleOf(shown)}
              chosen={chosen?.id ?? null}
              onChoose={setChosen}
            />
          ) : inUse.length ? (
            <p className="empty">
              <strong>Nothing answers to that</strong>
              <Button variant="link" onClick={() => setAsk(ASK)}>
                Show all
              </Button>
            </p>
          ) : (
            <p className="empty">
              <strong>No routines in use</strong>
              Make one, import a file, or keep one from a visit; it is listed here.
            </p>
          )}
          {shown.length > 0 && (
            <p className="soft small mt-2">
              Relief is told from five clients up, seen together with a routine and no proof of it.
            </p>
          )}
          {!showsAll && shown.length > AT_FIRST && (
            <Button variant="link" onClick={() => setShowsAll(true)}>
              Show all {shown.length}
            </Button>
          )}
          {hidden.length > 0 && (
            <details className="mt-3">
              <summary>Hidden ({hidden.length})</summary>
              <ul className="plain-list">
                {hidden.map((t) => (
                  <li key={t.id}>
                    {t.name} <span className="num soft">{clock(t.seconds)}</span> {t.mine && <HideButton t={t} />}
                  </li>
                ))}
              </ul>
            </details>
          )}
          {missing > 0 && (
            <Form method="post" className="mt-3">
              <Button variant="outline-primary" type="submit" name="do" value="bring">
                Bring in {missing === 1 ? 'the routine' : `${missing} routines`} that came with Velvet Compass
              </Button>
            </Form>
          )}
        </main>
        {chosen && <RoutinePreview row={chosen}>{chosen.mine && <HideButton t={chosen} />}</RoutinePreview>}
      </div>
      {importing !== undefined && <ImportRoutine read={importing} onClose={() => setImporting(undefined)} />}
    </OwnTechniques>
  );
}

function HideButton({ t }: { t: RoutineRow }) {
  const word = t.hidden ? 'Show again' : 'Hide';
  return (
    <Form method="post" preventScrollReset className="d-inline">
      <input type="hidden" name="id" value={t.id} />
      <Button
        variant="link"
        type="submit"
        name="do"
        value={t.hidden ? 'show' : 'hide'}
        aria-label={`${word}: ${t.name}`}
      >
        {word}
      </Button>
    </Form>
  );
}

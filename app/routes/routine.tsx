import { LENGTHS, expandRoutine, ribbonOf, stepCount, stepNames, stepsOf, totalsOf } from '../../core/routine';
import { checkRoutine } from '../../core/rules';
import { clock } from '../../core/words';
import { useMemo } from 'react';
import { Button } from 'react-bootstrap';
import { data, Form, Link, redirect, useActionData } from 'react-router';
import { STARTING_ROUTINES } from '../../reference/routines';
import { ownTechniques } from '../../server/db/queries/techniques.server';
import {
  changeTemplate,
  deleteTemplate,
  earlierVersions,
  findTemplate,
  listTemplates,
  renameTemplate,
  saveUnderFreeName,
} from '../../server/db/queries/templates.server';
import { withOwn } from '../parts/catalogue/catalogue';
import { FaceChart } from '../parts/chart/face-chart';
import { asSvg } from '../parts/export/picture';
import { PictureButtons } from '../parts/export/picture-buttons';
import { RuleNotes } from '../parts/routine/rule-notes';
import { Ribbon } from '../parts/ribbon/ribbon';
import { checkForm, readForm, type FieldErrors } from '../schemas/read';
import { changeTemplateSchema, renameTemplateSchema } from '../schemas/template';
import { BesideAnother } from '../rooms/routines/beside-another';
import { EarlierVersions } from '../rooms/routines/earlier-versions';
import { TemplateEditor } from '../rooms/routines/template-editor';
import { OwnTechniques } from '../parts/catalogue/own-techniques';
import { sentRoutine } from '../../server/access/sent-routine.server';
import { notFound, permitted } from '../../server/access/session.server';
import { OnceKey } from '../parts/fields/once-key';
import { FieldFrame } from '../parts/fields/field';
import { MotionGlyph } from '../parts/marks/glyph';
import { PressureDot } from '../parts/marks/marks';
import { StepCells } from '../parts/routine/step-cells';
import { stopsOf } from '../parts/chart/chart-marks';
import type { Route } from './+types/routine';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'routines');
  const query = new URL(request.url).searchParams;
  const [template, own, earlier, others] = await Promise.all([
    findTemplate(practiceId, params.templateId),
    ownTechniques(practiceId),
    earlierVersions(practiceId, params.templateId),
    listTemplates(practiceId),
  ]);
  if (!template) notFound('routine');
  const origin = STARTING_ROUTINES.find((s) => s.id === template.origin);
  return {
    template,
    own,
    earlier,
    edits: query.has('edit'),
    others: others.filter((t) => t.id !== params.templateId).map(({ id, name }) => ({ id, name })),
    beside: others.find((t) => t.id === query.get('beside') && t.id !== params.templateId) ?? null,
    origin: origin ? { stated: origin.statedMinutes, statedFor: origin.statedFor, because: origin.because } : null,
  };
}

export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'routines');
  const form = await readForm(request);
  if (form.get('do') === 'duplicate') return duplicate(who, params.templateId, form.get('once'));
  if (form.get('do') === 'change' || form.get('do') === 'put-back') return change(who, params.templateId, form);
  if (form.get('do') === 'delete') {
    const deleted = await deleteTemplate(who, params.templateId);
    if (deleted === 'missing') notFound('routine');
    return deleted === 'deleted'
      ? redirect('/routines')
      : data({ errors: { name: NOT_YOURS } as FieldErrors }, { status: 403 });
  }
  const input = await checkForm(renameTemplateSchema, form);
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  const result = await renameTemplate(who, params.templateId, input.value.version, input.value.name);
  if (result === 'missing') notFound('routine');
  const told: Partial<Record<typeof result, string>> = {
    'name-taken': NAME_TAKEN,
    stale: 'It was changed in another window meanwhile. Reload the page first; what you typed is still here.',
    'not-yours': NOT_YOURS,
  };
  return told[result]
    ? data({ errors: { name: told[result] } as FieldErrors }, { status: result === 'not-yours' ? 403 : 409 })
    : { errors: undefined };
}

async function duplicate(who: Who, id: string, once: string | undefined) {
  const template = await findTemplate(who.practiceId, id);
  if (!template) notFound('routine');
  const marked = (mark: string) => `${template.name.slice(0, LENGTHS.name - mark.length)}${mark}`;
  const made = await saveUnderFreeName(who, template.body, (n) => marked(n === 1 ? ' (copy)' : ` (copy ${n})`), once);
  return redirect(`/routines/${made}?edit=1`);
}

/** Another body for a template: what was composed, or one of its earlier versions. */
async function change(who: Who, id: string, form: ReadonlyMap<string, string>) {
  const refuse = (told: string, status: number) => data({ errors: { name: told } as FieldErrors }, { status });
  const input = await checkForm(changeTemplateSchema, form);
  if (!input.ok) return refuse(Object.values(input.errors)[0] ?? '', 422);
  const sent = await sentRoutine(who.practiceId, input.value.routine);
  if ('told' in sent) return refuse(sent.told, 422);
  const result = await changeTemplate(who, id, input.value.version, sent.routine);
  if (result === 'missing') notFound('routine');
  if (result === 'not-yours') return refuse(NOT_YOURS, 403);
  if (result === 'name-taken') return refuse(NAME_TAKEN, 409);
  if (result === 'stale') return refuse('It was changed in another window meanwhile; what you did is still here.', 409);
  return redirect(`/routines/${id}`);
}
type Who = Awaited<ReturnType<typeof permitted>>;
const NAME_TAKEN = 'There is a routine of this name already. Take another.';
const NOT_YOURS = 'Only who made it, or the owner of the practice, may change or delete it.';

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.template.name ?? 'Routine'} · Velvet Compass` },
];

export default function RoutinePage({ loaderData }: Route.ComponentProps) {
  const { template, own, edits } = loaderData;
  const answered = useActionData<{ errors?: FieldErrors }>();
  return edits ? (
    <OwnTechniques value={own}>
      <TemplateEditor key={template.version} template={template} told={answered?.errors?.name ?? ''} />
    </OwnTechniques>
  ) : (
    <ReadRoutine {...loaderData} told={answered?.errors?.name} />
  );
}

/** The ribbon that is on the page, as a drawing that stands by itself. */
const ribbonAsSvg = () => asSvg([...document.querySelectorAll<SVGSVGElement>('.ribbon > svg')], '--sheet');

type Loaded = Route.ComponentProps['loaderData'];
function ReadRoutine({ template, origin, own, earlier, others, beside, told }: Loaded & { told: string | undefined }) {
  const routine = template.body;
  const catalogue = useMemo(() => withOwn(own), [own]);
  const cues = expandRoutine(routine);
  const totals = totalsOf(stepCount(routine), cues);
  const names = stepNames(routine, catalogue);
  return (
    <div className="compose is-page">
      <div className="visit-body">
        <div className="chart-side">
          <FaceChart stops={stopsOf(routine, null)} />
        </div>
        <main className="work">
          <div className="work-head">
            <h1>{template.name}</h1>
            <span className="num fs-5">{clock(totals.totalSeconds)}</span>
            <div className="end no-print">
              <Link to={`/clients?with=${template.id}`} className="btn btn-primary btn-sm">
                Start a visit with it
              </Link>
              <Link to="?edit=1" className="btn btn-outline-primary btn-sm">
                Edit
              </Link>
              <Form method="post">
                <OnceKey />
                <Button variant="outline-primary" size="sm" type="submit" name="do" value="duplicate">
                  Duplicate
                </Button>
              </Form>
              <Link to={`/paper/routines/${template.id}`} className="btn btn-outline-primary btn-sm">
                Print
              </Link>
              <Link to={`/pad/rehearse?routine=${template.id}`} className="btn btn-outline-primary btn-sm">
                Rehearse
              </Link>
              <PictureButtons what="Ribbon" name={template.name} drawing={ribbonAsSvg} />
              <a className="btn btn-outline-primary btn-sm" href={`/routines/${template.id}/file`} download>
                Take as a file
              </a>
              <Form
                method="post"
                onSubmit={(e) =>
                  !confirm(`Delete “${template.name}”? Visits that used it keep their own copy.`) && e.preventDefault()
                }
              >
                <Button variant="outline-primary" size="sm" type="submit" name="do" value="delete">
                  Delete
                </Button>
              </Form>
            </div>
          </div>
          <Form method="post" className="d-flex gap-2 align-items-end mb-3 no-print" key={template.version}>
            <input type="hidden" name="version" value={template.version} />
            <FieldFrame label="Name" name="name" defaultValue={template.name} maxLength={160} message={told} />
            <Button variant="outline-primary" type="submit">
              Rename
            </Button>
          </Form>
          <p className="soft">
            {catalogue.schools.get(routine.school)?.name}
            {routine.order ? `, but: ${routine.order.reason}` : '.'}{' '}
            {origin &&
              `Practitioners state ${origin.stated} min${origin.statedFor === 'one side' ? ' for one side' : ''} of work. ${origin.because}`}
          </p>
          {routine.notes && <p className="narrow">{routine.notes}</p>}
          <table className="table table-sm">
            <tbody>
              {stepsOf(routine).map((s, i) => (
                <tr key={s.id}>
                  <td className="num soft">{i + 1}</td>
                  <td>
                    <span className="fw-bold">{names.get(s.id)}</span>
                    {s.note && <div className="soft small">{s.note}</div>}
                  </td>
                  <td className="soft">
                    <MotionGlyph motion={s.motion} />
                  </td>
                  <StepCells step={s} seconds={totals.stepSeconds[i] ?? 0} mark={(p) => <PressureDot pressure={p} />} />
                </tr>
              ))}
            </tbody>
          </table>
          <RuleNotes findings={checkRoutine(routine, catalogue)} disabled onFix={() => {}} />
          <BesideAnother template={template} others={others} beside={beside} catalogue={catalogue} />
          <EarlierVersions template={template} earlier={earlier} catalogue={catalogue} />
        </main>
      </div>
      <Ribbon
        data={ribbonOf(routine, cues, catalogue)}
        budgetSeconds={routine.budgetMinutes === null ? null : routine.budgetMinutes * 60}
        names={names}
      />
    </div>
  );
}

import {
  doseWords,
  expandRoutine,
  pressureWords,
  ribbonOf,
  stepCount,
  stepNames,
  stepsOf,
  totalsOf,
} from '../../core/routine';
import { checkRoutine } from '../../core/rules';
import { clock } from '../../core/words';
import { useMemo } from 'react';
import { Button } from 'react-bootstrap';
import { data, Form, redirect, useActionData } from 'react-router';
import { STARTING_ROUTINES } from '../../reference/routines';
import { ownTechniques } from '../../server/db/queries/techniques.server';
import { deleteTemplate, findTemplate, renameTemplate } from '../../server/db/queries/templates.server';
import { withOwn } from '../parts/catalogue/catalogue';
import { FaceChart } from '../parts/chart/face-chart';
import { RuleNotes } from '../parts/routine/rule-notes';
import { Ribbon } from '../parts/ribbon/ribbon';
import { checkForm, readForm, type FieldErrors } from '../schemas/read';
import { renameTemplateSchema } from '../schemas/template';
import { notFound, requirePractitioner } from '../../server/access/session.server';
import { FieldFrame } from '../parts/fields/field';
import { MotionGlyph } from '../parts/marks/glyph';
import { PressureDot, SideMark, sideOfPlan, SIDE_PLAN_NAMES } from '../parts/marks/marks';
import { stopsOf } from '../parts/chart/chart-marks';
import type { Route } from './+types/routine';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await requirePractitioner(request);
  const [template, own] = await Promise.all([findTemplate(practiceId, params.templateId), ownTechniques(practiceId)]);
  if (!template) notFound('routine');
  const origin = STARTING_ROUTINES.find((s) => s.id === template.origin);
  return {
    template,
    own,
    origin: origin ? { stated: origin.statedMinutes, statedFor: origin.statedFor, because: origin.because } : null,
  };
}

export async function action({ request, params }: Route.ActionArgs) {
  const who = await requirePractitioner(request);
  const form = await readForm(request);
  const notYours = 'Only who made it, or the owner of the practice, may change or delete it.';
  if (form.get('do') === 'delete') {
    const deleted = await deleteTemplate(who, params.templateId);
    if (deleted === 'missing') notFound('routine');
    return deleted === 'deleted'
      ? redirect('/routines')
      : data({ errors: { name: notYours } as FieldErrors }, { status: 403 });
  }
  const input = await checkForm(renameTemplateSchema, form);
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  const result = await renameTemplate(who, params.templateId, input.value.version, input.value.name);
  if (result === 'missing') notFound('routine');
  const told: Partial<Record<typeof result, string>> = {
    'name-taken': 'There is a template of this name already. Take another.',
    stale: 'It was changed in another window meanwhile. Reload the page first; what you typed is still here.',
    'not-yours': notYours,
  };
  return told[result]
    ? data({ errors: { name: told[result] } as FieldErrors }, { status: result === 'not-yours' ? 403 : 409 })
    : { errors: undefined };
}

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.template.name ?? 'Routine'} · Velvet Compass` },
];

export default function RoutinePage({ loaderData: { template, origin, own } }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
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
            <div className="end">
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
          <Form method="post" className="d-flex gap-2 align-items-end mb-3" key={template.version}>
            <input type="hidden" name="version" value={template.version} />
            <FieldFrame
              label="Name"
              name="name"
              defaultValue={template.name}
              maxLength={160}
              message={answered?.errors?.name}
            />
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
                  <td>
                    {s.pressure && (
                      <>
                        <PressureDot pressure={s.pressure.there} /> {pressureWords(s)}
                      </>
                    )}
                  </td>
                  <td>{doseWords(s)}</td>
                  <td>
                    <SideMark side={sideOfPlan(s.sides.mode)} /> {SIDE_PLAN_NAMES[s.sides.mode]}
                  </td>
                  <td className="num text-end">{clock(totals.stepSeconds[i] ?? 0)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <RuleNotes findings={checkRoutine(routine, catalogue)} disabled onFix={() => {}} />
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

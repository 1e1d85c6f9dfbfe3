import type { Known } from '../../core/proposal';
import { screen } from '../../core/limits';
import { readRoutine, type Routine } from '../../core/routine';
import { COMPLAINT_KINDS, COMPLAINT_NAMES, type ComplaintKind, InputError } from '../../core/words';
import { lazy, Suspense, useMemo } from 'react';
import { Form } from 'react-bootstrap';
import { redirect, useNavigate, useSearchParams, useSubmit } from 'react-router';
import { CAUTIONS } from '../../reference/facts/cautions/index';
import { schoolOf } from '../../server/db/queries/practice.server';
import { ownTechniques } from '../../server/db/queries/techniques.server';
import { saveTemplate } from '../../server/db/queries/templates.server';
import { notFound, requirePractitioner } from '../../server/access/session.server';
import { withOwn } from '../parts/catalogue/catalogue';
import { OwnTechniques } from '../parts/catalogue/own-techniques';
import { checkForm, readForm } from '../schemas/read';
import { proposedTemplateSchema } from '../schemas/template';
import type { Route } from './+types/propose';

export const meta = () => [{ title: 'Propose a routine · Velvet Compass' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId } = await requirePractitioner(request);
  const [own, school] = await Promise.all([ownTechniques(practiceId), schoolOf(practiceId)]);
  return { own, school };
}

/** Keeps what was proposed as a routine of the practice, under the first name that is free. */
export async function action({ request }: Route.ActionArgs) {
  const who = await requirePractitioner(request);
  const input = await checkForm(proposedTemplateSchema, await readForm(request));
  if (!input.ok) notFound('page');
  let routine: Routine;
  try {
    routine = readRoutine(JSON.parse(input.value.routine));
  } catch (error) {
    if (!(error instanceof InputError) && !(error instanceof SyntaxError)) throw error;
    return notFound('page');
  }
  for (let n = 1; ; n++) {
    const name = n === 1 ? routine.name : `${routine.name} ${n}`;
    const made = await saveTemplate(who, name, { ...routine, name });
    if (made !== 'name-taken') return redirect(`/routines/${made}${input.value.edit ? '?edit=1' : ''}`);
  }
}

/** Neither calm nor at its worst, for a complaint of nobody in particular. Our choice; it stands on the page. */
const SCORE = 6;

const ProposalView = lazy(() => import('../parts/proposal/proposal-view').then((m) => ({ default: m.ProposalView })));

export default function Propose({ loaderData: { own, school } }: Route.ComponentProps) {
  const [query, setQuery] = useSearchParams();
  const navigate = useNavigate();
  const submit = useSubmit();
  const catalogue = useMemo(() => withOwn(own), [own]);
  const kind: ComplaintKind = COMPLAINT_KINDS.find((k) => k === query.get('for')) ?? 'jaw';
  const known = useMemo(
    (): Known => ({
      complaints: [{ kind, side: null, score: SCORE }],
      tenderness: [],
      tightSpots: [],
      tenseRegions: [],
      thresholds: [],
      openingMm: null,
      clickSide: null,
      response: [],
      practiceEffect: 0,
    }),
    [kind],
  );
  const screening = useMemo(() => screen(CAUTIONS, {}), []);
  return (
    <OwnTechniques value={own}>
      <Suspense fallback={<p className="soft p-4">Getting ready …</p>}>
        <ProposalView
          key={kind}
          isPage
          whose={`kind-${kind}`}
          name={`${COMPLAINT_NAMES[kind]}, proposed`}
          known={known}
          screening={screening}
          catalogue={catalogue}
          school={school}
          minutes={20}
          now={null}
          notes={
            <p className="small mb-1 d-flex align-items-center gap-2">
              <label htmlFor="for-kind">For nobody in particular, with</label>
              <Form.Select
                id="for-kind"
                size="sm"
                className="w-auto"
                value={kind}
                onChange={(e) => setQuery({ for: e.target.value }, { replace: true })}
              >
                {COMPLAINT_KINDS.filter((k) => k !== 'other').map((k) => (
                  <option key={k} value={k}>
                    {COMPLAINT_NAMES[k]}
                  </option>
                ))}
              </Form.Select>
              <span className="soft">{SCORE} of 10. Screening comes with the client.</span>
            </p>
          }
          onTake={(routine, thenEdit) =>
            void submit(
              { routine: JSON.stringify(routine), ...(thenEdit ? { edit: '1' } : {}) },
              { method: 'post', action: '/routines/propose' },
            )
          }
          onLeave={() => void navigate('/routines')}
        />
      </Suspense>
    </OwnTechniques>
  );
}

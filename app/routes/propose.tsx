import { NOTHING_KNOWN, type Known } from '../../core/proposal';
import { screen } from '../../core/limits';
import { COMPLAINT_KINDS, COMPLAINT_NAMES, type ComplaintKind } from '../../core/words';
import { useMemo, useState } from 'react';
import { Form } from 'react-bootstrap';
import { data, redirect, useActionData, useNavigate, useSearchParams, useSubmit } from 'react-router';
import { CAUTIONS } from '../../reference/facts/cautions/index';
import { schoolOf } from '../../server/db/queries/practice.server';
import { ownTechniques } from '../../server/db/queries/techniques.server';
import { saveUnderFreeName } from '../../server/db/queries/templates.server';
import { sentRoutine } from '../../server/access/sent-routine.server';
import { notFound, permitted } from '../../server/access/session.server';
import { withOwn } from '../parts/catalogue/catalogue';
import { OwnTechniques } from '../parts/catalogue/own-techniques';
import { ProposalHere } from '../parts/proposal/proposal-here';
import { checkForm, readForm } from '../schemas/read';
import { proposedTemplateSchema } from '../schemas/template';
import type { Route } from './+types/propose';

export const meta = () => [{ title: 'Propose a routine · Velvet Compass' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'routines');
  const [own, school] = await Promise.all([ownTechniques(practiceId), schoolOf(practiceId)]);
  return { own, school };
}

/** Keeps what was proposed as a routine of the practice, under the first name that is free. */
export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'routines');
  const input = await checkForm(proposedTemplateSchema, await readForm(request));
  if (!input.ok) notFound('page');
  const sent = await sentRoutine(who.practiceId, input.value.routine);
  if ('told' in sent) return data({ told: sent.told }, { status: 422 });
  const { routine } = sent;
  const made = await saveUnderFreeName(
    who,
    routine,
    (n) => (n === 1 ? routine.name : `${routine.name} ${n}`),
    input.value.once,
  );
  return redirect(`/routines/${made}${input.value.edit ? '?edit=1' : ''}`);
}

/** Neither calm nor at its worst, for a complaint of nobody in particular. Our choice; it stands on the page. */
const SCORE = 6;

export default function Propose({ loaderData: { own, school } }: Route.ComponentProps) {
  const [query, setQuery] = useSearchParams();
  const navigate = useNavigate();
  const submit = useSubmit();
  const refused = useActionData<{ told?: string }>()?.told ?? '';
  // However often it is taken, one routine is made.
  const [once] = useState(() => crypto.randomUUID());
  const catalogue = useMemo(() => withOwn(own), [own]);
  const kind: ComplaintKind = COMPLAINT_KINDS.find((k) => k === query.get('for')) ?? 'jaw';
  const known = useMemo((): Known => ({ ...NOTHING_KNOWN, complaints: [{ kind, side: null, score: SCORE }] }), [kind]);
  const screening = useMemo(() => screen(CAUTIONS, {}), []);
  return (
    <OwnTechniques value={own}>
      <ProposalHere
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
        refused={refused}
        onTake={(routine, thenEdit) =>
          void submit(
            { once, routine: JSON.stringify(routine), ...(thenEdit ? { edit: '1' } : {}) },
            { method: 'post', action: '/routines/propose' },
          )
        }
        onLeave={() => void navigate('/routines')}
      />
    </OwnTechniques>
  );
}

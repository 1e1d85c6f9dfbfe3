import { cautionOf } from '../../../core/limits';
import { data, redirect, useActionData, useRouteLoaderData, useSearchParams } from 'react-router';
import { addRule, changeRule, localRules } from '../../../server/db/queries/practice.server';
import { KeptRow } from '../../rooms/practice/kept-row';
import { RuleForm } from '../../rooms/practice/rule-form';
import { ruleSchema } from '../../schemas/practice';
import { checkForm, readForm, type FieldErrors } from '../../schemas/read';
import { notFound, permitted } from '../../../server/access/session.server';
import { takenAwayBy } from '../../parts/words/caution-words';
import type { Route } from './+types/rules';
import type { loader as frame } from './practice';

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'rules');
  return { rules: await localRules(practiceId) };
}

const STALE: FieldErrors = {
  title:
    'This rule was changed in another window meanwhile. Load the page again to see it; what you typed is still here.',
};

/** A rule is added, changed, switched off or on; only the owner decides for everybody. */
export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'rules');
  const form = await readForm(request);
  const [what, id, version] = ['do', 'id', 'version'].map((name) => form.get(name));
  if (what === 'off' || what === 'on') {
    const result = await changeRule(who, id ?? '', Number(version), { active: what === 'on' });
    if (result === 'missing') notFound('rule');
    return result === 'stale' ? data({ errors: STALE }, { status: 409 }) : redirect('/practice');
  }
  const input = await checkForm(ruleSchema, form, ['id', 'version', 'once']);
  if (!input.ok) return data({ errors: input.errors, typed: input.typed }, { status: 422 });
  if (!id) await addRule(who, input.value, form.get('once'));
  else {
    const result = await changeRule(who, id, Number(version), { body: input.value });
    if (result === 'missing') notFound('rule');
    if (result === 'stale') return data({ errors: STALE }, { status: 409 });
  }
  return redirect('/practice');
}

const SEVERITY = { avoid: 'Avoid', adapt: 'Adapt', note: 'Note' } as const;

export default function Rules({ loaderData: { rules } }: Route.ComponentProps) {
  const { isOwner } = useRouteLoaderData('routes/practice/practice') as Awaited<ReturnType<typeof frame>>;
  const answered = useActionData<typeof action>();
  const [query] = useSearchParams();
  const edited = rules.find((r) => r.id === query.get('rule'));
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Rules of this practice</h1>
          <span className="soft">asked and held like the built-in cautions; a rule can only take away</span>
        </div>
        {rules.length === 0 && (
          <p className="soft">
            None yet. Add what your insurer, your local code or your own experience asks for beyond the built-in
            cautions.
          </p>
        )}
        <ul className="plain-list narrow">
          {rules.map((r) => (
            <KeptRow
              key={r.id}
              kept={r}
              name={r.title}
              aside={`${SEVERITY[r.severity]}${r.active ? '' : ', switched off'}`}
              inUse={r.active}
              param="rule"
              off={['off', 'Switch off']}
              on={['on', 'Switch on']}
              mayChange={isOwner}
            >
              {r.question && <div className="small">“{r.question}”</div>}
              <div className="soft small">
                Takes away {takenAwayBy(cautionOf(r.id, r))}. {r.advice} {r.seeWho && `See: ${r.seeWho}`}
              </div>
            </KeptRow>
          ))}
        </ul>
        {isOwner ? (
          <>
            <h2 className="mt-4 mb-2">{edited ? `Change “${edited.title}”` : 'Add a rule'}</h2>
            <RuleForm
              key={edited ? `${edited.id}-${edited.version}` : `new-${rules.length}`}
              rule={edited}
              answered={answered}
            />
          </>
        ) : (
          <p className="soft mt-3">The owner of the practice adds and changes rules.</p>
        )}
      </main>
    </div>
  );
}

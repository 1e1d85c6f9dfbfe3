import type { StoredRule } from '../../../core/record';
import { PRESSURES, REGION_NAMES, REGIONS } from '../../../core/words';
import { Button } from 'react-bootstrap';
import { Form } from 'react-router';
import { RULE_WORKS, ruleSchema, type RuleForm as Values } from '../../schemas/practice';
import { OnceKey } from '../../parts/fields/once-key';
import { Field, useCheckedForm, type Answered } from '../../parts/fields/field';

/** A caution of the practice's own: what is asked, and what a yes takes away. */
export function RuleForm({ rule, answered }: { rule?: StoredRule; answered: Answered }) {
  const { form, bind } = useCheckedForm<Values>(ruleSchema, answered, {
    title: rule?.title ?? '',
    question: rule?.question ?? '',
    group: rule?.group ?? 'standing',
    severity: rule?.severity ?? 'avoid',
    regions: rule?.regions ?? [],
    pressures: rule?.pressures ?? [],
    works: (rule?.works as Values['works']) ?? [],
    advice: rule?.advice ?? '',
    seeWho: rule?.seeWho ?? '',
  });
  const several = (
    name: 'regions' | 'pressures' | 'works',
    label: string,
    all: readonly string[],
    words: (v: string) => string,
  ) => {
    const chosen = (form.watch(name) ?? []) as string[];
    return (
      <fieldset className="wide several">
        <legend>{label}</legend>
        {chosen.map((v, i) => (
          <input key={v} type="hidden" name={`${name}[${i}]`} value={v} />
        ))}
        <div className="chips">
          {all.map((v) => (
            <button
              key={v}
              type="button"
              className="chip"
              aria-pressed={chosen.includes(v)}
              onClick={() =>
                form.setValue(name, (chosen.includes(v) ? chosen.filter((c) => c !== v) : [...chosen, v]) as never)
              }
            >
              {words(v)}
            </button>
          ))}
        </div>
      </fieldset>
    );
  };
  return (
    <Form {...bind} className="narrow">
      {!rule && <OnceKey />}
      {rule && <input type="hidden" name="id" value={rule.id} />}
      {rule && <input type="hidden" name="version" value={rule.version} />}
      <div className="form-grid">
        <Field form={form} name="title" label="Short name" />
        <Field form={form} name="severity" label="What a yes means">
          <option value="avoid">Avoid: it is off</option>
          <option value="adapt">Adapt: pressure named is off, the rest warns</option>
          <option value="note">Note: say it, nothing is off</option>
        </Field>
        <Field form={form} name="question" label="Question" hint="Empty: it holds for everyone and is not asked." />
        <Field form={form} name="group" label="Asked about">
          <option value="standing">a standing fact</option>
          <option value="today">today</option>
        </Field>
        {several(
          'regions',
          'Where (none chosen: anywhere)',
          REGIONS,
          (v) => REGION_NAMES[v as keyof typeof REGION_NAMES],
        )}
        {several('works', 'Kind of work (none chosen: any)', RULE_WORKS, (v) => v.replaceAll('-', ' '))}
        {several('pressures', 'Pressure (none chosen: any)', PRESSURES, (v) => v)}
        <Field form={form} name="advice" label="What to do instead" className="wide" />
        <Field form={form} name="seeWho" label="Who to see" hint="Empty: nobody has to be seen." />
      </div>
      <Button type="submit" className="mt-3">
        {rule ? 'Save the rule' : 'Add the rule'}
      </Button>
    </Form>
  );
}

import {
  COMPLAINT_KINDS,
  COMPLAINT_NAMES,
  CRAFTS,
  DOER_NAMES,
  DOERS,
  PHASE_NAMES,
  PHASES,
  SOUGHT_FOR,
} from '../../../../core/words';
import { TECHNIQUE_LENGTHS } from '../../../../core/routine';
import { Form as BsForm } from 'react-bootstrap';
import { ChoiceControl, Section, SeveralControl, TextControl, type Part } from './controls';

/** What a technique is: its name, its place in the work, who does it, and what it is used for. */
export function WhatFields({ own, set, refused }: Part) {
  const at = (path: string) => ({ path, refused });
  return (
    <>
      <Section title="What">
        <TextControl
          label="Name"
          most={TECHNIQUE_LENGTHS.name}
          value={own.name}
          onChange={(name) => set({ name })}
          {...at('name')}
        />
        <div className="form-grid">
          <ChoiceControl
            label="Where it stands"
            all={PHASES}
            words={(p) => PHASE_NAMES[p]}
            value={own.phase}
            onChange={(phase) => set({ phase })}
            {...at('phase')}
          />
          <ChoiceControl
            label="Way of working"
            all={CRAFTS}
            value={own.craft}
            onChange={(craft) => set({ craft })}
            {...at('craft')}
          />
          <ChoiceControl
            label="Who does it"
            all={DOERS}
            words={(d) => DOER_NAMES[d]}
            value={own.by}
            onChange={(by) => set({ by })}
            {...at('by')}
          />
          <BsForm.Check
            id="is-test"
            className="align-self-end"
            label="It only finds something out"
            checked={own.isTest}
            onChange={(e) => set({ isTest: e.target.checked })}
          />
        </div>
        <SeveralControl
          label="Used for"
          all={COMPLAINT_KINDS}
          words={(k) => COMPLAINT_NAMES[k]}
          value={own.serves}
          onChange={(serves) => set({ serves })}
          {...at('serves')}
        />
        <SeveralControl
          label="People also come for"
          all={SOUGHT_FOR}
          value={own.soughtFor}
          onChange={(soughtFor) => set({ soughtFor })}
          {...at('soughtFor')}
        />
      </Section>
    </>
  );
}

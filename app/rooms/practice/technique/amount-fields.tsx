import { BOUNDS, SIDE_MODES } from '../../../../core/routine';
import { NumberField } from '../../../parts/fields/number-field';
import { SIDE_PLAN_NAMES } from '../../../parts/marks/marks';
import { ChoiceControl, Section, type Part } from './controls';
import { DoseFields } from './dose-fields';

/** How much of it: the dose of one side, the sides, the rounds, and how often a day. */
export function AmountFields({ own, set, setWork, refused }: Part) {
  const at = (path: string) => ({ path, refused });
  const { work } = own;
  return (
    <>
      <Section title="Dose, for one side and one way">
        <DoseFields dose={work.dose} refused={refused} onChange={(dose) => setWork({ dose })} />
        <div className="form-grid mt-2">
          <ChoiceControl
            label="Sides"
            all={SIDE_MODES}
            words={(m) => SIDE_PLAN_NAMES[m]}
            value={work.sides.mode}
            onChange={(mode) => setWork({ sides: { ...work.sides, mode, extra: null } })}
            {...at('work.sides.mode')}
          />
          <NumberField
            label="Rounds"
            value={work.sides.sets}
            range={BOUNDS.sets}
            whole
            onCommit={(sets) => setWork({ sides: { ...work.sides, sets } })}
          />
          <ChoiceControl
            label="Hands change over"
            all={['none', 'each-set', 'each-count'] as const}
            value={work.swap}
            onChange={(swap) => setWork({ swap })}
            {...at('work.swap')}
          />
          <ChoiceControl
            label="Side by side"
            all={['side-complete', 'alternate'] as const}
            words={(v) => (v === 'alternate' ? 'round by round' : 'one side wholly, then the other')}
            value={work.sides.sequence}
            onChange={(sequence) => setWork({ sides: { ...work.sides, sequence } })}
            {...at('work.sides.sequence')}
          />
          <NumberField
            label="Most a day (0: not said)"
            value={own.perDayMost ?? 0}
            range={[0, 50]}
            whole
            onCommit={(n) => set({ perDayMost: n || null })}
          />
        </div>
      </Section>
    </>
  );
}

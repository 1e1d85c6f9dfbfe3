import { TECHNIQUE_LENGTHS, STROKES } from '../../../../core/routine';
import { CONTACTS, MOTIONS, PRESSURES, type Pressure, CONTACT_NAMES } from '../../../../core/words';
import { ChoiceControl, Section, TextControl, Told, type Part } from './controls';

/** What touches, what it does, how it travels and how firmly. */
export function HowFields({ own, set, setWork, refused }: Part) {
  const at = (path: string) => ({ path, refused });
  const { work } = own;
  const usual = work.pressure?.there ?? 'none';
  const setPressure = (least: Pressure, there: Pressure, most: Pressure, back: Pressure | null) =>
    set({ pressure: { least, most }, work: { ...work, pressure: { there, back } } });
  return (
    <>
      <Section title="How">
        <div className="form-grid">
          <ChoiceControl
            label="What touches"
            all={CONTACTS}
            words={(c) => CONTACT_NAMES[c]}
            value={work.contact}
            onChange={(contact) => setWork({ contact })}
            {...at('work.contact')}
          />
          <ChoiceControl
            label="What it does"
            all={MOTIONS}
            value={work.motion}
            onChange={(motion) => setWork({ motion })}
            {...at('work.motion')}
          />
          <ChoiceControl
            label="How it travels"
            all={STROKES}
            value={work.stroke}
            onChange={(stroke) => setWork({ stroke })}
            {...at('work.stroke')}
          />
          <TextControl
            label="The way, in words"
            most={TECHNIQUE_LENGTHS.direction}
            value={own.direction}
            onChange={(direction) => set({ direction })}
            {...at('direction')}
          />
          <ChoiceControl
            label="Usual pressure"
            all={['none', ...PRESSURES] as const}
            value={usual}
            onChange={(v) =>
              v === 'none'
                ? set({ pressure: null, work: { ...work, pressure: null } })
                : setPressure(own.pressure?.least ?? v, v, own.pressure?.most ?? v, work.pressure?.back ?? null)
            }
            {...at('work.pressure.there')}
          />
          {own.pressure && work.pressure && (
            <>
              <ChoiceControl
                label="Least"
                all={PRESSURES}
                value={own.pressure.least}
                onChange={(least) => set({ pressure: { ...own.pressure!, least } })}
                {...at('pressure.least')}
              />
              <ChoiceControl
                label="Most"
                all={PRESSURES}
                value={own.pressure.most}
                onChange={(most) => set({ pressure: { ...own.pressure!, most } })}
                {...at('pressure.most')}
              />
              <ChoiceControl
                label="On the way back"
                all={['the same', ...PRESSURES] as const}
                value={work.pressure.back ?? 'the same'}
                onChange={(v) => setWork({ pressure: { ...work.pressure!, back: v === 'the same' ? null : v } })}
                {...at('work.pressure.back')}
              />
            </>
          )}
          <ChoiceControl
            label="A still hand beside it"
            all={['no', ...CONTACTS] as const}
            words={(c) => (c === 'no' ? 'no' : CONTACT_NAMES[c])}
            value={work.still?.contact ?? 'no'}
            onChange={(v) => setWork({ still: v === 'no' ? null : { contact: v, place: work.still?.place ?? null } })}
            {...at('work.still')}
          />
        </div>
        <Told path="pressure" refused={refused?.field === 'pressure' ? refused : null} />
      </Section>
    </>
  );
}

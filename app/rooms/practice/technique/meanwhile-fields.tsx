import { BODY_WAYS, LENGTHS, TECHNIQUE_LENGTHS } from '../../../../core/routine';
import {
  CLIENT_POSITIONS,
  COMES_WITH,
  COMES_WITH_NAMES,
  GLIDE_NAMES,
  GLIDES,
  NEED_NAMES,
  NEEDS,
  TECHNIQUE_TOOLS,
} from '../../../../core/words';
import { ChoiceControl, Section, SeveralControl, TextControl, type Part } from './controls';

/** What the client does meanwhile, and what lies ready. */
export function MeanwhileFields({ own, set, setWork, refused }: Part) {
  const at = (path: string) => ({ path, refused });
  const { work } = own;
  return (
    <>
      <Section title="Client meanwhile">
        <div className="form-grid">
          {(Object.keys(BODY_WAYS) as (keyof typeof BODY_WAYS)[]).map((part) => (
            <ChoiceControl
              key={part}
              label={part[0]!.toUpperCase() + part.slice(1)}
              all={BODY_WAYS[part] as readonly string[]}
              value={work.body[part] as string}
              onChange={(way) => setWork({ body: { ...work.body, [part]: way } })}
              {...at(`work.body.${part}`)}
            />
          ))}
          <ChoiceControl
            label="Lies or sits"
            all={CLIENT_POSITIONS}
            value={own.position}
            onChange={(position) => set({ position })}
            {...at('position')}
          />
          <TextControl
            label="Posture, in words"
            most={TECHNIQUE_LENGTHS.posture}
            value={own.posture}
            onChange={(posture) => set({ posture })}
            {...at('posture')}
          />
          <TextControl
            label="Breath, in words"
            most={LENGTHS.words}
            value={work.breath?.words ?? ''}
            onChange={(words) => setWork({ breath: words ? { phases: work.breath?.phases ?? null, words } : null })}
            {...at('work.breath')}
          />
        </div>
      </Section>
      <Section title="With what">
        <div className="form-grid">
          <ChoiceControl
            label="On the skin"
            all={GLIDES}
            words={(g) => GLIDE_NAMES[g]}
            value={own.glide}
            onChange={(glide) => set({ glide })}
            {...at('glide')}
          />
          <ChoiceControl
            label="Tool"
            all={['bare hand', ...TECHNIQUE_TOOLS] as const}
            value={own.tool ?? 'bare hand'}
            onChange={(v) => set({ tool: v === 'bare hand' ? null : v })}
            {...at('tool')}
          />
          <TextControl
            label="At hand"
            most={TECHNIQUE_LENGTHS.equipment}
            value={own.equipment}
            onChange={(equipment) => set({ equipment })}
            {...at('equipment')}
          />
        </div>
        <SeveralControl
          label="Comes with"
          all={COMES_WITH}
          words={(w) => COMES_WITH_NAMES[w]}
          value={own.comesWith}
          onChange={(comesWith) => set({ comesWith })}
          {...at('comesWith')}
        />
        <SeveralControl
          label="Needs before"
          all={NEEDS}
          words={(n) => NEED_NAMES[n]}
          value={own.needs}
          onChange={(needs) => set({ needs })}
          {...at('needs')}
        />
      </Section>
    </>
  );
}

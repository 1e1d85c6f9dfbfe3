import { TECHNIQUE_LENGTHS } from '../../../../core/routine';
import { CAUTIONS } from '../../../../reference/facts/cautions';
import { Section, SeveralControl, TextControl, type Part } from './controls';

/** What is asked; a technique may also heed what holds for everyone, and keeps that. */
const ASKED = CAUTIONS.filter((c) => c.question);

/** What is said and shown of it, and the cautions it raises. */
export function WordsFields({ own, set, refused }: Part) {
  const at = (path: string) => ({ path, refused });
  const isAsked = (key: string) => ASKED.some((c) => c.key === key);
  const [asked, kept] = [own.heed.filter(isAsked), own.heed.filter((key) => !isAsked(key))];
  return (
    <>
      <Section title="Words">
        <TextControl
          label="What to do"
          most={TECHNIQUE_LENGTHS.cue}
          value={own.cue}
          onChange={(cue) => set({ cue })}
          {...at('cue')}
        />
        <TextControl
          label="What the client is told"
          most={TECHNIQUE_LENGTHS.clientCue}
          value={own.clientCue}
          onChange={(clientCue) => set({ clientCue })}
          {...at('clientCue')}
        />
        <TextControl
          label="What to feel for"
          most={TECHNIQUE_LENGTHS.feelFor}
          value={own.feelFor}
          onChange={(feelFor) => set({ feelFor })}
          {...at('feelFor')}
        />
        <TextControl
          label="What to avoid"
          most={TECHNIQUE_LENGTHS.avoid}
          value={own.avoid}
          onChange={(avoid) => set({ avoid })}
          {...at('avoid')}
        />
      </Section>
      <Section title="Cautions it raises, beside those of its places">
        <SeveralControl
          label="With a yes to one of these, care is asked for"
          all={ASKED.map((c) => c.key)}
          words={(key) => ASKED.find((c) => c.key === key)!.title}
          value={asked}
          onChange={(heed) => set({ heed: [...kept, ...heed] })}
          {...at('heed')}
        />
      </Section>
    </>
  );
}

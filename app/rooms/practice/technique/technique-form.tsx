import {
  BODY_WAYS,
  BOUNDS,
  fromOwn,
  LENGTHS,
  readOwnTechnique,
  stepSeconds,
  newStep,
  SIDE_MODES,
  STROKES,
  TECHNIQUE_LENGTHS,
  type OwnTechnique,
} from '../../../../core/routine';
import { screen } from '../../../../core/limits';
import { stopOfOwn } from '../../../../core/rules';
import {
  clock,
  CLIENT_POSITIONS,
  COMES_WITH,
  COMES_WITH_NAMES,
  COMPLAINT_KINDS,
  COMPLAINT_NAMES,
  CONTACTS,
  CRAFTS,
  DOER_NAMES,
  DOERS,
  GLIDES,
  InputError,
  MOTIONS,
  NEED_NAMES,
  NEEDS,
  PHASE_NAMES,
  PHASES,
  PRESSURES,
  SOUGHT_FOR,
  TECHNIQUE_TOOLS,
  type Pressure,
} from '../../../../core/words';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Button, Form as BsForm } from 'react-bootstrap';
import { Form } from 'react-router';
import { CATALOGUE } from '../../../../reference/catalogue';
import { CAUTIONS } from '../../../../reference/facts/cautions';
import { FaceChart } from '../../../parts/chart/face-chart';
import { pathMark } from '../../../parts/chart/path-layer';
import { NumberField } from '../../../parts/fields/number-field';
import { OnceKey } from '../../../parts/fields/once-key';
import { SIDE_PLAN_NAMES } from '../../../parts/marks/marks';
import { ChoiceControl, Section, SeveralControl, TextControl, Told, type Refused } from './controls';
import { DoseFields } from './dose-fields';
import { PathFields } from './path-fields';
import { pickablePlaces } from './place-choices';

const ASKED = CAUTIONS.filter((c) => c.question);
const KNOWN = { catalogue: CATALOGUE, cautions: new Set(CAUTIONS.map((c) => c.key)) };
const EVERYONE = screen(CAUTIONS, {});

/** What the reader and the rules refuse of a technique; null when it may be kept. */
function refusalOf(own: OwnTechnique): Refused | null {
  try {
    readOwnTechnique(JSON.parse(JSON.stringify(own)), KNOWN);
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { field: error.field, message: error.message.replace(`${error.field}: `, '') };
  }
  return stopOfOwn(fromOwn(own, CATALOGUE), CATALOGUE, EVERYONE);
}

interface Props {
  start: OwnTechnique;
  /** Null for a new one. */
  version: number | null;
  answered: Refused | null;
}

/** A technique of the practice: the same fields as the library's, with the path picked on the chart beside it. */
export function TechniqueForm({ start, version, answered }: Props) {
  const [own, setOwn] = useState(start);
  const [refused, setRefused] = useState<Refused | null>(answered);
  const [seen, setSeen] = useState(answered);
  if (answered !== seen) {
    setSeen(answered);
    setRefused(answered);
  }
  const form = useRef<HTMLFormElement>(null);
  useEffect(() => {
    // The field that was refused comes into sight, with the focus where one types.
    const told = refused && form.current?.querySelector('[data-refused]');
    if (!told) return;
    told.scrollIntoView({ block: 'center' });
    told.parentElement?.querySelector<HTMLElement>('input, select, button')?.focus({ preventScroll: true });
  }, [refused]);
  const { work } = own;
  const set = (change: Partial<OwnTechnique>) => setOwn({ ...own, ...change });
  const setWork = (change: Partial<OwnTechnique['work']>) => set({ work: { ...work, ...change } });
  const pick = useMemo(() => pickablePlaces(), []);
  const at = (path: string) => ({ path, refused });
  const seconds = useMemo(() => {
    try {
      return stepSeconds(newStep(fromOwn({ ...own, work: { ...work } }, CATALOGUE), 'now'));
    } catch {
      return null;
    }
  }, [own, work]);
  const usual = work.pressure?.there ?? 'none';
  const setPressure = (least: Pressure, there: Pressure, most: Pressure, back: Pressure | null) =>
    set({ pressure: { least, most }, work: { ...work, pressure: { there, back } } });

  return (
    <div className="visit-body is-page">
      <div className="chart-side">
        <FaceChart
          map={['Points']}
          paths={work.path.length ? [pathMark(work)] : []}
          pick={{
            places: pick,
            onPick: ({ kind, id }) => setWork({ path: [...work.path, { kind, id }].slice(0, LENGTHS.path) }),
          }}
        />
      </div>
      <main className="work">
        <Form
          ref={form}
          method="post"
          noValidate
          onSubmit={(e) => {
            const figure = form.current?.querySelector('[inputmode].is-invalid')
              ? { field: 'figures', message: 'a figure lies outside its range; see there' }
              : null;
            const wrong = refusalOf(own) ?? figure;
            setRefused(wrong);
            if (wrong) e.preventDefault();
          }}
        >
          {version === null && <OnceKey />}
          {version !== null && <input type="hidden" name="version" value={version} />}
          <input type="hidden" name="technique" value={JSON.stringify(own)} />
          <div className="work-head">
            <h1>{own.name || 'New technique'}</h1>
            {seconds !== null && <span className="num fs-5">{clock(seconds)}</span>}
            <div className="end">
              <Button type="submit">Keep</Button>
            </div>
          </div>
          {refused && (
            <p className="caution" role="alert">
              Not kept: {refused.message}
            </p>
          )}
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
          <Section title="Path, of one side">
            <PathFields path={work.path} refused={refused} onChange={(path) => setWork({ path })} />
          </Section>
          <Section title="How">
            <div className="form-grid">
              <ChoiceControl
                label="What touches"
                all={CONTACTS}
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
                value={work.still?.contact ?? 'no'}
                onChange={(v) =>
                  setWork({ still: v === 'no' ? null : { contact: v, place: work.still?.place ?? null } })
                }
                {...at('work.still')}
              />
            </div>
            <Told path="pressure" refused={refused?.field === 'pressure' ? refused : null} />
          </Section>
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
              value={own.heed.filter((key) => ASKED.some((c) => c.key === key))}
              onChange={(heed) => set({ heed })}
              {...at('heed')}
            />
          </Section>
          <Button type="submit">Keep</Button>
        </Form>
      </main>
    </div>
  );
}

import { fromOwn, newStep, readOwnTechnique, stepSeconds, type OwnTechnique } from '../../../../core/routine';
import { screen } from '../../../../core/limits';
import { stopOfOwn } from '../../../../core/rules';
import { clock, InputError } from '../../../../core/words';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import { Form } from 'react-router';
import { CATALOGUE } from '../../../../reference/catalogue';
import { CAUTIONS } from '../../../../reference/facts/cautions';
import { FaceChart } from '../../../parts/chart/face-chart';
import { pathMark } from '../../../parts/chart/path-layer';
import { OnceKey } from '../../../parts/fields/once-key';
import { AmountFields } from './amount-fields';
import { Section, type Refused } from './controls';
import { HowFields } from './how-fields';
import { MeanwhileFields } from './meanwhile-fields';
import { PathFields } from './path-fields';
import { pickablePlaces } from './place-choices';
import { WhatFields } from './what-fields';
import { WordsFields } from './words-fields';

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
  const part = { own, set, setWork, refused };
  const seconds = useMemo(() => {
    try {
      return stepSeconds(newStep(fromOwn({ ...own, work: { ...work } }, CATALOGUE), 'now'));
    } catch {
      return null;
    }
  }, [own, work]);

  return (
    <div className="visit-body is-page">
      <div className="chart-side">
        <FaceChart
          map={['Points']}
          paths={work.path.length ? [pathMark(work)] : []}
          pick={{
            places: pick,
            onPick: ({ kind, id }) => setWork({ path: [...work.path, { kind, id }] }),
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
          <WhatFields {...part} />
          <Section title="Path, of one side">
            <PathFields path={work.path} refused={refused} onChange={(path) => setWork({ path })} />
          </Section>
          <HowFields {...part} />
          <AmountFields {...part} />
          <MeanwhileFields {...part} />
          <WordsFields {...part} />
          <Button type="submit">Keep</Button>
        </Form>
      </main>
    </div>
  );
}

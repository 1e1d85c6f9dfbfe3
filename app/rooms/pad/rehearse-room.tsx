import { thresholdCap } from '../../../core/proposal';
import { stepsOf, type Routine } from '../../../core/routine';
import type { PadScale } from '../../../core/touch';
import { useEffect, useMemo } from 'react';
import { Link, useNavigate } from 'react-router';
import { useCatalogue } from '../../parts/catalogue/catalogue';
import { Player } from '../../parts/player/player';
import { PadBeside } from './beside-run';
import { rehearsalPort } from './rehearsal-port';
import type { ThresholdTaken } from './thresholds';

export interface RehearseData {
  /** What is rehearsed; null while one is to be chosen. */
  rehearsed: { routine: Routine; name: string; client: { id: string; name: string } | null; back: string } | null;
  thresholds: ThresholdTaken[];
  scale: PadScale;
  routines: { id: string; name: string }[];
}

/** A whole routine on the pad, guided as on a client: nothing of it is kept. */
export function RehearseRoom({ rehearsed, thresholds, scale, routines }: RehearseData) {
  if (!rehearsed)
    return (
      <div className="pad-columns is-wide">
        <main className="pad-work">
          <h1>Rehearse a routine</h1>
          <p className="soft">
            It is guided as on a client, and the pad says how hard you press in each step. Nothing of it is kept. A
            visit is rehearsed from its Compose.
          </p>
          <ul className="plain-list">
            {routines.map(({ id, name }) => (
              <li key={id}>
                <Link to={`/pad/rehearse?routine=${id}`}>{name}</Link>
              </li>
            ))}
          </ul>
          {!routines.length && <p className="soft">There are no routines yet.</p>}
        </main>
      </div>
    );
  return <Rehearsed key={rehearsed.back} {...{ ...rehearsed, thresholds, scale }} />;
}

function Rehearsed({
  routine,
  name,
  client,
  back,
  thresholds,
  scale,
}: NonNullable<RehearseData['rehearsed']> & Pick<RehearseData, 'thresholds' | 'scale'>) {
  const catalogue = useCatalogue();
  const navigate = useNavigate();
  const port = useMemo(() => rehearsalPort(routine), [routine]);
  useEffect(() => () => void port.forget(), [port]);
  const caps = useMemo(
    () =>
      new Map(
        stepsOf(routine).map(({ technique }) => {
          const of = catalogue.techniques.get(technique);
          return [technique, of ? (thresholdCap(of, thresholds)?.capKpa ?? null) : null];
        }),
      ),
    [routine, catalogue, thresholds],
  );
  const leave = () => void navigate(back);
  return (
    <div className="pad-rehearsal">
      <p className="pad-told">
        <strong>Rehearsal:</strong> {name}
        {client && ` for ${client.name}`}. Nobody is worked on, and nothing is kept.{' '}
        {client && <Link to={`/pad?client=${client.id}`}>One technique at a time, within what they can bear</Link>}
      </p>
      <Player
        routine={routine}
        open={null}
        stopped={null}
        port={port}
        catalogue={catalogue}
        screening={null}
        composed={routine}
        bar={{ who: 'Rehearsal, nothing is kept', caution: '', onLeave: leave }}
        before={{ again: false, toReady: [], onReady: () => {}, avoid: [] }}
        after={{ label: 'Back', onGo: leave }}
        beside={(now) => (
          <PadBeside
            now={now}
            scale={scale}
            capOf={(technique) => caps.get(technique) ?? null}
            nameOf={(technique) => catalogue.techniques.get(technique)?.name ?? technique}
          />
        )}
      />
    </div>
  );
}

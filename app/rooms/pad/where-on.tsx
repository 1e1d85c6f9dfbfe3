import { newStep } from '../../../core/routine';
import type { Aim } from '../../../core/touch';
import { MUSCLES } from '../../../reference/facts/muscles';
import { useMemo } from 'react';
import { useCatalogue } from '../../parts/catalogue/catalogue';
import { FaceChart } from '../../parts/chart/face-chart';
import { pathMark } from '../../parts/chart/path-layer';
import { bestView } from '../../parts/chart/places';
import { useDates } from '../../parts/frame/use-dates';
import type { Rehearsal } from './rehearsal';

/** Where what is rehearsed is done, and what is known of the client it is rehearsed for. */
export function WhereOn({
  rehearsal: { technique: id, cap, pressure },
  aim,
  client,
}: {
  rehearsal: Rehearsal;
  aim: Aim;
  client: { name: string } | null;
}) {
  const { shortDay } = useDates();
  const { techniques } = useCatalogue();
  const technique = techniques.get(id);
  const path = useMemo(() => (technique ? pathMark(newStep(technique, 'pad'), 'left') : null), [technique]);
  const places = path?.sides.flat() ?? [];
  if (!technique) return null;
  return (
    <>
      <h2>Where</h2>
      {places.length > 0 && path && (
        <div className="pad-where">
          <FaceChart key={id} bare views={[bestView(places)]} follow={places} paths={[path]} />
        </div>
      )}
      {places.some((p) => p.side === 'left') && <p className="soft small mb-1">client’s left; the right alike</p>}
      <p className="small">{technique.cue}</p>
      {client &&
        (cap ? (
          <p className="small">
            On {client.name}, <strong>{Math.round(cap.kpa)} kPa</strong> became pain at the{' '}
            {MUSCLES.find((m) => m.id === cap.muscle)?.name ?? cap.muscle}, client’s {cap.side}, on {shortDay(cap.at)}.
            At most half of it is aimed at: {Math.round(cap.capKpa)} kPa
            {aim.mostKpa < cap.capKpa
              ? `; the top of the aim is ${Math.round(100 * (1 - aim.mostKpa / cap.kpa))} % below that pain`
              : `, less than ${pressure} usually is`}
            .
          </p>
        ) : (
          <p className="soft small">No threshold of {client.name} was taken where this works: the word alone holds.</p>
        ))}
    </>
  );
}

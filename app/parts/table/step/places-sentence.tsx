import { LENGTHS, type Step } from '../../../../core/routine';
import { letterOf } from '../../chart/path-layer';
import { PLACE_INDEX } from '../../../../reference/place-index';
import { SayChoice, SayVerb } from './say';

/** Where a step is worked: the places in order, taken out one by one, and picked on the chart. */
export function PlacesSentence({
  step,
  picking,
  onPicking,
  onChange,
}: {
  step: Step;
  picking: boolean;
  onPicking: (on: boolean) => void;
  onChange: (next: Step) => void;
}) {
  const { path, dose } = step;
  const drop = (at: number) =>
    onChange({
      ...step,
      path: path.filter((_, i) => i !== at),
      dose: { ...dose, perPlace: dose.perPlace && path.length > 2 },
    });
  return (
    <span className="say-places">
      {path.length === 0 && 'no place'}
      {path.map((place, i) => {
        const name = PLACE_INDEX.placeName(place) ?? place.id;
        return (
          <span key={i}>
            {i > 0 && (dose.perPlace ? ', ' : ' → ')}
            <span className="place-letter">{letterOf(i + 1)}</span> {name}
            {path.length > 1 && (
              <SayVerb label={`Take ${name} out of the path`} onClick={() => drop(i)}>
                ×
              </SayVerb>
            )}
          </span>
        );
      })}
      {path.length > 1 && (
        <>
          {', '}
          <SayChoice
            label="All of it at each place, or one pass"
            value={dose.perPlace ? 'each' : 'pass'}
            options={[
              ['each', 'all of it at each'],
              ['pass', 'in one pass'],
            ]}
            onChoose={(how) => onChange({ ...step, dose: { ...dose, perPlace: how === 'each' } })}
          />
        </>
      )}
      {path.length < LENGTHS.path && (
        <SayVerb onClick={() => onPicking(!picking)}>{picking ? 'done picking' : 'pick places …'}</SayVerb>
      )}
    </span>
  );
}

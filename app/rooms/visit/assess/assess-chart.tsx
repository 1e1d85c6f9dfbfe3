import { MOST_SPOTS } from '../../../../core/record';
import { type OneSide, REGION_NAMES } from '../../../../core/words';
import { useContext, useEffect, useState } from 'react';
import { PLACE_INDEX } from '../../../../reference/place-index';
import { PRESSED_MUSCLES } from '../../../../reference/facts/muscles';
import { REGION_PATCHES } from '../../../../reference/facts/other-places';
import { USUAL_SITES } from '../../../../reference/facts/palpation';
import { ClientChart } from '../../../parts/chart/client-chart';
import { Cross, useCross } from '../../../parts/chart/cross';
import { FaceChart } from '../../../parts/chart/face-chart';
import { ScanLayer } from '../../../parts/chart/finding-layers';
import type { Pickable } from '../../../parts/chart/picking';
import type { Pick } from '../../../parts/chart/use-picking';
import { placesOn, type Place, type View } from '../../../parts/chart/places';
import { muscleName } from '../../../parts/words/muscle-name';
import { BarChoice, ChartBar } from '../../../parts/chart/chart-bar';
import { FindingsOver } from '../chart/findings-over';
import { useNumbers } from '../chart/use-numbers';
import { useVisit } from '../session/context';
import { useFeltElsewhere, type PressedAt } from './felt-elsewhere';
import { type JawLook, sceneOf, sceneWords } from './jaw-look';
import { useJawReadings } from './jaw-readings';
import { OpeningLayer } from './opening-layer';
import { useScan } from './scan-section';
import { pinFrom } from './spot-places';
import { useBodies } from './use-bodies';
import { useTenderness } from './tenderness-table';

/** What a tap on the chart means: one thing at a time, tenderness unless something else was asked for. */
export type ChartMode =
  { kind: 'press' } | { kind: 'elsewhere'; from: PressedAt } | { kind: 'spots' } | { kind: 'scan' };

const EVERY_REGION = REGION_PATCHES.flatMap((r) =>
  placesOn({ kind: 'region', id: r.id }, 'both').map((place) => ({ place, name: REGION_NAMES[r.id], region: null })),
);

const MOUTH = placesOn({ kind: 'landmark', id: 'stomion' }, 'midline');
/** An open mouth reaches below the shut chin. */
const CHIN = placesOn({ kind: 'landmark', id: 'gnathion' }, 'midline');
/** What the chart comes near to while the jaw is looked at. */
const NEAR_JAW: Partial<Record<View, Place[]>> = {
  left: [...CHIN, ...placesOn({ kind: 'muscle', id: 'masseter-superficial' }, 'left')],
  right: [...CHIN, ...placesOn({ kind: 'muscle', id: 'masseter-superficial' }, 'right')],
  front: MOUTH,
};
const NOWHERE: Place[] = [];
/** From the measuring line to the ear, and from the nose to the chin of a wide opening. */
const PROFILE_SPAN = { width: 270, height: 215 };
const FRONT_SPAN = { width: 220, height: 220 };

export function AssessChart({
  mode,
  onMode,
  chosenSpot,
  onChooseSpot,
  look,
}: {
  mode: ChartMode;
  onMode: (mode: ChartMode) => void;
  chosenSpot: string | null;
  onChooseSpot: (id: string) => void;
  /** What of the jaw is being typed. */
  look: JawLook | null;
}) {
  const { findings, setFindings, ended } = useVisit();
  const client = useContext(ClientChart);
  const table = client.head?.places;
  const bodies = useBodies(client.head ? client.measures : null);
  const tender = useTenderness('before');
  const felt = useFeltElsewhere();
  const scan = useScan('before');
  const numbers = useNumbers('before');
  const [view, setView] = useState<View>('opened');
  const pinning = mode.kind === 'spots' && !ended && !look;
  const jaw = useJawReadings('before');
  const scene = look && sceneOf(look, jaw);
  const isLooking = !!look;
  // Where the chart comes to lie over what is typed, the field moves out of its way.
  useEffect(() => {
    if (isLooking) document.activeElement?.scrollIntoView({ block: 'nearest' });
  }, [isLooking]);
  /** The view to come back to when the jaw is looked at no more. */
  const [before, setBefore] = useState<{ look: boolean; view: View }>({ look: false, view });
  if (!!look !== before.look) setBefore({ look: !!look, view: look ? view : before.view });

  const pin = (on: View, x: number, y: number) => {
    const at = pinFrom(on, x, y, bodies, table);
    if (!at || findings.spots.length >= MOST_SPOTS) return;
    const id = crypto.randomUUID();
    setFindings({ ...findings, spots: [...findings.spots, { id, ...at, tenderness: null, words: '' }] });
    onChooseSpot(id);
  };
  const cross = useCross(view, pinning, (x, y) => pin(view, x, y));

  const pick: Pick | undefined =
    mode.kind === 'press'
      ? {
          places: pressedPlaces(tender.valueAt),
          choices: ended
            ? undefined
            : {
                ...tender.choices,
                more: {
                  word: 'Felt elsewhere …',
                  isOffered: (value: number) => value > 0,
                  onMore: ({ id, side }: Place) =>
                    side !== 'midline' && onMode({ kind: 'elsewhere', from: { muscle: id, side } }),
                },
              },
          onKey: ended ? undefined : tender.key,
        }
      : mode.kind === 'elsewhere'
        ? { places: EVERY_REGION, onPick: (p) => felt.toggle(mode.from, { to: p.id as never, toSide: p.side }) }
        : mode.kind === 'scan'
          ? scan.pick(ended)
          : undefined;

  return (
    <>
      <ChartBar
        told={
          scene
            ? sceneWords(scene)
            : mode.kind === 'elsewhere'
              ? `Touch where the press on the client’s ${mode.from.side} ${muscleName(mode.from.muscle)} was felt.`
              : numbers.told
        }
      >
        {!ended && (
          <BarChoice
            label="What a touch means"
            value={mode.kind}
            onChoose={(kind) => onMode(kind === 'elsewhere' ? mode : { kind })}
            choices={[
              { value: 'press', words: 'Press' },
              { value: 'spots', words: 'Pin a spot' },
              { value: 'scan', words: 'From inside' },
              ...(mode.kind === 'elsewhere' ? [{ value: 'elsewhere' as const, words: 'Felt elsewhere' }] : []),
            ]}
          />
        )}
        {numbers.choice}
      </ChartBar>
      <FaceChart
        soundings={scene ? [] : numbers.soundings}
        changes={scene ? [] : numbers.changes}
        jaw={scene?.jaw ?? null}
        turn={scene ? scene.view : before.view}
        nearTo={scene ? NEAR_JAW[scene.view] : NOWHERE}
        nearSpan={scene?.view === 'front' ? FRONT_SPAN : PROFILE_SPAN}
        muscles={
          scene
            ? []
            : mode.kind === 'press'
              ? USUAL_SITES.flatMap((id) => (['left', 'right'] as const).map((side) => ({ id, side })))
              : mode.kind === 'elsewhere'
                ? [{ id: mode.from.muscle, side: mode.from.side, chosen: true }]
                : []
        }
        pick={scene ? undefined : pick}
        onView={setView}
        onPoint={pinning ? pin : undefined}
        over={(on, shown, unit, mirrored, head) =>
          scene ? (
            <OpeningLayer scene={scene} head={head} view={on} unit={unit} mirrored={mirrored} />
          ) : (
            <>
              {mode.kind === 'scan' && <ScanLayer shown={shown} unit={unit} regions={scan.told} />}
              {numbers.over(shown, unit)}
              <FindingsOver view={on} shown={shown} unit={unit} mirrored={mirrored} chosenSpot={chosenSpot} />
              {pinning && <Cross at={cross.at} view={on} mirrored={mirrored} unit={unit} />}
            </>
          )
        }
      />
    </>
  );
}

const pressedPlaces = (valueAt: (id: string, side: OneSide) => number | undefined): Pickable[] =>
  PRESSED_MUSCLES.flatMap((m) => placesOn({ kind: 'muscle', id: m.id }, 'both'))
    .filter((p) => p.side !== 'midline')
    .map((place) => {
      const value = valueAt(place.id, place.side as OneSide);
      return {
        place,
        name: PRESSED_MUSCLES.find((m) => m.id === place.id)!.name,
        region: PLACE_INDEX.regionOf(place),
        state: value === undefined ? 'not pressed' : `tenderness ${value}`,
      };
    });

import type { EarlierReadings, Reading } from '../measures/index.ts';
import type { Known } from '../proposal/index.ts';
import type { Catalogue } from '../routine/index.ts';
import { complaintName, type OneSide, type PlaceRef, type Region, REGIONS, type Side } from '../words/index.ts';
import type { Client } from './client.ts';
import type { Findings, TightSpot } from './findings.ts';

/** What a complaint counts as that nobody has rated. Our choice; it is told wherever it is used. */
export const UNRATED_SCORE = 5;

const oneSide = (side: Side): OneSide | null => (side === 'left' || side === 'right' ? side : null);
const isSided = (r: Reading): r is Reading & { side: OneSide } => oneSide(r.side) !== null;

/** Region and side of the place a spot is pinned at: that of the drawn place it is measured from. */
function spotAt({ anchor, tenderness }: TightSpot, { regionOf }: Catalogue): Known['tightSpots'][number] | null {
  const [place, side] = anchor.split('.') as [string, OneSide | 'midline'];
  const [kind, id] = place.split(':') as [PlaceRef['kind'], string];
  const region = regionOf({ kind, id });
  return region && { region, side, grade: tenderness ?? 1 };
}

/**
 * What is known of a client at a visit, as a proposal wants it: ratings before the work (else the last ones), presses
 * with where they were felt, pinned spots, the scan from inside, thresholds, opening and click.
 * @param helped What came before easier days, by complaint: each technique is taken from the complaint that is worst today
 *   and tells of it.
 * @returns `unrated`: names of complaints that count as `UNRATED_SCORE` because nobody has rated them.
 */
export function knownAt(
  client: Pick<Client, 'complaints'>,
  readings: readonly Reading[],
  earlier: readonly EarlierReadings[],
  findings: Findings,
  catalogue: Catalogue,
  helped: readonly { complaintId: string; techniques: Known['response'] }[] = [],
): { known: Known; unrated: string[] } {
  const before = readings.filter((r) => r.phase === 'before');
  const unrated: string[] = [];
  const rated = client.complaints
    .filter((c) => !c.closed)
    .map((c): Known['complaints'][number] & { id: string } => {
      const now = before.find((r) => r.measure === 'nrs-now' && r.complaintId === c.id)?.value;
      const last = earlier.find((r) => r.measure === 'nrs-now' && r.complaintId === c.id)?.values.at(-1);
      if (now === undefined && last === undefined) unrated.push(complaintName(c));
      return { id: c.id, kind: c.kind, side: oneSide(c.side), score: now ?? last ?? UNRATED_SCORE };
    });
  const complaints = rated.map(({ id: _id, ...c }) => c);
  const familiar = (muscle: string, side: OneSide) =>
    before.some((r) => r.measure === 'familiar-pain' && r.place === muscle && r.side === side && r.value === 1);
  const value = (measure: Reading['measure']) => before.find((r) => r.measure === measure)?.value ?? null;
  const clicks = before
    .filter(isSided)
    .filter((r) => r.measure === 'click-opening-mm' || r.measure === 'click-closing-mm');
  const known: Known = {
    // One kind and side once: the higher of two.
    complaints: complaints.filter(
      (c, i) =>
        !complaints.some(
          (o, j) => o.kind === c.kind && o.side === c.side && (o.score > c.score || (o.score === c.score && j < i)),
        ),
    ),
    tenderness: before
      .filter(isSided)
      .filter((r) => r.measure === 'tenderness')
      .map((r) => ({
        muscle: r.place,
        side: r.side,
        grade: r.value as Known['tenderness'][number]['grade'],
        theirPain: familiar(r.place, r.side),
        feltIn: [
          ...new Set(findings.feltElsewhere.filter((f) => f.muscle === r.place && f.side === r.side).map((f) => f.to)),
        ],
      })),
    tightSpots: findings.spots.flatMap((s) => spotAt(s, catalogue) ?? []),
    tenseRegions: [
      ...new Set(
        before
          .filter(
            (r) => r.measure === 'region-felt' && r.value === 2 && (REGIONS as readonly string[]).includes(r.place),
          )
          .map((r) => r.place as Region),
      ),
    ],
    thresholds: before
      .filter(isSided)
      .filter((r) => r.measure === 'pressure-threshold')
      .map((r) => ({ muscle: r.place, side: r.side, kpa: r.value })),
    openingMm: value('opening-mm'),
    clickSide: clicks[0]?.side ?? null,
    response: responseOf(rated, helped),
    // What is told is drawn towards nought already.
    practiceEffect: 0,
  };
  return { known, unrated };
}

/** Each technique once, from the complaint with the highest score that tells of it. */
function responseOf(
  rated: readonly { id: string; score: number }[],
  helped: readonly { complaintId: string; techniques: Known['response'] }[],
): Known['response'] {
  const response = new Map<string, Known['response'][number]>();
  for (const { id } of [...rated].sort((a, b) => b.score - a.score))
    for (const one of helped.find((h) => h.complaintId === id)?.techniques ?? [])
      if (!response.has(one.technique)) response.set(one.technique, one);
  return [...response.values()];
}

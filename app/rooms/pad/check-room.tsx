import {
  CHECK_WEIGHTS_G,
  driftBetween,
  offShare,
  standingN,
  weightN,
  type PadCheck,
  type Touch,
  type WeightRead,
} from '../../../core/touch';
import { useEffect, useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import { useDates } from '../../parts/frame/use-dates';
import { send } from '../../parts/frame/send';
import { KeptLine } from './kept-line';
import { usePadHeard, usePadHere } from './pad-link';
import { useKept } from './use-kept';

/** So much of what was read is looked at. */
const LOOK_BACK_MS = 3000;
const percent = (share: number): string => `${share < 0 ? '−' : '+'}${Math.abs(share * 100).toFixed(1)} %`;

/** A pad under known weights: what it reads, by how much that is off, and how it moved since the last time. */
export function CheckRoom({ checks }: { checks: readonly PadCheck[] }) {
  const { pad, here, isStandIn } = usePadHere();
  const { shortDay } = useDates();
  const [read, setRead] = useState<WeightRead[]>([]);
  const [nowN, setNowN] = useState<{ forceN: number; standing: number | null } | null>(null);
  const kept = useKept<{ once: string; pad: string; weights: WeightRead[] }>('/pad/check/keep', () => setRead([]));
  const recent = useRef<Touch[]>([]);
  const toldAt = useRef(0);
  usePadHeard(
    (touch) => {
      if (touch.atMs < (recent.current.at(-1)?.atMs ?? 0)) recent.current = [];
      recent.current.push(touch);
      if (touch.atMs - toldAt.current < 200 && touch.atMs >= toldAt.current) return;
      toldAt.current = touch.atMs;
      recent.current = recent.current.filter((t) => t.atMs > touch.atMs - LOOK_BACK_MS);
      setNowN({ forceN: touch.forceN, standing: standingN(recent.current) });
    },
    () => {
      recent.current = [];
      setNowN(null);
    },
  );
  const standing = nowN?.standing ?? null;
  const put = (grams: number) => void send('/devices/pad/hand', { pad, kind: 'weight', grams });
  // What was put on a stand-in is not left there for the next.
  useEffect(() => {
    if (!isStandIn || pad === undefined) return;
    return () => void send('/devices/pad/hand', { pad, kind: 'weight', grams: 0 });
  }, [isStandIn, pad]);
  const take = (grams: number) => {
    if (standing === null) return;
    const readN = Math.round(standing * 1000) / 1000;
    setRead((all) => [...all.filter((w) => w.grams !== grams), { grams, readN }].sort((a, b) => a.grams - b.grams));
    if (isStandIn) put(0);
  };
  const keep = () => void kept.keep({ once: crypto.randomUUID(), pad: pad!, weights: read });
  const [last, before] = checks;
  const drift = last && before ? driftBetween(before, last) : null;
  return (
    <div className="pad-columns is-wide">
      <main className="pad-work">
        <h1>Against weights</h1>
        <p className="soft">
          Put a weight that you know in the middle of the pad, on something round of a few cm², and wait until it
          stands. Kitchen scales weigh it well enough: 1 % of it is less than the pad can tell.
        </p>
        <p className="pad-asked" aria-live="polite">
          <span className="num">{nowN ? `${nowN.forceN.toFixed(2)} N` : '–'}</span>{' '}
          <span className="soft">
            {!nowN || here.status !== 'here'
              ? ''
              : standing !== null
                ? `stands at ${standing.toFixed(2)} N`
                : nowN.forceN < 0.2
                  ? 'nothing on it'
                  : 'not still yet'}
          </span>
        </p>
        <table className="pad-tries pad-weights">
          <thead>
            <tr>
              <th scope="col">Weight</th>
              <th scope="col">True</th>
              <th scope="col">Read</th>
              <th scope="col">Off</th>
              <th scope="col">
                <span className="visually-hidden">Put on and read</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {CHECK_WEIGHTS_G.map((grams) => {
              const own = read.find((w) => w.grams === grams);
              return (
                <tr key={grams}>
                  <th scope="row">{grams} g</th>
                  <td className="num">{weightN(grams).toFixed(2)} N</td>
                  <td className="num">{own ? `${own.readN.toFixed(2)} N` : '–'}</td>
                  <td className="num">{own ? percent(offShare(own)) : '–'}</td>
                  <td>
                    <span className="d-flex flex-wrap gap-2 justify-content-end">
                      {isStandIn && (
                        <Button variant="outline-primary" onClick={() => put(grams)}>
                          Put {grams} g on
                        </Button>
                      )}
                      <Button variant="outline-primary" disabled={standing === null} onClick={() => take(grams)}>
                        Read<span className="visually-hidden"> {grams} g</span>
                      </Button>
                    </span>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
        <div className="pad-buttons">
          <Button disabled={!read.length || here.status !== 'here'} onClick={keep}>
            Keep this check
          </Button>
          <KeptLine kept={kept} />
        </div>
        <p className="soft small">
          A check corrects nothing: it tells how far the figures may be relied on. Scores are marked ≈ where the last
          check before them is older than 30 days, or was off by more than 5 % at any weight. True is g × 9.80665 m/s²;
          where you stand that differs by up to 0.3 %.
        </p>
      </main>
      <aside className="pad-course" aria-label="Checks so far">
        <h2>{last ? `${last.sensor} against weights` : 'No check yet'}</h2>
        {drift !== null && (
          <p className="small">
            Since {shortDay(before!.at)} it reads <strong>{percent(drift)}</strong> {drift < 0 ? 'less' : 'more'}.
          </p>
        )}
        {checks.map((check) => (
          <table key={check.id} className="pad-tries">
            <thead>
              <tr>
                <th scope="col">{shortDay(check.at)}</th>
                <th scope="col">true</th>
                <th scope="col">read</th>
                <th scope="col">off</th>
              </tr>
            </thead>
            <tbody>
              {check.weights.map((w) => (
                <tr key={w.grams}>
                  <th scope="row">{w.grams} g</th>
                  <td className="num">{weightN(w.grams).toFixed(2)}</td>
                  <td className="num">{w.readN.toFixed(2)} N</td>
                  <td className="num">{percent(offShare(w))}</td>
                </tr>
              ))}
            </tbody>
          </table>
        ))}
      </aside>
    </div>
  );
}

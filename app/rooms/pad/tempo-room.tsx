import type { BreathScore, Estimated, TapRound } from '../../../core/touch';
import type { TempoSent } from '../../schemas/pad';
import { useDates } from '../../parts/frame/use-dates';
import { BreathAlong } from './breath-along';
import type { BreathAsked } from './breaths';
import { KeptLine } from './kept-line';
import { TapAlong } from './tap-along';
import { useKept } from './use-kept';

export type TempoLine = { id: string; at: string; asked: string } & (
  { kind: 'taps'; score: TapRound } | { kind: 'breath'; score: BreathScore }
);
const signed = (value: number, digits = 0): string => {
  const text = Math.abs(value).toFixed(digits);
  return Number(text) === 0 ? text : `${value < 0 ? '−' : '+'}${text}`;
};
const percent = (share: number): string => `${signed(share * 100)} %`;
const span = ({ value, least, most }: Estimated): string => `${percent(value)} (${percent(least)} to ${percent(most)})`;

/** Tempo without a pad: tapped along, and breaths that are led. */
export function TempoRoom({ breaths, tries }: { breaths: readonly BreathAsked[]; tries: readonly TempoLine[] }) {
  const { shortDay, timeOfDay } = useDates();
  const kept = useKept<TempoSent>('/pad/tempo/keep');
  const nothing = { perMinute: 60, taps: [], technique: '', holds: [] };
  return (
    <div className="pad-columns is-wide">
      <main className="pad-work">
        <h1>Tempo</h1>
        <TapAlong
          onOver={(taps, perMinute) =>
            void kept.keep({ ...nothing, once: crypto.randomUUID(), kind: 'taps', taps, perMinute })
          }
        />
        <BreathAlong
          breaths={breaths}
          onOver={(holds, technique) =>
            void kept.keep({ ...nothing, once: crypto.randomUUID(), kind: 'breath', holds, technique })
          }
        />
        <KeptLine kept={kept} />
      </main>
      <aside className="pad-course" aria-label="How it went">
        <h2>How it went</h2>
        {!tries.length && <p className="soft small">Nothing tried yet.</p>}
        <ul className="plain-list pad-tempos">
          {tries.slice(0, 12).map((t) => (
            <li key={t.id}>
              <strong>{t.asked}</strong>{' '}
              <span className="soft small">
                {shortDay(t.at)}, {timeOfDay(t.at)}
              </span>
              <br />
              {t.kind === 'taps' ? (
                <span className="small">
                  With the beat {signed(t.score.led.offBeatS ?? 0, 2)} s. Alone {t.score.alone.perMinute.toFixed(1)} a
                  minute, {span(t.score.alone.tempoError)}, uneven by {Math.round(t.score.alone.unevenness * 100)} %.
                </span>
              ) : (
                <span className="small">
                  Alone {t.score.inSeconds.toFixed(1)} s in, {t.score.cycleSeconds.toFixed(1)} s the whole:{' '}
                  {percent(t.score.inError)} and {percent(t.score.cycleError)}, {t.score.perMinute.toFixed(1)} breaths a
                  minute.
                </span>
              )}
            </li>
          ))}
        </ul>
        <p className="soft small">
          Plus is quicker for a tempo, later for a beat, longer for a breath; intervals hold 95 %. What your loudspeaker
          is late by counts as you being early.
        </p>
      </aside>
    </div>
  );
}

import type { Moment } from '../../../core/guide';
import type { CueKind } from '../../../core/routine';

/** One note of a tone: when it begins within it, how high, how long, how loud (0–1). */
type Note = readonly [atSeconds: number, hz: number, seconds: number, gain: number];
/** Told apart by ear alone: a step rises, another side is two of the same, a place one, the end falls. */
const TONES = {
  step: [
    [0, 523, 0.16, 0.22],
    [0.14, 784, 0.28, 0.22],
  ],
  side: [
    [0, 587, 0.16, 0.24],
    [0.22, 587, 0.22, 0.24],
  ],
  place: [[0, 660, 0.2, 0.2]],
  beat: [[0, 520, 0.07, 0.25]],
  last: [[0, 780, 0.12, 0.25]],
  countdown: [[0, 392, 0.09, 0.18]],
  usual: [[0, 440, 0.5, 0.12]],
  soon: [[0, 494, 0.3, 0.12]],
  breath: [[0, 300, 0.5, 0.14]],
  done: [
    [0, 660, 0.25, 0.24],
    [0.22, 523, 0.25, 0.24],
    [0.44, 392, 0.7, 0.24],
  ],
} as const satisfies Record<string, readonly Note[]>;
type Tone = keyof typeof TONES;

/** The tone of a moment; `kind` of the cue it belongs to, and whether a step begins there. */
export function toneOf(moment: Pick<Moment, 'kind' | 'count' | 'of'>, kind: CueKind, isStep: boolean): Tone {
  switch (moment.kind) {
    case 'cue':
      return isStep ? 'step' : kind === 'change-side' ? 'side' : 'place';
    case 'beat':
      return moment.of > 1 && moment.count === moment.of ? 'last' : 'beat';
    case 'side-soon':
      return 'soon';
    default:
      return moment.kind;
  }
}

/** Soft tones at exact moments of the audio clock. */
export class Sound {
  private context: AudioContext | null = null;
  private readonly planned = new Set<OscillatorNode>();
  private volume = 1;

  /** @param volume 0 to 1. */
  setVolume(volume: number): void {
    this.volume = volume;
  }

  /** Browsers let sound begin only after a key or a click. */
  wake(): void {
    try {
      this.context ??= new AudioContext();
      void this.context.resume();
    } catch {
      this.context = null;
    }
  }

  /** @param inMs From now. */
  plan(tone: Tone, inMs: number, breath: Moment['breath'] = null): void {
    const context = this.context;
    if (!context || context.state !== 'running' || this.volume <= 0) return;
    const start = context.currentTime + Math.max(0, inMs) / 1000;
    for (const [after, hz, seconds, loud] of TONES[tone]) {
      const at = start + after;
      const oscillator = context.createOscillator();
      const gain = context.createGain();
      oscillator.frequency.setValueAtTime(hz, at);
      // Breathing in rises, breathing out falls, so that shut eyes can follow.
      const to = breath === 'in' || breath === 'in-again' ? 1.35 : breath === 'out' ? 0.75 : 1;
      if (to !== 1) oscillator.frequency.linearRampToValueAtTime(hz * to, at + seconds);
      gain.gain.setValueAtTime(0, at);
      gain.gain.linearRampToValueAtTime(loud * this.volume, at + 0.008);
      gain.gain.exponentialRampToValueAtTime(0.0005, at + seconds);
      oscillator.connect(gain).connect(context.destination);
      oscillator.start(at);
      oscillator.stop(at + seconds + 0.02);
      this.planned.add(oscillator);
      oscillator.onended = () => this.planned.delete(oscillator);
    }
  }

  /** Take back what has not sounded yet: a key changed the plan. */
  cancel(): void {
    for (const oscillator of this.planned) oscillator.stop();
    this.planned.clear();
  }

  close(): void {
    this.cancel();
    void this.context?.close();
    this.context = null;
  }
}

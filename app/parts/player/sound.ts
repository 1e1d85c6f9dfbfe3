import type { Moment } from '../../../core/guide';

const TONES: Record<Moment['kind'], { hz: number; seconds: number; gain: number }> = {
  beat: { hz: 520, seconds: 0.07, gain: 0.25 },
  countdown: { hz: 392, seconds: 0.09, gain: 0.18 },
  cue: { hz: 660, seconds: 0.22, gain: 0.22 },
  breath: { hz: 300, seconds: 0.5, gain: 0.14 },
  done: { hz: 440, seconds: 0.9, gain: 0.25 },
};

/** Soft tones at exact moments of the audio clock. */
export class Sound {
  private context: AudioContext | null = null;
  private planned = new Map<string, OscillatorNode>();

  /** Browsers let sound begin only after a key or a click. */
  wake(): void {
    try {
      this.context ??= new AudioContext();
      void this.context.resume();
    } catch {
      this.context = null;
    }
  }

  plan(moment: Moment, nowMs: number): void {
    const context = this.context;
    if (!context || context.state !== 'running') return;
    const tone = TONES[moment.kind];
    const at = context.currentTime + Math.max(0, moment.atMs - nowMs) / 1000;
    const oscillator = context.createOscillator();
    const gain = context.createGain();
    oscillator.frequency.setValueAtTime(tone.hz, at);
    // Breathing in rises, breathing out falls, so that shut eyes can follow.
    if (moment.breath === 'in') oscillator.frequency.linearRampToValueAtTime(tone.hz * 1.35, at + tone.seconds);
    if (moment.breath === 'out') oscillator.frequency.linearRampToValueAtTime(tone.hz * 0.75, at + tone.seconds);
    gain.gain.setValueAtTime(0, at);
    gain.gain.linearRampToValueAtTime(tone.gain, at + 0.008);
    gain.gain.exponentialRampToValueAtTime(0.0005, at + tone.seconds);
    oscillator.connect(gain).connect(context.destination);
    oscillator.start(at);
    oscillator.stop(at + tone.seconds + 0.02);
    this.planned.set(moment.id, oscillator);
    oscillator.onended = () => this.planned.delete(moment.id);
  }

  /** Take back what has not sounded yet: a key changed the plan. */
  cancel(): void {
    for (const oscillator of this.planned.values()) oscillator.stop();
    this.planned.clear();
  }

  close(): void {
    this.cancel();
    void this.context?.close();
    this.context = null;
  }
}

import { readGaugeLine } from '../../../core/devices';
import { type PressSample, pressUntil, type ThresholdTrial } from '../../../core/measures';
import { InputError } from '../../../core/words';
import { useCallback, useEffect, useRef, useState } from 'react';

export interface Gauge {
  status: 'idle' | 'pressing' | 'failed';
  samples: readonly PressSample[];
  device: string;
  tipCm2: number;
  failed: string;
}
const IDLE: Gauge = { status: 'idle', samples: [], device: '', tipCm2: 1, failed: '' };

/** One press of the gauge, watched line by line. It is measured when the client's button or the space bar says so. */
export function useGauge(onMeasured: (press: ThresholdTrial, gauge: Pick<Gauge, 'device' | 'tipCm2'>) => void) {
  const [gauge, setGauge] = useState<Gauge>(IDLE);
  const source = useRef<EventSource>(null);
  const now = useRef<Gauge>(IDLE);
  const measured = useRef(onMeasured);
  useEffect(() => {
    measured.current = onMeasured;
  });
  const show = useCallback((next: Partial<Gauge>) => setGauge((now.current = { ...now.current, ...next })), []);
  const stop = useCallback(
    (next: Partial<Gauge>) => {
      source.current?.close();
      source.current = null;
      show(next);
    },
    [show],
  );

  /** The client spoke: what was highest until then counts. */
  const mark = useCallback(
    (atMs?: number) => {
      const { samples, device, tipCm2 } = now.current;
      const press = pressUntil(samples, atMs ?? samples[samples.length - 1]?.atMs ?? 0);
      stop({ status: press ? 'idle' : 'failed', failed: press ? '' : 'Nothing pressed on the tip yet.' });
      if (press) measured.current(press, { device, tipCm2 });
    },
    [stop],
  );

  const press = useCallback(
    (target: string, trial: number) => {
      source.current?.close();
      show({ ...IDLE, status: 'pressing' });
      const stream = new EventSource(
        `/devices/gauge?${new URLSearchParams({ target, trial: String(trial) }).toString()}`,
      );
      source.current = stream;
      stream.addEventListener('line', (event: MessageEvent<string>) => {
        try {
          const line = readGaugeLine(event.data);
          if (line?.kind === 'hello') show({ device: line.name, tipCm2: line.tipCm2 });
          else if (line?.kind === 'sample')
            show({ samples: [...now.current.samples, { atMs: line.atMs, kpa: line.kpa }] });
          else if (line?.kind === 'mark') mark(line.atMs);
        } catch (error) {
          if (!(error instanceof InputError)) throw error;
          stop({ status: 'failed', failed: `The gauge sent something that cannot be read. ${error.message}` });
        }
      });
      const over = (why: string) => source.current === stream && stop({ status: 'failed', failed: why });
      stream.addEventListener('over', () => over('The press ended before the client spoke. Press again.'));
      stream.addEventListener('gone', (event: MessageEvent<string>) => over(event.data));
      stream.onerror = () => over('The gauge does not answer.');
    },
    [mark, show, stop],
  );

  useEffect(() => () => source.current?.close(), []);
  return { gauge, press, mark, cancel: () => stop(IDLE) };
}

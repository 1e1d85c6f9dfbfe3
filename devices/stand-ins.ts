import { startAlgometer } from './algometer.ts';
import { startCurrentUnit } from './current-unit.ts';
import { startForcePad } from './force-pad.ts';

/** A stand-in of each kind, and the setting that names them. */
export async function startStandIns({ gaugeSpeed = 1 }: { gaugeSpeed?: number } = {}): Promise<{
  setting: string;
  close: () => Promise<void>;
}> {
  const [gauge, pad, current] = await Promise.all([
    startAlgometer({ speed: gaugeSpeed }),
    startForcePad(),
    startCurrentUnit(),
  ]);
  return {
    setting: `gauge ${gauge.address} Stand-in gauge; pad ${pad.address} Stand-in pad; current ${current.address} Stand-in unit`,
    close: async () => {
      await Promise.all([gauge.close(), pad.close(), current.close()]);
    },
  };
}

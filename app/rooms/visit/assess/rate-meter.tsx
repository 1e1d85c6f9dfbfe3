import { meterOf, type PressSample, RAMP_KPA_PER_SECOND } from '../../../../core/measures';
import { scaleLinear } from 'd3';

const WIDTH = 420;
const HEIGHT = 74;
const MOST_RISE = 80;
const rise = scaleLinear([0, MOST_RISE], [0, WIDTH]).clamp(true);
const WORDS = { slower: 'Slower', faster: 'Faster', steady: 'Steady, go on' } as const;

/** How fast the pressure rises, against the band it should rise in, with the pressure itself drawn above. */
export function RateMeter({ samples }: { samples: readonly PressSample[] }) {
  const meter = meterOf(samples);
  const last = samples[samples.length - 1];
  const time = scaleLinear([0, Math.max(6000, last?.atMs ?? 0)], [0, WIDTH]);
  const kpa = scaleLinear([0, Math.max(250, ...samples.map((s) => s.kpa))], [44, 4]);
  const band = [rise(RAMP_KPA_PER_SECOND.least), rise(RAMP_KPA_PER_SECOND.most)] as const;
  return (
    <div className="rate-meter">
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label="Pressure over time, and how fast it rises">
        <path
          className="trace"
          d={samples.length ? `M${samples.map((s) => `${time(s.atMs)} ${kpa(s.kpa)}`).join('L')}` : ''}
        />
        <line className="base" x1={0} x2={WIDTH} y1={44} y2={44} />
        <rect className="band" x={band[0]} width={band[1] - band[0]} y={52} height={14} />
        <line className="base" x1={0} x2={WIDTH} y1={66} y2={66} />
        {meter.rise !== null && <path className="needle" d={`M${rise(meter.rise)} 49v20`} />}
      </svg>
      <div className="rate-words">
        <span className="rate-kpa num">{Math.round(meter.kpa)} kPa</span>
        <span role="status">{meter.hint ? WORDS[meter.hint] : ''}</span>
        <span className="soft small num">
          {meter.rise === null ? '' : `${Math.round(meter.rise)} kPa/s`}{' '}
          <span className="soft">
            ({RAMP_KPA_PER_SECOND.least} to {RAMP_KPA_PER_SECOND.most})
          </span>
        </span>
      </div>
    </div>
  );
}

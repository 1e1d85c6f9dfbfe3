import { toMind } from '../../../../core/limits';
import type { Stage } from '../../../../core/record';
import { WORSE_MEANS } from '../../../../core/relief';
import { complaintName } from '../../../../core/words';
import { Link } from 'react-router';
import { useVisit } from '../session/context';
import { usePast } from '../assess/past';
import { StageTape } from './stage-tape';

/** Who is here, how bad it is, what to mind. */
export function ClientStrip({ showing }: { showing: Stage }) {
  const { visit, client, number, readings, screening, stage, worse } = useVisit();
  const past = usePast();
  const warned = toMind(screening);
  const word = screening.mustStop
    ? 'Refer out'
    : screening.hits.avoid.some((c) => c.group !== 'everyone')
      ? 'Avoid'
      : 'Adapt';
  return (
    <section className="client-strip" aria-label="Client">
      <div className="who">
        <Link to={`/clients/${client.id}`}>{client.name}</Link>
        <div className="soft small">
          visit {number}
          {client.about && `, ${client.about}`}
        </div>
      </div>
      <div className="ratings">
        {client.complaints
          .filter((c) => !c.closed)
          .map((c) => {
            const now = readings.findLast((r) => r.measure === 'nrs-now' && r.complaintId === c.id)?.value;
            const was = past({ measure: 'nrs-now', complaintId: c.id }).at(-1);
            return (
              <span key={c.id}>
                {complaintName(c)} {now !== undefined && <strong>{now}</strong>}{' '}
                {was !== undefined && <span className="soft">was {was}</span>}{' '}
                {worse.includes(c.id) && (
                  <span className="worse" title={`Over the visits. ${WORSE_MEANS}`}>
                    ▲ worse
                  </span>
                )}
              </span>
            );
          })}
      </div>
      {(warned.length > 0 || client.pressureCap) && (
        <div className="warned caution" title={warned.map((c) => c.title).join(', ')}>
          {warned.length > 0
            ? `${word}: ${warned[0]!.title.toLowerCase()}${
                screening.unanswered.includes(warned[0]!.key) ? ' last time, still so?' : ''
              }${warned.length > 1 ? ` and ${warned.length - 1} more` : ''}`
            : ''}
          {client.pressureCap && <div>Pressure: {client.pressureCap} at most</div>}
        </div>
      )}
      <StageTape
        visitId={visit.id}
        stage={stage}
        showing={showing}
        blocked={screening.mustStop || screening.postpone}
      />
    </section>
  );
}

import { DOCTOR_FIRST, EMERGENCY, STOP_AND_ASK } from '../../../reference/facts/at-home';
import type { HomePacket } from '../../../core/schedule';

/** When to stop, whom to ask, and when a doctor comes first. */
export function StopWords({ packet, open = false }: { packet: HomePacket; open?: boolean }) {
  return (
    <details className="stop-words" open={open}>
      <summary>When to stop</summary>
      <p>
        <strong>
          Stop, and ask {packet.ask}
          {packet.contact && `, ${packet.contact}`}, if
        </strong>
      </p>
      <ul>
        {STOP_AND_ASK.map((words) => (
          <li key={words}>{words}</li>
        ))}
      </ul>
      <p>
        <strong>See a doctor or dentist first, if</strong>
      </p>
      <ul>
        {DOCTOR_FIRST.map((words) => (
          <li key={words}>{words}</li>
        ))}
      </ul>
      <p>
        <strong>{EMERGENCY}</strong>
      </p>
      <p className="soft">Wellness work, not medical care. It may ease tension; it replaces no doctor or dentist.</p>
    </details>
  );
}

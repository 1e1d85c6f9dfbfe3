import type { HomePacket } from '../../../core/schedule';
import { StopLists } from '../../parts/marks/stop-lists';

/** When to stop, whom to ask, and when a doctor comes first. */
export function StopWords({ packet, open = false }: { packet: HomePacket; open?: boolean }) {
  return (
    <details className="stop-words" open={open}>
      <summary>When to stop</summary>
      <StopLists ask={packet.ask} contact={packet.contact} as="h3" />
      <p className="soft">Wellness work, not medical care. It may ease tension; it replaces no doctor or dentist.</p>
    </details>
  );
}

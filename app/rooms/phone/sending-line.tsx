import { useDates } from '../../parts/frame/use-dates';
import type { Sent } from './send-queue';

/** Whether what was kept on this phone is with the practice. */
export function Sending({ sent, waiting, sentAt }: { sent: Sent | 'trying'; waiting: number; sentAt: string | null }) {
  const { timeOfDay } = useDates();
  const words =
    waiting > 0
      ? sent === 'trying'
        ? 'Sending …'
        : 'Kept on this phone, will be sent when there is a connection.'
      : sentAt
        ? `Sent ${timeOfDay(sentAt)}.`
        : '';
  return (
    <p className="sending" role="status">
      {words}
    </p>
  );
}

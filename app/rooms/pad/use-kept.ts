import { useState } from 'react';
import { useRevalidator } from 'react-router';
import { send } from '../../parts/frame/send';

/** Keeps what was done at the pad, each under its key. What could not be kept so far waits here, whatever is done next. */
export function useKept<Sent extends { once: string }, Answer = unknown>(
  path: string,
  onKept: (answer: Answer) => void = () => {},
) {
  const [told, setTold] = useState('');
  const [unkept, setUnkept] = useState<Sent[]>([]);
  const { revalidate } = useRevalidator();
  async function keep(of: Sent): Promise<void> {
    setTold('Keeping it …');
    const answer = await send<Answer>(path, of);
    const waits = !answer.ok && !answer.isRefused;
    setUnkept((all) => [...all.filter((t) => t.once !== of.once), ...(waits ? [of] : [])]);
    setTold(answer.ok ? 'Kept.' : answer.message);
    if (!answer.ok) return;
    onKept(answer.value);
    await revalidate();
  }
  return {
    told,
    setTold,
    unkept: unkept.length,
    keep,
    keepAgain: async () => {
      for (const of of unkept) await keep(of);
    },
  };
}

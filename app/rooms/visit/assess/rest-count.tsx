import { useEffect, useState } from 'react';

/** Rest between two presses, in seconds; customary. */
const REST_SECONDS = 30;

/** How long the place still has to rest. */
export function RestCount({ fromMs }: { fromMs: number }) {
  const [left, setLeft] = useState(REST_SECONDS);
  useEffect(() => {
    const timer = setInterval(
      () => setLeft(Math.max(0, Math.ceil(REST_SECONDS - (performance.now() - fromMs) / 1000))),
      250,
    );
    return () => clearInterval(timer);
  }, [fromMs]);
  return (
    <span className="soft">
      {left ? `Let it rest ${left} s more.` : 'Rested; press again within the next half minute.'}
    </span>
  );
}

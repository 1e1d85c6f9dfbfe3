import { useState } from 'react';

/**
 * The key by which a form makes one thing however often it is sent. It is made with the page; a form that stays for the
 * next thing is given a new `key` so that it gets another.
 */
export function OnceKey() {
  const [key] = useState(() => crypto.randomUUID());
  // The page keeps the one it came with, so that a press before it is awake counts as the same.
  return <input type="hidden" name="once" defaultValue={key} suppressHydrationWarning />;
}

import { singleKeysOn } from './single-keys';

/** True when a key goes into a field or onto a control that has its own use for it. */
function isTyping(event: KeyboardEvent): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey) return true;
  const target = event.target as HTMLElement | null;
  return !!target?.closest('input:not([type=radio]):not([type=checkbox]), textarea, select, [contenteditable]');
}

/** True when a single key must not act on the page: it is typed somewhere, or such keys are switched off. */
export const isQuiet = (event: KeyboardEvent): boolean =>
  isTyping(event) || (event.key.length === 1 && event.key !== ' ' && !singleKeysOn());

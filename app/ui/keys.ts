/** True when a key goes into a field or onto a control that has its own use for it. */
export function isTyping(event: KeyboardEvent): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey) return true;
  const target = event.target as HTMLElement | null;
  return !!target?.closest('input:not([type=radio]):not([type=checkbox]), textarea, select, [contenteditable]');
}

import { type ReactNode, useSyncExternalStore } from 'react';
import { createPortal } from 'react-dom';

const isCovered = (): boolean => document.querySelector('.modal.show') !== null;
function onDialogs(tell: () => void): () => void {
  const watch = new MutationObserver(tell);
  watch.observe(document.body, { childList: true, attributes: true, attributeFilter: ['class', 'style'] });
  return () => watch.disconnect();
}

/**
 * Shown in its place; while a dialog covers the page, above the dialog, where hands and readers reach it, also when the
 * dialog opens later.
 */
export function OverDialog({ children }: { children: ReactNode }) {
  const covered = useSyncExternalStore(onDialogs, isCovered, () => false);
  return covered ? createPortal(<div className="over-dialog">{children}</div>, document.body) : children;
}

import { type ReactNode, useState } from 'react';
import { createPortal } from 'react-dom';

/** Shown in its place; while a dialog covers the page, above the dialog, where hands and readers reach it. */
export function OverDialog({ children }: { children: ReactNode }) {
  const [covered] = useState(() => document.querySelector('.modal.show') !== null);
  return covered ? createPortal(<div className="over-dialog">{children}</div>, document.body) : children;
}

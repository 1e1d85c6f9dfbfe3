import isEqual from 'fast-deep-equal';
import { useEffect, useMemo, useState } from 'react';
import type { FieldValues, UseFormReturn } from 'react-hook-form';
import type { Answered } from './field';
import { useInBrowser } from './use-in-browser';

interface Draft {
  /** Of what was stored when it was typed. */
  version: number;
  values: FieldValues;
  /** What it was typed over. */
  over: FieldValues;
  /** It was sent and nobody refused it. */
  sent: boolean;
}

/** What is on the screen of a draft: nothing, it is back in the form, or it was typed over something that changed since. */
export type DraftState = { is: 'none' } | { is: 'back' } | { is: 'outdated'; texts: string[] };

function read(key: string): Draft | null {
  try {
    return JSON.parse(sessionStorage.getItem(key) ?? 'null') as Draft | null;
  } catch {
    return null;
  }
}
function keep(key: string, draft: Draft | null): void {
  try {
    if (draft) sessionStorage.setItem(key, JSON.stringify(draft));
    else sessionStorage.removeItem(key);
  } catch {
    // Without a store what was typed lives as long as the page.
  }
}

/** Every text in a value, wherever it lies. */
const textsIn = (value: unknown): string[] =>
  typeof value === 'string'
    ? value.trim()
      ? [value]
      : []
    : value && typeof value === 'object'
      ? Object.values(value).flatMap(textsIn)
      : [];

/**
 * Keeps what was typed into a form of something stored while another page is looked at, on this tab of this device. It
 * comes back as long as what is stored is still the same; else its texts are shown, so that nothing is lost.
 */
export function useFormDraft<V extends FieldValues>(
  key: string,
  version: number,
  form: UseFormReturn<V>,
  answered: Answered,
): { draft: DraftState; letGo: () => void; onSent: () => void } {
  const inBrowser = useInBrowser();
  const [isGone, setGone] = useState(false);
  const stored = form.formState.defaultValues;
  // As it was found when the form came up: what is typed from then on is in the form itself.
  const draft = useMemo((): DraftState & { values?: FieldValues } => {
    const found = inBrowser ? read(key) : null;
    if (!found) return { is: 'none' };
    if (found.version === version && !found.sent)
      return isEqual(found.values, stored) ? { is: 'none' } : { is: 'back', values: found.values };
    const known = new Set(textsIn([stored, found.over]));
    const texts = found.sent ? [] : textsIn(found.values).filter((t) => !known.has(t));
    return texts.length ? { is: 'outdated', texts } : { is: 'none' };
    // Found once for what is stored.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [inBrowser, key, version]);
  useEffect(() => {
    if (!inBrowser) return;
    if (draft.values) form.reset(draft.values as V, { keepDefaultValues: true });
    else keep(key, null);
    return form.subscribe({
      formState: { values: true },
      callback: ({ values }) =>
        keep(key, isEqual(values, stored) ? null : { version, values, over: stored as V, sent: false }),
    });
    // Once for what is stored: the form itself stays the same.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [draft]);
  useEffect(() => {
    const before = read(key);
    if (answered?.errors && before) keep(key, { ...before, sent: false });
  }, [key, answered]);
  return {
    draft: isGone ? { is: 'none' } : draft,
    letGo: () => {
      form.reset(stored as V);
      keep(key, null);
      setGone(true);
    },
    onSent: () => {
      const before = read(key);
      if (before) keep(key, { ...before, sent: true });
    },
  };
}

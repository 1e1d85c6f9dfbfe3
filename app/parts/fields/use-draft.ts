import { useState } from 'react';

/** Text in a field: what was typed stays until the value behind it changes by other means. */
export function useDraft(value: string): [typed: string, type: (text: string) => void] {
  const [draft, setDraft] = useState({ of: value, typed: value });
  if (draft.of !== value) setDraft({ of: value, typed: value });
  return [draft.of === value ? draft.typed : value, (typed) => setDraft({ of: value, typed })];
}

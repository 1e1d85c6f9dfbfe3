import { counted } from '../../../core/words';
import type { TrailCheck as Checked } from '../../../core/record';
import { useEffect, useRef } from 'react';
import { useRead } from '../../parts/frame/use-read';

/** Whether every entry still fits the one before it and nothing was cut off; asked for portion by portion. */
export function TrailCheck({ entries }: { entries: number }) {
  const { load, data, isFailed } = useRead<Checked>();
  const asked = useRef(-1);
  const upTo = data?.upTo ?? 0;
  useEffect(() => {
    if (data?.whole || asked.current === upTo) return;
    asked.current = upTo;
    void load(`/practice/trail/check?after=${upTo}`);
  }, [load, data, upTo]);
  const all = counted(entries, 'entry', 'entries');
  if (isFailed)
    return (
      <p role="alert">
        {all}; the check broke off after {upTo}. Load the page again to check anew.
      </p>
    );
  if (!data?.whole)
    return (
      <p className="soft" role="status">
        {all}; checking{upTo > 0 ? `, ${upTo} so far` : ''} …
      </p>
    );
  if (data.brokenAt !== null)
    return (
      <p className="caution fw-bold" role="alert">
        Entry {data.brokenAt} does not fit the one before it: something was changed or taken out of the database by
        hand.
      </p>
    );
  if (!data.headFits)
    return (
      <p className="caution fw-bold" role="alert">
        The trail ends otherwise than it was signed: entries were cut off, or it was signed with another key.
      </p>
    );
  return (
    <p className="soft" role="status">
      {all}; every one fits the one before it, and the last is the one that was signed.
    </p>
  );
}

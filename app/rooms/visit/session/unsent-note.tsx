import { useEffect, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { unsentOnDevice, type OnDevice } from './device-store';

const READ_AGAIN_MS = 2000;

/** Tells of entries that an earlier page could not write and that wait on this device; opening the visit writes them. */
export function UnsentNote({ practitionerId }: { practitionerId: string }) {
  const { pathname } = useLocation();
  const [kept, setKept] = useState<OnDevice[]>([]);
  useEffect(() => {
    let gone = false;
    let again: ReturnType<typeof setTimeout> | undefined;
    const read = async () => {
      const found = await unsentOnDevice(practitionerId);
      if (gone) return;
      setKept(found.map((f) => f.kept));
      // Another page, or the one just left, may be writing them at this moment: what is told ends when they are.
      if (found.length) again = setTimeout(() => void read(), READ_AGAIN_MS);
    };
    void read();
    return () => {
      gone = true;
      clearTimeout(again);
    };
  }, [practitionerId, pathname]);
  const elsewhere = [...new Map(kept.map((k) => [k.visitId, k])).values()].filter(
    (k) => !pathname.startsWith(`/visits/${k.visitId}`),
  );
  return elsewhere.map((k) => (
    <div key={k.visitId} className="note-bar is-stop no-print" role="status">
      Entries of {k.clientName}’s visit are kept on this device and not written yet.{' '}
      <Link to={`/visits/${k.visitId}`}>Open the visit to write them</Link>
    </div>
  ));
}

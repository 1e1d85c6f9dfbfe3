import { useEffect, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { unsentOnDevice, type OnDevice } from './device-store';

/** Tells of entries that an earlier page could not write and that wait on this device; opening the visit writes them. */
export function UnsentNote({ practitionerId }: { practitionerId: string }) {
  const { pathname } = useLocation();
  const [kept, setKept] = useState<OnDevice[]>([]);
  useEffect(() => {
    let gone = false;
    void unsentOnDevice(practitionerId).then((found) => !gone && setKept(found.map((f) => f.kept)));
    return () => {
      gone = true;
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

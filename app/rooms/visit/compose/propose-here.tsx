import { knownAt, UNRATED_SCORE } from '../../../../core/record';
import type { Routine } from '../../../../core/routine';
import type { Known } from '../../../../core/proposal';
import { useEffect, useMemo, useState } from 'react';
import { soundingsOf } from '../../../parts/chart/chart-marks';
import { ProposalHere } from '../../../parts/proposal/proposal-here';
import type { Table } from '../../../parts/table/use-routine';
import { useVisit } from '../session/context';

/** What would make a proposal fit better. */
function WhatIsMissing({ known, unrated }: Pick<ReturnType<typeof knownAt>, 'known' | 'unrated'>) {
  const told = [
    known.tenderness.length ? '' : 'Press the muscles in Assess for a closer fit.',
    unrated.length
      ? `Nobody has rated ${unrated.join(' and ').toLowerCase()}: it counts as ${UNRATED_SCORE} of 10.`
      : '',
  ].filter(Boolean);
  return told.length ? <p className="soft small mb-1">{told.join(' ')}</p> : null;
}

/** A routine proposed from what this visit knows; taking it is one edit of the table. */
export function ProposeHere({
  table,
  name,
  now,
  onLeave,
}: {
  table: Table;
  name: string;
  now: Routine | null;
  onLeave: (thenEdit: boolean) => void;
}) {
  const { visit, client, readings, earlier, findings, screening, helped } = useVisit();
  const { known, unrated } = useMemo(
    () => knownAt(client, readings, earlier, findings, table.catalogue, helped),
    [client, readings, earlier, findings, table.catalogue, helped],
  );
  const [isRefused, setRefused] = useState(false);
  const [hands, setHands] = useState<{ left: Known['handsLeft'] } | null>(null);
  // A proposal is made without it too: what cannot be asked is not waited for.
  useEffect(() => {
    const asking = new AbortController();
    fetch(`/visits/${visit.id}/hands`, { headers: { Accept: 'application/json' }, signal: asking.signal })
      .then((answer) => (answer.ok ? (answer.json() as Promise<{ left: Known['handsLeft'] }>) : null))
      .then(setHands, () => {});
    return () => asking.abort();
  }, [visit.id]);
  const withHands = useMemo((): Known => ({ ...known, ...(hands?.left && { handsLeft: hands.left }) }), [known, hands]);
  return (
    <ProposalHere
      whose={client.id}
      name={name}
      known={withHands}
      screening={screening}
      catalogue={table.catalogue}
      school={table.routine.school}
      minutes={table.routine.budgetMinutes}
      now={now}
      soundings={soundingsOf(readings, 'before')}
      notes={<WhatIsMissing known={known} unrated={unrated} />}
      refused={isRefused ? table.problem : ''}
      onTake={(next, thenEdit) => (table.edit(next, null) ? onLeave(thenEdit) : setRefused(true))}
      onLeave={() => onLeave(false)}
    />
  );
}

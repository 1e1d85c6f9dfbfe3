import { madeUp, makeableUp, type Routine } from '../../../../core/routine';
import { clock } from '../../../../core/words';
import { useEffect } from 'react';
import { Button } from 'react-bootstrap';
import { useCatalogue } from '../../../parts/catalogue/catalogue';
import type { loader } from '../../../routes/visit/lacks';
import { useRead } from '../../../parts/frame/use-read';

/** What one side lacked last time, where this plan can make it up. */
export function MakeUp({
  visitId,
  routine,
  disabled,
  onEdit,
}: {
  visitId: string;
  routine: Routine;
  disabled: boolean;
  onEdit: (next: Routine) => boolean;
}) {
  const { load, data } = useRead<typeof loader>();
  const { techniques } = useCatalogue();
  useEffect(() => void load(`/visits/${visitId}/lacks`), [load, visitId]);
  const lacks = data?.lacks ?? [];
  const here = makeableUp(routine, lacks);
  if (!here.length || disabled) return null;
  return (
    <span className="soft small">
      Last time{' '}
      {here
        .map(
          ({ lack }) => `the ${lack.side} got ${clock(lack.seconds)} less of “${techniques.get(lack.technique)?.name}”`,
        )
        .join(', ')}
      .{' '}
      <Button variant="link" size="sm" className="p-0 align-baseline" onClick={() => onEdit(madeUp(routine, lacks))}>
        Make it up
      </Button>
    </span>
  );
}

import type { Around, Room } from '../../../core/record';
import { useEffect } from 'react';
import { useRead } from '../frame/use-read';

/** With whom and where a visit can be, and what goes around its routine. */
export interface Where {
  /** Whoever is signed in, whether they work with clients or not. */
  own: string;
  people: { id: string; name: string }[];
  rooms: Room[];
  around: Around;
}
/** Asked of the server once a form is shown; undefined until it answered. */
export function useWhere(): Where | undefined {
  const { load, data } = useRead<Where>();
  useEffect(() => void load('/bookings/where'), [load]);
  return data;
}

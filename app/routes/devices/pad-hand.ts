import type { PadCommand } from '../../../core/devices';
import { data } from 'react-router';
import { permitted } from '../../../server/access/session.server';
import { tellPad } from '../../../server/pad.server';
import { padHandSchema } from '../../schemas/pad';
import { readJson } from '../../schemas/read';
import type { Route } from './+types/pad-hand';

/** Leads the hand of a stand-in. */
export async function action({ request }: Route.ActionArgs) {
  await permitted(request, 'change', 'self');
  const input = await readJson(request, padHandSchema);
  if (!input.ok) return data({ message: Object.values(input.errors)[0] }, { status: 422 });
  const { pad, kind, kpa, areaCm2, grams, bothHands, ...work } = input.value;
  const command: PadCommand =
    kind === 'work'
      ? { kind, kpa, areaCm2, ...work, hands: bothHands ? 2 : 1 }
      : kind === 'down'
        ? { kind, kpa, areaCm2 }
        : kind === 'weight'
          ? { kind, grams }
          : { kind };
  const told = await tellPad(pad, command);
  if (told === null) return data({ message: 'No pad of this name is here.' }, { status: 404 });
  return told ? { told } : data({ message: 'The pad does not answer.' }, { status: 503 });
}

import type { ClientMeasures } from '../../../core/atlas/client-measure.ts';
import { database } from '../connection.ts';
import { BodyMeasureModel, ClientModel } from '../models/index.ts';
import { isUuid } from './shared.server.ts';

export interface TakenMeasures {
  id: string;
  /** yyyy-mm-dd */
  takenOn: string;
  valuesMm: ClientMeasures;
}

/** All measures of a client, newest first. */
export async function measuresOfClient(practiceId: string, clientId: string): Promise<TakenMeasures[]> {
  if (!isUuid(clientId)) return [];
  database();
  const rows = await BodyMeasureModel.findAll({ where: { practiceId, clientId }, order: [['takenOn', 'DESC'], ['createdAt', 'DESC']], limit: 60 });
  return rows.map((r) => ({ id: r.id, takenOn: r.takenOn, valuesMm: r.valuesMm }));
}

/** What is known of a client by now: each measure as it was last taken. Null when nothing ever was. */
export async function latestMeasures(practiceId: string, clientId: string): Promise<ClientMeasures | null> {
  const taken = await measuresOfClient(practiceId, clientId);
  return taken.length ? Object.assign({}, ...taken.toReversed().map((t) => t.valuesMm)) as ClientMeasures : null;
}

export async function addMeasures(practiceId: string, practitionerId: string, clientId: string, takenOn: string, valuesMm: ClientMeasures): Promise<'saved' | 'missing'> {
  if (!isUuid(clientId)) return 'missing';
  return database().transaction(async (transaction) => {
    if (!(await ClientModel.findOne({ where: { practiceId, id: clientId }, transaction }))) return 'missing';
    await BodyMeasureModel.create({ practiceId, clientId, takenOn, valuesMm, takenBy: practitionerId }, { transaction });
    return 'saved';
  });
}

export async function removeMeasures(practiceId: string, clientId: string, id: string): Promise<'removed' | 'missing'> {
  if (!isUuid(clientId) || !isUuid(id)) return 'missing';
  database();
  return (await BodyMeasureModel.destroy({ where: { practiceId, clientId, id } })) ? 'removed' : 'missing';
}

/** Clients that have measures, for choosing whose the atlas shows. */
export async function measuredClients(practiceId: string): Promise<{ id: string; name: string }[]> {
  const [rows] = await database().query(
    'select distinct c.id, c.name, lower(c.name) from clients c join body_measures m on m.client_id = c.id and m.practice_id = c.practice_id where c.practice_id = :practiceId order by lower(c.name) limit 200',
    { replacements: { practiceId } },
  );
  return (rows as { id: string; name: string }[]).map(({ id, name }) => ({ id, name }));
}

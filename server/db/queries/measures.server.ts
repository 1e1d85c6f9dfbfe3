import type { TakenMeasures } from '../../../core/record/index.ts';
import type { ClientMeasures } from '../../../core/atlas/index.ts';
import { database } from '../connection.ts';
import { BodyMeasureModel, ClientModel } from '../models/index.ts';
import { byPractice, isUuid } from '../scope.ts';
import type { Member } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';
import { once } from './once.server.ts';

/** All measures of a client, newest first. */
export const measuresOfClient = byPractice(async (practiceId: string, clientId: string): Promise<TakenMeasures[]> => {
  if (!isUuid(clientId)) return [];
  database();
  const rows = await BodyMeasureModel.findAll({
    where: { practiceId, clientId },
    order: [
      ['takenOn', 'DESC'],
      ['createdAt', 'DESC'],
    ],
    limit: 60,
  });
  return rows.map((r) => ({ id: r.id, takenOn: r.takenOn, valuesMm: r.valuesMm }));
});

/** What is known of a client by now: each measure as it was last taken. Null when nothing ever was. */
export const latestMeasures = byPractice(
  async (practiceId: string, clientId: string): Promise<ClientMeasures | null> => {
    const taken = await measuresOfClient(practiceId, clientId);
    return taken.length ? (Object.assign({}, ...taken.toReversed().map((t) => t.valuesMm)) as ClientMeasures) : null;
  },
);

export const addMeasures = byPractice(
  async (
    who: Member,
    clientId: string,
    takenOn: string,
    valuesMm: ClientMeasures,
    key?: string,
  ): Promise<'saved' | 'missing'> => {
    const { practiceId } = who;
    if (!isUuid(clientId)) return 'missing';
    return database().transaction(async (transaction) => {
      if (!(await ClientModel.findOne({ where: { practiceId, id: clientId }, transaction }))) return 'missing';
      await once(practiceId, key, `measures of ${clientId}`, transaction, async () => {
        const row = await BodyMeasureModel.create(
          { practiceId, clientId, takenOn, valuesMm, takenBy: who.practitionerId },
          { transaction },
        );
        await writeAudit(who, 'measures-taken', { client: clientId }, transaction);
        return row.id;
      });
      return 'saved';
    });
  },
);

export const removeMeasures = byPractice(
  async (who: Member, clientId: string, id: string): Promise<'removed' | 'missing'> => {
    if (!isUuid(clientId) || !isUuid(id)) return 'missing';
    return database().transaction(async (transaction) => {
      if (!(await BodyMeasureModel.destroy({ where: { practiceId: who.practiceId, clientId, id }, transaction })))
        return 'missing';
      await writeAudit(who, 'measures-removed', { client: clientId }, transaction);
      return 'removed';
    });
  },
);

/** Clients that have measures, for choosing whose the atlas shows. */
export const measuredClients = byPractice(async (practiceId: string): Promise<{ id: string; name: string }[]> => {
  const [rows] = await database().query(
    'select distinct c.id, c.name, lower(c.name) from clients c join body_measures m on m.client_id = c.id and m.practice_id = c.practice_id where c.practice_id = :practiceId order by lower(c.name) limit 200',
    { replacements: { practiceId } },
  );
  return (rows as { id: string; name: string }[]).map(({ id, name }) => ({ id, name }));
});

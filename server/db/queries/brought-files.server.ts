import { QueryTypes } from 'sequelize';
import { database } from '../connection.ts';
import { byPractice, isUuid } from '../scope.ts';
import type { Member } from './accounts.server.ts';

/** A piece of a file that is sent, at most. */
const PIECE_BYTES = 900_000;

export interface BroughtFile {
  id: string;
  name: string;
  kind: 'table' | 'archive';
  bytes: number;
}

/** Begins a file of somebody; what the same person left lying before, and whatever is older than a day, goes. */
export const beginFile = byPractice(
  async (who: Member, { name, kind, bytes }: Omit<BroughtFile, 'id'>): Promise<string> => {
    const { practiceId, practitionerId } = who;
    return database().transaction(async (transaction) => {
      await database().query(
        `delete from brought_files where practice_id = :practiceId and (made_by = :practitionerId or made_at < now() - interval '1 day')`,
        { replacements: { practiceId, practitionerId }, transaction },
      );
      const [row] = await database().query<{ id: string }>(
        'insert into brought_files (practice_id, name, kind, bytes, made_by) values (:practiceId, :name, :kind, :bytes, :practitionerId) returning id',
        { replacements: { practiceId, practitionerId, name, kind, bytes }, type: QueryTypes.SELECT, transaction },
      );
      return row!.id;
    });
  },
);

export const fileOfMine = byPractice(async (who: Member, id: string): Promise<BroughtFile | null> => {
  if (!isUuid(id)) return null;
  const [row] = await database().query<BroughtFile>(
    'select id, name, kind, bytes::float8 as bytes from brought_files where practice_id = :practiceId and made_by = :practitionerId and id = :id',
    { replacements: { practiceId: who.practiceId, practitionerId: who.practitionerId, id }, type: QueryTypes.SELECT },
  );
  return row ?? null;
});

/** Keeps a piece; sent twice it is the same one. False where it does not belong to the file. */
export const keepPiece = byPractice(async (who: Member, id: string, n: number, bytes: Buffer): Promise<boolean> => {
  const file = await fileOfMine(who, id);
  if (!file || bytes.length !== Math.min(PIECE_BYTES, file.bytes - n * PIECE_BYTES) || bytes.length <= 0) return false;
  await database().query(
    'insert into brought_parts (practice_id, file_id, n, bytes) values ($1, $2, $3, $4) on conflict (practice_id, file_id, n) do update set bytes = excluded.bytes',
    { bind: [who.practiceId, id, n, bytes] },
  );
  return true;
});

const pieceOf = byPractice(async (practiceId: string, id: string, n: number): Promise<Buffer | null> => {
  const [row] = await database().query<{ bytes: Buffer }>(
    'select bytes from brought_parts where practice_id = :practiceId and file_id = :id and n = :n',
    { replacements: { practiceId, id, n }, type: QueryTypes.SELECT },
  );
  return row?.bytes ?? null;
});

/** A file piece by piece; null in the place of one that never came, which ends it. */
export async function* piecesOfFile(practiceId: string, { id, bytes }: BroughtFile): AsyncGenerator<Buffer | null> {
  for (let n = 0; n * PIECE_BYTES < bytes; n++) {
    const piece = await pieceOf(practiceId, id, n);
    yield piece;
    if (!piece) return;
  }
}

export const dropFile = byPractice(async (who: Member, id: string): Promise<void> => {
  if (!isUuid(id)) return;
  await database().query(
    'delete from brought_files where practice_id = :practiceId and made_by = :practitionerId and id = :id',
    { replacements: { practiceId: who.practiceId, practitionerId: who.practitionerId, id } },
  );
});

/** How the columns of a table were named the last time it was brought in. */
export interface KeptMapping {
  ways: object;
  columns: object;
}
export const mappingsOf = byPractice(async (practiceId: string): Promise<Record<string, KeptMapping>> => {
  const rows = await database().query<KeptMapping & { what: string }>(
    'select what, ways, columns from csv_mappings where practice_id = :practiceId',
    { replacements: { practiceId }, type: QueryTypes.SELECT },
  );
  return Object.fromEntries(rows.map(({ what, ...mapping }) => [what, mapping]));
});
export const keepMapping = byPractice(
  async (practiceId: string, what: string, { ways, columns }: KeptMapping): Promise<void> => {
    await database().query(
      `insert into csv_mappings (practice_id, what, ways, columns) values (:practiceId, :what, cast(:ways as jsonb), cast(:columns as jsonb))
       on conflict (practice_id, what) do update set ways = excluded.ways, columns = excluded.columns`,
      { replacements: { practiceId, what, ways: JSON.stringify(ways), columns: JSON.stringify(columns) } },
    );
  },
);

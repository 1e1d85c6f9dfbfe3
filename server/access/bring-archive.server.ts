import { ARCHIVE_KINDS, type ArchiveKind, type ArchiveRow, readArchiveLine } from '../../core/exchange/index';
import { InputError } from '../../core/words/index';
import type { Transaction } from 'sequelize';
import { v5 } from 'uuid';
import { CATALOGUE } from '../../reference/catalogue';
import { CAUTIONS } from '../../reference/facts/cautions/index';
import { MUSCLES } from '../../reference/facts/muscles/index';
import type { Member } from '../db/queries/accounts.server';
import { type ARCHIVE_PLACES, bringRows, countAnew } from '../db/queries/archive.server';
import {
  allOrNothing,
  bringMember,
  isEmptyPractice,
  judgeLater,
  takeSettings,
} from '../db/queries/bring-practice.server';
import { isPlainPhoto } from '../photo-file.server';
import type { ArchiveFile } from './archive-file.server';
import { type Bringing, type Brought, BroughtTally } from './brought';
import { judgeAnew } from './judge-anew.server';
import { FILE_NAMES, rowsName } from './practice-archive.server';

/** Rows that are held, and written, at once; fewer where a file belongs to each. */
const AT_ONCE = 1000;
const WITH_FILE_AT_ONCE = 5;
const muscles = new Set(MUSCLES.map((m) => m.id));
const known = {
  muscle: (id: string) => muscles.has(id),
  catalogue: CATALOGUE,
  cautions: new Set(CAUTIONS.map((c) => c.key)),
};
const UUID = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g;

/**
 * Brings the archive of a practice into another one, or back into the same. What is here stays as it is. Ids of another
 * practice become ids of this one, always the same ones: a second time changes nothing, and nobody else’s rows are named.
 * @throws InputError where the file is not whole; nothing of it is kept then
 */
export async function bringArchive(
  who: Member,
  file: ArchiveFile,
  { keeps, signal, progress, judging }: Bringing,
): Promise<Brought> {
  const { practiceId } = who;
  const isOwn = file.manifest.practice_id === practiceId;
  const members = new Map<string, string>();
  const idHere = (id: string): string =>
    members.get(id) ?? (isOwn ? id : id === file.manifest.practice_id ? practiceId : v5(id, practiceId));
  const tally = new BroughtTally();
  const { brought } = tally;
  const touched = new Set<string>();
  let done = 0;

  const refused = (kind: ArchiveKind, line: number, value: string, field: string, accepted: string) =>
    tally.refuse(kind, { file: rowsName(kind), line, field, value, accepted });
  /** One line as a row of this practice; null where it is refused. */
  const read = (kind: ArchiveKind, line: number, text: string): ArchiveRow | null => {
    try {
      return readArchiveLine(kind, text.replace(UUID, idHere), known, file.version);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      refused(kind, line, text, error.field, error.message.slice(error.field.length + 2));
      return null;
    }
  };
  const withBytes = async (kind: keyof typeof FILE_NAMES, text: string, row: ArchiveRow): Promise<ArchiveRow> => {
    // The file lies under the id that the row had there.
    const { id, sha256, width_px, height_px } = JSON.parse(text) as Record<'id' | 'sha256', string> &
      Record<'width_px' | 'height_px', number>;
    const bytes = await file.fileOf(kind, id, sha256);
    if (kind === 'photos' && !(await isPlainPhoto(bytes, { widthPx: width_px, heightPx: height_px })))
      throw new InputError(
        FILE_NAMES[kind](id),
        'must be a JPEG of the size that is told, and carry nothing beside its picture',
      );
    return { ...row, [kind === 'photos' ? 'bytes' : 'file']: `\\x${bytes.toString('hex')}` };
  };
  const take = async (
    kind: keyof typeof ARCHIVE_PLACES,
    batch: readonly { line: number; text: string; row: ArchiveRow }[],
    transaction: Transaction,
  ) => {
    const rows: ArchiveRow[] = [];
    for (const { text, row } of batch)
      rows.push(kind === 'photos' || kind === 'closed-records' ? await withBytes(kind, text, row) : row);
    const fates = await bringRows(practiceId, kind, rows, transaction);
    for (const [i, fate] of fates.entries()) {
      if (typeof fate === 'object') refused(kind, batch[i]!.line, batch[i]!.text, fate.field, fate.accepted);
      else {
        tally.of(kind)[fate]++;
        const complaint = batch[i]!.row.complaint_id;
        if (kind === 'readings' && fate === 'new' && typeof complaint === 'string') touched.add(complaint);
      }
    }
  };

  const seen = await allOrNothing(who, keeps, 'archive-brought', async (transaction) => {
    const isEmpty = await isEmptyPractice(practiceId, transaction);
    for (const kind of ARCHIVE_KINDS) {
      const count = tally.of(kind);
      let many = AT_ONCE;
      let batch: { line: number; text: string; row: ArchiveRow }[] = [];
      const most = kind === 'photos' || kind === 'closed-records' ? WITH_FILE_AT_ONCE : AT_ONCE;
      for await (const { line, text } of file.lines(kind)) {
        signal.throwIfAborted();
        done++;
        const row = read(kind, line, text);
        if (!row) continue;
        if (kind === 'practice') {
          if (isEmpty) await takeSettings(practiceId, row, transaction);
          brought.settings = isEmpty;
          count[isEmpty ? 'new' : 'same']++;
        } else if (kind === 'members') {
          const member = await bringMember(practiceId, row, String(row.id), transaction);
          members.set((JSON.parse(text) as { id: string }).id, member.id);
          count[member.isNew ? 'new' : 'same']++;
          if (member.isNew) brought.byName.push(String(row.name));
        } else {
          batch.push({ line, text, row });
          if (batch.length < most) continue;
          await take(kind, batch, transaction);
          batch = [];
          if (count.new >= many) {
            await countAnew(kind, transaction);
            many = 4 * count.new;
          }
          progress(done, file.rows);
        }
      }
      if (kind !== 'practice' && kind !== 'members' && batch.length) await take(kind, batch, transaction);
      progress(done, file.rows);
    }
    await judgeLater(practiceId, [...touched], transaction);
    // Whoever stopped it meanwhile was told that nothing is kept.
    signal.throwIfAborted();
    return {
      seen: brought,
      about: { rows: Object.values(brought.kinds).reduce((sum, k) => sum + k.new, 0), from: file.manifest.practice_id },
    };
  });
  if (keeps) await judgeAnew(practiceId, (done) => judging?.(done, touched.size));
  return seen;
}

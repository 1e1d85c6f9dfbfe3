import {
  CLIENT_COPY_FORMAT,
  CLIENT_COPY_VERSION,
  type ClientCopy,
  fhirBundle,
  limitedCopy,
} from '../../core/exchange/index';
import { buffer } from 'node:stream/consumers';
import type { Readable } from 'node:stream';
import { ZipFile } from 'yazl';
import { PLACE_INDEX } from '../../reference/place-index';
import { clientPage, type CopyNames } from '../copy/client-page';
import { clientPhotos, memberNames, wholeRecord } from '../db/queries/client-record.server';
import { cautionsOf } from '../db/queries/practice.server';
import { catalogueOf } from '../db/queries/techniques.server';

interface Whose {
  practiceId: string;
  practiceName: string;
  timeZone: string;
}

/** Everything on record of a client, as a document; null for nobody’s client. */
export async function clientCopy(who: Whose, clientId: string, now: Date): Promise<ClientCopy | null> {
  const [kinds, members] = await Promise.all([wholeRecord(who.practiceId, clientId), memberNames(who.practiceId)]);
  return (
    kinds && {
      format: CLIENT_COPY_FORMAT,
      version: CLIENT_COPY_VERSION,
      madeAt: now.toISOString(),
      practice: who.practiceName,
      members,
      kinds,
    }
  );
}

async function namesOf({ practiceId, timeZone }: Whose): Promise<CopyNames> {
  const [cautions, catalogue] = await Promise.all([cautionsOf(practiceId), catalogueOf(practiceId)]);
  const questions = new Map(cautions.map((c) => [c.key, c.question ?? c.title]));
  return {
    zone: timeZone,
    question: (key) => questions.get(key) ?? key,
    technique: (id) => catalogue.techniques.get(id)?.name ?? id,
    place: (id) => PLACE_INDEX.placeName({ kind: 'muscle', id }) ?? id,
  };
}

/** A copy as a ZIP: the document, a page to read it by, and the pictures one after the other. */
export async function copyFile(who: Whose, copy: ClientCopy): Promise<Readable> {
  const zip = new ZipFile();
  zip.addBuffer(Buffer.from(`${JSON.stringify(copy, null, 2)}\n`), 'record.json');
  zip.addBuffer(Buffer.from(`${JSON.stringify(fhirBundle(copy), null, 2)}\n`), 'record.fhir.json');
  zip.addBuffer(Buffer.from(clientPage(copy, await namesOf(who))), 'record.html');
  const fill = async () => {
    for await (const { id, bytes } of clientPhotos(who.practiceId, copy.kinds.photos))
      zip.addBuffer(bytes, `photos/${id}.jpg`, { compress: false });
    zip.end();
  };
  void fill().catch((error: unknown) => (zip.outputStream as Readable).destroy(error as Error));
  return zip.outputStream as Readable;
}

/** The closed file of somebody who is let go. */
export async function keptFile(who: Whose, copy: ClientCopy): Promise<Buffer> {
  return buffer(await copyFile(who, limitedCopy(copy)));
}

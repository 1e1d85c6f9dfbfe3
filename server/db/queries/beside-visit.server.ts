import {
  type Caution,
  cautionOf,
  type LocalRule,
  type Override,
  type PatchTest,
  type Product,
} from '../../../core/limits/index.ts';
import type { Consent, Photo, PracticeText, StoredProduct, TextKind } from '../../../core/record/index.ts';
import { database } from '../connection.ts';
import { latestTexts } from './practice.server.ts';
import { byPractice } from '../scope.ts';

/** What a visit is worked with beside its own record. */
export interface BesideVisit {
  rules: Caution[];
  texts: Record<TextKind, PracticeText>;
  products: StoredProduct[];
  overrides: Override[];
  consents: Consent[];
  /** Latest of each product. */
  patchTests: Record<string, PatchTest>;
  photos: Photo[];
}

interface Row {
  rules: { id: string; body: LocalRule }[];
  texts: { kind: TextKind; version: number; body: string }[];
  products: { id: string; body: Product; retired: boolean; version: number }[];
  overrides: Override[];
  consents: Consent[];
  tests: (PatchTest & { productId: string })[];
  photos: Photo[];
}

/** Photos that a comparison offers, beside those of the visit itself: the latest. */
const PHOTOS_SHOWN = 8;

const list = (columns: string, from: string, order: string): string =>
  `coalesce((select json_agg(json_build_object(${columns}) order by ${order}) from ${from}), '[]')`;
const SQL = `select
  ${list(`'id', id, 'body', body`, 'local_rules where practice_id = :practiceId and active', 'updated_at')} as rules,
  ${list(`'kind', kind, 'version', version, 'body', body`, 'practice_texts where practice_id = :practiceId', 'version')} as texts,
  ${list(`'id', id, 'body', body, 'retired', retired, 'version', version`, 'products where practice_id = :practiceId', `lower(body->>'name')`)} as products,
  ${list(`'caution', caution, 'reason', reason, 'signedName', signed_name, 'signedAt', signed_at`, 'overrides where practice_id = :practiceId and visit_id = :visitId', 'signed_at')} as overrides,
  ${list(`'id', id, 'kind', kind, 'textVersion', text_version, 'givenAt', given_at, 'withdrawnAt', withdrawn_at`, 'consents where practice_id = :practiceId and client_id = :clientId', 'given_at')} as consents,
  ${list(`'productId', product_id, 'testedOn', tested_on, 'reacted', reacted`, 'patch_tests where practice_id = :practiceId and client_id = :clientId', 'tested_on, noted_at')} as tests,
  ${list(`'id', id, 'visitId', visit_id, 'phase', phase, 'widthPx', width_px, 'heightPx', height_px, 'landmarks', landmarks, 'version', version, 'takenAt', taken_at`, `photos where practice_id = :practiceId and client_id = :clientId and (visit_id = :visitId or id in (select id from photos where practice_id = :practiceId and client_id = :clientId order by taken_at desc limit ${PHOTOS_SHOWN}))`, 'taken_at')} as photos`;

const iso = (at: string): string => new Date(at).toISOString();

/** All of it in one question to the database: a visit is opened often, and each of these is short. */
export const besideVisit = byPractice(
  async (practiceId: string, visit: { id: string; clientId: string }): Promise<BesideVisit> => {
    const [[row]] = (await database().query(SQL, {
      replacements: { practiceId, visitId: visit.id, clientId: visit.clientId },
    })) as [Row[], unknown];
    const r = row!;
    return {
      rules: r.rules.map((rule) => cautionOf(rule.id, rule.body)),
      texts: latestTexts(r.texts),
      products: r.products.map(({ body, ...own }) => ({ ...body, ...own })),
      overrides: r.overrides.map((o) => ({ ...o, signedAt: iso(o.signedAt) })),
      consents: r.consents.map((c) => ({
        ...c,
        givenAt: iso(c.givenAt),
        withdrawnAt: c.withdrawnAt && iso(c.withdrawnAt),
      })),
      patchTests: Object.fromEntries(r.tests.map(({ productId, ...test }) => [productId, test])),
      photos: r.photos.map((p) => ({ ...p, takenAt: iso(p.takenAt) })),
    };
  },
);

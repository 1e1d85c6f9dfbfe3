import type { Migration } from '../migrate.ts';

/** A template may have come with the application; one that is not wanted is hidden, not lost. */
const CHANGES = `
alter table templates add column origin text, add column hidden boolean not null default false;
create unique index templates_origin on templates (practice_id, origin) where origin is not null;
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(CHANGES, { transaction });
};

import type { Migration } from '../migrate.ts';

/** Since when somebody is signed in, and a name for it that opens nothing. Those from before begin now. */
const SESSIONS = `
alter table sessions add id uuid not null default gen_random_uuid() unique, add opened_at timestamptz not null default now();
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(SESSIONS, { transaction });
};

import type { Migration } from '../migrate.ts';

/** How a practice writes days and times. */
const COLUMN = `
alter table practices add column date_format text not null default 'day-first' check (date_format in ('day-first', 'month-first', 'year-first'));
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  await sequelize.query(COLUMN, { transaction });
};

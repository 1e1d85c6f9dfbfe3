import { DatabaseError } from 'sequelize';
import { describe, expect, test } from 'vitest';
import { told } from './log.ts';

describe('what a log tells of an error', () => {
  const typed = 'her divorce, she said';
  test('a refusal of the database is told by code and place, without its statement and what was typed', () => {
    const parent = Object.assign(new Error(`invalid input syntax for type uuid: "${typed}"`), {
      code: '22P02',
      table: 'clients',
      constraint: undefined,
      routine: 'string_to_uuid',
      sql: `select '${typed}'`,
      parameters: [typed],
    });
    const line = told(new DatabaseError(parent as never));
    expect(line).toMatchObject({ error: 'SequelizeDatabaseError', code: '22P02', table: 'clients' });
    expect(JSON.stringify(line)).not.toContain(typed);
  });
  test('any other error is told by its place only', () => {
    const line = told(new TypeError(`cannot read ${typed}`));
    expect(line.at).not.toEqual([]);
    expect(JSON.stringify(line)).not.toContain(typed);
  });
  test.each([null, undefined, 'text', 7])('%s is no reason to fail', (thing) =>
    expect(told(thing)).toHaveProperty('error'),
  );
});

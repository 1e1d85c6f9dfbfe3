import { describe, expect, test } from 'vitest';
import { ledConstraint, ledIndex } from './partitioning.ts';

describe('every key begins with the practice', () => {
  test.each([
    ['PRIMARY KEY (id)', 'PRIMARY KEY (practice_id, id)'],
    ['PRIMARY KEY (practice_id, id)', 'PRIMARY KEY (practice_id, id)'],
    ['UNIQUE (practice_id, kind, about)', 'UNIQUE (practice_id, kind, about)'],
    [
      'FOREIGN KEY (client_id) REFERENCES clients(id) ON DELETE CASCADE',
      'FOREIGN KEY (practice_id, client_id) REFERENCES clients(practice_id, id) ON DELETE CASCADE',
    ],
    [
      'FOREIGN KEY (practice_id, plan_id) REFERENCES home_plans(practice_id, id)',
      'FOREIGN KEY (practice_id, plan_id) REFERENCES home_plans(practice_id, id)',
    ],
    [
      'FOREIGN KEY (practice_id) REFERENCES practices(id) ON DELETE CASCADE',
      'FOREIGN KEY (practice_id) REFERENCES practices(id) ON DELETE CASCADE',
    ],
  ])('%s', (before, after) => expect(ledConstraint(before)).toBe(after));
  test.each([
    [
      "CREATE UNIQUE INDEX once ON public.readings USING btree (visit_id, COALESCE((complaint_id)::text, ''::text)) WHERE (visit_id IS NOT NULL)",
      "CREATE UNIQUE INDEX once ON public.readings USING btree (practice_id, visit_id, COALESCE((complaint_id)::text, ''::text)) WHERE (visit_id IS NOT NULL)",
    ],
    [
      'CREATE INDEX at ON public.audit USING btree (practice_id, at)',
      'CREATE INDEX at ON public.audit USING btree (practice_id, at)',
    ],
  ])('%s', (before, after) => expect(ledIndex(before)).toBe(after));
});

import type { Sequelize } from 'sequelize';
import { defineAtlas } from './atlas.ts';
import { definePeople } from './people.ts';
import { definePractice } from './practice.ts';
import { defineScores } from './scores.ts';
import { defineWork } from './work.ts';

export * from './atlas.ts';
export * from './people.ts';
export * from './practice.ts';
export * from './scores.ts';
export * from './work.ts';

export function defineModels(sequelize: Sequelize): void {
  definePeople(sequelize);
  defineWork(sequelize);
  defineAtlas(sequelize);
  defineScores(sequelize);
  definePractice(sequelize);
}

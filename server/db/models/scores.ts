import type { MeasureAnswers } from '../../../core/measures/index.ts';
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';

/** One measure taken in one visit. */
export class ScoreModel extends Model<InferAttributes<ScoreModel>, InferCreationAttributes<ScoreModel>> {
  declare id: CreationOptional<string>;
  declare practiceId: string;
  declare clientId: string;
  declare visitId: string;
  declare measure: string;
  /** Version of the scoring rule that made the value. */
  declare ruleVersion: number;
  declare answers: MeasureAnswers;
  /** Null when it could not be scored. */
  declare value: number | null;
  declare words: string;
  declare takenBy: string | null;
  declare takenAt: Date;
}

export function defineScores(sequelize: Sequelize): void {
  ScoreModel.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true, defaultValue: DataTypes.UUIDV4 },
      practiceId: { type: DataTypes.UUID, allowNull: false, primaryKey: true },
      clientId: DataTypes.UUID,
      visitId: DataTypes.UUID,
      measure: DataTypes.TEXT,
      ruleVersion: DataTypes.INTEGER,
      answers: DataTypes.JSONB,
      value: DataTypes.DECIMAL,
      words: DataTypes.TEXT,
      takenBy: DataTypes.UUID,
      takenAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'scores' },
  );
}

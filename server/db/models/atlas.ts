import type { ClientMeasures } from '../../../core/atlas/index.ts';
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';

const uuid = { type: DataTypes.UUID, primaryKey: true, defaultValue: DataTypes.UUIDV4 };
/** Every key begins with the practice. */
const practiceId = { type: DataTypes.UUID, allowNull: false, primaryKey: true };

/** Tape and caliper measures of a client on one day, in mm. */
export class BodyMeasureModel extends Model<
  InferAttributes<BodyMeasureModel>,
  InferCreationAttributes<BodyMeasureModel>
> {
  declare id: CreationOptional<string>;
  declare practiceId: string;
  declare clientId: string;
  /** A day of the practice's calendar: yyyy-mm-dd. */
  declare takenOn: string;
  declare valuesMm: ClientMeasures;
  declare takenBy: string | null;
  declare createdAt: CreationOptional<Date>;
}

/** How well one practitioner knows one place, as the scheduler keeps it. */
export class TrainerCardModel extends Model<
  InferAttributes<TrainerCardModel>,
  InferCreationAttributes<TrainerCardModel>
> {
  declare practitionerId: string;
  declare place: string;
  declare practiceId: string;
  declare card: object;
  declare due: Date;
}

export class TrainerAnswerModel extends Model<
  InferAttributes<TrainerAnswerModel>,
  InferCreationAttributes<TrainerAnswerModel>
> {
  declare id: CreationOptional<string>;
  declare practiceId: string;
  declare practitionerId: string;
  declare place: string;
  declare at: Date;
  /** null when the answer was on a view that does not show the place. */
  declare errorMm: number | null;
  declare takenFor: string | null;
  declare grade: string;
  /** Against the clock; null otherwise. */
  declare tookMs: CreationOptional<number | null>;
}

export function defineAtlas(sequelize: Sequelize): void {
  BodyMeasureModel.init(
    {
      id: uuid,
      practiceId,
      clientId: DataTypes.UUID,
      takenOn: DataTypes.DATEONLY,
      valuesMm: DataTypes.JSONB,
      takenBy: DataTypes.UUID,
      createdAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
    },
    { sequelize, tableName: 'body_measures' },
  );
  TrainerCardModel.init(
    {
      practiceId,
      practitionerId: { type: DataTypes.UUID, primaryKey: true },
      place: { type: DataTypes.TEXT, primaryKey: true },
      card: DataTypes.JSONB,
      due: DataTypes.DATE,
    },
    { sequelize, tableName: 'trainer_cards' },
  );
  TrainerAnswerModel.init(
    {
      id: uuid,
      practiceId,
      practitionerId: DataTypes.UUID,
      place: DataTypes.TEXT,
      at: DataTypes.DATE,
      errorMm: DataTypes.DECIMAL,
      takenFor: DataTypes.TEXT,
      grade: DataTypes.TEXT,
      tookMs: DataTypes.INTEGER,
    },
    { sequelize, tableName: 'trainer_answers' },
  );
}

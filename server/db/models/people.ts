import type { DateFormat, HabitSides, MemberRole } from '../../../core/record/index.ts';
import type { ComplaintKind, Pressure, Side } from '../../../core/words/index.ts';
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';

const uuid = { type: DataTypes.UUID, primaryKey: true, defaultValue: DataTypes.UUIDV4 };
const practiceId = { type: DataTypes.UUID, allowNull: false };
/** Every key of a record begins with the practice. */
const ledByPractice = { ...practiceId, primaryKey: true };
const now = { type: DataTypes.DATE, allowNull: false, defaultValue: DataTypes.NOW };

/** The tenant: everything else belongs to exactly one. */
export class PracticeModel extends Model<InferAttributes<PracticeModel>, InferCreationAttributes<PracticeModel>> {
  declare id: CreationOptional<string>;
  declare name: string;
  /** IANA zone in which days begin and end. */
  declare timeZone: string;
  /** School of order that a new routine begins with. */
  declare school: CreationOptional<string>;
  declare dateFormat: CreationOptional<DateFormat>;
  /** How clients at home reach the practice, as it is printed. */
  declare contact: CreationOptional<string>;
  /** Days of work before a course is reviewed. */
  declare reviewDays: CreationOptional<number>;
  declare createdAt: CreationOptional<Date>;
}

export class PractitionerModel extends Model<
  InferAttributes<PractitionerModel>,
  InferCreationAttributes<PractitionerModel>
> {
  declare id: CreationOptional<string>;
  declare practiceId: string;
  declare name: string;
  declare email: string;
  declare passwordHash: string;
  declare role: MemberRole;
  declare createdAt: CreationOptional<Date>;
}

/** Kept by the hash of its token, so that a stolen table opens nothing. */
export class SessionModel extends Model<InferAttributes<SessionModel>, InferCreationAttributes<SessionModel>> {
  declare tokenHash: string;
  declare practiceId: string;
  declare practitionerId: string;
  declare expiresAt: Date;
}

export class ClientModel extends Model<InferAttributes<ClientModel>, InferCreationAttributes<ClientModel>> {
  declare id: CreationOptional<string>;
  declare practiceId: string;
  declare name: string;
  /** What tells them apart: seat, trade, how they came. */
  declare about: string;
  declare email: CreationOptional<string>;
  declare note: string;
  /** The most pressure for this client; null when not capped. */
  declare pressureCap: Pressure | null;
  /** Client's own finger widths in mm, index first; null when not measured. */
  declare fingerWidthsMm: number[] | null;
  /** Sides of chewing, hand, instrument and desk. */
  declare habitSides: CreationOptional<HabitSides>;
  /** What the skin reacts to, in the client's words. */
  declare allergies: CreationOptional<string[]>;
  declare version: CreationOptional<number>;
  declare createdAt: CreationOptional<Date>;
  /** Review agreed at the latest finished visit, YYYY-MM-DD; null when none was. */
  declare reviewOn: CreationOptional<string | null>;
  declare reviewVisitId: CreationOptional<string | null>;
}

export class ComplaintModel extends Model<InferAttributes<ComplaintModel>, InferCreationAttributes<ComplaintModel>> {
  declare id: CreationOptional<string>;
  declare practiceId: string;
  declare clientId: string;
  declare kind: ComplaintKind;
  /** The client's own word for it; empty = the kind's name. */
  declare label: CreationOptional<string>;
  declare side: Side;
  declare onset: string;
  declare triggers: string;
  declare goal: string;
  declare position: number;
  declare closed: CreationOptional<boolean>;
}

export function definePeople(sequelize: Sequelize): void {
  PracticeModel.init(
    {
      id: uuid,
      name: DataTypes.TEXT,
      timeZone: DataTypes.TEXT,
      school: DataTypes.TEXT,
      dateFormat: DataTypes.TEXT,
      contact: DataTypes.TEXT,
      reviewDays: DataTypes.INTEGER,
      createdAt: now,
    },
    { sequelize, tableName: 'practices' },
  );
  PractitionerModel.init(
    {
      id: uuid,
      practiceId,
      name: DataTypes.TEXT,
      email: DataTypes.TEXT,
      passwordHash: DataTypes.TEXT,
      role: DataTypes.TEXT,
      createdAt: now,
    },
    { sequelize, tableName: 'practitioners' },
  );
  SessionModel.init(
    {
      tokenHash: { type: DataTypes.TEXT, primaryKey: true },
      practiceId,
      practitionerId: DataTypes.UUID,
      expiresAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'sessions' },
  );
  ClientModel.init(
    {
      id: uuid,
      practiceId: ledByPractice,
      name: DataTypes.TEXT,
      about: DataTypes.TEXT,
      note: DataTypes.TEXT,
      pressureCap: DataTypes.TEXT,
      fingerWidthsMm: DataTypes.JSONB,
      habitSides: { type: DataTypes.JSONB, defaultValue: {} },
      email: { type: DataTypes.TEXT, defaultValue: '' },
      allergies: { type: DataTypes.JSONB, defaultValue: [] },
      version: { type: DataTypes.INTEGER, defaultValue: 1 },
      createdAt: now,
      reviewOn: DataTypes.DATEONLY,
      reviewVisitId: DataTypes.UUID,
    },
    { sequelize, tableName: 'clients' },
  );
  ComplaintModel.init(
    {
      id: uuid,
      practiceId: ledByPractice,
      clientId: DataTypes.UUID,
      kind: DataTypes.TEXT,
      label: { type: DataTypes.TEXT, defaultValue: '' },
      side: DataTypes.TEXT,
      onset: DataTypes.TEXT,
      triggers: DataTypes.TEXT,
      goal: DataTypes.TEXT,
      position: DataTypes.INTEGER,
      closed: { type: DataTypes.BOOLEAN, defaultValue: false },
    },
    { sequelize, tableName: 'complaints' },
  );
}

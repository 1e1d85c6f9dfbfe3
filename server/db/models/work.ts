import type { FeltLengths, StepRecord } from '../../../core/guide/index.ts';
import type { MeasureKey, ReadingPhase, ReadingSource } from '../../../core/measures/index.ts';
import type { Findings, Referral, RoutineOrigin, Screen, VisitRecord, VisitStage } from '../../../core/record/index.ts';
import type { Side } from '../../../core/words/index.ts';
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
const version = { type: DataTypes.INTEGER, defaultValue: 1 };

export class VisitModel extends Model<InferAttributes<VisitModel>, InferCreationAttributes<VisitModel>> {
  declare id: CreationOptional<string>;
  declare practiceId: string;
  declare clientId: string;
  declare practitionerId: string;
  declare startsAt: Date;
  declare stage: VisitStage;
  declare screen: Screen;
  /** As it was stored, in whatever version: `storedRoutine` reads it. */
  declare bookedMinutes: CreationOptional<number | null>;
  declare roomId: CreationOptional<string | null>;
  declare routine: unknown;
  declare routineOrigin: CreationOptional<RoutineOrigin | null>;
  declare record: VisitRecord | null;
  declare findings: CreationOptional<Partial<Findings>>;
  /** Set when the visit was stopped at screening. */
  declare referral: Referral | null;
  declare endedAt: Date | null;
  declare version: CreationOptional<number>;
}

/** A write to a visit that was done: its id, the hash of what it said, the version it made. */
export class VisitWriteModel extends Model<InferAttributes<VisitWriteModel>, InferCreationAttributes<VisitWriteModel>> {
  declare practiceId: string;
  declare visitId: string;
  /** Made on the device. */
  declare saveId: string;
  declare bodyHash: string;
  declare version: number;
}

export class ReadingModel extends Model<InferAttributes<ReadingModel>, InferCreationAttributes<ReadingModel>> {
  declare id: CreationOptional<string>;
  declare practiceId: string;
  declare clientId: string;
  declare visitId: string | null;
  declare complaintId: string | null;
  declare measure: MeasureKey;
  /** Muscle id of a tenderness reading; empty otherwise. */
  declare place: string;
  declare side: Side;
  declare phase: ReadingPhase;
  declare value: number;
  declare source: ReadingSource;
  declare takenBy: string | null;
  declare takenAt: Date;
}

export class TemplateModel extends Model<InferAttributes<TemplateModel>, InferCreationAttributes<TemplateModel>> {
  declare id: CreationOptional<string>;
  declare practiceId: string;
  declare name: string;
  /** As it was stored: `storedRoutine` reads it. */
  declare body: unknown;
  declare createdBy: string;
  declare updatedAt: Date;
  /** Id of the starting routine it came as; null when somebody here made it. */
  declare origin: CreationOptional<string | null>;
  /** Out of the lists, and kept. */
  declare hidden: CreationOptional<boolean>;
  declare version: CreationOptional<number>;
}

/** One performance of a routine. The routine is kept as it was when the run began. */
export class RunModel extends Model<InferAttributes<RunModel>, InferCreationAttributes<RunModel>> {
  declare id: CreationOptional<string>;
  declare practiceId: string;
  declare visitId: string;
  /** As it was stored: `storedRoutine` reads it. */
  declare routine: unknown;
  declare status: 'open' | 'done' | 'stopped';
  /** As it was stored: `readStepRecords` reads it. */
  declare steps: StepRecord[] | null;
  declare createdAt: Date;
  /** How far the device's clock was ahead of the server's when the run began; null before its first event. */
  declare clockAheadMs: CreationOptional<number | null>;
  /** Who guided it; null where nobody knows any more. */
  declare practitionerId: CreationOptional<string | null>;
  /** How long in it took what ends by feel; null while it goes on. */
  declare felt: CreationOptional<FeltLengths | null>;
  /** Ids of the techniques that it worked. */
  declare worked: CreationOptional<string[]>;
  /** By its last event; null while it is open. */
  declare endedAt: CreationOptional<Date | null>;
}

export class RunEventModel extends Model<InferAttributes<RunEventModel>, InferCreationAttributes<RunEventModel>> {
  declare runId: string;
  /** Made on the device. */
  declare id: string;
  declare practiceId: string;
  declare kind: string;
  declare atMs: number;
  /** What belongs to it. */
  declare payload: Record<string, unknown> | null;
  /** The same, as rows from before `payload` kept it. */
  declare text: CreationOptional<string | null>;
}

export class AuditModel extends Model<InferAttributes<AuditModel>, InferCreationAttributes<AuditModel>> {
  declare id: CreationOptional<string>;
  declare practiceId: string;
  declare practitionerId: string | null;
  declare at: Date;
  declare what: string;
  declare about: Record<string, unknown>;
  /** Null on entries from before the trail was chained. */
  declare seq: CreationOptional<number | null>;
  declare hash: CreationOptional<string | null>;
}

/** BIGINT and NUMERIC come from the driver as text; every value here is well inside what a number holds exactly. */
const asNumber = (field: string, type: DataTypes.DataType | string) => ({
  type: type as typeof DataTypes.BIGINT,
  get(this: Model): number {
    return Number(this.getDataValue(field as never));
  },
});

export function defineWork(sequelize: Sequelize): void {
  VisitModel.init(
    {
      id: uuid,
      practiceId,
      clientId: DataTypes.UUID,
      practitionerId: DataTypes.UUID,
      startsAt: DataTypes.DATE,
      stage: DataTypes.TEXT,
      screen: DataTypes.JSONB,
      routine: DataTypes.JSONB,
      routineOrigin: { type: DataTypes.JSONB, defaultValue: null },
      bookedMinutes: { type: DataTypes.INTEGER, defaultValue: null },
      roomId: { type: DataTypes.UUID, defaultValue: null },
      record: DataTypes.JSONB,
      findings: { type: DataTypes.JSONB, defaultValue: {} },
      referral: DataTypes.JSONB,
      endedAt: DataTypes.DATE,
      version,
    },
    { sequelize, tableName: 'visits' },
  );
  VisitWriteModel.init(
    {
      practiceId,
      visitId: { type: DataTypes.UUID, primaryKey: true },
      saveId: { type: DataTypes.TEXT, primaryKey: true },
      bodyHash: DataTypes.TEXT,
      version: DataTypes.INTEGER,
    },
    { sequelize, tableName: 'visit_writes' },
  );
  ReadingModel.init(
    {
      id: uuid,
      practiceId,
      clientId: DataTypes.UUID,
      visitId: DataTypes.UUID,
      complaintId: DataTypes.UUID,
      measure: DataTypes.TEXT,
      place: DataTypes.TEXT,
      side: DataTypes.TEXT,
      phase: DataTypes.TEXT,
      value: asNumber('value', DataTypes.DECIMAL),
      source: DataTypes.TEXT,
      takenBy: DataTypes.UUID,
      takenAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'readings' },
  );
  TemplateModel.init(
    {
      id: uuid,
      practiceId,
      name: DataTypes.TEXT,
      body: DataTypes.JSONB,
      createdBy: DataTypes.UUID,
      updatedAt: DataTypes.DATE,
      origin: { type: DataTypes.TEXT, defaultValue: null },
      hidden: { type: DataTypes.BOOLEAN, defaultValue: false },
      version,
    },
    { sequelize, tableName: 'templates' },
  );
  RunModel.init(
    {
      id: uuid,
      practiceId,
      visitId: DataTypes.UUID,
      routine: DataTypes.JSONB,
      status: DataTypes.TEXT,
      steps: DataTypes.JSONB,
      createdAt: DataTypes.DATE,
      clockAheadMs: DataTypes.DOUBLE,
      practitionerId: DataTypes.UUID,
      felt: DataTypes.JSONB,
      worked: DataTypes.ARRAY(DataTypes.TEXT),
      endedAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'runs' },
  );
  RunEventModel.init(
    {
      runId: { type: DataTypes.UUID, primaryKey: true },
      id: { type: DataTypes.TEXT, primaryKey: true },
      practiceId,
      kind: DataTypes.TEXT,
      atMs: asNumber('atMs', DataTypes.DECIMAL),
      payload: DataTypes.JSONB,
      text: DataTypes.TEXT,
    },
    { sequelize, tableName: 'run_events' },
  );
  AuditModel.init(
    {
      id: uuid,
      practiceId,
      practitionerId: DataTypes.UUID,
      at: DataTypes.DATE,
      what: DataTypes.TEXT,
      about: DataTypes.JSONB,
      seq: DataTypes.BIGINT,
      hash: DataTypes.TEXT,
    },
    { sequelize, tableName: 'audit' },
  );
}

import type { LocalRule, Product } from '../../../core/limits/index.ts';
import type { PhotoMarks } from '../../../core/measures/index.ts';
import type { ConsentKind, TextKind } from '../../../core/record/index.ts';
import type { OwnTechnique } from '../../../core/routine/index.ts';
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

/** A text of the practice; a new wording is a new version, and old ones stay readable. */
export class PracticeTextModel extends Model<
  InferAttributes<PracticeTextModel>,
  InferCreationAttributes<PracticeTextModel>
> {
  declare id: CreationOptional<string>;
  declare practiceId: string;
  declare kind: TextKind;
  declare version: number;
  declare body: string;
  declare createdBy: string | null;
  declare createdAt: Date;
}

export class ConsentModel extends Model<InferAttributes<ConsentModel>, InferCreationAttributes<ConsentModel>> {
  declare id: CreationOptional<string>;
  declare practiceId: string;
  declare clientId: string;
  declare kind: ConsentKind;
  declare textVersion: number;
  declare givenAt: Date;
  declare takenBy: string | null;
  declare withdrawnAt: CreationOptional<Date | null>;
}

export class LocalRuleModel extends Model<InferAttributes<LocalRuleModel>, InferCreationAttributes<LocalRuleModel>> {
  declare id: CreationOptional<string>;
  declare practiceId: string;
  declare body: LocalRule;
  declare active: CreationOptional<boolean>;
  declare version: CreationOptional<number>;
  declare updatedAt: Date;
}

/** A technique of the practice's own. */
export class TechniqueModel extends Model<InferAttributes<TechniqueModel>, InferCreationAttributes<TechniqueModel>> {
  declare practiceId: string;
  declare id: string;
  declare body: OwnTechnique;
  declare retired: CreationOptional<boolean>;
  declare version: CreationOptional<number>;
  declare createdBy: string;
  declare updatedAt: Date;
}

export class OverrideModel extends Model<InferAttributes<OverrideModel>, InferCreationAttributes<OverrideModel>> {
  declare id: CreationOptional<string>;
  declare practiceId: string;
  declare visitId: string;
  declare caution: string;
  declare reason: string;
  declare signedBy: string;
  declare signedName: string;
  declare signedAt: Date;
}

export class ProductModel extends Model<InferAttributes<ProductModel>, InferCreationAttributes<ProductModel>> {
  declare id: CreationOptional<string>;
  declare practiceId: string;
  declare body: Product;
  declare retired: CreationOptional<boolean>;
  declare version: CreationOptional<number>;
  declare updatedAt: Date;
}

export class PatchTestModel extends Model<InferAttributes<PatchTestModel>, InferCreationAttributes<PatchTestModel>> {
  declare id: CreationOptional<string>;
  declare practiceId: string;
  declare clientId: string;
  declare productId: string;
  declare testedOn: string;
  declare reacted: boolean;
  declare notedBy: string | null;
  declare notedAt: Date;
}

/** A front photo, written anew from its pixels: nothing of the file that was sent is kept. */
export class PhotoModel extends Model<InferAttributes<PhotoModel>, InferCreationAttributes<PhotoModel>> {
  declare id: CreationOptional<string>;
  declare practiceId: string;
  declare clientId: string;
  declare visitId: string;
  declare phase: 'before' | 'after';
  declare bytes: Buffer;
  declare widthPx: number;
  declare heightPx: number;
  declare landmarks: CreationOptional<PhotoMarks>;
  declare version: CreationOptional<number>;
  declare takenBy: string | null;
  declare takenAt: Date;
}

export function definePractice(sequelize: Sequelize): void {
  PracticeTextModel.init(
    {
      id: uuid,
      practiceId,
      kind: DataTypes.TEXT,
      version,
      body: DataTypes.TEXT,
      createdBy: DataTypes.UUID,
      createdAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'practice_texts' },
  );
  ConsentModel.init(
    {
      id: uuid,
      practiceId,
      clientId: DataTypes.UUID,
      kind: DataTypes.TEXT,
      textVersion: DataTypes.INTEGER,
      givenAt: DataTypes.DATE,
      takenBy: DataTypes.UUID,
      withdrawnAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'consents' },
  );
  LocalRuleModel.init(
    {
      id: uuid,
      practiceId,
      body: DataTypes.JSONB,
      active: { type: DataTypes.BOOLEAN, defaultValue: true },
      version,
      updatedAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'local_rules' },
  );
  TechniqueModel.init(
    {
      practiceId,
      id: { type: DataTypes.TEXT, primaryKey: true },
      body: DataTypes.JSONB,
      retired: { type: DataTypes.BOOLEAN, defaultValue: false },
      version,
      createdBy: DataTypes.UUID,
      updatedAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'techniques' },
  );
  OverrideModel.init(
    {
      id: uuid,
      practiceId,
      visitId: DataTypes.UUID,
      caution: DataTypes.TEXT,
      reason: DataTypes.TEXT,
      signedBy: DataTypes.UUID,
      signedName: DataTypes.TEXT,
      signedAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'overrides' },
  );
  ProductModel.init(
    {
      id: uuid,
      practiceId,
      body: DataTypes.JSONB,
      retired: { type: DataTypes.BOOLEAN, defaultValue: false },
      version,
      updatedAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'products' },
  );
  PatchTestModel.init(
    {
      id: uuid,
      practiceId,
      clientId: DataTypes.UUID,
      productId: DataTypes.UUID,
      testedOn: DataTypes.DATEONLY,
      reacted: DataTypes.BOOLEAN,
      notedBy: DataTypes.UUID,
      notedAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'patch_tests' },
  );
  PhotoModel.init(
    {
      id: uuid,
      practiceId,
      clientId: DataTypes.UUID,
      visitId: DataTypes.UUID,
      phase: DataTypes.TEXT,
      bytes: DataTypes.BLOB,
      widthPx: DataTypes.INTEGER,
      heightPx: DataTypes.INTEGER,
      landmarks: { type: DataTypes.JSONB, defaultValue: {} },
      version,
      takenBy: DataTypes.UUID,
      takenAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'photos' },
  );
}

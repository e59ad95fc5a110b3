import type { Operation } from '@garnish/core/system/patch';
import pg from 'pg';
import {
  DataTypes,
  Model,
  Sequelize,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
} from 'sequelize';

export const CHANGE_KINDS = ['change', 'undo', 'redo'] as const;
export type ChangeKind = (typeof CHANGE_KINDS)[number];

/** One change of a system, with what leads back from it. Never altered once written. */
export class ChangeRow extends Model<
  InferAttributes<ChangeRow>,
  InferCreationAttributes<ChangeRow>
> {
  declare id: string;
  declare systemId: string;
  declare sequence: number;
  declare patch: Operation[];
  declare inverse: Operation[];
  declare label: string;
  /** The person who made it. */
  declare author: string;
  /** The window it was made in: what one window did, it did knowingly. */
  declare windowId: string;
  declare gesture: string;
  declare kind: ChangeKind;
  declare schema: number;
  declare at: CreationOptional<Date>;
}

/** Something set aside for later, across systems: a pair of faces or a palette, with a note. */
export class KeeperRow extends Model<
  InferAttributes<KeeperRow>,
  InferCreationAttributes<KeeperRow>
> {
  declare id: CreationOptional<string>;
  declare kind: 'pair' | 'palette';
  /** As it was set aside, under the schema of that number; read with `readKept`. */
  declare content: unknown;
  declare schema: number;
  declare note: string;
  /** The name of the system that it comes from. */
  declare origin: string;
  declare createdAt: CreationOptional<Date>;
}

/** A family that somebody brought. */
export class OwnFamilyRow extends Model<
  InferAttributes<OwnFamilyRow>,
  InferCreationAttributes<OwnFamilyRow>
> {
  declare id: string;
  /** As it was measured, under the schema of that number; read with `readKept`. */
  declare record: unknown;
  declare schema: number;
  declare licenceNote: string;
  declare createdAt: CreationOptional<Date>;
}

/** One of its files, as it is served. */
export class OwnFontFileRow extends Model<
  InferAttributes<OwnFontFileRow>,
  InferCreationAttributes<OwnFontFileRow>
> {
  declare name: string;
  declare familyId: string;
  declare bytes: Buffer;
}

/** A picture that somebody brought, under a name with the hash of its bytes. */
export class PictureRow extends Model<
  InferAttributes<PictureRow>,
  InferCreationAttributes<PictureRow>
> {
  declare name: string;
  declare bytes: Buffer;
}

/** A connection with the tables as seen through it. */
export interface Database {
  readonly sequelize: Sequelize;
  readonly Changes: typeof ChangeRow;
  readonly Keepers: typeof KeeperRow;
  readonly OwnFamilies: typeof OwnFamilyRow;
  readonly OwnFontFiles: typeof OwnFontFileRow;
  readonly Pictures: typeof PictureRow;
}

/**
 * A connection that the server ends between its greeting and the first question tells nobody, because
 * Sequelize listens only afterwards, and an error that nobody hears ends the process. What it says is told
 * by the question that fails.
 */
class PatientClient extends pg.Client {
  constructor(config?: string | pg.ClientConfig) {
    super(config);
    this.on('error', () => undefined);
  }
}

/** Connects and names the tables. The tables themselves are made by the migrations. */
export function connect(url: string): Database {
  const sequelize = new Sequelize(url, {
    dialect: 'postgres',
    dialectModule: { ...pg, Client: PatientClient },
    logging: false,
    // A database that is away is told at once, and asked again with the next request.
    pool: { max: 10, acquire: 10_000 },
  });
  class Changes extends ChangeRow {}
  class Keepers extends KeeperRow {}
  class OwnFamilies extends OwnFamilyRow {}
  class OwnFontFiles extends OwnFontFileRow {}
  class Pictures extends PictureRow {}
  Changes.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true },
      systemId: { type: DataTypes.UUID, allowNull: false },
      sequence: { type: DataTypes.INTEGER, allowNull: false },
      patch: { type: DataTypes.JSONB, allowNull: false },
      inverse: { type: DataTypes.JSONB, allowNull: false },
      label: { type: DataTypes.TEXT, allowNull: false },
      author: { type: DataTypes.UUID, allowNull: false },
      windowId: { type: DataTypes.UUID, allowNull: false },
      gesture: { type: DataTypes.UUID, allowNull: false },
      kind: { type: DataTypes.TEXT, allowNull: false },
      schema: { type: DataTypes.INTEGER, allowNull: false },
      at: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
    },
    { sequelize, tableName: 'changes', underscored: true, timestamps: false },
  );
  Keepers.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true, defaultValue: DataTypes.UUIDV4 },
      kind: { type: DataTypes.TEXT, allowNull: false },
      content: { type: DataTypes.JSONB, allowNull: false },
      schema: { type: DataTypes.INTEGER, allowNull: false },
      note: { type: DataTypes.TEXT, allowNull: false },
      origin: { type: DataTypes.TEXT, allowNull: false },
      createdAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'keepers', underscored: true, timestamps: true, updatedAt: false },
  );
  OwnFamilies.init(
    {
      id: { type: DataTypes.TEXT, primaryKey: true },
      record: { type: DataTypes.JSONB, allowNull: false },
      schema: { type: DataTypes.INTEGER, allowNull: false },
      licenceNote: { type: DataTypes.TEXT, allowNull: false },
      createdAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'own_families', underscored: true, timestamps: true, updatedAt: false },
  );
  OwnFontFiles.init(
    {
      name: { type: DataTypes.TEXT, primaryKey: true },
      familyId: { type: DataTypes.TEXT, allowNull: false },
      bytes: { type: DataTypes.BLOB, allowNull: false },
    },
    { sequelize, tableName: 'own_font_files', underscored: true, timestamps: false },
  );
  Pictures.init(
    {
      name: { type: DataTypes.TEXT, primaryKey: true },
      bytes: { type: DataTypes.BLOB, allowNull: false },
    },
    { sequelize, tableName: 'pictures', underscored: true, timestamps: false },
  );
  return { sequelize, Changes, Keepers, OwnFamilies, OwnFontFiles, Pictures };
}

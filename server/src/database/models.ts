import {
  DataTypes,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Model,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';

/** A build: the document is the truth, name and etag stand beside it for lists and conditional saves. */
interface BuildRow extends Model<InferAttributes<BuildRow>, InferCreationAttributes<BuildRow>> {
  id: string;
  name: string;
  etag: string;
  doc: string;
  updated: CreationOptional<Date>;
  /** What the first page shows of it, as JSON, and the version it was computed of; null until then. */
  card: CreationOptional<string | null>;
  cardOf: CreationOptional<string | null>;
  /** What it claims of stock, as JSON; null where that is nothing. */
  claims: CreationOptional<string | null>;
}
interface RevisionRow extends Model<InferAttributes<RevisionRow>, InferCreationAttributes<RevisionRow>> {
  id: CreationOptional<number>;
  buildId: string;
  etag: string;
  doc: string;
  saved: CreationOptional<Date>;
  /** A name given to it: it is never thinned out. */
  named: CreationOptional<string | null>;
}
/** A part sheet or an archetype of the catalogue. */
export interface PartRow extends Model<InferAttributes<PartRow>, InferCreationAttributes<PartRow>> {
  id: string;
  role: 'sheet' | 'archetype';
  kind: string;
  name: string;
  rev: number;
  doc: string;
  /** What came with the demo is not changed by hand; own sheets are. */
  origin: 'demo' | 'own';
}
/** Parts owned: the document holds count, age and price. */
export interface StockRow extends Model<InferAttributes<StockRow>, InferCreationAttributes<StockRow>> {
  id: string;
  sheetId: string;
  etag: string;
  doc: string;
  updated: CreationOptional<Date>;
}

export type Tables = {
  readonly builds: ModelStatic<BuildRow>;
  readonly revisions: ModelStatic<RevisionRow>;
  readonly parts: ModelStatic<PartRow>;
  readonly stock: ModelStatic<StockRow>;
};

/** The tables as Sequelize sees them; their columns are made by the migrations. */
export function defineTables(database: Sequelize): Tables {
  const id = { type: DataTypes.STRING(120), primaryKey: true } as const;
  const doc = { type: DataTypes.TEXT('long'), allowNull: false } as const;
  return {
    builds: database.define<BuildRow>('builds', {
      id,
      name: DataTypes.STRING(200),
      etag: DataTypes.STRING(64),
      doc,
      updated: { type: DataTypes.DATE(3), defaultValue: DataTypes.NOW },
      card: DataTypes.TEXT('long'),
      cardOf: DataTypes.STRING(80),
      claims: DataTypes.TEXT('medium'),
    }),
    revisions: database.define<RevisionRow>('revisions', {
      id: { type: DataTypes.BIGINT, primaryKey: true, autoIncrement: true },
      buildId: DataTypes.STRING(120),
      etag: DataTypes.STRING(64),
      doc,
      saved: { type: DataTypes.DATE(3), defaultValue: DataTypes.NOW },
      named: DataTypes.STRING(200),
    }),
    parts: database.define<PartRow>('parts', {
      id,
      role: DataTypes.ENUM('sheet', 'archetype'),
      kind: DataTypes.STRING(40),
      name: DataTypes.STRING(200),
      rev: DataTypes.INTEGER,
      doc,
      origin: { type: DataTypes.ENUM('demo', 'own'), defaultValue: 'demo' },
    }),
    stock: database.define<StockRow>(
      'stock',
      {
        id: { type: DataTypes.STRING(64), primaryKey: true },
        sheetId: DataTypes.STRING(120),
        etag: DataTypes.STRING(64),
        doc,
        updated: { type: DataTypes.DATE(3), defaultValue: DataTypes.NOW },
      },
      { tableName: 'stock' },
    ),
  };
}

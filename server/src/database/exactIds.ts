import { QueryTypes, type QueryInterface, type Sequelize } from 'sequelize';

/** Equal only when every character is: no folding of case and accents, no ignoring of blanks at the end. */
const EXACT = 'CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin';

const ID_COLUMNS = [
  ['builds', 'id', 120],
  ['revisions', 'build_id', 120],
  ['parts', 'id', 120],
  ['stock', 'id', 64],
  ['stock', 'sheet_id', 120],
] as const;
const FOREIGN = [
  ['revisions', 'build_id', 'builds', 'CASCADE', 'revisions_of_build'],
  ['stock', 'sheet_id', 'parts', 'RESTRICT', 'stock_of_sheet'],
] as const;

/** Makes ids exact in the database as they are in the code, and parts what the folding had laid over each other. */
export async function makeIdsExact(context: QueryInterface): Promise<void> {
  const { sequelize } = context;
  const foreign = await sequelize.query<{ name: string; at: string }>(
    'SELECT CONSTRAINT_NAME AS name, TABLE_NAME AS `at` FROM ' +
      'information_schema.REFERENTIAL_CONSTRAINTS WHERE CONSTRAINT_SCHEMA = DATABASE() AND ' +
      "TABLE_NAME IN ('revisions', 'stock')",
    { type: QueryTypes.SELECT },
  );
  for (const { name, at } of foreign) await sequelize.query(`ALTER TABLE \`${at}\` DROP FOREIGN KEY \`${name}\``);
  for (const [table, column, length] of ID_COLUMNS)
    await sequelize.query(`ALTER TABLE \`${table}\` MODIFY \`${column}\` VARCHAR(${length}) ${EXACT} NOT NULL`);
  await partBuilds(sequelize);
  await partParts(sequelize);
  for (const [table, column, target, onDelete, name] of FOREIGN)
    await sequelize.query(
      `ALTER TABLE \`${table}\` ADD CONSTRAINT \`${name}\` FOREIGN KEY (\`${column}\`) ` +
        `REFERENCES \`${target}\` (id) ON DELETE ${onDelete} ON UPDATE CASCADE`,
    );
}

const idIn = (doc: string): string => String((JSON.parse(doc) as { id?: unknown }).id ?? '');

/** A build saved over another under a folded id becomes one of its own; the other comes back from its last revision. */
async function partBuilds(database: Sequelize): Promise<void> {
  const rows = await database.query<{ id: string; doc: string }>('SELECT id, doc FROM builds', {
    type: QueryTypes.SELECT,
  });
  for (const { id, doc } of rows) {
    const own = idIn(doc);
    const revisions = await database.query<{ key: number; doc: string }>(
      'SELECT id AS `key`, doc FROM revisions WHERE build_id = ? ORDER BY id',
      { type: QueryTypes.SELECT, replacements: [id] },
    );
    for (const revision of revisions)
      if (idIn(revision.doc) !== id)
        await database.query('UPDATE revisions SET build_id = ? WHERE id = ?', {
          replacements: [idIn(revision.doc), revision.key],
        });
    if (own === id) continue;
    await database.query('UPDATE builds SET id = ? WHERE id = ?', { replacements: [own, id] });
    const before = revisions.findLast((revision) => idIn(revision.doc) === id);
    if (before)
      await database.query(
        'INSERT IGNORE INTO builds (id, name, etag, doc, updated) SELECT ?, ?, etag, doc, saved ' +
          'FROM revisions WHERE id = ?',
        { replacements: [id, String((JSON.parse(before.doc) as { name?: unknown }).name ?? ''), before.key] },
      );
  }
}

/**
 * A part whose row is filed under another spelling was written over it by the catalogue at a later start: it is the
 * shipped one.
 */
async function partParts(database: Sequelize): Promise<void> {
  const rows = await database.query<{ id: string; doc: string }>('SELECT id, doc FROM parts', {
    type: QueryTypes.SELECT,
  });
  for (const { id, doc } of rows)
    if (idIn(doc) !== id)
      await database.query("UPDATE IGNORE parts SET id = ?, origin = 'demo' WHERE id = ?", {
        replacements: [idIn(doc), id],
      });
  // Stock that named its sheet in another spelling names it as it is written; what names none gets the sheet its own
  // document names.
  const exact = new Set(
    (await database.query<{ id: string }>('SELECT id FROM parts', { type: QueryTypes.SELECT })).map((row) => row.id),
  );
  const stock = await database.query<{ id: string; sheet_id: string }>('SELECT id, sheet_id FROM stock', {
    type: QueryTypes.SELECT,
  });
  const folded = (id: string) => id.normalize('NFKD').replace(/\p{M}/gu, '').trimEnd().toLowerCase();
  for (const { id, sheet_id } of stock) {
    if (exact.has(sheet_id)) continue;
    const meant = [...exact].find((one) => folded(one) === folded(sheet_id));
    if (meant) await database.query('UPDATE stock SET sheet_id = ? WHERE id = ?', { replacements: [meant, id] });
    else await database.query('DELETE FROM stock WHERE id = ?', { replacements: [id] });
  }
}

import type { Build } from '@inch-tower/core';
import { LRUCache } from 'lru-cache';
import { QueryTypes, UniqueConstraintError, type Sequelize, type Transaction } from 'sequelize';
import { claimsOf } from './claims';
import { etagOf } from './etag';
import type { Tables } from './models';
import { inTransaction, untilOutOfTheWay } from './transaction';

/** A build as it is kept: its document as text, which most answers pass on as it is. */
export type Stored = { readonly doc: string; readonly etag: string; readonly updated: Date };
type Stale = { readonly ok: false; readonly why: 'stale'; readonly theirs: Stored };
export type Saved =
  | { readonly ok: true; readonly stored: Stored }
  | Stale
  | { readonly ok: false; readonly why: 'gone' }
  | { readonly ok: false; readonly why: 'taken' };
export type Removed = { readonly ok: true } | Stale | { readonly ok: false; readonly why: 'gone' };
export type Revision = {
  readonly id: number;
  readonly etag: string;
  readonly saved: Date;
  readonly named: string | null;
};
/** A build on the first page; `card` is JSON, null until it was computed of this version. */
export type CardRow = {
  readonly id: string;
  readonly name: string;
  readonly etag: string;
  readonly updated: Date;
  readonly card: string | null;
};
export type CardPage = { readonly rows: readonly CardRow[]; readonly total: number };

/** Documents kept in memory by their tag, which is their content's: what another server saved has another tag. */
const DOCS_KEPT_CHARACTERS = 32_000_000;

/** Values are bound, not written into the statement: a document is escaped by nobody. */
const INSERT_BUILD = 'INSERT INTO builds (id, name, etag, doc, updated, claims) VALUES ($1, $2, $3, $4, $5, $6)';
/** A build that comes back to an earlier state has that revision already; it is then its latest. */
const INSERT_REVISION =
  'INSERT INTO revisions (build_id, etag, doc, saved) VALUES ($1, $2, $3, $4) ON DUPLICATE ' +
  'KEY UPDATE saved = VALUES(saved)';
/**
 * A save in one journey to the database, all or nothing: one statement finds the version and takes its place, so that
 * of two saves on it one is taken; its revision is copied from it. Answers how many versions it found, 0 or 1.
 */
const SAVE_BUILD = `BEGIN NOT ATOMIC
  DECLARE found INT DEFAULT 0;
  DECLARE EXIT HANDLER FOR SQLEXCEPTION BEGIN ROLLBACK; RESIGNAL; END;
  START TRANSACTION;
  UPDATE builds SET name = $1, etag = $2, doc = $3, updated = $4, claims = $5 WHERE id = $6 AND etag = $7;
  SET found = ROW_COUNT();
  IF found > 0 THEN
    INSERT INTO revisions (build_id, etag, doc, saved) SELECT id, etag, doc, updated FROM builds WHERE id = $6
      ON DUPLICATE KEY UPDATE saved = VALUES(saved);
  END IF;
  COMMIT;
  SELECT found;
END`;

/** Builds with their revisions and cards. Two rows that must agree are written in one transaction. */
export function createBuildsStore(database: Sequelize, { builds, revisions }: Tables) {
  const select = <T extends object>(
    sql: string,
    replacements: readonly unknown[],
    transaction?: Transaction,
  ): Promise<T[]> =>
    database.query<T>(sql, {
      type: QueryTypes.SELECT,
      replacements: [...replacements],
      ...(transaction ? { transaction } : {}),
    });
  const run = (sql: string, values: readonly unknown[], transaction: Transaction): Promise<unknown> =>
    database.query(sql, { bind: [...values], transaction });
  const docs = new LRUCache<string, string>({ maxSize: DOCS_KEPT_CHARACTERS, sizeCalculation: (doc) => doc.length });
  const find = async (id: string, transaction?: Transaction): Promise<Stored | null> => {
    const [stored] = await select<Stored>('SELECT doc, etag, updated FROM builds WHERE id = ?', [id], transaction);
    if (stored) docs.set(stored.etag, stored.doc);
    return stored ?? null;
  };
  /** Asks the database which version is there, and for the document only where that version is not in memory. */
  const findKept = async (id: string): Promise<Stored | null> => {
    const [version] = await select<{ readonly etag: string; readonly updated: Date }>(
      'SELECT etag, updated FROM builds WHERE id = ?',
      [id],
    );
    const doc = version && docs.get(version.etag);
    if (!version) return null;
    return doc === undefined ? find(id) : { doc, ...version };
  };
  const insert = async (build: Build, transaction: Transaction): Promise<Stored> => {
    const doc = JSON.stringify(build);
    const stored = { doc, etag: etagOf(doc), updated: new Date() };
    await run(INSERT_BUILD, [build.id, build.name, stored.etag, doc, stored.updated, claimsOf(build)], transaction);
    await run(INSERT_REVISION, [build.id, stored.etag, doc, stored.updated], transaction);
    return stored;
  };

  return {
    findBuild: (id: string): Promise<Stored | null> => findKept(id),

    async createBuild(build: Build): Promise<Saved> {
      try {
        return { ok: true, stored: await inTransaction(database, (transaction) => insert(build, transaction)) };
      } catch (error) {
        if (error instanceof UniqueConstraintError) return { ok: false, why: 'taken' };
        throw error;
      }
    },

    /** Saves over the version named by `ifMatch`; a newer one there is given back, nothing is overwritten. */
    async saveBuild(build: Build, ifMatch: string): Promise<Saved> {
      const doc = JSON.stringify(build);
      const stored = { doc, etag: etagOf(doc), updated: new Date() };
      const bind = [build.name, stored.etag, doc, stored.updated, claimsOf(build), build.id, ifMatch];
      const [results] = (await untilOutOfTheWay(() => database.query(SAVE_BUILD, { bind }))) as unknown as [
        readonly [readonly { readonly found: number }[]],
      ];
      if (results[0][0]!.found > 0) {
        docs.set(stored.etag, doc);
        return { ok: true, stored };
      }
      const theirs = await find(build.id);
      if (!theirs) return { ok: false, why: 'gone' };
      // The same content saved twice, as after an answer that was lost, is the save it already is.
      return theirs.etag === stored.etag ? { ok: true, stored: theirs } : { ok: false, why: 'stale', theirs };
    },

    /** Deletes the version named, with its revisions; `*` is any. */
    deleteBuild: (id: string, ifMatch: string): Promise<Removed> =>
      inTransaction(database, async (transaction): Promise<Removed> => {
        const gone = await builds.destroy({ where: ifMatch === '*' ? { id } : { id, etag: ifMatch }, transaction });
        if (gone > 0) return { ok: true };
        const theirs = await find(id, transaction);
        return theirs ? { ok: false, why: 'stale', theirs } : { ok: false, why: 'gone' };
      }),

    /** Cards by name, a page of them, of builds whose name holds `search`. */
    async listCards(
      stamp: string,
      { search, limit, from }: { readonly search: string; readonly limit: number; readonly from: number },
    ): Promise<CardPage> {
      const like = `%${search.replace(/[\\%_]/g, '\\$&')}%`;
      const where = search ? ' WHERE name LIKE ?' : '';
      const count = `SELECT COUNT(*) AS total FROM builds${where}`;
      const values = search ? [like] : [];
      const rows = await select<CardRow & { readonly total: number }>(
        'SELECT id, name, etag, updated, IF(card_of = CONCAT(etag, ?), card, NULL) AS card, ' +
          `(${count}) AS total FROM builds FORCE INDEX (builds_by_name)${where} ORDER BY name, id ` +
          'LIMIT ? OFFSET ?',
        [stamp, ...values, ...values, limit, from],
      );
      const total =
        rows[0]?.total ?? (from > 0 ? (await select<{ readonly total: number }>(count, values))[0]!.total : 0);
      return { rows, total: Number(total) };
    },

    /** Builds at rest since `before` whose card is not of their present version, a few ids at a time. */
    withoutCard: async (stamp: string, before: Date, limit: number): Promise<readonly string[]> =>
      (
        await select<{ id: string }>(
          'SELECT id FROM builds WHERE (card_of IS NULL OR card_of <> CONCAT(etag, ?)) AND updated <= ? LIMIT ?',
          [stamp, before, limit],
        )
      ).map((row) => row.id),

    /** Keeps a card with its build, unless that was saved anew meanwhile. */
    async saveCard(id: string, etag: string, stamp: string, card: string): Promise<void> {
      await database.query('UPDATE builds SET card = ?, card_of = ? WHERE id = ? AND etag = ?', {
        replacements: [card, etag + stamp, id, etag],
      });
    },

    /** Revisions saved before the one named, newest first. */
    async listRevisions(
      id: string,
      before: { readonly saved: Date; readonly id: number } | null,
      limit: number,
    ): Promise<Revision[]> {
      const rows = await select<Revision>(
        'SELECT id, etag, saved, named FROM revisions WHERE build_id = ' +
          `?${before ? ' AND (saved, id) < (?, ?)' : ''} ORDER BY saved DESC, id DESC LIMIT ?`,
        [id, ...(before ? [before.saved, before.id] : []), limit],
      );
      return rows.map((row) => ({ ...row, id: Number(row.id) }));
    },

    async findRevision(id: string, etag: string): Promise<string | null> {
      const row = await revisions.findOne({ where: { buildId: id, etag }, attributes: ['doc'], raw: true });
      return row?.doc ?? null;
    },

    /** Names a revision, or takes its name away; false when there is none. */
    async nameRevision(id: string, etag: string, name: string | null): Promise<boolean> {
      await revisions.update({ named: name }, { where: { buildId: id, etag } });
      return (await revisions.count({ where: { buildId: id, etag } })) > 0;
    },

    /** Demo builds into an empty database; the catalogue comes by `refreshCatalogue`. */
    seed: (demo: readonly Build[]): Promise<void> =>
      inTransaction(database, async (transaction) => {
        for (const build of demo) await insert(build, transaction);
      }),
  };
}

import type { Build } from '@inch-tower/core';
import { QueryTypes, Transaction, UniqueConstraintError, type Sequelize } from 'sequelize';
import { etagOf } from './etag';
import { defineTables, type Tables } from './models';
import { createPartsStore } from './partsStore';
import { createStockStore } from './stockStore';

export type Stored = { readonly build: Build; readonly etag: string; readonly updated: Date };
export type Saved = { readonly ok: true; readonly stored: Stored } | { readonly ok: false; readonly why: 'stale'; readonly theirs: Stored } | { readonly ok: false; readonly why: 'gone' } | { readonly ok: false; readonly why: 'taken' };
export type Revision = { readonly etag: string; readonly saved: Date };

/** Reads and writes of the database. Two rows that must agree are written in one transaction. */
export function createStore(database: Sequelize) {
  const tables: Tables = defineTables(database);
  const { builds, revisions, parts } = tables;
  const read = (row: { doc: string; etag: string; updated: Date }): Stored => ({ build: JSON.parse(row.doc) as Build, etag: row.etag, updated: row.updated });

  return {
    ping: async (): Promise<void> => { await database.query('SELECT 1 AS one', { type: QueryTypes.SELECT }); },

    listBuilds: async (): Promise<Stored[]> => (await builds.findAll({ order: [['name', 'ASC'], ['id', 'ASC']] })).map(read),

    async findBuild(id: string): Promise<Stored | null> {
      const row = await builds.findByPk(id);
      return row && read(row);
    },

    async createBuild(build: Build): Promise<Saved> {
      const doc = JSON.stringify(build);
      const etag = etagOf(doc);
      try {
        const row = await database.transaction(async (transaction) => {
          const made = await builds.create({ id: build.id, name: build.name, etag, doc, updated: new Date() }, { transaction });
          await revisions.create({ buildId: build.id, etag, doc }, { transaction });
          return made;
        });
        return { ok: true, stored: read(row) };
      } catch (error) {
        if (error instanceof UniqueConstraintError) return { ok: false, why: 'taken' };
        throw error;
      }
    },

    /** Saves over the version named by `ifMatch`; a newer one there is given back, nothing is overwritten. */
    async saveBuild(build: Build, ifMatch: string): Promise<Saved> {
      const doc = JSON.stringify(build);
      const etag = etagOf(doc);
      return database.transaction({ isolationLevel: Transaction.ISOLATION_LEVELS.READ_COMMITTED }, async (transaction): Promise<Saved> => {
        const row = await builds.findByPk(build.id, { transaction, lock: Transaction.LOCK.UPDATE });
        if (!row) return { ok: false, why: 'gone' };
        // The same content saved twice, as after an answer that was lost, is the save it already is.
        if (row.etag === etag) return { ok: true, stored: read(row) };
        if (row.etag !== ifMatch) return { ok: false, why: 'stale', theirs: read(row) };
        await row.update({ name: build.name, etag, doc, updated: new Date() }, { transaction });
        // A build that comes back to an earlier state has that revision already.
        await revisions.findOrCreate({ where: { buildId: build.id, etag }, defaults: { buildId: build.id, etag, doc }, transaction });
        return { ok: true, stored: read(row) };
      });
    },

    deleteBuild: async (id: string): Promise<boolean> => (await builds.destroy({ where: { id } })) > 0,

    async listRevisions(id: string): Promise<Revision[]> {
      return (await revisions.findAll({ where: { buildId: id }, order: [['id', 'DESC']], limit: 200, attributes: ['etag', 'saved'] })).map((row) => ({ etag: row.etag, saved: row.saved }));
    },

    async findRevision(id: string, etag: string): Promise<Build | null> {
      const row = await revisions.findOne({ where: { buildId: id, etag } });
      return row && (JSON.parse(row.doc) as Build);
    },

    ...createPartsStore(database, tables),
    ...createStockStore(database, tables),

    isEmpty: async (): Promise<boolean> => (await parts.count()) === 0,

    /** Demo builds into an empty database; the catalogue comes by `refreshCatalogue`. */
    async seed(demo: readonly Build[]): Promise<void> {
      await database.transaction(async (transaction) => {
        for (const build of demo) {
          const doc = JSON.stringify(build);
          await builds.create({ id: build.id, name: build.name, etag: etagOf(doc), doc, updated: new Date() }, { transaction });
          await revisions.create({ buildId: build.id, etag: etagOf(doc), doc }, { transaction });
        }
      });
    },
  };
}
export type Store = ReturnType<typeof createStore>;

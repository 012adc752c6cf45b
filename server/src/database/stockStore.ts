import { stockClaims, type Build, type StockClaim, type StockEntry } from '@inch-tower/core';
import { ForeignKeyConstraintError, type Sequelize, type Transaction } from 'sequelize';
import { etagOf } from './etag';
import type { StockRow, Tables } from './models';

export type StockedEntry = { readonly entry: StockEntry; readonly etag: string };
export type SavedEntry = { readonly ok: true; readonly stored: StockedEntry } | { readonly ok: false; readonly why: 'noSheet' } | { readonly ok: false; readonly why: 'stale'; readonly theirs: StockedEntry };

/** Parts owned, and which builds claim them. */
export function createStockStore(database: Sequelize, { builds, stock }: Tables) {
  const read = (row: StockRow): StockedEntry => ({ entry: JSON.parse(row.doc) as StockEntry, etag: row.etag });
  const write = async (entry: StockEntry, transaction: Transaction): Promise<StockedEntry> => {
    const doc = JSON.stringify(entry);
    const etag = etagOf(doc);
    await stock.upsert({ id: entry.id, sheetId: entry.sheet, etag, doc, updated: new Date() }, { transaction });
    return { entry, etag };
  };
  return {
    listStock: async (): Promise<StockedEntry[]> => (await stock.findAll({ order: [['id', 'ASC']] })).map(read),

    /** Every unit of stock that a build uses. */
    async listClaims(): Promise<StockClaim[]> {
      const rows = await builds.findAll({ attributes: ['doc'], order: [['name', 'ASC'], ['id', 'ASC']] });
      return stockClaims(rows.map((row) => JSON.parse(row.doc) as Build));
    },

    /** Saves an entry over the version it was made on (`null` for a new one). */
    async saveEntry(entry: StockEntry, ifMatch: string | null): Promise<SavedEntry> {
      try {
        return await database.transaction(async (transaction): Promise<SavedEntry> => {
          const row = await stock.findByPk(entry.id, { transaction, lock: transaction.LOCK.UPDATE });
          if (row && row.etag !== ifMatch && row.etag !== etagOf(JSON.stringify(entry))) return { ok: false, why: 'stale', theirs: read(row) };
          return { ok: true, stored: await write(entry, transaction) };
        });
      } catch (error) {
        if (error instanceof ForeignKeyConstraintError) return { ok: false, why: 'noSheet' };
        throw error;
      }
    },

    /** Entries with the sheets they are of, all or none. */
    async addEntries(entries: readonly StockEntry[], inside: Transaction): Promise<void> {
      for (const entry of entries) await write(entry, inside);
    },

    deleteEntry: async (id: string): Promise<boolean> => (await stock.destroy({ where: { id } })) > 0,

    transaction: <T>(work: (transaction: Transaction) => Promise<T>): Promise<T> => database.transaction(work),
  };
}

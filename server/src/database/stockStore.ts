import type { StockClaim, StockEntry } from '@inch-tower/core';
import { ForeignKeyConstraintError, QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import { etagOf } from './etag';
import type { StockRow, Tables } from './models';
import { inTransaction } from './transaction';

export type StockedEntry = { readonly entry: StockEntry; readonly etag: string };
type Stale = { readonly ok: false; readonly why: 'stale'; readonly theirs: StockedEntry };
export type SavedEntry =
  { readonly ok: true; readonly stored: StockedEntry } | { readonly ok: false; readonly why: 'noSheet' } | Stale;
export type RemovedEntry = { readonly ok: true } | { readonly ok: false; readonly why: 'gone' } | Stale;

/** Parts owned, and which builds claim them. */
export function createStockStore(database: Sequelize, { stock }: Tables) {
  const read = (row: StockRow): StockedEntry => ({ entry: JSON.parse(row.doc) as StockEntry, etag: row.etag });
  const write = async (entry: StockEntry, transaction: Transaction): Promise<StockedEntry> => {
    const doc = JSON.stringify(entry);
    const etag = etagOf(doc);
    await stock.upsert({ id: entry.id, sheetId: entry.sheet, etag, doc, updated: new Date() }, { transaction });
    return { entry, etag };
  };
  return {
    listStock: async (): Promise<StockedEntry[]> => (await stock.findAll({ order: [['id', 'ASC']] })).map(read),

    /** Every unit of stock that a build uses; kept beside each build when it is saved. */
    async listClaims(): Promise<StockClaim[]> {
      const rows = await database.query<{ claims: string }>(
        'SELECT claims FROM builds WHERE claims IS NOT NULL ORDER BY name, id',
        { type: QueryTypes.SELECT },
      );
      return rows.flatMap((row) => JSON.parse(row.claims) as StockClaim[]);
    },

    /** Saves an entry over the version it was made on (`null` for a new one). */
    async saveEntry(entry: StockEntry, ifMatch: string | null): Promise<SavedEntry> {
      try {
        return await inTransaction(database, async (transaction): Promise<SavedEntry> => {
          const row = await stock.findByPk(entry.id, { transaction, lock: transaction.LOCK.UPDATE });
          if (row && row.etag !== ifMatch && row.etag !== etagOf(JSON.stringify(entry)))
            return { ok: false, why: 'stale', theirs: read(row) };
          return { ok: true, stored: await write(entry, transaction) };
        });
      } catch (error) {
        if (error instanceof ForeignKeyConstraintError) return { ok: false, why: 'noSheet' };
        throw error;
      }
    },

    /** Entries whose sheets are there or come in the same transaction, in one order for all writers. */
    async addEntries(entries: readonly StockEntry[], inside: Transaction): Promise<void> {
      for (const entry of [...entries].sort((a, b) => (a.id < b.id ? -1 : 1))) await write(entry, inside);
    },

    /** Takes out the version named; `*` is any. */
    removeEntry: (id: string, ifMatch: string): Promise<RemovedEntry> =>
      inTransaction(database, async (transaction): Promise<RemovedEntry> => {
        const row = await stock.findByPk(id, { transaction, lock: transaction.LOCK.UPDATE });
        if (!row) return { ok: false, why: 'gone' };
        if (ifMatch !== '*' && row.etag !== ifMatch) return { ok: false, why: 'stale', theirs: read(row) };
        await row.destroy({ transaction });
        return { ok: true };
      }),
  };
}

import { containedIn, type Archetype, type Catalogue, type Sheet } from '@inch-tower/core';
import { ForeignKeyConstraintError, type Sequelize, type Transaction } from 'sequelize';
import type { PartRow, Tables } from './models';

/** The catalogue with the ids of the sheets and archetypes that are a builder's own. */
export type OwnedCatalogue = Catalogue & { readonly own: readonly string[] };
export type SavedSheet = { readonly ok: true; readonly sheet: Sheet } | { readonly ok: false; readonly why: 'shipped' } | { readonly ok: false; readonly why: 'otherRev'; readonly theirs: Sheet };
export type TakenOut = 'done' | 'gone' | 'shipped' | 'inStock' | 'contained';

const rowOf = (role: 'sheet' | 'archetype', one: Sheet | Archetype, origin: PartRow['origin']) => ({ id: one.id as string, role, kind: one.kind, name: one.name, rev: one.rev, doc: JSON.stringify(one), origin });

/** Sheets and archetypes: those shipped, and a builder's own beside them. */
export function createPartsStore(database: Sequelize, { parts }: Tables) {
  const save = async (sheet: Sheet, rev: number, transaction: Transaction): Promise<void> => {
    await parts.upsert(rowOf('sheet', { ...sheet, rev } as Sheet, 'own'), { transaction });
  };
  return {
    async readCatalogue(): Promise<OwnedCatalogue> {
      const rows = await parts.findAll({ order: [['kind', 'ASC'], ['id', 'ASC']] });
      const of = <T>(role: 'sheet' | 'archetype') => Object.fromEntries(rows.filter((row) => row.role === role).map((row) => [row.id, JSON.parse(row.doc) as T]));
      return { sheets: of<Sheet>('sheet'), archetypes: of<Archetype>('archetype'), own: rows.filter((row) => row.origin === 'own').map((row) => row.id) };
    },

    /** Shipped parts that are new or were corrected since; own sheets and builds are left as they are. */
    async refreshCatalogue(catalogue: Catalogue): Promise<void> {
      const shipped = [...Object.values(catalogue.archetypes).map((one) => rowOf('archetype', one, 'demo')), ...Object.values(catalogue.sheets).map((one) => rowOf('sheet', one, 'demo'))];
      const here = new Map((await parts.findAll()).map((row) => [row.id, row]));
      const changed = shipped.filter((row) => { const had = here.get(row.id); return !had || (had.origin === 'demo' && had.doc !== row.doc); });
      if (changed.length) await parts.bulkCreate(changed, { updateOnDuplicate: ['role', 'kind', 'name', 'rev', 'doc'] });
    },

    /** Saves an own sheet over the revision it was made on; a new one is made on revision 0. */
    async saveSheet(sheet: Sheet, madeOn: number): Promise<SavedSheet> {
      return database.transaction(async (transaction): Promise<SavedSheet> => {
        const row = await parts.findByPk(sheet.id, { transaction, lock: transaction.LOCK.UPDATE });
        if (row && (row.origin !== 'own' || row.role !== 'sheet')) return { ok: false, why: 'shipped' };
        const rev = row?.rev ?? 0;
        if (rev !== madeOn) return { ok: false, why: 'otherRev', theirs: row ? (JSON.parse(row.doc) as Sheet) : sheet };
        await save(sheet, rev + 1, transaction);
        return { ok: true, sheet: { ...sheet, rev: rev + 1 } as Sheet };
      });
    },

    /** Takes in many own sheets, all or none; one that is there already gets its next revision. */
    async importSheets(sheets: readonly Sheet[], archetypes: readonly Archetype[], transaction?: Transaction): Promise<{ readonly refused: readonly string[] }> {
      const run = async (inside: Transaction) => {
        const ids = [...sheets.map((sheet) => sheet.id as string), ...archetypes.map((one) => one.id as string)];
        const here = new Map((await parts.findAll({ where: { id: ids }, transaction: inside, lock: inside.LOCK.UPDATE })).map((row) => [row.id, row]));
        // One id is one thing: a sheet never takes the place of an archetype, nor the other way round.
        const roleOf = (i: number) => (i < sheets.length ? 'sheet' : 'archetype');
        const refused = ids.filter((id, i) => here.get(id)?.origin === 'demo' || (here.get(id)?.role ?? roleOf(i)) !== roleOf(i) || ids.indexOf(id) !== i);
        if (refused.length) return { refused };
        for (const one of archetypes) await parts.upsert(rowOf('archetype', one, 'own'), { transaction: inside });
        for (const sheet of sheets) await save(sheet, (here.get(sheet.id)?.rev ?? 0) + 1, inside);
        return { refused: [] };
      };
      return transaction ? run(transaction) : database.transaction(run);
    },

    async deleteSheet(id: string): Promise<TakenOut> {
      const row = await parts.findByPk(id);
      if (!row || row.role !== 'sheet') return 'gone';
      if (row.origin !== 'own') return 'shipped';
      const others = (await parts.findAll({ where: { role: 'sheet', origin: 'own' } })).map((other) => JSON.parse(other.doc) as Sheet);
      if (others.some((other) => other.id !== id && containedIn(other).includes(id))) return 'contained';
      try {
        await row.destroy();
        return 'done';
      } catch (error) {
        if (error instanceof ForeignKeyConstraintError) return 'inStock';
        throw error;
      }
    },
  };
}

import {
  containedIn,
  readableCatalogue,
  type Archetype,
  type Catalogue,
  type Sheet,
  type UnreadablePart,
} from '@inch-tower/core';
import { ForeignKeyConstraintError, QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import type { PartRow, Tables } from './models';
import { createQueue, inTransaction } from './transaction';

/** The catalogue, the ids of the sheets and archetypes that are a builder's own, and what of it cannot be read. */
export type OwnedCatalogue = Catalogue & {
  readonly own: readonly string[];
  readonly unreadable: readonly UnreadablePart[];
};
/** Something of the parts that a change has to be true to; words when it is not. */
export type PartsCheck = (here: Catalogue) => string | null;
export type SavedSheet =
  | { readonly ok: true; readonly sheet: Sheet }
  | { readonly ok: false; readonly why: 'shipped' }
  | { readonly ok: false; readonly why: 'fault'; readonly words: string }
  | { readonly ok: false; readonly why: 'otherRev'; readonly theirs: Sheet };
export type TakenIn =
  | { readonly ok: true }
  | { readonly ok: false; readonly why: 'shipped'; readonly ids: readonly string[] }
  | { readonly ok: false; readonly why: 'fault'; readonly words: string };
export type TakenOut = 'done' | 'gone' | 'shipped' | 'inStock' | 'contained';

const rowOf = (role: 'sheet' | 'archetype', one: Sheet | Archetype, origin: PartRow['origin']) => ({
  id: one.id as string,
  role,
  kind: one.kind,
  name: one.name,
  rev: one.rev,
  doc: JSON.stringify(one),
  origin,
});

/** Sheets and archetypes: those shipped, and a builder's own beside them. */
export function createPartsStore(database: Sequelize, { parts }: Tables) {
  const inTurn = createQueue();
  let read: { readonly stamp: number; readonly catalogue: OwnedCatalogue } | null = null;

  const stampNow = async (transaction?: Transaction): Promise<number> => {
    const [row] = await database.query<{ value: number }>(
      `SELECT value FROM stamps WHERE name = 'parts'${transaction ? ' FOR UPDATE' : ''}`,
      { type: QueryTypes.SELECT, ...(transaction ? { transaction } : {}) },
    );
    return Number(row?.value ?? 0);
  };
  const readAt = async (stamp: number, transaction?: Transaction): Promise<OwnedCatalogue> => {
    if (read?.stamp === stamp) return read.catalogue;
    const rows = await parts.findAll({
      order: [
        ['kind', 'ASC'],
        ['id', 'ASC'],
      ],
      raw: true,
      ...(transaction ? { transaction } : {}),
    });
    const of = (role: 'sheet' | 'archetype'): Record<string, unknown> =>
      Object.fromEntries(rows.filter((row) => row.role === role).map((row) => [row.id, parsed(row.doc)]));
    const { catalogue, unreadable } = readableCatalogue({ sheets: of('sheet'), archetypes: of('archetype') });
    read = {
      stamp,
      catalogue: { ...catalogue, own: rows.filter((row) => row.origin === 'own').map((row) => row.id), unreadable },
    };
    return read.catalogue;
  };
  /** Changes parts: one writer at a time, over all servers, who sees what is there and leaves a new stamp. */
  const change = <T>(
    work: (
      transaction: Transaction,
      here: OwnedCatalogue,
    ) => Promise<{ readonly changed: boolean; readonly answer: T }>,
  ): Promise<T> =>
    inTurn(() =>
      inTransaction(database, async (transaction) => {
        const here = await readAt(await stampNow(transaction), transaction);
        const { changed, answer } = await work(transaction, here);
        if (changed) await database.query("UPDATE stamps SET value = value + 1 WHERE name = 'parts'", { transaction });
        return answer;
      }),
    );
  const write = (role: 'sheet' | 'archetype', one: Sheet | Archetype, transaction: Transaction) =>
    parts.upsert(rowOf(role, one, 'own'), { transaction });

  /** Takes in many own sheets, all or none; one that is there already gets its next revision. */
  const takeIn = async (
    sheets: readonly Sheet[],
    archetypes: readonly Archetype[],
    transaction: Transaction,
  ): Promise<TakenIn> => {
    const ids = [...sheets.map((sheet) => sheet.id as string), ...archetypes.map((one) => one.id as string)];
    const here = new Map(
      (
        await parts.findAll({ where: { id: ids }, attributes: ['id', 'role', 'origin', 'rev'], transaction, raw: true })
      ).map((row) => [row.id, row]),
    );
    // One id is one thing: a sheet never takes the place of an archetype, nor the other way round.
    const roleOf = (i: number) => (i < sheets.length ? 'sheet' : 'archetype');
    const refused = ids.filter(
      (id, i) =>
        here.get(id)?.origin === 'demo' || (here.get(id)?.role ?? roleOf(i)) !== roleOf(i) || ids.indexOf(id) !== i,
    );
    if (refused.length) return { ok: false, why: 'shipped', ids: refused };
    for (const one of archetypes) await write('archetype', one, transaction);
    for (const sheet of sheets)
      await write('sheet', { ...sheet, rev: (here.get(sheet.id)?.rev ?? 0) + 1 }, transaction);
    return { ok: true };
  };

  return {
    /** Counts the changes of the catalogue: the same number, the same parts. */
    partsStamp: (): Promise<number> => stampNow(),
    readCatalogue: async (): Promise<OwnedCatalogue> => readAt(await stampNow()),
    readCatalogueAt: (stamp: number): Promise<OwnedCatalogue> => readAt(stamp),

    /** Shipped parts that are new or were corrected since; own sheets and builds are left as they are. */
    refreshCatalogue: (catalogue: Catalogue): Promise<void> =>
      change(async (transaction) => {
        const shipped = [
          ...Object.values(catalogue.archetypes).map((one) => rowOf('archetype', one, 'demo')),
          ...Object.values(catalogue.sheets).map((one) => rowOf('sheet', one, 'demo')),
        ];
        const here = new Map((await parts.findAll({ transaction, raw: true })).map((row) => [row.id, row]));
        const changed = shipped.filter((row) => {
          const had = here.get(row.id);
          return !had || (had.origin === 'demo' && had.doc !== row.doc);
        });
        if (changed.length)
          await parts.bulkCreate(changed, { updateOnDuplicate: ['role', 'kind', 'name', 'rev', 'doc'], transaction });
        return { changed: changed.length > 0, answer: undefined };
      }),

    /** Saves an own sheet over the revision it was made on; a new one is made on revision 0. */
    saveSheet: (sheet: Sheet, madeOn: number, check: PartsCheck): Promise<SavedSheet> =>
      change<SavedSheet>(async (transaction, here) => {
        const refuse = (answer: SavedSheet) => ({ changed: false, answer });
        const words = check(here);
        const row = await parts.findByPk(sheet.id, { transaction });
        if (row && (row.origin !== 'own' || row.role !== 'sheet')) return refuse({ ok: false, why: 'shipped' });
        if (words) return refuse({ ok: false, why: 'fault', words });
        const rev = row?.rev ?? 0;
        if (rev !== madeOn)
          return refuse({ ok: false, why: 'otherRev', theirs: row ? (JSON.parse(row.doc) as Sheet) : sheet });
        const saved = { ...sheet, rev: rev + 1 } as Sheet;
        await write('sheet', saved, transaction);
        return { changed: true, answer: { ok: true, sheet: saved } };
      }),

    /** Own sheets with their archetypes, all or none, and what has to come with them in the same transaction. */
    importSheets: (
      sheets: readonly Sheet[],
      archetypes: readonly Archetype[],
      check: PartsCheck,
      andThen?: (transaction: Transaction) => Promise<void>,
    ): Promise<TakenIn> =>
      change<TakenIn>(async (transaction, here) => {
        const words = check(here);
        if (words) return { changed: false, answer: { ok: false, why: 'fault', words } };
        const answer = await takeIn(sheets, archetypes, transaction);
        if (answer.ok) await andThen?.(transaction);
        return { changed: answer.ok && sheets.length + archetypes.length > 0, answer };
      }),

    async deleteSheet(id: string): Promise<TakenOut> {
      try {
        return await change<TakenOut>(async (transaction) => {
          const row = await parts.findByPk(id, { transaction });
          if (!row || row.role !== 'sheet') return { changed: false, answer: 'gone' };
          if (row.origin !== 'own') return { changed: false, answer: 'shipped' };
          const others = (await parts.findAll({ where: { role: 'sheet', origin: 'own' }, transaction, raw: true })).map(
            (other) => parsed(other.doc) as Sheet | null,
          );
          if (others.some((other) => other && other.id !== id && containedIn(other).includes(id)))
            return { changed: false, answer: 'contained' };
          await row.destroy({ transaction });
          return { changed: true, answer: 'done' };
        });
      } catch (error) {
        if (error instanceof ForeignKeyConstraintError) return 'inStock';
        throw error;
      }
    },
  };
}

function parsed(doc: string): unknown {
  try {
    return JSON.parse(doc);
  } catch {
    return null;
  }
}

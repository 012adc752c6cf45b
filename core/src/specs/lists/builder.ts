import type { Archetype } from '../../parts/sheet';
import type { Place } from './places';

export type Row = Readonly<Record<string, unknown>>;
export type Lists = Readonly<Record<string, unknown>>;
/** Lists as a text counts them, and which of its places went into them. */
export type Made = { readonly lists: Lists; readonly taken: readonly string[]; readonly whole?: readonly string[] };
export type Said = ReadonlyMap<string, unknown>;
/** Makes the lists of a kind of sheet from its class and what a text says. */
export type Builder = (archetype: Archetype, said: Said, values: Lists, places: readonly Place[]) => Made;

export const rowsOf = (archetype: Archetype, field: string): readonly Row[] =>
  (archetype as unknown as Readonly<Record<string, readonly Row[]>>)[field] ?? [];

export type SaidPlug = { readonly count: number; readonly kind: string };
/** Lanes of a plug, and what goes through it. */
const LANES: Readonly<Record<string, number>> = { sata: 1, esata: 1, 'sff-8482': 1 };
export const lanesOf = (kind: string): number => LANES[kind] ?? (kind.endsWith('-8i') ? 8 : 4);
export const isSata = (kind: string): boolean => kind === 'sata' || kind === 'esata';
export const isPcie = (kind: string): boolean => kind === 'sff-8639' || kind.startsWith('sff-8611');

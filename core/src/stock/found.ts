import type { ArchetypeId } from '../parts/ids';
import type { PartKind } from '../parts/vocabulary';

/** A part found in a listing: the class it stands on, what the listing says of it, and what was guessed. */
export type Found = {
  readonly kind: PartKind;
  readonly name: string;
  readonly count: number;
  readonly archetype: ArchetypeId;
  readonly values: Readonly<Record<string, unknown>>;
  readonly hours?: number;
  /** When it was made, as far as the listing knows. */ readonly year?: number;
  readonly note?: string;
  /** What the listing does not say and the archetype or a rule of thumb stands in for. */
  readonly guessed: readonly string[];
  /** Fields among the values that are a guess of ours: typical, until somebody says otherwise. */
  readonly typical?: readonly string[];
};

/** A line of a listing with its number in the whole text. */
export type Line = { readonly line: number; readonly text: string };

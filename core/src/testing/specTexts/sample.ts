import type { PartKind } from '../../parts/vocabulary';

/** A text as it is copied from somewhere, its kind, and every field a person would read from it. */
export type Sample = {
  readonly id: string;
  readonly kind: PartKind;
  readonly text: string;
  readonly fields: Readonly<Record<string, unknown>>;
  /** Ports, slots, bays and plugs by what they are called; where it is missing nobody looked. */
  readonly places?: Readonly<Record<string, unknown>>;
};

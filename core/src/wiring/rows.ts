import type { Wire } from '../build/layout';
import type { CableKind } from '../links/cableKinds';

/** One cable of the layout as a builder handles it. MB/s are what it carries at most and what its drives could give. */
export type CableRow = {
  readonly label: string;
  readonly wire: Wire;
  readonly cable: CableKind;
  readonly from: { readonly host: string; readonly words: string };
  readonly to: {
    readonly host: string;
    readonly words: string;
    /** The bays or the part alone. */ readonly brief: string;
  };
  /** Drives it serves, by unit. */
  readonly drives: readonly string[];
  readonly carriesMBps: number;
  readonly asksMBps: number;
  /** About how long it has to be; null where it leaves its box. */
  readonly runMm: number | null;
  readonly source: CableSource;
};
/** Where a cable comes from: a cable of the kit, the box of a part, or a shop. */
export type CableSource =
  | { readonly kind: 'kit'; readonly name: string; readonly lengthMm: number }
  | { readonly kind: 'box'; readonly of: string; readonly lengthMm: number }
  | { readonly kind: 'buy' };

/**
 * A board, card or socket that drives hang on, with its link towards the processor: null for what is on the processor
 * itself. A socket of the board stands for itself, under the unit in it.
 */
export type HostRow = {
  readonly unit: string;
  readonly name: string;
  readonly mark: string;
  readonly cables: readonly CableRow[];
  readonly modules: readonly ModuleRow[];
  /** Ports that nothing is on, by kind. */
  readonly free: readonly { readonly kind: string; readonly count: number }[];
  readonly link: HostLink | null;
  /** The card that feeds an expander. */
  readonly behind: string | null;
};

/** A drive plugged straight into a socket: no cable, its link is the socket's. */
export type ModuleRow = {
  readonly unit: string;
  readonly mark: string;
  readonly name: string;
  readonly socket: string;
  readonly carriesMBps: number;
  readonly asksMBps: number;
};

/**
 * `words` is the slot or socket, `rate` its width in words; `uplink` marks a board's own, from its chipset to the
 * processor.
 */
export type HostLink = {
  readonly words: string;
  readonly rate: string;
  readonly lanes: number;
  readonly gen: number;
  readonly mbPerS: number;
  readonly owner: 'processor' | 'chipset';
  readonly wiredLanes: number;
  readonly uplink: boolean;
};

/** What nothing is plugged into. */
export type LooseEnd = { readonly unit: string; readonly mark: string; readonly words: string; readonly why: string };

/** Lanes or MB/s of a source that are in use. */
export type Budget = {
  readonly source: 'processor' | 'chipset';
  readonly words: string;
  readonly used: number;
  readonly has: number;
  readonly unit: 'lanes' | 'MB/s';
};

export type Wiring = {
  readonly hosts: readonly HostRow[];
  readonly loose: readonly LooseEnd[];
  readonly budgets: readonly Budget[];
};

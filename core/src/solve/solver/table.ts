import { plainAt, type ReadonlyNonEmpty } from '../../lists';
import type { SpotRef } from '../../build/layout';
import type { ConnectorKind, Protocol } from '../../parts/vocabulary';
import type { HostPort, Target } from '../../links/ports';
import type { PlannedUnit } from '../../machine/units';
import type { BayGroupHere } from './bayPlans';
import type { BoxHomes } from './boxHomes';

/**
 * The dealing's own view of a machine: counts of classes, no names. Built by `buildTable.ts`, read by `layers.ts`,
 * turned into seats and cables by `expand.ts`.
 */
export type Table = {
  readonly drives: readonly DriveClass[];
  readonly cells: readonly Cell[];
  readonly ports: readonly PortClass[];
  readonly ends: readonly EndClass[];
  readonly expanders: readonly ExpanderCell[];
  /** Cables in hand, by cable. */
  readonly owned: readonly { readonly cable: string; readonly count: number }[];
  /** Controllers that might be given more drives than they take. */
  readonly limits: readonly { readonly unit: string; readonly most: number }[];
  /** Where drives were before; null where none can leave its box. */ readonly homes: BoxHomes | null;
};

/** Drives that no place or port of this machine tells apart. */
export type DriveClass = {
  readonly units: ReadonlyNonEmpty<DriveUnit>;
  readonly protocol: Protocol;
  readonly wishMBps: number;
  readonly rank: 0 | 1 | 2;
  readonly out: number;
  readonly loose: number;
  readonly boot: boolean;
};
export type DriveUnit = PlannedUnit & { readonly part: Extract<PlannedUnit['part'], { kind: 'drive' }> };

export type Bay = {
  readonly name: string;
  readonly n: number;
  readonly spot: SpotRef;
};

/**
 * Bays that a drive sees as one: those behind one connector (`direct`), behind an expander, bridge
 * or multiplier (`shared`), or those of a group where every bay has a cable of its own (`loose`).
 * By class of drive: `takes` 0 not, 1 well, 2 without fitting; `home` had a place here and `held`, `put` of them.
 */
export type Cell = {
  readonly kind: 'direct' | 'shared' | 'loose';
  readonly group: BayGroupHere;
  readonly box: string | null;
  readonly bays: readonly Bay[];
  readonly takes: readonly number[];
  readonly taste: readonly number[];
  readonly home: readonly number[];
  readonly put: readonly number[];
  readonly held: readonly number[];
  /** Connectors that feed it: of a direct cell one, of a shared one its uplinks, of a loose one none. */
  readonly targets: readonly Target[];
  /** Cables from shelf to shelf, where the bays of several chained ones are one cell. */
  readonly links: readonly ChainLink[];
  /** Lanes of a feeding connector, and what each carries towards the drives, Gb/s. */
  readonly lanes: number;
  readonly laneGb: number;
  /** The port class of each settled cable to its targets. */
  readonly fedFrom: readonly number[];
  /** Whether ports of several single-lane sockets may join in reverse; the settled layout does so. */
  readonly reverse: string | null;
  readonly wasReverse: boolean;
  /** The port class of each settled strand of it. */
  readonly joinedFrom: readonly number[];
  readonly feeds: readonly Feed[];
  /** Of a loose cell: the kind of end each class of drive waits with, -1 where none. */
  readonly ends: readonly number[];
};

/** The cable to a shelf chained behind another: laid where a drive sits in its bays, or beyond. */
export type ChainLink = { readonly from: Target; readonly to: Target; readonly beyond: ReadonlySet<string> };

/** A straight cable from a class of ports: which drives it serves and what each loses on it. */
export type Feed = {
  readonly port: number;
  readonly cable: string;
  readonly owned: number;
  readonly serves: readonly boolean[];
  readonly lossMBps: readonly number[];
  readonly carriesMBps: number;
};

/**
 * An expander card: fed like a shared cell, it turns its other connectors into ports. `outlets` of a feed are the
 * classes of those by one and two uplinks from there.
 */
export type ExpanderCell = {
  readonly unit: PlannedUnit;
  readonly connectors: number;
  readonly feeds: readonly (Feed & { readonly outlets: readonly number[] })[];
  readonly fedFrom: readonly number[];
};

/**
 * Ports that nothing here tells apart. Those of an expander card are a class for every way it may be fed: `behind` is
 * its index, `uplinkMBps` what all its uplinks carry then, `limit` that of the card it hangs on; what is settled on its
 * connectors is noted at the `first` of them.
 */
export type PortClass = {
  readonly ports: ReadonlyNonEmpty<HostPort>;
  readonly kind: ConnectorKind;
  readonly lanes: number;
  readonly onBoard: boolean;
  readonly limit: number;
  readonly behind: number;
  readonly first: number;
  readonly uplinkMBps: number;
  /** Whether a cable was put or held here by hand. */
  readonly firm: boolean;
  /** Settled uses: single cables and breakouts by cable. */
  readonly single: ReadonlyMap<string, number>;
};

/** Single ends that wait for a lane: what can serve them, and what a drive loses there, by class of ports. */
export type EndClass = {
  /** The class of ports a cable put or held by hand ties it to, -1 where none. */ readonly tied: number;
  readonly drive: number;
  readonly box: string | null;
  readonly kind: ConnectorKind;
  readonly bare: boolean;
  readonly serves: readonly (EndCable | null)[];
};
export type EndCable = {
  readonly cable: string;
  readonly lossMBps: number;
  /** A breakout's other cable that serves it too, for SAS tails on SATA drives. */ readonly also: string | null;
};

/** What is left while dealing, as counts; `Offsets` of `bounds.ts` says where each stands. */
export type State = number[];
/**
 * Ports left of a class. Of an expander card one more is written down than there are while it is fed in that way, so
 * that this is known when all are taken.
 */
export const freePorts = (state: State, offset: number, p: number, { behind }: PortClass): number =>
  behind < 0 ? plainAt(state, offset + p) : Math.max(0, plainAt(state, offset + p) - 1);
/** MB/s are kept in steps of so many. */
export const STEP = 50;

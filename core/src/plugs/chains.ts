import type { SpotRef } from '../build/layout';
import { isSplittable, PLUG_A, wireA } from '../needs/plugLoads';
import { ofKind, type PlannedUnit, type UnitOf } from '../machine/units';
import type { PlugKind } from '../parts/vocabulary';

/**
 * A cable of a supply with its plugs in order from there, or an output of a board. `wireA` is what it carries a rail;
 * lengths are to the first plug and from each to the next; an output of a board has
 * neither gauge nor length known.
 */
export type Chain = {
  readonly host: SpotRef;
  readonly of: PlannedUnit;
  readonly plugs: readonly PlugKind[];
  readonly wireA: number;
  readonly wire: ChainWire | null;
};
/** `live` wires carry a rail side by side, and `returns` bring it back with what the other rail sends. */
export type ChainWire = {
  readonly gaugeAwg: number;
  readonly firstMm: number;
  readonly stepMm: number;
  readonly live: number;
  readonly returns: number;
};

/** Wires of 12 V on plugs that have several (ATX12V, EPS12V, PCI-SIG CEM); a drive's plug has one a rail. */
const LIVE: Partial<Record<PlugKind, number>> = {
  '8-pin-cpu': 4,
  '4-pin-cpu': 2,
  '8-pin-card': 3,
  '6-pin-card': 3,
  '24-pin': 2,
};
/** W that one plug with several wires is made for (ATX12V, EPS12V, PCI-SIG CEM); a main plug is not reckoned. */
const PLUG_W: Partial<Record<PlugKind, number>> = {
  '8-pin-cpu': 336,
  '4-pin-cpu': 168,
  '8-pin-card': 150,
  '6-pin-card': 75,
};
/** A cable of such plugs is made for what they carry together. */
const madeForA = (plugs: readonly { readonly plug: PlugKind; readonly count: number }[]): number =>
  plugs.reduce((sum, { plug, count }) => sum + (count * (PLUG_W[plug] ?? Infinity)) / 12, 0);
const liveOn = (plugs: readonly { readonly plug: PlugKind }[]): number =>
  plugs.some(({ plug }) => isSplittable(plug)) ? 1 : Math.max(1, ...plugs.map(({ plug }) => LIVE[plug] ?? 1));

/** From one plug of a cable to the next, mm, typical. */
const STEP_MM = 150;

/** All cables of some supplies, each by itself, of like redundant ones once, and then what boards of their box give. */
export function chainsOf(supplies: readonly UnitOf<'supply'>[], boards: readonly UnitOf<'board'>[]): readonly Chain[] {
  const ofSupply = (supply: UnitOf<'supply'>) =>
    supply.part.cables.flatMap((cable) => {
      const live = liveOn(cable.plugs);
      return Array.from({ length: cable.count }, (_, i): Chain => ({
        host: { host: supply.id, key: cable.key, n: i + 1 },
        of: supply,
        plugs: cable.plugs.flatMap(({ plug, count }) => Array.from({ length: count }, () => plug)),
        wireA: live > 1 ? madeForA(cable.plugs) : wireA(cable.gaugeAwg),
        wire: {
          gaugeAwg: cable.gaugeAwg,
          firstMm: cable.lengthMm,
          stepMm: STEP_MM,
          live,
          // A drive's plug has two returns for its two rails; others one for each live wire.
          returns: live === 1 ? 2 : live,
        },
      }));
    });
  const ofBoards = boards.flatMap((of) =>
    (of.part.powerOutputs ?? []).flatMap(({ plug, count }) =>
      Array.from({ length: count }, (_, i): Chain => ({
        host: { host: of.id, key: `output-${plug}`, n: i + 1 },
        of,
        plugs: [plug],
        wireA: PLUG_A[plug] ?? Infinity,
        wire: null,
      })),
    ),
  );
  // Redundant modules feed one board, and the cables are that board's.
  const own = supplies.filter(
    ({ part }, i) => part.form !== 'redundant' || supplies.findIndex((other) => other.part.id === part.id) === i,
  );
  return [...own.flatMap(ofSupply), ...ofBoards];
}

export const boardsIn = (units: readonly PlannedUnit[], within: (unit: PlannedUnit) => boolean) =>
  ofKind(units, 'board').filter(within);

/** Resistance of a copper conductor by its gauge, ohm a metre: d = 0.127 mm · 92^((36 − AWG)/39) (ASTM B258), 20 °C. */
export function ohmPerM(gaugeAwg: number): number {
  const mm = 0.127 * 92 ** ((36 - gaugeAwg) / 39);
  return 0.017241 / ((Math.PI / 4) * mm * mm);
}

/**
 * What is lost on the way to the last plug in use, V on each rail. Every segment carries what hangs beyond it, parted
 * among its wires, and the returns part what both rails send: Σ r·L·(I/live + (I₁₂ + I₅)/returns).
 */
export function dropV(
  { firstMm, stepMm, gaugeAwg, live, returns }: ChainWire,
  atPlugs: readonly { readonly a12: number; readonly a5: number }[],
): { readonly v12: number; readonly v5: number } {
  const ohm = ohmPerM(gaugeAwg);
  let [v12, v5] = [0, 0];
  for (let i = 0; i < atPlugs.length; i++) {
    const beyond = atPlugs.slice(i);
    const a12 = beyond.reduce((sum, one) => sum + one.a12, 0);
    const a5 = beyond.reduce((sum, one) => sum + one.a5, 0);
    const segment = (ohm * (i === 0 ? firstMm : stepMm)) / 1000;
    v12 += segment * (a12 / live + (a12 + a5) / returns);
    v5 += segment * (a5 / live + (a12 + a5) / returns);
  }
  return { v12, v5 };
}

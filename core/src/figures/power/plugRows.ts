import type { Edit } from '../../build/edits';
import { printSpot, type SpotRef, type Wire } from '../../build/layout';
import type { UnitId } from '../../parts/ids';
import type { PlugKind } from '../../parts/vocabulary';
import { groupAt } from '../../machine/spotAt';
import { unitsById, type PlannedUnit } from '../../machine/units';
import { plugWord } from '../../plugs/words';
import type { Input } from '../../plugs/inputs';
import type { Amps } from '../../plugs/place';
import type { ChainPlan, PlacedInput, PlugPlan } from './plugPlan';

/** An input that wants a plug: the unit it is of, with its name, and which of several alike it is. */
type InputRow = {
  readonly unit: UnitId;
  readonly mark: string;
  readonly name: string;
  readonly input: { readonly n: number; readonly of: number } | null;
  readonly plug: PlugKind;
};
/** What stands on a plug: an input by its place, and the drives behind it. */
export type PlugUse = InputRow & {
  readonly spot: SpotRef;
  readonly drives: readonly UnitId[];
  readonly start: Amps;
  readonly run: Amps;
  readonly how: Wire['how'];
};
type PlugRow = {
  readonly plug: PlugKind;
  readonly uses: readonly PlugUse[];
  /** A splitter that stands on it, with what hangs there. */
  readonly splitter: { readonly unit: UnitId; readonly mark: string; readonly name: string } | null;
};
/** A cable of a supply, or an output of a board; `label` is on both its ends, and none where it stays in the box. */
export type PowerCable = {
  readonly host: SpotRef;
  readonly label: string | null;
  readonly name: string;
  readonly plugs: readonly PlugRow[];
  readonly carriesA: number;
  /** Where what its parts take is known; a board's main plug is not computed. */ readonly isCounted: boolean;
  readonly start: Amps;
  readonly run: Amps;
  readonly drop: ChainPlan['drop'];
};
export type PowerBox = {
  readonly box: UnitId | null;
  readonly name: string;
  readonly supply: { readonly unit: UnitId; readonly mark: string; readonly name: string };
  readonly cables: readonly PowerCable[];
  /** Inputs for which no plug is left. */ readonly without: readonly InputRow[];
  readonly spareSplitters: readonly string[];
  /** Whether it is proven that no way of plugging is better. */ readonly whole: boolean;
};

/** Plug plans as pages and lists show them: cables in use are labelled P1, P2, … through all boxes. */
export function powerBoxes(plans: readonly PlugPlan[], units: readonly PlannedUnit[]): PowerBox[] {
  const byId = unitsById(units);
  let label = 0;
  return plans.map(({ box, supplies, chains, without, spareSplitters, whole }): PowerBox => {
    const use = (one: PlacedInput): PlugUse => ({
      ...about(one.input, byId),
      spot: one.input.spot,
      drives: one.input.input.drives.map(({ id }) => id),
      start: one.start,
      run: one.run,
      how: one.how,
    });
    return {
      box: box?.id ?? null,
      name: box?.part.name ?? 'On the table',
      supply: {
        unit: supplies[0].id,
        mark: supplies.map(({ mark }) => mark).join(', '),
        name: [...new Set(supplies.map(({ part }) => part.name))].join(' and '),
      },
      cables: chains.map((one): PowerCable => {
        const plugs = one.plugs.map(({ plug, on, splitter }): PlugRow => ({
          plug,
          uses: [...on, ...(splitter?.on ?? [])].map(use),
          splitter: splitter && {
            unit: splitter.unit.id,
            mark: splitter.unit.mark,
            name: splitter.unit.part.name,
          },
        }));
        const uses = plugs.flatMap((plug) => plug.uses);
        return {
          host: one.chain.host,
          label: uses.length > 0 ? `P${++label}` : null,
          name: cableName(one, chains, supplies.length > 1),
          plugs,
          carriesA: one.chain.wireA,
          isCounted: uses.some(({ start, run }) => start.a12 + start.a5 + run.a12 + run.a5 > 0),
          start: one.start,
          run: one.run,
          drop: one.drop,
        };
      }),
      without: without.map((input) => about(input, byId)),
      spareSplitters: spareSplitters.map(({ part }) => part.name),
      whole,
    };
  });
}

/** "SATA power 2 of 3", by what is on it. */
function cableName({ chain }: ChainPlan, all: readonly ChainPlan[], isOneOfSeveral: boolean): string {
  const kinds = [...new Set(chain.plugs)].map(plugWord).join(' and ');
  const alike = all.filter(({ chain: other }) => other.of === chain.of && other.host.key === chain.host.key);
  const name = alike.length > 1 ? `${kinds} ${chain.host.n} of ${alike.length}` : kinds;
  return isOneOfSeveral ? `${chain.of.mark}: ${name}` : name;
}

/** A part by its name; a backplane by its host's and its bays'. */
function about({ input, spot }: Input, byId: ReadonlyMap<string, PlannedUnit>): InputRow {
  const { by, drives, group, count, plug } = input;
  const isBackplane = drives.length > 0 && drives[0] !== by;
  const bay = isBackplane && groupAt(byId, { host: by.id, key: group.split('/')[1]!, n: 1 });
  return {
    unit: by.id,
    mark: by.mark,
    name: bay ? `${by.part.name}, ${lower(bay.label)}` : by.part.name,
    input: count > 1 ? { n: spot.n ?? 1, of: count } : null,
    plug,
  };
}

/** "Gable 24, front bays, input 2 of 6". */
export const inputWords = ({ name, input }: Pick<InputRow, 'name' | 'input'>): string =>
  input ? `${name}, input ${input.n} of ${input.of}` : name;

/** Where a cable carries most: A on which rail, at the start or at work, as a share of what it carries. */
export function cablePeak({ start, run, carriesA }: Pick<PowerCable, 'start' | 'run' | 'carriesA'>): {
  readonly amps: number;
  readonly rail: '12 V' | '5 V';
  readonly when: 'start' | 'run';
  readonly share: number;
} {
  const most = ({ a12, a5 }: Amps) => Math.max(a12, a5);
  const when = most(run) > most(start) ? 'run' : 'start';
  const at = when === 'run' ? run : start;
  return { amps: most(at), rail: at.a5 > at.a12 ? '5 V' : '12 V', when, share: most(at) / carriesA };
}

const lower = (words: string) => words.charAt(0).toLowerCase() + words.slice(1);

/** One line of the list of power plugs, in words. */
export type PowerLine = {
  readonly label: string;
  readonly from: string;
  readonly plug: string;
  readonly to: string;
  readonly marks: string;
  readonly start: string;
  readonly run: string;
  readonly how: string;
};

const HOW = { solved: '', put: 'put by hand', held: 'held' } as const;
const ampsWords = ({ a12, a5 }: Amps): string => (a12 + a5 > 0 ? `${a12.toFixed(1)} / ${a5.toFixed(1)} A` : '');

/** Which plug of which cable goes where, in the order they are plugged in. */
export const powerSchedule = (boxes: readonly PowerBox[]): PowerLine[] =>
  boxes.flatMap(({ supply, cables }) =>
    cables.flatMap(({ label, name, plugs, host }) =>
      plugs.flatMap(({ plug, uses, splitter }, i) =>
        uses.map((use): PowerLine => ({
          label: label ?? '',
          from: host.host === supply.unit ? `${supply.name}, ${name}` : name,
          plug: `${i + 1}, ${plugWord(plug)}` + (splitter ? `, by ${splitter.name} ${splitter.mark}` : ''),
          to: inputWords(use),
          marks: use.mark,
          start: ampsWords(use.start),
          run: ampsWords(use.run),
          how: HOW[use.how],
        })),
      ),
    ),
  );

/**
 * The edits that put an input on a cable by hand, or hold it there. All others of the box ask to stay where they are:
 * moving one plug moves no other.
 */
export function putPlug(
  { cables }: PowerBox,
  { spot }: Pick<PlugUse, 'spot'>,
  host: SpotRef,
  how: 'put' | 'held',
): Edit[] {
  const plug = (one: SpotRef, on: SpotRef, as: Wire['how']): Edit => ({
    type: 'plug.put',
    plug: { cable: 'power', host: [on], device: [one], how: as },
  });
  const others = cables.flatMap((cable) =>
    cable.plugs
      .flatMap(({ uses }) => uses)
      .filter((use) => use.how === 'solved' && printSpot(use.spot) !== printSpot(spot))
      .map((use) => plug(use.spot, cable.host, 'solved')),
  );
  return [...others, plug(spot, host, how)];
}

/** Cables of a box with a plug free for what stands on another, less its own. */
export function otherCables({ cables }: PowerBox, use: PlugUse): PowerCable[] {
  const own = cables.find(({ plugs }) => plugs.some(({ uses }) => uses.includes(use)));
  return cables.filter(
    (cable) =>
      cable !== own &&
      cable.plugs.some(({ plug, uses, splitter }) => !splitter && uses.length === 0 && plug === use.plug),
  );
}

import { groupedBy } from '../../lists';
import { boxOf, seatsOf } from '../../machine/hosts';
import { isKind, ofKind, unitsById } from '../../machine/units';
import { basisOf, factOf } from '../../parts/resolve';
import { DISKS_A_CABLE } from '../../plugs/configs';
import { isPastAllCables, worstCable, worstSplitter, type CableOver } from '../../figures/power/overloads';
import { placeCase, plugCases, plugPlans, type ChainPlan, type PlugCase } from '../../figures/power/plugPlan';
import { splittingOf } from '../../figures/power/splitting';
import { plugLimits, type PlugOver } from '../../needs/plugLimits';
import { fanPlans } from '../../needs/fanHeaders';
import { plugBalance } from '../../needs/plugs';
import { isSplittable } from '../../needs/plugLoads';
import type { Situation } from '../situation';
import type { Found } from '../words';
import { groupAt } from '../../machine/spotAt';
import { spotOf } from '../situation';
import { seatedCards } from '../cards';
import type { Supply } from './supply';
import { boxesOf } from '../../figures/boxes';
import { suppliesIn } from '../../figures/power/feeds';

type Supplies = readonly Supply[];
/** Boxes that have a supply, each with all of its. */
const suppliedBoxes = ({ context }: Situation) =>
  boxesOf(context).flatMap((box) => {
    const supplies = suppliesIn(context, box);
    return supplies.length > 0 ? [{ box, supplies }] : [];
  });
const atAll = (supplies: Supplies) => supplies.map(({ id }) => ({ unit: id }));
const namesOf = (supplies: Supplies): string => [...new Set(supplies.map(({ part }) => part.name))].join(' and ');
/** Plugs on drives, cages, boards and cards against those on the supply's cables. */
export function plugsShort(situation: Situation): Found<'powered.plugs'>[] {
  return suppliedBoxes(situation).flatMap(({ box, supplies }) =>
    plugBalance(situation.units, situation.layout, box, supplies)
      .filter((one) => one.short > 0)
      .map((one): Found<'powered.plugs'> => {
        const own = plugCases(situation.context).find((of) => of.box === box);
        const split = own && isSplittable(one.plug) ? splittingOf(own) : null;
        const hasPlugs = own?.chains.some(({ plugs }) => plugs.some(isSplittable)) ?? false;
        return {
          severity: split === 'safely' || split === 'barely' ? 'caution' : 'blocker',
          at: [...atAll(supplies), ...one.wantedBy.map((unit) => ({ unit: unit.id }))],
          gap: { have: one.have, limit: one.need, gap: -one.short, unit: 'plugs' },
          facts: {
            plug: one.plug,
            need: one.need,
            have: one.have,
            supply: namesOf(supplies),
            short: one.short,
            overload: split === 'barely' ? 'may' : split === 'never' && hasPlugs ? 'yes' : '',
          },
        };
      }),
  );
}

/** What hangs on one plug against what that carries: what is certain blocks, what may be cautions. */
export function plugLoad(situation: Situation): Found<'powered.plugLoad'>[] {
  return plugCases(situation.context).flatMap(({ supplies, wanted, atOnce }) => {
    const [certain, likely] = [plugLimits(wanted, 'lo', atOnce), plugLimits(wanted, 'value', atOnce)];
    return plugLimits(wanted, 'hi', atOnce).map((most): Found<'powered.plugLoad'> => {
      const { input } = most;
      const isHere = (one: PlugOver) => one.input === input;
      const isCertain = certain.some(isHere);
      const { hasA, carriesA, rail } = (isCertain && likely.find(isHere)) || most;
      return {
        severity: isCertain ? 'blocker' : 'caution',
        at: [...atAll(supplies), { unit: input.by.id }],
        gap: { have: hasA, limit: carriesA, gap: carriesA - hasA, unit: 'A' },
        facts: {
          host: input.by.part.name,
          drives: Math.ceil(new Set(input.drives).size / input.count),
          plug: most.plug,
          rail,
          start: atOnce === Infinity ? 'yes' : '',
        },
      };
    });
  });
}

/** The fullest splitter, with plugs dealt as they carry best: what is past its rating for certain blocks. */
export function splitterLoad({ context, layout }: Situation): Found<'powered.splitters'>[] {
  return plugCases(context).flatMap((one): Found<'powered.splitters'>[] => {
    if (one.splitters.length === 0) return [];
    const likely = worstSplitter(one, placeCase(one, 'value', []));
    const least = likely && placeCase(one, 'lo', []);
    const isCertain = least !== null && least.placed.whole && worstSplitter(one, least) !== null;
    const over = isCertain
      ? likely
      : (worstSplitter(one, placeCase(one, 'value', layout.plugs)) ??
        worstSplitter(one, placeCase(one, 'hi', layout.plugs)));
    if (!over) return [];
    const { hasA, carriesA, rail, drives, atStart } = over.worst;
    return [
      {
        severity: isCertain ? 'blocker' : 'caution',
        at: [...atAll(one.supplies), ...one.splitters.map(({ id }) => ({ unit: id }))],
        gap: { have: hasA, limit: carriesA, gap: carriesA - hasA, unit: 'A' },
        facts: { drives: Math.round(drives), splitters: over.count, rail, start: atStart ? 'yes' : '' },
      },
    ];
  });
}

/** The fullest cable in the best way of plugging, against its wire and pin: of plugs placed, not counted. */
export function wireLoad(situation: Situation): Found<'powered.wires'>[] {
  const { context, layout } = situation;
  return plugCases(context).flatMap((one): Found<'powered.wires'>[] => {
    // By hand a builder may overload what could be dealt better, and what cables a supply has may be no more than
    // typical of its class: that is told, and blocks nothing.
    const isKnown = one.supplies.every(({ part }) => basisOf(part, 'cables') !== 'typical');
    const best = worstCable(one, placeCase(one, 'value', []));
    const least = isKnown && best !== null ? placeCase(one, 'lo', []) : null;
    // A way of dealing that is not proven to be the best blocks only where no way could be within.
    const isCertain =
      least !== null && worstCable(one, least) !== null && (least.placed.whole || isPastAllCables(least));
    const found = isCertain
      ? best
      : (worstCable(one, placeCase(one, 'value', layout.plugs)) ??
        worstCable(one, placeCase(one, 'hi', layout.plugs)) ??
        (one.atOnce === Infinity ? null : worstWave(context, one)));
    if (!found) return [];
    const { chain, rail, hasA, drives, atStart } = found.worst;
    return [
      {
        severity: isCertain ? 'blocker' : 'caution',
        at: [{ unit: chain.of.id }],
        gap: { have: hasA, limit: chain.wireA, gap: chain.wireA - hasA, unit: 'A' },
        facts: {
          supply: chain.of.part.name,
          drives: Math.round(drives),
          cables: found.count,
          rail,
          start: atStart ? 'yes' : '',
        },
      },
    ];
  });
}

/** Drives that start in turn may still start on one cable: the fullest at its worst moment, as plugs are placed. */
function worstWave(context: Situation['context'], one: PlugCase): ReturnType<typeof worstCable> {
  const chains = plugPlans(context).find(({ box }) => box === one.box)?.chains ?? [];
  const over = chains.flatMap(({ chain, start, drives }) => {
    const rail = start.a5 > start.a12 ? '5 V' : '12 V';
    const hasA = Math.max(start.a12, start.a5);
    const worst: CableOver = { chain, rail, hasA, carriesA: chain.wireA, drives, atStart: true };
    return hasA > chain.wireA + 1e-6 ? [worst] : [];
  });
  return over[0]
    ? { worst: over.reduce((most, next) => (next.hasA > most.hasA ? next : most), over[0]), count: over.length }
    : null;
}

/** Shares of a rail's volts that may be lost on a cable. */
const DROP = { start: 0.05, run: 0.03 };

/** What is lost on the way to the last plug of a cable. */
export function cableDrop(situation: Situation): Found<'powered.drop'>[] {
  return plugPlans(situation.context).flatMap(({ supplies: [supply], chains }): Found<'powered.drop'>[] => {
    const most = { start: 0, run: 0 };
    for (const { drop } of chains) {
      most.start = Math.max(most.start, drop?.start ?? 0);
      most.run = Math.max(most.run, drop?.run ?? 0);
    }
    const when = most.run > DROP.run ? 'run' : 'start';
    if (most[when] <= DROP[when]) return [];
    const [have, limit] = [most[when] * 100, DROP[when] * 100];
    return [
      {
        severity: 'caution',
        at: [{ unit: supply.id }],
        gap: { have, limit, gap: limit - have, unit: '%' },
        facts: { supply: supply.part.name, start: when === 'start' ? 'yes' : '' },
      },
    ];
  });
}

/** More spinning disks with plugs of their own on one cable than good practice hangs there. */
export function manyOnACable(situation: Situation): Found<'powered.manyOnACable'>[] {
  return plugPlans(situation.context).flatMap(({ supplies: [supply], chains }): Found<'powered.manyOnACable'>[] => {
    const bare = (chain: ChainPlan) =>
      chain.plugs
        .flatMap(({ on, splitter }) => [...on, ...(splitter?.on ?? [])])
        .filter(({ input: { input } }) => isKind(input.by, 'drive') && input.by.part.medium === 'disk').length;
    const most = Math.max(0, ...chains.map(bare));
    return most <= DISKS_A_CABLE
      ? []
      : [
          {
            severity: 'note',
            at: [{ unit: supply.id }],
            gap: { have: most, limit: DISKS_A_CABLE, gap: DISKS_A_CABLE - most, unit: 'disks' },
            facts: { supply: supply.part.name },
          },
        ];
  });
}

/**
 * Fans on the headers of a board, as they carry best, against what those carry. A chassis may feed the fans that came
 * with it by a board of its own, and a header that is typical may carry more: only what is said blocks.
 */
export function fanHeaders({ units, layout }: Situation): Found<'powered.fans'>[] {
  const certain = fanPlans(units, layout, 'lo');
  return fanPlans(units, layout).flatMap(({ board, over }, i): Found<'powered.fans'>[] => {
    if (!over) return [];
    const { outlet, hasA } = over;
    const [first] = outlet.fans;
    const sure = certain[i]?.over && certain[i].isBest ? certain[i].over.outlet : null;
    const isKnown =
      basisOf(board.part, 'fanHeaders') !== 'typical' && (sure?.fans ?? []).every((fan) => fan.builtIn === undefined);
    return [
      {
        severity: sure && isKnown ? 'blocker' : 'caution',
        at: [{ unit: outlet.of.id }, ...outlet.fans.map(({ id }) => ({ unit: id }))],
        gap: { have: hasA, limit: outlet.carriesA, gap: outlet.carriesA - hasA, unit: 'A' },
        facts: {
          fans: outlet.fans.length,
          fan: first?.part.name ?? '',
          of: outlet.of.part.name,
          isHub: outlet.of === board ? '' : 'yes',
        },
      },
    ];
  });
}

/** Fans without a PWM wire on a board that steers by PWM alone. */
export function fanSteering({ context, units, layout }: Situation): Found<'powered.fanSteer'>[] {
  const { unsteered } = context;
  if (!unsteered) return [];
  const seats = seatsOf(layout);
  return ofKind(units, 'board').flatMap((board) => {
    const box = boxOf(board.id, seats, units);
    const fans = ofKind(units, 'fan').filter(({ id }) => unsteered.has(id) && boxOf(id, seats, units) === box);
    // Those of one entry, or of one chassis or cooler, are changed together.
    const alike = groupedBy(fans, ({ part, item, builtIn }) => `${part.id} ${item?.id ?? builtIn?.spot.host}`);
    return [...alike.values()].map((these): Found<'powered.fanSteer'> => ({
      severity: 'caution',
      at: [...these.map(({ id }) => ({ unit: id })), { unit: board.id }],
      facts: { count: these.length, fan: these[0].part.name, board: board.part.name },
    }));
  });
}

/** W that a card may take from a slot, by the smaller of its own connector and the slot (PCI-SIG CEM). */
function slotAllowanceW(lanes: number, height: 'full' | 'low'): number {
  if (lanes === 1) return height === 'full' ? 25 : 10;
  // A board does not know how high a card is: a low-profile one in a slot of 16 lanes gets what that gives.
  return lanes < 16 ? 25 : 75;
}

/** A card without a plug of its own that draws more than its slot gives. */
export function slotPower(situation: Situation): Found<'powered.slot'>[] {
  const byId = unitsById(situation.units);
  return seatedCards(situation).flatMap((unit): Found<'powered.slot'>[] => {
    const { part } = unit;
    const spot = spotOf(situation, unit);
    const group = spot && groupAt(byId, spot);
    if (
      !spot ||
      group?.type !== 'slot' ||
      part.bus !== 'pcie' ||
      (part.kind === 'expander' && part.poweredBy === 'plug') ||
      ('powerInputs' in part && (part.powerInputs ?? []).length > 0)
    )
      return [];
    const { value, lo, hi } = factOf(part, 'peakW');
    const limit = slotAllowanceW(Math.min(part.lanes, group.slot.lanes), part.height);
    // A card is made to its slot: what is typical of its class passes that by its likely value or not at all.
    if (value <= limit) return [];
    const most = slotAllowanceW(Math.min(part.lanes, group.slot.lanes), 'full');
    return [
      {
        // A slot of one lane that gives a high card 25 W gives them to a low one too; that it does is not sure.
        severity: lo > most ? 'blocker' : 'caution',
        at: [{ unit: unit.id }],
        gap: { have: value, limit, gap: limit - value, unit: 'W', lo, hi },
        facts: { card: part.name, slot: group.label },
      },
    ];
  });
}

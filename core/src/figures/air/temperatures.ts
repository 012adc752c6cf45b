import { groupedBy } from '../../lists';
import { boxOf, seatsOf } from '../../machine/hosts';
import { ofKind, type PlannedUnit, type UnitOf } from '../../machine/units';
import type { Box } from '../boxes';
import type { FigureContext } from '../context';
import { kept } from '../kept';
import { Ledger, type Quantity } from '../quantity';
import type { BoxAir, DrivePath, DrivePlace } from './airBox';
import {
  airBoxes,
  coolerOn,
  momentOf,
  OnDay,
  type ChipCard,
  type Day,
  type Heated,
  type InsideAir,
  type Moment,
} from './moment';
import { neighboursOf } from './neighbours';

/** Something that gets warm: like drives of one place, a processor, a card. */
export type Warm = {
  readonly key: string;
  readonly units: readonly PlannedUnit[];
  readonly where: DrivePath | 'processor' | 'card';
  /** W that one gives off, °C of the air that reaches it and of itself, on each day. */
  readonly on: Readonly<Record<Day, Heated>>;
  /** What its maker allows, °C. */ readonly limitC: number;
  /** What stands right beside it and heats it: cards, modules of one card. */ readonly beside?: readonly PlannedUnit[];
  /** Drives of the rows before it, whose air it gets. */ readonly behind?: number;
};
/** K to what its maker allows on the hottest day. */
export const marginOfWarm = ({ limitC, on }: Warm): number => limitC - on.hot.tempC.value;
/** A box on both days: air through it and what is warm in it. */
export type BoxWarmth = {
  readonly box: Box;
  readonly air: Readonly<Record<Day, InsideAir>>;
  readonly warm: readonly Warm[];
};

/** All boxes of a machine on both days, by the policy of its fans; an open frame and the table are not reckoned. */
export const warmthOf = (context: FigureContext): readonly BoxWarmth[] =>
  airBoxes(context).map((air) => warmthIn(context, air));

/** Like drives of one place on a day. */
export type HotDrives = {
  readonly box: UnitOf<'chassis'>;
  readonly drives: readonly UnitOf<'drive'>[];
  readonly where: DrivePath;
  /** Nothing but warmth moves the air past them. */ readonly isStill: boolean;
  readonly tempC: Quantity;
};

/** The drives of every box that is reckoned, on the hottest day. Answers are kept for figures and rules. */
export function hotDrives(context: FigureContext, ledger: Ledger): readonly HotDrives[] {
  const { place, hotDayC, intakeWarmerK = 0, cupboard, mainsV } = context.site;
  return kept(context, ledger, `hot drives ${place} ${hotDayC} ${intakeWarmerK} ${cupboard} ${mainsV}`, () =>
    drivesOn(context, 'hot', ledger),
  );
}

/** The same on one of the days. */
export const drivesOn = (context: FigureContext, today: Day, ledger: Ledger): readonly HotDrives[] =>
  drivesAt(context, momentOf(context, today), ledger);

/** The same at any moment. */
export const drivesAt = (context: FigureContext, moment: Moment, ledger: Ledger): readonly HotDrives[] =>
  airBoxes(context).flatMap((air) => {
    if (air.places.length === 0) return [];
    const day = new OnDay(context, air, moment, ledger);
    return drivesAlike(air).map((places): HotDrives => ({
      box: air.box,
      drives: places.map(({ drive }) => drive),
      where: places[0].path,
      isStill: day.told.isStill && places[0].path !== 'cage',
      tempC: day.ofDrive(places[0]).tempC,
    }));
  });

/** The warmest chip of a card at a moment, °C as likely; null without cards that have one. */
export function warmestCardC(context: FigureContext, today: Day): number | null {
  const cards = coolCards(context);
  if (cards.length === 0) return null;
  const neighbours = neighboursOf(context);
  const seats = seatsOf(context.layout);
  const ledger = new Ledger(false);
  const warm = airBoxes(context).flatMap((air) => {
    const own = cards.filter((unit) => boxOf(unit.id, seats, context.units) === air.box);
    const day = own.length > 0 ? new OnDay(context, air, momentOf(context, today), ledger) : null;
    return own.map((card) => day!.ofCard(card, neighbours.get(card) ?? []).tempC.value);
  });
  return warm.length > 0 ? Math.max(...warm) : null;
}

/** The hottest drive on the hottest day, modules apart: those slow themselves down. */
export const hottestDriveC = (context: FigureContext, ledger: Ledger): Quantity | null =>
  hottestOf(hotDrives(context, ledger));

export function hottestOf(drives: readonly HotDrives[]): Quantity | null {
  const all = drives.filter(({ where }) => where !== 'board');
  const [first] = all;
  return first ? all.reduce((most, one) => (one.tempC.value > most.tempC.value ? one : most), first).tempC : null;
}

/** Drives of which each gets as warm as the other. */
const likeness = ({ drive, path, share, before, beside }: DrivePlace): string =>
  [drive.part.id, path, share.toFixed(6), before.length, ...beside.map(({ part }) => part.id).sort()].join('|');

const drivesAlike = ({ places }: BoxAir) => [...groupedBy(places, likeness).values()];

function warmthIn(context: FigureContext, air: BoxAir): BoxWarmth {
  const quiet = new Ledger(false);
  const days = {
    normal: new OnDay(context, air, momentOf(context, 'normal'), quiet),
    hot: new OnDay(context, air, momentOf(context, 'hot'), quiet),
  };
  const drives = drivesAlike(air).map((places): Warm => ({
    key: likeness(places[0]).replaceAll('|', ' '),
    units: places.map(({ drive }) => drive),
    where: places[0].path,
    beside: places[0].beside,
    behind: places[0].before.length,
    on: { normal: days.normal.ofDrive(places[0]), hot: days.hot.ofDrive(places[0]) },
    limitC: places[0].drive.part.maxC,
  }));
  const seats = seatsOf(context.layout);
  const isHere = (unit: PlannedUnit) => boxOf(unit.id, seats, context.units) === air.box;
  const processors = ofKind(context.running, 'processor').flatMap((unit): Warm[] => {
    if (!isHere(unit)) return [];
    const cooler = coolerOn(context, unit);
    if (!cooler) return [];
    const on = { normal: days.normal.ofProcessor(unit, cooler), hot: days.hot.ofProcessor(unit, cooler) };
    return [{ key: unit.id, units: [unit], where: 'processor', on, limitC: unit.part.maxC }];
  });
  const neighbours = neighboursOf(context);
  const beside = (unit: PlannedUnit) => neighbours.get(unit) ?? [];
  const cards = coolCards(context).filter(isHere);
  const alike = groupedBy(
    cards,
    (unit) =>
      `${unit.part.id} ${beside(unit)
        .map(({ part }) => part.id)
        .sort()
        .join()}`,
  );
  const chips = [...alike].map(([key, units]): Warm => ({
    key,
    units,
    where: 'card',
    beside: beside(units[0]),
    on: { normal: days.normal.ofCard(units[0], beside(units[0])), hot: days.hot.ofCard(units[0], beside(units[0])) },
    limitC: chipLimitC(units[0]),
  }));
  return {
    box: air.box,
    air: { normal: days.normal.told, hot: days.hot.told },
    warm: [...drives, ...processors, ...chips],
  };
}

/** Cards whose chip has a limit. */
const coolCards = ({ running }: FigureContext): readonly ChipCard[] => [
  ...ofKind(running, 'controller'),
  ...ofKind(running, 'expander'),
  ...ofKind(running, 'networkCard'),
];
/** What a chip bears, °C; typical where its sheet has no line for it. */
const chipLimitC = ({ part }: ChipCard): number => ('maxC' in part ? part.maxC : USUAL_CHIP_C);
const USUAL_CHIP_C = 95;

/** A card on the hottest day with all busy: with the cards right beside it, and as it would be without them. */
export type HotCard = {
  readonly card: ChipCard;
  readonly box: UnitOf<'chassis'>;
  readonly by: readonly PlannedUnit[];
  readonly tempC: Quantity;
  readonly aloneC: number;
  /** What its maker allows, °C; null where its sheet does not say. */ readonly limitC: number | null;
};

/** Every card with a chip under a heat sink. Answers are kept for the rules that ask. */
export function hotCards(context: FigureContext, ledger: Ledger): readonly HotCard[] {
  const { place, hotDayC, intakeWarmerK = 0, cupboard, mainsV } = context.site;
  return kept(context, ledger, `hot cards ${place} ${hotDayC} ${intakeWarmerK} ${cupboard} ${mainsV}`, () => {
    const cards = coolCards(context);
    if (cards.length === 0) return [];
    const neighbours = neighboursOf(context);
    const seats = seatsOf(context.layout);
    return airBoxes(context).flatMap((air) => {
      const own = cards.filter((unit) => boxOf(unit.id, seats, context.units) === air.box);
      if (own.length === 0) return [];
      const day = new OnDay(context, air, momentOf(context, 'hot'), ledger);
      return own.map((card): HotCard => {
        const by = neighbours.get(card) ?? [];
        const { tempC } = day.ofCard(card, by);
        const aloneC = by.length > 0 ? day.ofCard(card, []).tempC.value : tempC.value;
        return { card, box: air.box, by, tempC, aloneC, limitC: 'maxC' in card.part ? card.part.maxC : null };
      });
    });
  });
}

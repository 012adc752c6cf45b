import { ofKind, seatSpot, type PlannedUnit, type UnitOf } from '../../machine/units';
import { sustainedW } from '../../parts/sustained';
import { boxesOf } from '../boxes';
import type { FigureContext } from '../context';
import { fanSpeedAt } from '../operating';
import { feedsOf } from '../power/feeds';
import { inState, type PowerState } from '../power/draw';
import { feedLoadW, plainBoxWall } from '../power/wall';
import type { Ledger, Quantity } from '../quantity';
import { narrowed } from '../readings/learned';
import { cupboardOf } from './around';
import { boxAir, type BoxAir, type DrivePlace } from './airBox';
import { neighbourK } from './neighbours';
import { draughtM3h, risingRoot, warmingK, type AirFlow } from './flow';

/** The two days on which a machine is looked at. */
export type Day = 'normal' | 'hot';
/** On a normal day it does its work; on the hottest everything is busy. */
const STATE_OF: Record<Day, PowerState> = { normal: 'working', hot: 'busy' };

/** The air through, in and around a box; `isStill` where nothing but warmth moves it. */
export type InsideAir = {
  readonly flow: AirFlow;
  readonly insideC: number;
  readonly aroundC: number;
  readonly isStill: boolean;
};
/** How far a chassis may be off what is typical of it, its fans off their curves, heat off its way out of a part. */
const UNSURE = {
  k: { value: 1, lo: 0.6, hi: 1.6 },
  fan: { value: 1, lo: 0.9, hi: 1.1 },
  /** Where a policy holds a temperature that nobody reckons, its duty may be any of a wide range. */
  held: { value: 1, lo: 0.5, hi: 2.2 },
  part: { value: 1, lo: 0.7, hi: 1.3 },
  module: { value: 1, lo: 0.6, hi: 1.4 },
  /** What reaches a card of the heat of those beside it. */ beside: { value: 1, lo: 0.3, hi: 1.7 },
} as const;
/** A supply's own fan draws so much out of the box, m³/h, idle and full; typical, by its form. */
const SUPPLY_M3H: Readonly<Record<string, readonly [idle: number, full: number]>> = {
  atx: [25, 70],
  sfx: [15, 45],
  'sfx-l': [15, 45],
  tfx: [12, 35],
  'flex-atx': [10, 30],
  redundant: [25, 70],
};
/** W/(m²·K) a sheet-metal skin gives off (IEC TR 60890). */
const SKIN_W_PER_M2K = 5.5;
/** W/K a cupboard gives off to its room. */
const CUPBOARD = {
  closed: { value: 6, lo: 3, hi: 10 },
  vented: { value: 12, lo: 8, hi: 20 },
} as const;
/** Of the air's speed in the box, what moves along a drive behind everything. */
const ASIDE_SHARE = 0.3;
const DRIVE_FACE_M2 = 0.1016 * 0.0261;

/** K/W from a drive's inside to the air that passes it, by m³/h past it; ± 30 % (fit to drives in a duct). */
export const driveKPerW = (isLarge: boolean, flowM3h: number): number =>
  isLarge ? 0.5 + 1 / (0.25 + 0.4 * (flowM3h / 10) ** 0.6) : 0.5 + 1 / (0.1 + 0.16 * (flowM3h / 10) ** 0.6);
/** The same of a bare M.2 module, by m/s; ± 40 %. */
export const moduleKPerW = (mPerS: number): number => 1 / (0.035 + 0.05 * Math.sqrt(mPerS));
/** K a chip under a small heat sink is warmer than the air, by its W and m/s. */
export const chipK = (watts: number, mPerS: number): number => (watts * 4) / Math.sqrt(Math.max(0.2, mPerS));

export const airBoxes = (context: FigureContext): readonly BoxAir[] =>
  boxesOf(context).flatMap((box): BoxAir[] => {
    const air = box?.part.kind === 'chassis' ? boxAir(context, box as UnitOf<'chassis'>) : null;
    return air ? [air] : [];
  });

/** The duty fans are asked for: what is fixed, else the one that holds a temperature, or a quiet day's. */
export const dutyOn = ({ policy, heldDuty }: FigureContext, day: Day): number =>
  policy.fans.kind === 'fixed' ? policy.fans.duty : (heldDuty?.[day] ?? QUIET_DUTY);
const QUIET_DUTY = 0.4;

/** What everything does, the air in the room and how fast fans are asked to turn. */
export type Moment = {
  readonly label: string;
  readonly state: PowerState;
  readonly roomC: number;
  readonly duty: number;
};
export const momentOf = (context: FigureContext, day: Day): Moment => ({
  label: day === 'hot' ? 'Hottest day' : 'Normal day',
  state: STATE_OF[day],
  roomC: day === 'hot' ? context.site.hotDayC : context.site.ambientC,
  duty: dutyOn(context, day),
});

/** W that something gives off, °C of the air that reaches it and of itself. */
export type Heated = { readonly watts: Quantity; readonly airC: number; readonly tempC: Quantity };
/** What else warms the air that reaches a drive. */
const OTHERS = { before: 'Drives of the rows before it', beside: 'What stands beside it' } as const;
/** Cards that have a chip under a heat sink. */
export type ChipCard = UnitOf<'controller' | 'expander' | 'networkCard'>;

/** How hot things get at one moment: each by its own watts, the air that reaches it and what all give off. */
export class OnDay {
  /** The air inside as it is likely to be. */
  readonly told: InsideAir;
  private readonly heat: Quantity;
  private readonly aroundC: Quantity;
  private readonly supplyM3h: number;
  private readonly unsure: Readonly<Record<'k' | 'fan' | 'part' | 'cooler' | 'module', Quantity>>;
  private readonly flows = new Map<number, AirFlow>();

  constructor(
    private readonly context: FigureContext,
    private readonly air: BoxAir,
    private readonly moment: Moment,
    private readonly ledger: Ledger,
  ) {
    const feeds = feedsOf(context).filter(({ box }) => box === air.box);
    const loads = feeds.flatMap((feed) => feedLoadW(context, feed, moment.state, ledger) ?? []);
    this.heat = ledger.sum('Heat inside', 'W', loads);
    this.aroundC = this.airAround();
    this.supplyM3h = feeds.reduce((sum, feed) => sum + supplyAirM3h(feed, this.heat.value), 0);
    this.unsure = {
      k: this.given('The chassis against what is typical of it', UNSURE.k),
      fan: this.given(
        'Fans against their curves',
        context.policy.fans.kind === 'fixed' || context.heldDuty ? UNSURE.fan : UNSURE.held,
      ),
      part: this.given('Heat out of a drive', UNSURE.part),
      cooler: this.given('Heat out of a cooler', UNSURE.part),
      module: this.given('Heat out of a module or chip', UNSURE.module),
    };
    this.told = this.airAt(1, 1, this.heat.value, this.aroundC.value);
  }

  private given(label: string, of: { value: number; lo: number; hi: number }): Quantity {
    return this.ledger.given(label, of.value, '', of);
  }

  /** The room's air, warmed by what stands beside the machine and by a cupboard round it. */
  private airAround(): Quantity {
    const { context, moment, ledger } = this;
    const { site } = context;
    const warmerK = site.intakeWarmerK ?? 0;
    const roomC = ledger.given(
      warmerK > 0 ? `${moment.label}, warmed by what stands beside it` : moment.label,
      moment.roomC + warmerK,
      '°C',
    );
    const around = cupboardOf(site);
    if (around === 'none') return roomC;
    const wall = plainBoxWall(context, this.air.box, moment.state, ledger) ?? this.heat;
    const cupboard = ledger.given('A cupboard gives off', CUPBOARD[around].value, 'W/K', CUPBOARD[around]);
    return ledger.map(
      'Air in the cupboard',
      '°C',
      [roomC, wall, cupboard],
      'room + P/UA',
      (c, watts, ua) => c + watts / ua,
    );
  }

  private airAt(k: number, fan: number, heatW: number, around: number): InsideAir {
    // One of the two is likely wherever the other is not.
    const key = k === 1 ? fan : -k;
    let forced = this.flows.get(key);
    if (!forced) this.flows.set(key, (forced = this.air.flowAt(this.moment.duty, { k, fan }, this.supplyM3h)));
    return airIn(this.air, forced, k, heatW, around);
  }

  private speed({ flow }: InsideAir): number {
    return flow.throughM3h / 3600 / this.air.crossM2;
  }

  ofDrive({ drive, path, share, before, beside }: DrivePlace): Heated {
    const { context, air, moment, heat, aroundC, unsure, ledger } = this;
    const watts = inState(context, drive.part, moment.state, ledger);
    const isLarge = drive.part.size === '3.5';
    const heats = [...(path === 'board' ? beside : before)].map(({ part }) =>
      inState(context, part, moment.state, ledger),
    );
    const others = heats.length > 0 ? ledger.sum(OTHERS[path === 'board' ? 'beside' : 'before'], 'W', heats) : null;
    const at = (
      own: number,
      k: number,
      fan: number,
      heatW: number,
      around: number,
      part: number,
      module: number,
      othersW = 0,
    ) => {
      const now = this.airAt(k, fan, heatW, around);
      if (path === 'board') {
        const each = heats.map(() => othersW / heats.length);
        const airC = now.insideC + neighbourK(each, this.speed(now));
        return { airC, tempC: airC + own * moduleKPerW(this.speed(now)) * module };
      }
      if (path === 'inside' || (path === 'stream' && now.isStill)) {
        const past = Math.max(0.2, this.speed(now) * DRIVE_FACE_M2 * 3600 * ASIDE_SHARE);
        return { airC: now.insideC, tempC: now.insideC + own * driveKPerW(isLarge, past) * part };
      }
      const all = path === 'cage' ? air.cageAt(hostOf(context, drive), moment.duty, { k, fan }) : now.flow.drivesM3h;
      const past = Math.max(0.2, all * share);
      const warmerK = othersW > 0 ? warmingK(othersW, Math.max(0.2, all), around) : 0;
      const airC = around + warmerK + warmingK(own / 2, past, around);
      return { airC, tempC: airC + own * driveKPerW(isLarge, past) * part };
    };
    const tempC = ledger.map(
      drive.part.name,
      '°C',
      [watts, unsure.k, unsure.fan, heat, aroundC, unsure.part, unsure.module, ...(others ? [others] : [])],
      others && path !== 'board' ? 'air, warmed by the rows before it, + W × K/W' : 'air + W × K/W at the air past it',
      (...values) => at(...(values as Parameters<typeof at>)).tempC,
    );
    const { airC } = at(watts.value, 1, 1, heat.value, aroundC.value, 1, 1, others?.value);
    return { watts, airC, tempC: narrowed(context.learned, tempC, ledger) };
  }

  ofProcessor(unit: UnitOf<'processor'>, cooler: UnitOf<'cooler'>): Heated {
    const { context, moment, heat, aroundC, unsure, ledger } = this;
    const sustained = ledger.ofFact(sustainedW(unit.part));
    const watts = moment.state === 'busy' ? sustained : inState(context, unit.part, moment.state, ledger);
    const fans = ofKind(context.running, 'fan').filter((fan) => seatSpot(context.layout, fan)?.host === cooler.id);
    const turns = Math.max(0, ...fans.map((fan) => fanSpeedAt(context, fan, moment.duty)));
    const { kPerW, passive } = cooler.part;
    const tempC = ledger.map(
      unit.part.name,
      '°C',
      [watts, unsure.k, unsure.fan, heat, aroundC, unsure.cooler],
      'air + W × (cooler + 0.2)',
      (own, k, fan, heatW, around, part) => {
        const now = this.airAt(k, fan, heatW, around);
        const times = turns > 0 ? turns ** -0.6 : passive ? (5 / Math.max(0.2, this.speed(now))) ** 0.6 : STOPPED_TIMES;
        return now.insideC + own * (kPerW * times * part + 0.2);
      },
    );
    return { watts, airC: this.told.insideC, tempC: narrowed(context.learned, tempC, ledger) };
  }

  ofCard(unit: ChipCard, beside: readonly PlannedUnit[]): Heated {
    const { context, moment, heat, aroundC, unsure, ledger } = this;
    const watts = inState(context, unit.part, moment.state, ledger);
    const heats = beside.map(({ part }) => inState(context, part, moment.state, ledger));
    const near = beside.length > 0 ? [this.given('Heat of cards side by side', UNSURE.beside), ...heats] : [];
    const tempC = ledger.map(
      unit.part.name,
      '°C',
      [watts, unsure.k, unsure.fan, heat, aroundC, unsure.module, ...near],
      near.length > 0 ? 'air + what cards beside it add + W × 4/√v' : 'air + W × 4/√v',
      (own = 0, k = 1, fan = 1, heatW = 0, around = 0, module = 1, times = 0, ...others) => {
        const now = this.airAt(k, fan, heatW, around);
        return now.insideC + times * neighbourK(others, this.speed(now)) + chipK(own, this.speed(now)) * module;
      },
    );
    const nearK = neighbourK(
      heats.map(({ value }) => value),
      this.speed(this.told),
    );
    return { watts, airC: this.told.insideC + nearK, tempC: narrowed(context.learned, tempC, ledger) };
  }
}

/** What a supply's own fan draws through the box at its load, m³/h; none where the fan stands. */
function supplyAirM3h({ supply, sharing }: ReturnType<typeof feedsOf>[number], heatW: number): number {
  if (!supply || supply.part.sound.length === 0) return 0;
  const [idle, full] = SUPPLY_M3H[supply.part.form] ?? [0, 0];
  const modules = sharing.reduce((all, { part }) => all + part.modules, 0);
  const load = heatW / (supply.part.ratedW * modules);
  const stops = supply.part.fanStopsBelowLoad;
  return stops !== null && load < stops ? 0 : idle + (full - idle) * Math.min(1, load);
}

/** A cooler whose fan stands still carries a small part of what it does with it. */
const STOPPED_TIMES = 5;

/**
 * The air in a box: what its fans move, or what warmth moves by itself where that is more. All that is in it mixes; the
 * skin gives off some of the heat.
 */
function airIn(air: BoxAir, forced: AirFlow, k: number, heatW: number, aroundC: number): InsideAir {
  const skin = SKIN_W_PER_M2K * air.skinM2;
  const carried = (flow: number) => flow / warmingK(1, 1, aroundC) + skin;
  const rising = (warmerK: number) => draughtM3h(air.heightM, aroundC, aroundC + warmerK, air.k * k);
  const forcedK = heatW / carried(forced.throughM3h);
  // What rises at the warmth the fans leave is the most that can rise.
  if (rising(forcedK) <= forced.throughM3h)
    return { flow: forced, insideC: aroundC + forcedK, aroundC, isStill: false };
  const warmerK = risingRoot((x) => carried(rising(Math.max(0, x))) * x - heatW, forcedK);
  const throughM3h = rising(warmerK);
  const flow = { drivesM3h: throughM3h, pastM3h: 0, throughM3h, insidePa: 0 };
  return { flow, insideC: aroundC + warmerK, aroundC, isStill: true };
}

const hostOf = ({ layout }: FigureContext, unit: PlannedUnit): string => seatSpot(layout, unit)?.host ?? '';

export const coolerOn = ({ running, layout }: FigureContext, processor: PlannedUnit): UnitOf<'cooler'> | undefined =>
  ofKind(running, 'cooler').find((unit) => seatSpot(layout, unit)?.host === seatSpot(layout, processor)?.host);

import { memberAt, valueFor, groupedBy, type ReadonlyNonEmpty } from '../../lists';
import { printSpot, type Layout, type Seat, type SpotRef, type Wire } from '../../build/layout';
import { limitFor, needsRiser } from '../../geometry/clearance';
import { boxAmong } from '../../machine/hosts';
import { mismatch } from '../../machine/accepts';
import { wantsAside } from '../../machine/aside';
import { protocolOf, wallBefore } from '../../links/ports';
import { cardWishMBps, PCIE_LANE_MBPS, dealtMBps } from '../../links/rates';
import { ASIDE, refsOf, spotsOf, type SpotGroup } from '../../machine/spots';
import { lanesLeft, type Uses } from '../../links/laneSharing';
import { cardReachMm, isCard, isKind, isModule, unitsById, type PlannedUnit, type UnitOf } from '../../machine/units';
import { outOf } from './roles';
import {
  BOOT_OFF_BOARD,
  CARD_OUT,
  compare,
  HOT_PAIR,
  MB_LOST,
  MISFIT,
  MOVE,
  PUT_BROKEN,
  REST_OUT,
  ZERO,
  type Score,
} from './score';
import type { Wishes } from './wishes';
import { isSpent, spend, type Work } from './work';

/**
 * Cards in slots and modules in sockets: who sits where, the mode of each board, what it costs, and what it leaves of
 * the ports.
 */
export type CardPlan = {
  readonly seats: ReadonlyMap<string, Seat>;
  readonly modes: Layout['modes'];
  readonly score: Score;
  readonly ports: string;
};

/** What trying one seat, and judging all of them, is reckoned at, for each place there is. */
const SEAT_COST = 0.25;
const JUDGE_COST = 3;
/** Cards take no more than this part of the work there is: the dealing wants its own. */
const SHARE = 0.4;
const MOST_HURRIED = 50;

type Board = UnitOf<'board'>;
type SlotGroup = Extract<SpotGroup, { type: 'slot' }>;
type M2Group = Extract<SpotGroup, { type: 'm2' }>;
type AsideGroup = Extract<SpotGroup, { type: 'aside' }>;
/** A slot or socket with the board whose lanes it uses; `position` is where a card stands at the rear wall. */
type Place = {
  readonly ref: SpotRef;
  readonly name: string;
  readonly group: SlotGroup | M2Group | AsideGroup;
  readonly board: Board | null;
  readonly boardKey: string;
  readonly position: number;
  readonly host: PlannedUnit;
};
/**
 * Units that are dealt alike: cards of one sheet, modules of one sheet and role. Hosts of further places stand alone. A
 * card goes into a slot, else into a socket.
 */
type Kind = { readonly units: ReadonlyNonEmpty<PlannedUnit>; readonly out: number; readonly card: boolean };

type Want = { readonly kind: number; readonly how: Seat['how'] };

const genOf = (group: Place['group']): number =>
  group.type === 'slot' ? group.slot.gen : group.type === 'm2' ? group.socket.gen : 0;
/** Lanes of a place. What is fixed aside asks for none. */
const widthOf = ({ group }: Place): number =>
  group.type === 'slot' ? group.slot.wiredLanes : group.type === 'm2' ? group.socket.lanes : 1;

/**
 * Every distinct way of seating cards and modules that leaves other ports, each at its cheapest; null when the search
 * was cut short.
 */
export function cardPlans(
  units: readonly PlannedUnit[],
  seated: ReadonlyMap<string, Seat>,
  wishes: Wishes,
  taken: ReadonlySet<string>,
  wires: readonly Wire[],
  work: Work,
): { readonly plans: CardPlan[]; readonly whole: boolean } {
  return new CardSearch(
    units,
    seated,
    wishes,
    taken,
    work,
    new Set(wires.flatMap((wire) => [...wire.host, ...wire.device].map(({ host }) => host))),
  ).run();
}

class CardSearch {
  private readonly byId: ReadonlyMap<string, PlannedUnit>;
  private readonly boards: readonly Board[];
  private readonly boxes: number;
  private readonly kinds: Kind[] = [];
  private readonly left: number[] = [];
  /** Kind of the unit that wants a place, and how firmly. */
  private readonly wanted = new Map<string, Want>();
  private readonly places: Place[] = [];
  private readonly got: number[] = [];
  private readonly found = new Map<string, CardPlan>();
  private best: Score | null = null;
  /** Work left for this search; once it is spent, places stay empty until one way is found. */
  private readonly share: Work;
  /** Ways judged since: after a few that do not stand, what was settled is let go too. */
  private hurried = 0;
  private readonly starts: readonly Place[];
  /** Wanted places that are only there while a carrier or riser has its own. */
  private readonly elsewhere: readonly (readonly [name: string, want: Want])[];
  /** While set, what holds a held unit has a place itself. */
  private strict = true;
  /** While set, what is held stays where it is held; where nothing can be so, it gives way like what was put. */
  private firm = true;

  constructor(
    units: readonly PlannedUnit[],
    private readonly seated: ReadonlyMap<string, Seat>,
    private readonly wishes: Wishes,
    private readonly taken: ReadonlySet<string>,
    private readonly work: Work,
    /** Cards with settled cables: which of them has a place matters. */ private readonly wired: ReadonlySet<string>,
  ) {
    this.byId = unitsById(units);
    this.share = { left: work.left * SHARE };
    const here = units.filter((unit) => seated.has(unit.id) || unit.builtIn);
    this.boxes = here.filter((unit) => isKind(unit, 'chassis')).length;
    this.boards = here.filter((unit): unit is Board => isKind(unit, 'board'));
    const byName = groupedBy(
      units.filter((unit) => !unit.builtIn && (isCard(unit.part) || isKind(unit, 'riser') || isModule(unit))),
      (unit) => {
        const alone =
          isKind(unit, 'carrier') ||
          isKind(unit, 'riser') ||
          wishes.get(unit.id)?.seat.how === 'held' ||
          wired.has(unit.id);
        return `${unit.part.id}|${unit.role ?? ''}|${alone ? unit.id : ''}`;
      },
    );
    for (const like of byName.values()) {
      const index = this.kinds.length;
      const [first] = like;
      this.kinds.push({
        units: like,
        out: isKind(first, 'drive') ? outOf(first) : isKind(first, 'riser') ? REST_OUT : CARD_OUT,
        card: !isModule(first),
      });
      this.left.push(like.length);
      for (const unit of like) {
        const wish = wishes.get(unit.id);
        if (wish) this.wanted.set(wish.name, { kind: index, how: wish.seat.how });
      }
    }
    const slots = here
      .flatMap((unit) => this.placesOf(unit, null))
      .filter((place) => place.group.type === 'slot')
      .sort((a, b) => (a.board === b.board ? a.position - b.position : 0));
    const others = here.flatMap((unit) => this.placesOf(unit, null)).filter((place) => place.group.type !== 'slot');
    const free = wantsAside(units);
    this.starts = [...slots, ...others.filter(({ group }) => free || group.type !== 'aside')];
    const there = new Set(this.starts.map((place) => place.name));
    this.elsewhere = [...this.wanted].filter(([name]) => !there.has(name));
  }

  run(): { plans: CardPlan[]; whole: boolean } {
    const before = this.share.left;
    this.places.push(...this.starts);
    this.step(0, ZERO);
    if (this.found.size === 0) {
      this.strict = false;
      this.step(0, ZERO);
    }
    if (this.found.size === 0) {
      this.firm = false;
      this.step(0, ZERO);
    }
    spend(this.work, before - this.share.left);
    const plans = [...this.found.values()].sort((one, other) => compare(one.score, other.score));
    return { plans, whole: !isSpent(this.share) };
  }

  private placesOf(unit: PlannedUnit, under: Place | null): Place[] {
    return spotsOf(unit.id, unit.part).flatMap((group): Place[] => {
      if (group.type !== 'slot' && group.type !== 'm2' && group.type !== 'aside') return [];
      const board = isKind(unit, 'board') ? unit : (under?.board ?? null);
      return refsOf(group).map((ref) => ({
        ref,
        name: printSpot(ref),
        group,
        board,
        boardKey: under?.boardKey ?? group.key,
        position: under ? under.position : group.type === 'slot' ? group.slot.position : 0,
        host: unit,
      }));
    });
  }

  /** Deals the i-th place, then the ones after it. */
  private step(i: number, score: Score): void {
    spend(this.share, SEAT_COST * (2 + this.places.length + this.kinds.length));
    if (isSpent(this.share) && this.found.size > 0) return;
    if (this.best && compare(this.bound(i, score), this.best) >= 0) return;
    if (i === this.places.length) {
      this.leaf(score);
      return;
    }
    const place = memberAt(this.places, i);
    const want = this.wanted.get(place.name);
    if (this.isCovered(i) || this.taken.has(place.name)) {
      this.choose(i, -1, this.given(score, want, -1));
      return;
    }
    if (want?.how === 'held' && this.firm) {
      this.choose(i, want.kind, score);
      return;
    }
    // Nothing was found yet and no work is left: what is settled stays, all else stays out.
    if (isSpent(this.share)) {
      if (want && this.left[want.kind]! > 0 && this.hurried < MOST_HURRIED) this.choose(i, want.kind, score);
      if (this.found.size === 0) this.choose(i, -1, this.given(score, want, -1));
      return;
    }
    const order = [...(want ? [want.kind] : []), ...this.kinds.keys()];
    for (const [at, kind] of order.entries()) {
      if (this.left[kind] === 0 || (at > 0 && kind === want?.kind)) continue;
      const first = memberAt(this.kinds, kind).units[0];
      if (
        (this.firm && memberAt(this.kinds, kind).units.some((unit) => this.wishes.get(unit.id)?.seat.how === 'held')) ||
        mismatch(first.part, place.group) ||
        (this.firm && this.coversHeld(i, first))
      )
        continue;
      this.choose(i, kind, this.given(score, want, kind));
    }
    this.choose(i, -1, this.given(score, want, -1));
  }

  private given(score: Score, want: Want | undefined, kind: number): Score {
    return want && want.kind !== kind
      ? { a: score.a, b: score.b + (want.how === 'solved' ? 0 : PUT_BROKEN), c: score.c + MOVE }
      : score;
  }

  private choose(i: number, kind: number, score: Score): void {
    const before = this.places.length;
    this.got[i] = kind;
    let next = score;
    if (kind >= 0) {
      this.left[kind]!--;
      const unit = memberAt(this.kinds, kind).units[0];
      const place = memberAt(this.places, i);
      // At the full width of the place; what modes, rules and carriers take besides is added at the leaf.
      next = {
        a: score.a,
        b: score.b + (this.misfits(unit, place) ? MISFIT : 0) + this.loss(unit, place, widthOf(place)),
        c: score.c + this.hotPairs(i) * HOT_PAIR,
      };
      if (isKind(unit, 'carrier') || isKind(unit, 'riser')) this.places.push(...this.placesOf(unit, place));
    }
    this.step(i + 1, next);
    this.places.length = before;
    if (kind >= 0) this.left[kind]!++;
    this.got[i] = -1;
  }

  /** At least so many units stay out: there are fewer places left than units of their sort. */
  private bound(i: number, score: Score): Score {
    let [cards, slots, modules, sockets, hosts] = [0, 0, 0, 0, 0];
    for (const [kind, count] of this.left.entries()) {
      if (!memberAt(this.kinds, kind).card) modules += count;
      else {
        cards += count;
        if (
          count > 0 &&
          (isKind(memberAt(this.kinds, kind).units[0], 'carrier') ||
            isKind(memberAt(this.kinds, kind).units[0], 'riser'))
        )
          hosts += count;
      }
    }
    for (let at = i; at < this.places.length; at++) {
      if (memberAt(this.places, at).group.type === 'm2') sockets++;
      else slots++;
    }
    const short = (count: number, room: number) => (hosts > 0 ? 0 : Math.max(0, count - room));
    return { a: score.a + short(cards, slots) * REST_OUT + short(modules, sockets) * REST_OUT, b: score.b, c: score.c };
  }

  private isCovered(i: number): boolean {
    const place = memberAt(this.places, i);
    for (let before = 0; before < i; before++) {
      const kind = this.got[before]!;
      if (kind >= 0 && this.lies(memberAt(this.kinds, kind).units[0], memberAt(this.places, before), place))
        return true;
    }
    return false;
  }

  private coversHeld(i: number, unit: PlannedUnit): boolean {
    return this.places.some(
      (other, at) =>
        at > i && this.wanted.get(other.name)?.how === 'held' && this.lies(unit, memberAt(this.places, i), other),
    );
  }

  /** Whether a card in one slot lies over another. */
  private lies(card: PlannedUnit, place: Place, over: Place): boolean {
    return (
      isCard(card.part) &&
      place.group.type === 'slot' &&
      place.host === over.host &&
      place.host === place.board &&
      over.group.type === 'slot' &&
      over.position > place.position &&
      over.position < place.position + Math.ceil(card.part.thickSlots)
    );
  }

  /** Cards dealt before that stand beside the one just dealt, on either side, where both need moving air. */
  private hotPairs(i: number): number {
    const thick = (at: number) => {
      const kind = this.got[at]!;
      const part = kind >= 0 ? memberAt(this.kinds, kind).units[0].part : null;
      return part && isCard(part) && part.needsAirMPerS !== null ? Math.ceil(part.thickSlots) : 0;
    };
    const [place, own] = [memberAt(this.places, i), thick(i)];
    let pairs = 0;
    for (let before = 0; before < i && own > 0; before++) {
      const [at, other] = [memberAt(this.places, before), thick(before)];
      if (
        other > 0 &&
        at.board === place.board &&
        (at.position + other === place.position || place.position + own === at.position)
      )
        pairs++;
    }
    return pairs;
  }

  private misfits({ part }: PlannedUnit, place: Place): boolean {
    if (!isCard(part) || !place.board || place.group.type !== 'slot') return false;
    const box = boxAmong(place.board.id, this.byId, (unit) => unit.builtIn?.spot ?? this.seated.get(unit.id)?.spot);
    if (!box || !isKind(box, 'chassis')) return false;
    const limit = limitFor(box.part, 'card', { slot: place.position, occupied: new Set() });
    const openings = box.part.openings.reduce((sum, one) => sum + one.count, 0);
    const stands = isKind(place.host, 'board') && needsRiser(box.part, place.position);
    return (
      stands ||
      (!!limit && cardReachMm(part) > limit.maxMm) ||
      (part.brackets.length > 0 && place.position + Math.ceil(part.thickSlots) > openings)
    );
  }

  private leaf(score: Score): void {
    spend(this.share, JUDGE_COST * (2 + this.places.length));
    if (isSpent(this.share)) this.hurried++;
    const seats = this.seats();
    // Places on a carrier or riser that has none itself are not there to keep.
    let gone = score;
    for (const [name, want] of this.elsewhere) {
      if (this.places.some((place) => place.name === name)) continue;
      if (this.strict && want.how === 'held') return;
      gone = this.given(gone, want, -1);
    }
    for (const modes of this.modeChoices()) this.judge(gone, seats, modes);
  }

  /** Seats for units: those that keep their place first, then in the order of the kit. */
  private seats(): Map<string, Seat> {
    const seats = new Map<string, Seat>();
    const open: { readonly kind: number; readonly place: Place }[] = [];
    const free = this.kinds.map((kind) => new Set(kind.units));
    for (let i = 0; i < this.places.length; i++) {
      const kind = this.got[i]!;
      if (kind < 0) continue;
      const place = memberAt(this.places, i);
      const keeper = memberAt(this.kinds, kind).units.find((unit) => this.wishes.get(unit.id)?.name === place.name);
      if (keeper) {
        seats.set(keeper.id, this.wishes.get(keeper.id)!.seat);
        memberAt(free, kind).delete(keeper);
      } else open.push({ kind, place });
    }
    for (const { kind, place } of open) {
      const unit = memberAt([...memberAt(free, kind)], 0);
      memberAt(free, kind).delete(unit);
      seats.set(unit.id, { spot: place.ref, how: 'solved' });
    }
    return seats;
  }

  private modeChoices(): NonNullable<Layout['modes']>[] {
    return this.boards.reduce<NonNullable<Layout['modes']>[]>(
      (all, board) =>
        board.part.modes.length < 2
          ? all
          : all.flatMap((one) => board.part.modes.map((mode) => ({ ...one, [board.id]: mode.key }))),
      [{}],
    );
  }

  private judge(score: Score, seats: ReadonlyMap<string, Seat>, modes: NonNullable<Layout['modes']>): void {
    let { a, b } = score;
    const { c } = score;
    for (const [kind, count] of this.left.entries()) a += count * memberAt(this.kinds, kind).out;
    const lefts = new Map(
      this.boards.map((board) => [board.id as string, lanesLeft(board.part, this.uses(board), modes[board.id])]),
    );
    const lanesOf = (place: Place, full: number) =>
      place.board ? valueFor(lefts, place.board.id)(place.boardKey, 1, full).lanes : full;
    for (let i = 0; i < this.places.length; i++) {
      const kind = this.got[i]!;
      if (kind < 0) continue;
      const place = memberAt(this.places, i);
      const unit = memberAt(this.kinds, kind).units[0];
      const lanes = this.widthAt(place, lanesOf);
      // What is switched off takes nothing.
      if (lanes === 0) return;
      b += this.loss(unit, place, lanes, this.genAt(place)) - this.loss(unit, place, widthOf(place));
    }
    const total = { a, b, c };
    const { ports, top } = this.portsLeft(seats, lefts);
    const known = this.found.get(ports);
    if (!known || compare(total, known.score) < 0)
      this.found.set(ports, { seats, modes: Object.keys(modes).length ? modes : undefined, score: total, ports });
    if (top && (!this.best || compare(total, this.best) < 0)) this.best = total;
  }

  /**
   * MB/s a card's or module's own link loses at a place of so many lanes and generation, and a boot module off the
   * board.
   */
  private loss(unit: PlannedUnit, { group, host }: Place, lanes: number, gen = genOf(group)): number {
    const { part } = unit;
    if (part.kind === 'drive') {
      const lost =
        part.interface === 'nvme' && group.type === 'm2'
          ? Math.max(0, Math.round(dealtMBps(part) - lanes * PCIE_LANE_MBPS[Math.min(part.pcieGen ?? 3, gen)]!))
          : 0;
      return lost * MB_LOST + (unit.role === 'boot' && !isKind(host, 'board') ? BOOT_OFF_BOARD : 0);
    }
    // A carrier loses what its modules do, an expander takes only power from its slot, conventional PCI has one speed.
    if (!isCard(part) || part.kind === 'carrier' || part.kind === 'expander' || part.bus === 'pci') return 0;
    return (
      MB_LOST * Math.max(0, cardWishMBps(part) - Math.min(part.lanes, lanes) * PCIE_LANE_MBPS[Math.min(part.gen, gen)]!)
    );
  }

  private uses(board: Board): Uses {
    const uses = new Map<string, { as: 'sata' | 'sas' | 'pcie' | 'usb'; by: string }>();
    for (let i = 0; i < this.places.length; i++) {
      const kind = this.got[i]!;
      const place = memberAt(this.places, i);
      if (kind < 0 || place.host !== board) continue;
      const unit = memberAt(this.kinds, kind).units[0];
      uses.set(place.ref.key, { as: isKind(unit, 'drive') ? protocolOf(unit.part) : 'pcie', by: unit.id });
    }
    return uses;
  }

  /**
   * Lanes a place really has: of a socket on a carrier those its slot parts with (bifurcation), of a slot on a riser no
   * more than the slot under it.
   */
  private widthAt(place: Place, lanesOf: (place: Place, full: number) => number): number {
    const { group, host } = place;
    const own = widthOf(place);
    if (group.type === 'aside') return own;
    if (isKind(host, 'board')) return lanesOf(place, own);
    const under = this.under(place);
    if (!under || under.group.type !== 'slot') return 0;
    const wired = this.widthAt(under, lanesOf);
    const nth = spotsOf(host.id, host.part).findIndex((one) => one.key === group.key);
    if (nth === 0) return Math.min(own, wired);
    const parts = (under.group.slot.bifurcates ?? [])
      .map((pattern) => pattern.split('x').filter(Boolean).map(Number))
      .filter((widths) => widths.reduce((sum, one) => sum + one, 0) <= wired);
    return Math.min(own, Math.max(0, ...parts.map((widths) => widths[nth] ?? 0)));
  }

  /** The place that the host of a place sits in; undefined for a board's. */
  private under({ host }: Place): Place | undefined {
    return this.places.find((_, i) => this.got[i]! >= 0 && memberAt(this.kinds, this.got[i]!).units[0] === host);
  }

  /** No more than the slot under a riser or carrier has. */
  private genAt(place: Place): number {
    const under = isKind(place.host, 'board') ? undefined : this.under(place);
    return under ? Math.min(genOf(place.group), this.genAt(under)) : genOf(place.group);
  }

  /**
   * What the ports depend on, as text: lanes taken on boards, and the controllers and expanders there with or without
   * an opening.
   */
  private portsLeft(
    seats: ReadonlyMap<string, Seat>,
    lefts: ReadonlyMap<string, ReturnType<typeof lanesLeft>>,
  ): { ports: string; top: boolean } {
    let top = true;
    const marks: string[] = [];
    for (const board of this.boards) {
      for (const connector of board.part.connectors)
        for (let n = 1; n <= connector.count; n++) {
          const { lanes } = valueFor(lefts, board.id)(connector.key, n, connector.lanes);
          if (lanes === connector.lanes) continue;
          marks.push(`${board.id}/${connector.key}.${n}=${lanes}`);
          top = false;
        }
    }
    const seatOf = (unit: PlannedUnit) =>
      unit.builtIn?.spot ?? this.seated.get(unit.id)?.spot ?? seats.get(unit.id)?.spot;
    for (const { units } of this.kinds) {
      for (const unit of units) {
        if (!isKind(unit, 'controller') && !isKind(unit, 'expander')) continue;
        const spot = seats.get(unit.id)?.spot;
        if (!spot) {
          top = false;
          continue;
        }
        const wall =
          isKind(unit, 'controller') &&
          unit.part.connectors.some((one) => one.side === 'outside') &&
          wallBefore(spot, this.byId, seatOf);
        // In another box it may reach more.
        if (wall || (spot.key === ASIDE && this.boxes > 1)) top = false;
        marks.push(
          `${this.wired.has(unit.id) ? unit.id : unit.part.id}@` +
            `${boxAmong(unit.id, this.byId, seatOf)?.id ?? ''}${wall ? '-' : ''}`,
        );
      }
    }
    return { ports: marks.sort().join(';'), top };
  }
}

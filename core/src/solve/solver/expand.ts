import { memberAt, valueFor, isNonEmpty, mapNonEmpty, type NonEmpty } from '../../lists';
import { printSpot, type Layout, type Seat, type SpotRef, type Wire } from '../../build/layout';
import { cableKindBetween, cableKindById } from '../../links/cableKinds';
import { DRIVE_DATA_KEY, type HostPort } from '../../links/ports';
import type { CellPick, ExpanderPick, Pick, PortPick } from './layers';
import type { Bay, Cell, DriveUnit, Table } from './table';
import type { Wishes } from './wishes';

export type Expanded = {
  readonly seats: ReadonlyMap<string, Seat>;
  readonly wires: readonly Wire[];
  readonly unconnected: readonly DriveUnit[];
};

/**
 * Turns counts into units: which drive, which bay, which port, which lane. Whoever can stay stays,
 * the others follow in the order of the kit and of the sheets; so the same counts give the same
 * layout, and no more moves than the counts have.
 */
export function expand(table: Table, picks: readonly Pick[], wishes: Wishes, hint: Layout['wires']): Expanded {
  const cells = picks.filter((pick): pick is CellPick => pick.what === 'cell');
  const seated = seatDrives(table, cells, wishes);
  const { wires, reached } = new Cables(table, picks, seated, hint).run();
  const seats = new Map(
    [...seated.at].map(([unit, place]): [string, Seat] => [unit.id, seatOf(unit, place.bay, wishes)]),
  );
  return {
    seats,
    wires,
    unconnected: table.drives.flatMap((one) => one.units).filter((unit) => seats.has(unit.id) && !reached.has(unit.id)),
  };
}

const seatOf = (unit: DriveUnit, bay: Bay, wishes: Wishes): Seat => {
  const wish = wishes.get(unit.id);
  return wish?.name === bay.name ? wish.seat : { spot: bay.spot, how: 'solved' };
};

type Place = { readonly cell: number; readonly bay: Bay };
type Seated = {
  readonly at: ReadonlyMap<DriveUnit, Place>;
  /** Drives of a cell by class, of those only that were dealt a cable. */ readonly of: (
    cell: number,
    drive: number,
  ) => readonly DriveUnit[];
};

const FIRMNESS = { held: 0, put: 1, solved: 2 } as const;

function seatDrives(table: Table, picks: readonly CellPick[], wishes: Wishes): Seated {
  const at = new Map<DriveUnit, Place>();
  const dealt = new Map<string, DriveUnit[]>();
  const free = table.cells.map((cell) => new Map(cell.bays.map((bay) => [bay.name, bay])));
  const loose = table.drives.map((one) => new Set(one.units));
  const sit = (unit: DriveUnit, drive: number, cell: number, bay: Bay) => {
    at.set(unit, { cell, bay });
    memberAt(free, cell).delete(bay.name);
    memberAt(loose, drive).delete(unit);
  };
  for (const { cell, seats } of picks)
    seats.forEach((count, drive) => {
      const keepers = memberAt(table.drives, drive)
        .units.filter((unit) => {
          const wish = wishes.get(unit.id);
          return wish && memberAt(free, cell).has(wish.name);
        })
        .sort((a, b) => FIRMNESS[wishes.get(a.id)!.seat.how] - FIRMNESS[wishes.get(b.id)!.seat.how])
        .slice(0, count);
      for (const unit of keepers) sit(unit, drive, cell, valueFor(memberAt(free, cell), wishes.get(unit.id)!.name));
      dealt.set(`${cell}|${drive}`, keepers);
    });
  // Who was in another bay of the same box before who was in none, and those before who was in another box.
  const inTurn = [...picks].sort((a, b) => a.cell - b.cell);
  const wasHere = (unit: DriveUnit, drive: number, cell: number) => {
    const { homes } = table;
    return homes?.of[drive]?.get(unit.id) === homes?.boxOf[cell];
  };
  const wasNowhere = (unit: DriveUnit, drive: number) => !table.homes?.of[drive]?.has(unit.id);
  for (const suits of table.homes ? [wasHere, wasNowhere, () => true] : [() => true])
    for (const { cell, seats } of inTurn)
      seats.forEach((count, drive) => {
        const here = valueFor(dealt, `${cell}|${drive}`);
        for (const unit of [...memberAt(loose, drive)].filter((one) => suits(one, drive, cell))) {
          if (here.length >= count) return;
          sit(unit, drive, cell, memberAt([...memberAt(free, cell).values()], 0));
          here.push(unit);
        }
      });
  // Who got no cable still gets a bay where one is free: the builder sees it in its place, without a cable.
  table.drives.forEach((one, drive) => {
    for (const unit of [...memberAt(loose, drive)]) {
      const cell = table.cells
        .map((_, i) => i)
        .filter((i) => memberAt(table.cells, i).takes[drive] && memberAt(free, i).size > 0)
        .sort(
          (a, b) =>
            memberAt(table.cells, a).takes[drive]! - memberAt(table.cells, b).takes[drive]! ||
            memberAt(table.cells, a).taste[drive]! - memberAt(table.cells, b).taste[drive]! ||
            a - b,
        )[0];
      if (cell !== undefined)
        sit(
          unit,
          drive,
          cell,
          memberAt(free, cell).get(wishes.get(unit.id)?.name ?? '') ?? memberAt([...memberAt(free, cell).values()], 0),
        );
    }
  });
  return { at, of: (cell, drive) => dealt.get(`${cell}|${drive}`) ?? [] };
}

type End = { readonly unit: DriveUnit; readonly ref: SpotRef; readonly name: string };
type Lane = { readonly port: HostPort; readonly lane: number; readonly cable: string };

/** Ports and lanes for what was counted. */
class Cables {
  private readonly wires: Wire[] = [];
  private readonly reached = new Set<string>();
  private readonly used = new Set<string>();
  private readonly old: ReadonlyMap<string, { readonly wire: Wire; readonly i: number }>;
  private readonly oldAtPort: ReadonlyMap<string, Wire>;

  constructor(
    private readonly table: Table,
    private readonly picks: readonly Pick[],
    private readonly seated: Seated,
    private readonly hint: Layout['wires'],
  ) {
    this.old = new Map(
      hint.flatMap((wire) => wire.device.map((device, i) => [printSpot(device), { wire, i }] as const)),
    );
    this.oldAtPort = new Map(hint.flatMap((wire) => wire.host.map((host) => [printSpot(host), wire] as const)));
  }

  run(): { wires: Wire[]; reached: ReadonlySet<string> } {
    const expanders = this.picks.filter((pick): pick is ExpanderPick => pick.what === 'expander' && pick.feed !== null);
    const cells = this.picks.filter(
      (pick): pick is CellPick => pick.what === 'cell' && (pick.feed !== null || pick.strands !== null),
    );
    const singles = this.picks.filter((pick): pick is PortPick => pick.what === 'ports' && pick.ends.length > 0);
    // Ports that keep what is on them are spoken for before any are given out.
    for (const pick of expanders) this.keep(pick.feed!.port, this.uplinkTargets(pick), pick.uplinks, pick.feed!.cable);
    for (const pick of cells)
      if (pick.feed)
        this.keep(
          pick.feed.port,
          memberAt(this.table.cells, pick.cell).targets.map((target) => ({ name: target.name, ref: target.ref })),
          pick.uplinks,
          pick.feed.cable,
        );
    const lanes = singles.map((pick) => this.keepSingles(pick));
    for (const pick of expanders) this.feed(pick.feed!.port, this.uplinkTargets(pick), pick.uplinks, pick.feed!.cable);
    for (const pick of cells) {
      const cell = memberAt(this.table.cells, pick.cell);
      if (pick.feed) {
        this.feed(
          pick.feed.port,
          cell.targets.map((target) => ({ name: target.name, ref: target.ref })),
          pick.uplinks,
          pick.feed.cable,
        );
        this.link(pick, cell);
        this.reach(pick, (drive) => pick.feed!.serves[drive]!);
      } else this.reverse(pick, cell);
    }
    this.dealEnds(singles, lanes);
    return { wires: this.sorted(), reached: this.reached };
  }

  /** From shelf to shelf, as far as drives sit. */
  private link(pick: CellPick, cell: Cell): void {
    const taken = new Set(
      pick.seats.flatMap((_, drive) =>
        this.seated.of(pick.cell, drive).map((unit) => this.seated.at.get(unit)?.bay.name ?? ''),
      ),
    );
    for (const { from, to, beyond } of cell.links) {
      const cable = cableKindBetween('straight', from.kind, to.kind);
      if (cable && [...beyond].some((bay) => taken.has(bay)))
        this.wires.push({ cable: cable.id, host: [from.ref], device: [to.ref], how: 'solved' });
    }
  }

  private reach(pick: CellPick, serves: (drive: number) => boolean): void {
    pick.seats.forEach((_, drive) => {
      if (serves(drive)) for (const unit of this.seated.of(pick.cell, drive)) this.reached.add(unit.id);
    });
  }

  private uplinkTargets(pick: ExpanderPick): { name: string; ref: SpotRef }[] {
    return memberAt(this.table.ports, pick.feed!.outlets[0]!).ports.map((one) => ({ name: one.name, ref: one.ref }));
  }

  private readonly fed = new Map<string, HostPort>();

  /** Settled cables from this class of ports to these connectors stay, up to as many as were dealt. */
  private keep(port: number, targets: readonly { name: string; ref: SpotRef }[], most: number, cable: string): void {
    let kept = 0;
    for (const target of targets) {
      const was = this.old.get(target.name);
      const from =
        was && was.wire.cable === cable
          ? memberAt(this.table.ports, port).ports.find((one) => one.name === printSpot(was.wire.host[0]))
          : undefined;
      if (!from || kept === most || this.used.has(from.name)) continue;
      kept++;
      this.spend(from, target, cable);
    }
  }

  private spend(from: HostPort, target: { name: string; ref: SpotRef }, cable: string): void {
    this.used.add(from.name);
    this.used.add(target.name);
    this.fed.set(target.name, from);
    this.wires.push({ cable, host: [from.ref], device: [target.ref], how: 'solved' });
  }

  private feed(port: number, targets: readonly { name: string; ref: SpotRef }[], most: number, cable: string): void {
    let left = most - targets.filter((target) => this.fed.has(target.name)).length;
    for (const target of targets) {
      if (left <= 0) return;
      if (this.fed.has(target.name) || this.used.has(target.name)) continue;
      this.spend(this.free(port)!, target, cable);
      left--;
    }
  }

  private free(port: number): HostPort | undefined {
    return memberAt(this.table.ports, port).ports.find((one) => !this.used.has(one.name));
  }

  private reverse(pick: CellPick, cell: Cell): void {
    const cable = cell.reverse!;
    const target = memberAt(cell.targets, 0);
    const was = this.old.get(target.name);
    const before = new Map(
      (was?.wire.cable === cable ? was.wire.host : []).map((host, i) => [
        was!.wire.lanes?.[i] ?? i + 1,
        printSpot(host),
      ]),
    );
    // By class of drives: who had a strand keeps it where its port is still joined for that class.
    const wanted = new Map<number, number[]>();
    for (const [drive, port] of pick.strands!) wanted.set(drive, [...(wanted.get(drive) ?? []), port]);
    const ends = [...wanted]
      .flatMap(([drive, classes]) => {
        const units = this.seated
          .of(pick.cell, drive)
          .map((unit) => ({ unit, lane: this.laneOf(unit, cell) }))
          .sort((a, b) => Number(before.has(b.lane)) - Number(before.has(a.lane)) || a.lane - b.lane)
          .slice(0, classes.length);
        const kept = units.map(({ lane }) => {
          const at = classes.findIndex((port) =>
            memberAt(this.table.ports, port).ports.some(
              ({ name }) => name === before.get(lane) && !this.used.has(name),
            ),
          );
          return at < 0 ? undefined : this.take(classes.splice(at, 1)[0]!, before.get(lane));
        });
        return units.map(({ unit, lane }, i) => ({ unit, lane, host: kept[i] ?? this.take(classes.shift()!) }));
      })
      .sort((a, b) => a.lane - b.lane);
    for (const { unit } of ends) this.reached.add(unit.id);
    this.used.add(target.name);
    if (isNonEmpty(ends))
      this.wires.push({
        cable,
        host: mapNonEmpty(ends, ({ host }) => host.ref),
        device: [target.ref],
        lanes: ends.map(({ lane }) => lane),
        how: 'solved',
      });
  }

  private take(port: number, name?: string): HostPort {
    const one = memberAt(this.table.ports, port).ports.find(
      (other) => !this.used.has(other.name) && (!name || other.name === name),
    )!;
    this.used.add(one.name);
    return one;
  }

  private laneOf(unit: DriveUnit, cell: Cell): number {
    return ((valueFor(this.seated.at, unit).bay.n - 1) % cell.group.group.backplane!.baysPerConnector) + 1;
  }

  /** The ports of a class that go on carrying the cable they carried, with every lane that makes. */
  private keepSingles(pick: PortPick): Lane[] {
    const wide = (cable: string) => cableKindById(cable)!.shape === 'forward';
    return [...pick.cables].flatMap(([cable, count]) =>
      memberAt(this.table.ports, pick.port)
        .ports.filter((one) => !this.used.has(one.name) && this.oldAtPort.get(one.name)?.cable === cable)
        .slice(0, count)
        .flatMap((port): Lane[] => {
          this.used.add(port.name);
          return wide(cable) ? [1, 2, 3, 4].map((lane) => ({ port, lane, cable })) : [{ port, lane: 1, cable }];
        }),
    );
  }

  /** Ends of drives with a cable each: their old lane where it is there, then the first that serves them. */
  private dealEnds(picks: readonly PortPick[], kept: readonly Lane[][]): void {
    const lanes = picks.map((pick, i) => {
      const all = [...memberAt(kept, i)];
      for (const [cable, count] of pick.cables) {
        const forward = cableKindById(cable)!.shape === 'forward';
        const have = new Set(all.filter((lane) => lane.cable === cable).map((lane) => lane.port.name)).size;
        for (let more = have; more < count; more++) {
          const port = this.free(pick.port)!;
          this.used.add(port.name);
          all.push(...(forward ? [1, 2, 3, 4] : [1]).map((lane) => ({ port, lane, cable })));
        }
      }
      return all;
    });
    const ends = this.table.ends.map((end, e) =>
      this.table.cells.flatMap((cell, i) =>
        (cell.ends[end.drive] === e ? this.seated.of(i, end.drive) : []).map((unit): End =>
          this.endOf(unit, end.bare, cell),
        ),
      ),
    );
    const got = new Map<string, Lane>();
    const quota = picks.map((pick) => new Map(pick.ends));
    const lent = picks.map((pick) => pick.lent);
    const taken = new Set<Lane>();
    const assign = (i: number, e: number, end: End, lane: Lane, borrowed: boolean) => {
      got.set(end.name, lane);
      taken.add(lane);
      memberAt(quota, i).set(e, valueFor(memberAt(quota, i), e) - 1);
      if (borrowed) lent[i]!--;
      this.reached.add(end.unit.id);
    };
    // Whether an end may go on a lane: by its own cable, or on loan by a breakout with SAS tails.
    const suits = (i: number, e: number, lane: Lane): 'own' | 'lent' | null => {
      const serves = memberAt(memberAt(this.table.ends, e).serves, memberAt(picks, i).port);
      return !serves || (memberAt(quota, i).get(e) ?? 0) <= 0
        ? null
        : lane.cable === serves.cable
          ? 'own'
          : lane.cable === serves.also && lent[i]! > 0
            ? 'lent'
            : null;
    };
    const give = (wanted: (end: End, lane: Lane) => boolean, loan: boolean) =>
      picks.forEach((_, i) =>
        this.table.ends.forEach((__, e) => {
          for (const end of memberAt(ends, e)) {
            if (got.has(end.name)) continue;
            const lane = memberAt(lanes, i).find(
              (one) => !taken.has(one) && wanted(end, one) && suits(i, e, one) === (loan ? 'lent' : 'own'),
            );
            if (lane) assign(i, e, end, lane, loan);
          }
        }),
      );
    const was = (end: End, lane: Lane) => {
      const old = this.old.get(end.name);
      return !!old && printSpot(old.wire.host[0]) === lane.port.name && (old.wire.lanes?.[old.i] ?? 1) === lane.lane;
    };
    give(was, false);
    give(was, true);
    give(() => true, false);
    give(() => true, true);
    this.gather(got, new Map(ends.flat().map((end) => [end.name, end])));
  }

  private endOf(unit: DriveUnit, bare: boolean, cell: Cell): End {
    const { bay } = valueFor(this.seated.at, unit);
    const ref = bare
      ? { host: unit.id as string, key: DRIVE_DATA_KEY }
      : memberAt(cell.targets, Math.min(bay.n - 1, cell.targets.length - 1)).ref;
    return { unit, ref, name: printSpot(ref) };
  }

  private gather(got: ReadonlyMap<string, Lane>, ends: ReadonlyMap<string, End>): void {
    const forward = new Map<string, NonEmpty<{ lane: Lane; end: End }>>();
    for (const [name, lane] of got) {
      const end = valueFor(ends, name);
      if (cableKindById(lane.cable)!.shape === 'forward')
        forward.set(lane.port.name, [{ lane, end }, ...(forward.get(lane.port.name) ?? [])]);
      else this.wires.push({ cable: lane.cable, host: [lane.port.ref], device: [end.ref], how: 'solved' });
    }
    for (const tails of forward.values()) {
      tails.sort((a, b) => a.lane.lane - b.lane.lane);
      this.wires.push({
        cable: tails[0].lane.cable,
        host: [tails[0].lane.port.ref],
        device: mapNonEmpty(tails, ({ end }) => end.ref),
        lanes: tails.map(({ lane }) => lane.lane),
        how: 'solved',
      });
    }
  }

  /** A cable that is the same as before keeps how it came about, and the list its order. */
  private sorted(): Wire[] {
    const nameOf = (wire: Wire) =>
      `${wire.cable}|${wire.host.map(printSpot).join()}|` +
      `${wire.device.map(printSpot).join()}|${wire.lanes?.join() ?? ''}`;
    const old = new Map(this.hint.map((wire) => [nameOf(wire), wire]));
    // A breakout with more or fewer tails than it had is the same cable.
    const firm = this.hint.filter((wire) => wire.how !== 'solved' && cableKindById(wire.cable)?.shape === 'forward');
    const howOf = (wire: Wire) =>
      (cableKindById(wire.cable)?.shape === 'forward'
        ? firm.find(
            (one) =>
              printSpot(one.host[0]) === printSpot(wire.host[0]) &&
              one.device.some((end) => wire.device.some((other) => printSpot(other) === printSpot(end))),
          )?.how
        : undefined) ?? wire.how;
    return this.wires
      .map((wire) => ({ name: nameOf(wire), wire }))
      .map(({ name, wire }) => ({ name, wire: old.get(name) ?? { ...wire, how: howOf(wire) } }))
      .sort((a, b) => (a.name < b.name ? -1 : 1))
      .map(({ wire }) => wire);
  }
}

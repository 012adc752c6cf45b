import { printSpot, type Layout, type SpotRef } from '../../build/layout';
import type { Backplane, BayGroup } from '../../parts/chassisValues';
import type { Connector } from '../../parts/connector';
import type { ConnectorKind, Protocol } from '../../parts/vocabulary';
import { bracketsWanted, type Brackets } from '../../links/brackets';
import { cableKindById, CABLE_KINDS, type CableKind } from '../../links/cableKinds';
import { driveConnector, protocolOf, wallBefore } from '../../links/ports';
import { laneMBps, linkMBps, dealtMBps, speaksSataAlone, uplinkGb } from '../../links/rates';
import { isKind, ofKind, type PlannedUnit, type UnitOf } from '../../machine/units';
import { rankOf } from '../reckon';
import { ones, type Levels } from './levels';
import type { Program, Term } from './program';
import type { Option, Seats } from './seats';

type Drive = UnitOf<'drive'>;
/** `uses` are the cables that may be on it; at most one is. `there` says when it works at all. */
type Port = {
  readonly name: string;
  readonly unit: PlannedUnit;
  readonly connector: Connector;
  readonly box: string | null;
  readonly expander: boolean;
  readonly uses: number[];
  readonly blocks: readonly number[];
  readonly straight: Map<string, number[]>;
  readonly forward: Map<string, number>;
};
/** A drive's chance to be reached: which port by, and how fast. */
type Chance = { readonly drive: Drive; readonly yes: number; readonly port: Pick<Port, 'unit' | 'expander'> };
type Bays = { readonly host: PlannedUnit; readonly group: BayGroup; readonly options: readonly Option[] };

const speaks = (connector: Connector, cable: CableKind, protocol: Protocol) =>
  connector.carries.includes(protocol) && cable.carries.includes(protocol);
/** An added chip's link parted among its ports. */
const onChip = (unit: PlannedUnit, { key, gbPerLane }: Connector, n: number): number => {
  const chips = isKind(unit, 'board') ? (unit.part.addedChips ?? []) : [];
  const mine = chips.find((chip) => chip.key === key && chip.ns.includes(n));
  return mine ? Math.min(gbPerLane, Math.floor(linkMBps(mine.lanes, mine.gen) / mine.ns.length) / 100) : gbPerLane;
};
const lossOf = (drive: Drive, gbPerLane: number, lanes: number) =>
  Math.max(
    0,
    Math.round(
      dealtMBps(drive.part) -
        laneMBps(protocolOf(drive.part), gbPerLane) *
          (drive.part.interface === 'nvme' ? Math.min(drive.part.lanes, lanes) : 1),
    ),
  );

/** Writes down ports, cables and who is reached by them, as docs/decisions/placement.md has it. */
export function encodeCables(
  program: Program,
  levels: Levels,
  units: readonly PlannedUnit[],
  owned: ReadonlyMap<string, number>,
  hint: Layout,
  seats: Seats,
): void {
  new CableWriter(program, levels, units, seats).write(owned, hint);
}

class CableWriter {
  private readonly ports: Port[];
  private readonly chances: Chance[] = [];
  private readonly bought = new Map<string, Term[]>();
  /** What feeds a connector of a backplane or card: the cable's variable by port. */
  private readonly fed = new Map<
    string,
    { readonly cable: CableKind; readonly port: Port | null; readonly yes: number }[]
  >();
  /** Connectors of backplanes that share their uplinks. */
  private readonly sharing = new Set<string>();
  private readonly drives: readonly Drive[];
  private readonly sataAlone: boolean;
  private readonly brackets: Brackets;
  /** What feeds each expander card. */
  private readonly uplinksOf = new Map<PlannedUnit, readonly { readonly port: Port; readonly yes: number }[]>();

  constructor(
    private readonly program: Program,
    private readonly levels: Levels,
    private readonly units: readonly PlannedUnit[],
    private readonly seats: Seats,
  ) {
    this.drives = ofKind(units, 'drive').filter(
      (unit) => unit.part.size !== 'm2' && unit.part.size !== 'usb' && seats.options.has(unit.id),
    );
    this.brackets = bracketsWanted(units, seats.boxOf);
    this.sataAlone = speaksSataAlone(this.drives.map(({ part }) => part));
    this.ports = units.flatMap((unit) =>
      isKind(unit, 'board') || isKind(unit, 'controller') || isKind(unit, 'expander')
        ? unit.part.connectors.flatMap((connector) => this.portsOf(unit, connector))
        : [],
    );
  }

  write(owned: ReadonlyMap<string, number>, hint: Layout): void {
    for (const drive of this.drives) this.bareEnds(drive);
    for (const bays of this.backplanes()) {
      const { backplane } = bays.group;
      if (backplane!.type !== 'direct') this.shared(bays, backplane!);
      else if (backplane!.connectors[0].lanes === 1) this.singleEnds(bays, backplane!);
      else this.direct(bays, backplane!);
    }
    const expanders = ofKind(this.units, 'expander').map((unit) => this.expander(unit));
    for (const port of this.ports) this.onePort(port);
    this.reached();
    for (const uplinks of expanders) this.carried(uplinks.unit, uplinks.carries);
    for (const [cable, count] of this.bought) {
      const buy = this.program.amount();
      this.program.atLeast([[buy, 1], ...count.map(([one, factor]): Term => [one, -factor])], -(owned.get(cable) ?? 0));
      const { shape, bracketAt } = cableKindById(cable)!;
      this.levels.add('cablesToBuy', [buy, shape === 'straight' && !bracketAt ? 1 : 2]);
    }
    for (const wire of hint.wires) this.settled(wire);
  }

  /** Ports of a connector, and what they want: a seated card, an opening, lanes that nothing takes. */
  private portsOf(unit: PlannedUnit, connector: Connector): Port[] {
    const { options, boxOf, cuts, byId, fixedSpot } = this.seats;
    if (connector.role === 'device' || (!options.has(unit.id) && !fixedSpot(unit))) return [];
    return Array.from({ length: connector.count }, (_, i): Port[] => {
      const ref: SpotRef =
        connector.count === 1 ? { host: unit.id, key: connector.key } : { host: unit.id, key: connector.key, n: i + 1 };
      const blocks: number[] = [];
      if (isKind(unit, 'board'))
        for (const { when, lanes } of cuts(unit, connector.key, i + 1, connector.lanes)) {
          if (lanes === connector.lanes) continue;
          if (lanes > 0) throw new Error(`${connector.key} keeps some of its lanes: not written down here`);
          if (when.length === 0) return [];
          blocks.push(...when);
        }
      if (isKind(unit, 'controller') && connector.side === 'outside')
        for (const option of options.get(unit.id) ?? [])
          if (wallBefore(option.ref, byId, fixedSpot)) blocks.push(option.yes);
      return [
        {
          name: printSpot(ref),
          unit,
          connector: { ...connector, gbPerLane: onChip(unit, connector, i + 1) },
          box: boxOf(unit),
          expander: isKind(unit, 'expander'),
          uses: [],
          blocks,
          straight: new Map(),
          forward: new Map(),
        },
      ];
    }).flat();
  }

  private reaches(cable: CableKind, port: Port, side: Connector['side'], box: string | null): boolean {
    const mine = port.connector.side;
    const { into, outOf } = this.brackets;
    if (mine === side) return side === 'outside' || port.box === box;
    if (cable.bracketAt !== (mine === 'inside' ? 'host' : 'device') || port.box === box) return false;
    return mine === 'inside' ? outOf : box !== null && into.has(box);
  }

  private buy(cable: CableKind, yes: number): void {
    this.bought.set(cable.id, [...(this.bought.get(cable.id) ?? []), [yes, 1]]);
  }

  private backplanes(): Bays[] {
    const found = new Map<string, Bays & { readonly options: Option[] }>();
    for (const drive of this.drives)
      for (const option of this.seats.options.get(drive.id)!) {
        if (option.group.type !== 'bay' || !option.group.group.backplane) continue;
        const key = `${option.ref.host}/${option.ref.key}`;
        const bays = found.get(key) ?? {
          host: this.seats.byId.get(option.ref.host)!,
          group: option.group.group,
          options: [],
        };
        found.set(key, bays);
        bays.options.push(option);
      }
    return [...found.values()];
  }

  /** Cables to a drive's own end, wherever it is bare. */
  private bareEnds(drive: Drive): void {
    const boxes = new Map<string | null, number[]>();
    for (const { group, ref, yes } of this.seats.options.get(drive.id)!) {
      if (group.type !== 'bay' || group.group.backplane) continue;
      const box = this.seats.boxOf(this.seats.byId.get(ref.host)!);
      boxes.set(box, [...(boxes.get(box) ?? []), yes]);
    }
    const kind = driveConnector(drive.part);
    for (const [box, seated] of boxes)
      this.end(
        drive,
        seated,
        box,
        'inside',
        Infinity,
        (cable) => cable.device === kind || (cable.device === 'sff-8482' && kind === 'sata'),
      );
  }

  /** A backplane with a connector for each bay. */
  private singleEnds({ host, options, group }: Bays, backplane: Backplane): void {
    const connector = backplane.connectors[0];
    for (const drive of this.drives) {
      const mine = options.filter(({ unit }) => unit === drive).map(({ yes }) => yes);
      if (mine.length > 0)
        this.end(
          drive,
          mine,
          this.seats.boxOf(host),
          connector.side,
          group.backplane!.gbPerLane,
          (cable) => cable.device === connector.kind,
        );
    }
  }

  private end(
    drive: Drive,
    seated: readonly number[],
    box: string | null,
    side: Connector['side'],
    gbPerLane: number,
    plugs: (cable: CableKind) => boolean,
  ): void {
    const chances: number[] = [];
    for (const cable of CABLE_KINDS) {
      if (cable.shape === 'reverse' || !plugs(cable)) continue;
      for (const port of this.ports) {
        const { connector } = port;
        if (
          connector.kind !== cable.host ||
          !speaks(connector, cable, protocolOf(drive.part)) ||
          !this.reaches(cable, port, side, box) ||
          (cable.shape === 'forward' && connector.lanes < 4)
        )
          continue;
        const yes = this.program.yes();
        chances.push(yes);
        this.serve(drive, yes, port, lossOf(drive, Math.min(connector.gbPerLane, gbPerLane), connector.lanes));
        if (cable.shape === 'straight') {
          port.uses.push(yes);
          port.straight.set(cable.id, [...(port.straight.get(cable.id) ?? []), yes]);
          this.buy(cable, yes);
        } else this.tail(port, cable, yes);
      }
    }
    if (chances.length > 0) this.program.atMost([...ones(chances), ...ones(seated, -1)], 0);
  }

  private readonly tails = new Map<number, number[]>();
  private tail(port: Port, cable: CableKind, yes: number): void {
    let breakout = port.forward.get(cable.id);
    if (breakout === undefined) {
      port.forward.set(cable.id, (breakout = this.program.yes()));
      port.uses.push(breakout);
      this.buy(cable, breakout);
      this.tails.set(breakout, []);
    }
    this.tails.get(breakout)!.push(yes);
  }

  private serve(drive: Drive, yes: number, port: Pick<Port, 'unit' | 'expander'>, loss: number): void {
    this.chances.push({ drive, yes, port });
    if (loss > 0) this.levels.add('mbLost', [yes, loss]);
    if (rankOf(drive) === 'boot' && !isKind(port.unit, 'board')) this.levels.add('bootOffBoard', [yes, 1]);
  }

  /** A direct backplane: each connector straight from a port, or its lanes joined from single SATA ports. */
  private direct({ host, group, options }: Bays, backplane: Backplane): void {
    const connector = backplane.connectors[0];
    const bayOf = ({ ref }: Option) => ref.n ?? 1;
    for (let nth = 1; nth <= connector.count; nth++) {
      const behind = Array.from({ length: group.rows * group.columns }, (_, i) => i + 1).filter(
        (n) => Math.min(Math.ceil(n / backplane.baysPerConnector), connector.count) === nth,
      );
      const here = options.filter((option) => behind.includes(bayOf(option)));
      const name = printSpot(
        connector.count === 1
          ? { host: host.id, key: `${group.key}-${connector.key}` }
          : { host: host.id, key: `${group.key}-${connector.key}`, n: nth },
      );
      const box = this.seats.boxOf(host);
      const feeds: number[] = [];
      const served: number[] = [];
      const perDrive = new Map<Drive, number[]>();
      const reach = (drive: Drive, yes: number, port: Port) => {
        served.push(yes);
        perDrive.set(drive, [...(perDrive.get(drive) ?? []), yes]);
        this.serve(
          drive,
          yes,
          port,
          lossOf(drive, Math.min(port.connector.gbPerLane, backplane.gbPerLane), connector.lanes),
        );
      };
      for (const port of this.ports) {
        const cable = CABLE_KINDS.find(
          (one) => one.shape === 'straight' && one.host === port.connector.kind && one.device === connector.kind,
        );
        if (!cable || port.connector.lanes < connector.lanes || !this.reaches(cable, port, connector.side, box))
          continue;
        const mine = this.drives.filter(
          (drive) => here.some(({ unit }) => unit === drive) && speaks(port.connector, cable, protocolOf(drive.part)),
        );
        if (mine.length === 0) continue;
        const feed = this.feed(name, cable, port);
        feeds.push(feed);
        const reached = mine.map((drive) => {
          const yes = this.program.yes();
          this.program.atMost(
            [
              [yes, 1],
              [feed, -1],
            ],
            0,
          );
          this.behind(
            yes,
            feed,
            here.filter(({ unit }) => unit === drive).map((one) => one.yes),
          );
          reach(drive, yes, port);
          return yes;
        });
        this.program.atMost([[feed, 1], ...ones(reached, -1)], 0);
      }
      this.joined(
        name,
        box,
        here.map((option) => ({ option, lane: ((bayOf(option) - 1) % backplane.baysPerConnector) + 1 })),
        connector.kind,
        feeds,
        reach,
      );
      for (const [drive, chances] of perDrive)
        this.program.atMost(
          [
            ...ones(chances),
            ...ones(
              here.filter(({ unit }) => unit === drive).map(({ yes }) => yes),
              -1,
            ),
          ],
          0,
        );
      if (feeds.length === 0) continue;
      this.program.atMost(ones(feeds), 1);
      // With fewer drives than bays that no adapter lies over, the cable is partly used.
      const partly = this.program.yes();
      const covered = [...this.seats.options.values()]
        .flat()
        .filter(({ unit }) => isKind(unit, 'adapter'))
        .flatMap((option) =>
          behind
            .filter((n) =>
              option.covers.includes(
                printSpot({ host: host.id, key: group.key, ...(group.rows * group.columns > 1 ? { n } : {}) }),
              ),
            )
            .map(() => option.yes),
        );
      this.program.atLeast(
        [[partly, behind.length], ...ones(served), ...ones(covered), ...ones(feeds, -behind.length)],
        0,
      );
      this.levels.add('partlyUsed', [partly, 1]);
    }
  }

  private joined(
    name: string,
    box: string | null,
    places: readonly { readonly option: Option; readonly lane: number }[],
    kind: ConnectorKind,
    feeds: number[],
    reach: (drive: Drive, yes: number, port: Port) => void,
  ): void {
    const cable = CABLE_KINDS.find((one) => one.shape === 'reverse' && one.device === kind);
    const ports = this.ports.filter(
      ({ connector, box: mine }) =>
        connector.kind === 'sata' &&
        connector.lanes === 1 &&
        connector.side === 'inside' &&
        mine === box &&
        connector.carries.includes('sata'),
    );
    const sata = places.filter(({ option: { unit } }) => isKind(unit, 'drive') && unit.part.interface === 'sata');
    if (!cable || ports.length === 0 || sata.length === 0) return;
    const whole = this.program.yes();
    feeds.push(whole);
    this.buy(cable, whole);
    this.fed.set(name, [...(this.fed.get(name) ?? []), { cable, port: null, yes: whole }]);
    const strands: number[] = [];
    const perOption = new Map<Option, number[]>();
    for (const lane of new Set(sata.map((one) => one.lane))) {
      const strandsHere: number[] = [];
      for (const port of ports) {
        const strand = this.program.yes();
        strands.push(strand);
        strandsHere.push(strand);
        port.uses.push(strand);
        this.program.atMost(
          [
            [strand, 1],
            [whole, -1],
          ],
          0,
        );
        const reached = sata
          .filter((one) => one.lane === lane)
          .map(({ option }) => {
            const yes = this.program.yes();
            perOption.set(option, [...(perOption.get(option) ?? []), yes]);
            reach(option.unit as Drive, yes, port);
            return yes;
          });
        this.program.equal([[strand, 1], ...ones(reached, -1)], 0);
      }
      this.program.atMost(ones(strandsHere), 1);
    }
    for (const [option, chances] of perOption) this.program.atMost([...ones(chances), [option.yes, -1]], 0);
    this.program.atMost(ones(strands), cable.tails);
    this.program.atMost([[whole, 1], ...ones(strands, -1)], 0);
  }

  /** Who is seated behind a connector that is fed is served. */
  private behind(yes: number, feed: number, seated: readonly number[]): void {
    this.program.atLeast([[yes, 1], [feed, -1], ...ones(seated, -1)], -1);
  }

  private feed(name: string, cable: CableKind, port: Port): number {
    const yes = this.program.yes();
    port.uses.push(yes);
    this.buy(cable, yes);
    this.fed.set(name, [...(this.fed.get(name) ?? []), { cable, port, yes }]);
    return yes;
  }

  /** Uplinks of one expander, bridge or multiplier: at most so many, all from one card. */
  private uplinks(uplinks: readonly { readonly port: Port; readonly yes: number }[], most: number): void {
    this.program.atMost(ones(uplinks.map(({ yes }) => yes)), most);
    const cards = [...new Set(uplinks.map(({ port }) => port.unit))].map((unit) => ({ unit, yes: this.program.yes() }));
    if (cards.length > 0) this.program.atMost(ones(cards.map(({ yes }) => yes)), 1);
    for (const { port, yes } of uplinks)
      this.program.atMost(
        [
          [yes, 1],
          [cards.find(({ unit }) => unit === port.unit)!.yes, -1],
        ],
        0,
      );
  }

  /** A backplane whose bays share its uplinks. */
  private shared({ host, group, options }: Bays, backplane: Backplane): void {
    const connector = backplane.connectors[0];
    const many = backplane.connectors.reduce((sum, one) => sum + one.count, 0);
    const language = backplane.type === 'bridge' ? connector.carries[0] : null;
    const name = printSpot({
      host: host.id,
      key: `${group.key}-${connector.key}`,
      ...(connector.count > 1 ? { n: 1 } : {}),
    });
    const up = this.ports.flatMap((port) => {
      const cable = CABLE_KINDS.find(
        (one) => one.shape === 'straight' && one.host === port.connector.kind && one.device === connector.kind,
      );
      const takes =
        backplane.type !== 'expander' ||
        (connector.lanes > 1
          ? port.connector.carries.includes('sas')
          : isKind(port.unit, 'controller') && port.unit.part.portMultiplier);
      const served = this.drives.filter(
        (drive) =>
          options.some(({ unit }) => unit === drive) &&
          cable &&
          speaks(port.connector, cable, language ?? protocolOf(drive.part)),
      );
      if (
        !cable ||
        port.connector.lanes < connector.lanes ||
        !takes ||
        served.length === 0 ||
        !this.reaches(cable, port, connector.side, this.seats.boxOf(host))
      )
        return [];
      return [{ port, served, yes: this.feed(name, cable, port) }];
    });
    if (up.length === 0) return;
    this.sharing.add(`${host.id}/${group.key}-${connector.key}`);
    this.uplinks(up, Math.min(many, 2));
    const reached: Term[] = [];
    const all: number[] = [];
    for (const drive of this.drives) {
      const seated = options.filter(({ unit }) => unit === drive).map(({ yes }) => yes);
      const chances = [...new Set(up.filter(({ served }) => served.includes(drive)).map(({ port }) => port.unit))].map(
        (unit) => {
          const mine = up.filter(({ port }) => port.unit === unit);
          const yes = this.program.yes();
          this.program.atMost(
            [
              [yes, 1],
              ...ones(
                mine.map((one) => one.yes),
                -1,
              ),
            ],
            0,
          );
          for (const one of mine) this.behind(yes, one.yes, seated);
          this.serve(
            drive,
            yes,
            mine[0]!.port,
            Math.max(0, dealtMBps(drive.part) - laneMBps(protocolOf(drive.part), backplane.gbPerLane)),
          );
          reached.push([yes, dealtMBps(drive.part)]);
          return yes;
        },
      );
      all.push(...chances);
      if (chances.length > 0) this.program.atMost([...ones(chances), ...ones(seated, -1)], 0);
    }
    for (const { yes } of up) this.program.atMost([[yes, 1], ...ones(all, -1)], 0);
    this.over(
      reached,
      up.map(({ port, yes }): Term => [
        yes,
        connector.lanes *
          laneMBps(
            language ?? 'sas',
            uplinkGb(
              Math.min(port.connector.gbPerLane, connector.gbPerLane),
              backplane.type === 'expander' ? backplane.edgeBuffering : true,
              this.sataAlone,
            ),
          ),
      ]),
    );
  }

  /** What is asked past what uplinks carry is lost. */
  private over(asked: readonly Term[], carried: readonly Term[]): void {
    const lost = this.program.amount();
    this.program.atLeast([[lost, 1], ...asked.map(([one, factor]): Term => [one, -factor]), ...carried], 0);
    this.levels.add('mbLost', [lost, 1]);
  }

  /** An expander card: a connector is fed, or a port while another is fed. */
  private expander(unit: UnitOf<'expander'>): {
    readonly unit: PlannedUnit;
    readonly carries: readonly Term[];
  } {
    const own = this.ports.filter((port) => port.unit === unit);
    const first = own[0]!.connector;
    const up = own.flatMap((end) =>
      this.ports.flatMap((port) => {
        const cable = CABLE_KINDS.find(
          (one) => one.shape === 'straight' && one.host === port.connector.kind && one.device === first.kind,
        );
        if (
          port.expander ||
          !cable ||
          port.connector.lanes < first.lanes ||
          !port.connector.carries.includes('sas') ||
          !this.reaches(cable, port, first.side, end.box)
        )
          return [];
        const yes = this.feed(end.name, cable, port);
        end.uses.push(yes);
        return [{ port, yes }];
      }),
    );
    this.uplinks(up, 2);
    for (const end of own)
      for (const use of end.uses)
        if (!up.some(({ yes }) => yes === use))
          this.program.atMost(
            [
              [use, 1],
              ...ones(
                up.map(({ yes }) => yes),
                -1,
              ),
            ],
            0,
          );
    this.uplinksOf.set(unit, up);
    return {
      unit,
      carries: up.map(({ port, yes }): Term => [
        yes,
        first.lanes *
          laneMBps(
            'sas',
            uplinkGb(Math.min(first.gbPerLane, port.connector.gbPerLane), unit.part.edgeBuffering, this.sataAlone),
          ),
      ]),
    };
  }

  private carried(unit: PlannedUnit, carries: readonly Term[]): void {
    const asked = this.chances
      .filter(({ port }) => port.unit === unit)
      .map(({ drive, yes }): Term => [yes, dealtMBps(drive.part)]);
    if (asked.length > 0) this.over(asked, carries);
  }

  private onePort(port: Port): void {
    if (port.uses.length === 0) return;
    this.program.atMost(ones(port.uses), 1);
    const host = this.seats.options.get(port.unit.id);
    if (host)
      this.program.atMost(
        [
          ...ones(port.uses),
          ...ones(
            host.map(({ yes }) => yes),
            -1,
          ),
        ],
        0,
      );
    for (const block of port.blocks) this.program.atMost([...ones(port.uses), [block, 1]], 1);
    for (const breakout of port.forward.values()) {
      const tails = this.tails.get(breakout)!;
      this.program.atMost([...ones(tails), [breakout, -4]], 0);
      this.program.atMost([[breakout, 1], ...ones(tails, -1)], 0);
      for (const tail of tails)
        this.program.atMost(
          [
            [tail, 1],
            [breakout, -1],
          ],
          0,
        );
      const partly = this.program.yes();
      this.program.atLeast([[partly, 4], ...ones(tails), [breakout, -4]], 0);
      this.levels.add('partlyUsed', [partly, 1]);
    }
  }

  /** Drives with a bay and no cable; drives on one card are no more than it takes. */
  private reached(): void {
    for (const drive of this.drives) {
      const seated = this.seats.options.get(drive.id)!.map(({ yes }) => yes);
      const chances = this.chances.filter((chance) => chance.drive === drive).map(({ yes }) => yes);
      this.levels.add(`${rankOf(drive)}Loose`, ...ones(seated), ...ones(chances, -1));
    }
    for (const card of ofKind(this.units, 'controller')) {
      const mine = this.chances.filter(({ port }) => port.unit === card).map(({ yes }) => yes);
      // Those behind an expander card count while this card feeds it.
      const behind = [...this.uplinksOf].flatMap(([expander, up]) => {
        const theirs = this.chances.filter(({ port }) => port.unit === expander).map(({ yes }) => yes);
        const fed = up.filter(({ port }) => port.unit === card);
        if (theirs.length === 0 || fed.length === 0) return [];
        const many = this.program.amount();
        for (const { yes } of fed)
          this.program.atLeast([[many, 1], ...ones(theirs, -1), [yes, -theirs.length]], -theirs.length);
        return [{ many, most: theirs.length }];
      });
      if (mine.length + behind.reduce((sum, one) => sum + one.most, 0) > card.part.mostDevices)
        this.program.atMost([...ones(mine), ...ones(behind.map(({ many }) => many))], card.part.mostDevices);
    }
  }

  /** What may feed the thing with this connector: a backplane or card that shares its uplinks is one thing. */
  private feedsAt(device: SpotRef) {
    const name = printSpot(device);
    const card = this.seats.byId.get(device.host);
    if (card && isKind(card, 'expander'))
      return this.ports.filter((port) => port.unit === card).flatMap((port) => this.fed.get(port.name) ?? []);
    return (
      this.fed.get(name) ??
      (device.n === undefined ? [] : (this.fed.get(printSpot({ ...device, n: 1 })) ?? [])).filter(
        ({ cable }) => this.sharing.has(`${device.host}/${device.key}`) && cable.shape === 'straight',
      )
    );
  }

  /** Moves of cables: what fed a connector that is now fed otherwise; what a port no longer carries. */
  private settled(was: Layout['wires'][number]): void {
    const port = this.ports.find(({ name }) => name === printSpot(was.host[0]));
    const cable = cableKindById(was.cable);
    if (!port || !cable) return;
    const moved = (changed: readonly Term[], constant: number) => {
      const host = this.seats.options.get(port.unit.id);
      const cost = this.program.amount();
      // Where the port is not there there is nothing to move.
      this.program.atLeast(
        [
          [cost, 1],
          ...changed.map(([one, factor]): Term => [one, -factor]),
          ...(host
            ? ones(
                host.map(({ yes }) => yes),
                -1,
              )
            : []),
          ...ones(port.blocks),
        ],
        constant - (host ? 1 : 0),
      );
      this.levels.add('moves', [cost, 1]);
    };
    const feeds = this.feedsAt(was.device[0]);
    const single = cable.shape === 'forward' || ['sata', 'sff-8482', 'sff-8639'].includes(cable.device);
    if (feeds.length > 0) {
      const same = feeds.filter((feed) =>
        cable.shape === 'reverse' ? feed.cable.shape === 'reverse' : feed.port === port,
      );
      // Two cables may feed a shared backplane: fed is counted once.
      const other = this.program.yes();
      for (const feed of feeds)
        if (!same.includes(feed))
          this.program.atLeast([[other, 1], [feed.yes, -1], ...ones(same.map(({ yes }) => yes))], 0);
      moved([[other, 1]], 0);
    } else if (single) {
      const carries =
        cable.shape === 'forward'
          ? [port.forward.get(cable.id)].filter((one) => one !== undefined)
          : (port.straight.get(cable.id) ?? []);
      moved(ones(carries, -1), 1);
    }
  }
}

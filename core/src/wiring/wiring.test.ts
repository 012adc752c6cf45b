import { problemOf } from '../solve/problem';
import Papa from 'papaparse';
import { printSpot } from '../build/layout';
import { closureOf } from '../parts/catalogue';
import { checkLayout } from '../solve/checkLayout';
import { plannedUnits } from '../machine/units';
import { catalogue, cube, fixture, tweak, type Fixture } from '../testing/fixture';
import { otherEnds, otherPorts } from './moveCable';
import { scheduleOf } from './schedule';
import { scheduleCsv } from './scheduleCsv';
import { wiringFor } from './wiring';

const wiring = (made: Fixture) => wiringFor(made.build, made.assess());
const rack = () =>
  fixture()
    .add('gable-24')
    .add('gannet-e8')
    .add('shire-16')
    .add('crag-q8')
    .add('clew-r32', 2)
    .add('tern-16i')
    .add('tern-8i')
    .add('barge-8', 16);
const tower = () =>
  fixture().add('steading-t9').add('plover-a6').add('drover-4').add('tarn-155').add('clew-16e', 2).add('ember-650');
const schedule = (made: Fixture) => scheduleOf(wiring(made), plannedUnits(made.build));

test('every wire of a layout is one row, labelled in the order of hosts and ports', () => {
  const made = rack();
  const { hosts, loose } = wiring(made);
  const rows = hosts.flatMap(({ cables }) => cables);
  expect(rows.map(({ label }) => label)).toEqual(rows.map((_, i) => `#${i + 1}`));
  expect(new Set(rows.map(({ wire }) => wire))).toEqual(new Set(made.build.layout.wires));
  expect(rows.reduce((sum, row) => sum + row.drives.length, 0)).toBe(16);
  expect(loose).toEqual([]);
});

test('a cable carries its lanes at the slower end, and asks what its drives could give', () => {
  const [row] = wiring(rack())
    .hosts.flatMap(({ cables }) => cables)
    .filter(({ drives }) => drives.length === 4);
  expect([row!.carriesMBps, row!.asksMBps]).toEqual([4 * 600, 4 * 180]);
  const bare = wiring(tower().add('barge-8', 2)).hosts[0]!.cables;
  expect(bare.map(({ carriesMBps }) => carriesMBps)).toEqual([600, 600]);
});

test('a connector is named by the bays behind it, one or several', () => {
  const ends = (made: Fixture) => schedule(made).map(({ to }) => to);
  expect(ends(rack())[0]).toMatch(/^Gable 24 A1, front bays connector 1, bays 1–4$/);
  expect(ends(fixture().add('creel-2w').add('sprig-i6').add('crib-6').add('coot-1', 2))).toEqual([
    'Crib 6 in 1 C1, cage bays connector 1, bay 1',
    'Crib 6 in 1 C1, cage bays connector 2, bay 2',
  ]);
});

test('links: a card by its slot, the board by its uplink; lanes add up against the processor', () => {
  const { hosts, budgets } = wiring(rack());
  const card = hosts.find(({ name }) => name === 'Tern 16i')!;
  expect(card.link).toMatchObject({ lanes: 8, gen: 3, mbPerS: Math.round(8 * 985 * 0.87), owner: 'processor' });
  expect(hosts[0]!.link).toMatchObject({ words: 'its uplink', uplink: true });
  expect(budgets.find(({ source }) => source === 'processor')).toMatchObject({ used: 16, has: 64, unit: 'lanes' });
});

test('a module in a socket of the board is a row of its own, on what owns the socket', () => {
  const hosts = wiring(cube().add('stickle-500', 1, { at: ['u4/m2b'] })).hosts;
  const module = hosts.find(({ modules }) => modules.some(({ name }) => name.startsWith('Stickle')))!;
  expect(module).toMatchObject({
    cables: [],
    link: { rate: 'x4 gen 3', mbPerS: 3428, uplink: false },
    modules: [{ carriesMBps: 3428, asksMBps: 3400 }],
  });
  const owners = hosts.filter(({ link }) => link && !link.uplink).map(({ link }) => link!.owner);
  expect(owners).toEqual([...owners].sort());
});

test('a module that has its whole link is not short of it', () => {
  const [module] = wiring(cube().add('stickle-500', 1, { at: ['u4/m2a'] })).hosts.flatMap(({ modules }) => modules);
  expect([module!.carriesMBps, module!.asksMBps]).toEqual([6852, 3400]);
});

test('modules on a carrier stand with their card; a SATA module has one link of its own', () => {
  const { hosts } = wiring(rack().add('punt-4').add('stickle-500', 2));
  const carrier = hosts.find(({ name }) => name === 'Punt 4')!;
  expect(carrier.modules).toMatchObject([{ socket: 'M.2 on the card, 1', carriesMBps: 3428 }]);
  expect(hosts.flatMap(({ modules }) => modules)).toHaveLength(2);
  expect(carrier.link!.owner).toBe('processor');
  const sata = wiring(cube().add('reed-250', 1)).hosts.find(({ modules }) => modules.length > 0)!;
  expect(sata.link).toMatchObject({ rate: 'SATA', mbPerS: 600, owner: 'chipset' });
});

test('loose ends say why: a drive without a port, a card without a slot, ports switched off', () => {
  const { loose } = wiring(
    cube().add('reed-250', 1, { role: 'boot' }).add('barge-8', 4).add('tern-8i').add('skein-10'),
  );
  expect(loose.map(({ words, why }) => `${words}: ${why}`)).toEqual(
    expect.arrayContaining(['Skein 10: no slot', '2 ports of Wren C8: switched off by Reed 250 GB M.2 SATA G1']),
  );
  expect(wiring(cube().add('barge-8', 5)).loose.map(({ why }) => why)).toEqual([
    expect.stringMatching(/^no port left for cage \d$/),
  ]);
});

test('the schedule says where a cable comes from: the kit, a box, or the shop at a length that is sold', () => {
  const lines = schedule(cube().add('barge-8', 4));
  expect(lines).toHaveLength(1);
  expect(lines[0]).toMatchObject({
    label: '#1',
    drives: 'G1 G2 G3 G4',
    source: 'in the box of Larder 8',
    length: '600 mm',
    direction: expect.stringMatching(/^reverse/),
  });
  const bought = schedule(tower().add('lead-sata').add('barge-8', 4));
  expect(bought.map(({ source }) => source)).toEqual([
    'in the kit: SATA cable, 50 cm',
    'in the box of Plover A6',
    'in the box of Plover A6',
    'to buy',
  ]);
  expect(bought[3]!.length).toMatch(/^(300|500|750|1000) mm \(the way is about \d+\)$/);
});

test('the schedule as CSV has a header and a line for each cable', () => {
  const lines = schedule(rack());
  const { data } = Papa.parse<Record<string, string>>(scheduleCsv(lines).trim(), { header: true });
  expect(data).toHaveLength(lines.length);
  expect(data[0]).toMatchObject({ label: '#1', from: lines[0]!.from });
});

describe('cables by hand', () => {
  const cableTo = (made: Fixture, device: string) =>
    made.build.layout.wires.find((wire) => wire.device.some((end) => printSpot(end) === device))!;
  const hostOf = (made: Fixture, device: string) => printSpot(cableTo(made, device).host[0]);
  const firstWire = (made: Fixture) => made.build.layout.wires.find(({ cable }) => cable.startsWith('straight:sff'))!;

  test('moved to a port of another card it stays there, and says so', () => {
    const made = rack();
    const wire = firstWire(made);
    const device = printSpot(wire.device[0]);
    const other = otherPorts(plannedUnits(made.build), made.build.layout, wire).find(
      ({ host, takenBy }) => host !== wire.host[0].host && !takenBy,
    )!;
    const moved = made.edit(other.edit);
    expect(hostOf(moved, device)).toBe(other.name);
    expect(cableTo(moved, device).how).toBe('put');
    expect(checkLayout({ units: plannedUnits(moved.build) }, moved.build.layout)).toEqual([]);
    // More drives settle around it.
    expect(hostOf(moved.add('barge-8', 8), device)).toBe(other.name);
    expect(moved.add('barge-8', 8).assess().unconnected).toEqual([]);
  });

  test('moved to a taken port the two cables change places', () => {
    const made = rack();
    const wire = firstWire(made);
    const other = otherPorts(plannedUnits(made.build), made.build.layout, wire).find(({ takenBy }) => takenBy)!;
    const moved = made.edit(other.edit);
    expect(hostOf(moved, printSpot(wire.device[0]))).toBe(other.name);
    expect(hostOf(moved, printSpot(other.takenBy!.device[0]))).toBe(printSpot(wire.host[0]));
  });

  test('picked up at its bay end a cable changes places with one that could stand on its port', () => {
    const made = rack();
    const [wire] = made.build.layout.wires;
    const ends = otherEnds(plannedUnits(made.build), made.build.layout, structuredClone(wire!));
    expect(ends.map(({ wire: other }) => printSpot(other.device[0]))).toEqual(
      made.build.layout.wires.filter((other) => other !== wire).map(({ device }) => printSpot(device[0])),
    );
    const other = ends.at(-1)!;
    const moved = made.edit(other.edit);
    expect(hostOf(moved, printSpot(other.wire.device[0]))).toBe(printSpot(wire!.host[0]));
    expect(hostOf(moved, printSpot(wire!.device[0]))).toBe(printSpot(other.wire.host[0]));
  });

  test('a put cable gives way where a drive would go without, a held one does not', () => {
    const front = {
      ...(catalogue.archetypes['rack-4u-24'] as unknown as { bayGroups: { backplane: object }[] }).bayGroups[0]!,
      takes: ['3.5', '2.5', 'u.2'],
    };
    const chassis = tweak('gable-24', {
      bayGroups: [{ ...front, backplane: { ...front.backplane, carries: ['sata', 'sas', 'pcie'] } }],
    });
    const port = { count: 1, kind: 'sff-8643', lanes: 4, gbPerLane: 12, role: 'host', side: 'inside' };
    // One of the two ports alone speaks to NVMe drives.
    const card = tweak(
      'tern-8i',
      {
        connectors: [
          { ...port, key: 'plain', carries: ['sas', 'sata'] },
          { ...port, key: 'three', carries: ['sas', 'sata', 'pcie'] },
        ],
      },
      tweak('gannet-e8', { connectors: [] }, chassis),
    );
    const loose = fixture(card).add('gable-24').add('gannet-e8').add('tern-8i').add('barge-8', 4);
    // The disks stay: else they change bays with the new ones, and the cable may stay as well.
    const made = loose.edit(
      ...[1, 2, 3, 4].map((n) => ({
        type: 'place.hold' as const,
        unit: loose.unit('barge-8', n),
        spot: { host: loose.unit('gable-24'), key: 'front', n },
      })),
    );
    const wire = firstWire(made);
    const moved = (how: 'put' | 'held') => {
      const now =
        wire.host[0].key === 'three'
          ? made.edit({ type: 'cable.put', wire: { ...wire, how } })
          : (() => {
              const other = otherPorts(plannedUnits(made.build), made.build.layout, wire).find(
                ({ ref }) => ref.key === 'three',
              )!;
              return made.edit({ ...other.edit, wire: { ...other.edit.wire, how } });
            })();
      return now.add('wels-1920', 2);
    };
    expect(hostOf(moved('put'), printSpot(wire.device[0]))).toMatch(/plain$/);
    expect(moved('put').assess().unconnected).toEqual([]);
    expect(hostOf(moved('held'), printSpot(wire.device[0]))).toMatch(/three$/);
    expect(moved('held').assess().unconnected).toHaveLength(2);
  });

  test('held and released; undone it is as it was', () => {
    const made = tower().add('barge-8', 2);
    const [wire] = made.build.layout.wires;
    const other = otherPorts(plannedUnits(made.build), made.build.layout, wire!).find(({ takenBy }) => !takenBy)!;
    const held = made.edit({ ...other.edit, wire: { ...other.edit.wire, how: 'held' } });
    const device = printSpot(wire!.device[0]);
    expect(hostOf(held.add('barge-8', 2), device)).toBe(other.name);
    expect(cableTo(held.edit({ type: 'cable.how', device: wire!.device[0], how: 'solved' }), device).how).toBe(
      'solved',
    );
  });

  test('a breakout in reverse is not moved; a port of another box is none', () => {
    const made = cube().add('barge-8', 4);
    expect(otherPorts(plannedUnits(made.build), made.build.layout, made.build.layout.wires[0]!)).toEqual([]);
    const far = rack().add('tern-8e').add('loft-16').add('barge-8', 10);
    const outside = far.build.layout.wires.find(({ cable }) => cable.includes('sff-8644'));
    const others = otherPorts(plannedUnits(far.build), far.build.layout, outside!);
    expect(others.map(({ ref }) => ref.host)).toContain(far.unit('tern-8e'));
    for (const { edit, takenBy } of others)
      if (!takenBy)
        expect(
          checkLayout(problemOf(far.build), {
            ...far.build.layout,
            wires: far.build.layout.wires.map((one) => (one === outside ? edit.wire : one)),
          }),
        ).toEqual([]);
  });

  test('of bays with a connector each the cable of one is moved, and keeps its port when the drive is another', () => {
    const group = (
      catalogue.archetypes['cube-8'] as unknown as { bayGroups: { backplane: { connectors: object[] } }[] }
    ).bayGroups[0]!;
    const single = {
      ...group,
      backplane: {
        ...group.backplane,
        baysPerConnector: 1,
        connectors: [
          {
            key: 'feed',
            count: 8,
            kind: 'sata',
            lanes: 1,
            carries: ['sata'],
            gbPerLane: 6,
            role: 'device',
            side: 'inside',
          },
        ],
      },
    };
    const made = cube(tweak('larder-8', { bayGroups: [single] })).add('barge-8', 3);
    const wire = cableTo(made, `${made.unit('larder-8')}/cage-feed.2`);
    const free = otherPorts(plannedUnits(made.build), made.build.layout, wire).find(({ takenBy }) => !takenBy)!;
    const moved = made.edit(free.edit);
    expect(hostOf(moved, `${made.unit('larder-8')}/cage-feed.2`)).toBe(free.name);
    const other = moved
      .edit({ type: 'units.remove', units: [moved.unit('barge-8', 2)] })
      .add('barge-12', 1, { at: [`${made.unit('larder-8')}/cage.2`] });
    expect(hostOf(other, `${made.unit('larder-8')}/cage-feed.2`)).toBe(free.name);
    expect(checkLayout({ units: plannedUnits(other.build) }, other.build.layout)).toEqual([]);
  });

  test('an uplink held or moved leaves the second one of its shelf beside it, on the same card', () => {
    const made = fixture()
      .add('gable-24')
      .add('gannet-e8')
      .add('tern-8e', 2)
      .add('loft-16')
      .add('pike-960', 16, { at: Array.from({ length: 16 }, (_, i) => `u9/front.${i + 1}`) });
    const ups = (now: Fixture) => now.build.layout.wires.filter(({ cable }) => cable.includes('sff-8644'));
    expect(ups(made)).toHaveLength(2);
    const [first] = ups(made);
    const held = made.edit({ type: 'cable.how', device: first!.device[0], how: 'held' }).add('barge-8', 2);
    expect(ups(held)).toHaveLength(2);
    expect(ups(held).filter(({ how }) => how === 'held')).toHaveLength(1);
    const other = otherPorts(plannedUnits(made.build), made.build.layout, first!).find(
      ({ host }) => host !== first!.host[0].host,
    )!;
    const moved = ups(made.edit(other.edit));
    expect(moved.map(({ host }) => host[0].host)).toEqual([other.host, other.host]);
  });

  test('a held cable sleeps while no drive is behind it, says so, and is held again when there is one', () => {
    const made = rack();
    const wire = made.build.layout.wires.find(({ device }) => device[0].key === 'front-feed' && device[0].n === 4)!;
    const name = printSpot(wire.device[0]);
    const behind = made.build.items
      .find(({ sheet }) => sheet === 'barge-8')!
      .units.filter(({ id }) => {
        const n = made.build.layout.at[id]!.spot.n!;
        return n > 12 && n <= 16;
      })
      .map(({ id }) => id);
    const held = made.edit({ type: 'cable.how', device: wire.device[0], how: 'held' });
    const without = held.edit({ type: 'units.remove', units: behind });
    expect(without.build.layout.dormant[name]).toMatchObject({
      spot: wire.host[0],
      how: 'held',
      reason: expect.stringContaining('no drive is behind it'),
    });
    expect(wiring(without).loose.map(({ why }) => why)).toEqual([expect.stringMatching(/^sleeps: no drive/)]);
    const again = without.add('barge-12', 4, {
      at: [13, 14, 15, 16].map((n) => `${made.unit('gable-24')}/front.${n}`),
    });
    expect(cableTo(again, name)).toMatchObject({ host: wire.host, how: 'held' });
    expect(again.build.layout.dormant[name]).toBeUndefined();
    // Taken out for good with its card.
    const card = wire.host[0].host as never;
    expect(without.edit({ type: 'units.remove', units: [card] }).build.layout.dormant).toEqual({});
  });

  test('a held cable whose port another card does not have sleeps until one has it again', () => {
    const made = fixture().add('gable-24').add('gannet-e8').add('shire-16').add('tern-16i').add('barge-8', 16);
    const wire = made.build.layout.wires.find(({ host }) => host[0].host === made.unit('tern-16i') && host[0].n === 4);
    const held = wire ? made.edit({ type: 'cable.how', device: wire.device[0], how: 'held' }) : made;
    expect(wire).toBeDefined();
    const item = made.build.items.find(({ sheet }) => sheet === 'tern-16i')!.id;
    const swap = (now: Fixture, sheet: string) =>
      now.edit({
        type: 'item.replace',
        item,
        sheet: sheet as never,
        price: undefined,
        ...closureOf(catalogue, sheet as never),
      });
    const smaller = swap(held, 'tern-8i');
    expect(smaller.build.layout.dormant[printSpot(wire!.device[0])]!.reason).toBe('that port is not there now');
    expect(cableTo(swap(smaller, 'tern-16i'), printSpot(wire!.device[0])).how).toBe('held');
  });

  describe('a breakout', () => {
    /** Nine bare bays; a card of four four-lane ports, the board's own ports gone. */
    const bare = () =>
      fixture(tweak('plover-a6', { connectors: [] }))
        .add('steading-t9')
        .add('plover-a6')
        .add('drover-4')
        .add('ember-650')
        .add('tern-16i')
        .add('barge-8', 4);
    const card = (made: Fixture) => made.build.items.find(({ sheet }) => sheet.startsWith('tern-'))!.id;
    const swap = (made: Fixture, sheet: string) =>
      made.edit({
        type: 'item.replace',
        item: card(made),
        sheet: sheet as never,
        price: undefined,
        ...closureOf(catalogue, sheet as never),
      });
    const onPort = (made: Fixture, n: number) => made.build.layout.wires.filter(({ host }) => host[0].n === n);
    /** The breakout of the four drives held at the card's fourth port. */
    const held = () => {
      const made = bare();
      const [wire] = made.build.layout.wires;
      const fourth = otherPorts(plannedUnits(made.build), made.build.layout, wire!).find(({ ref }) => ref.n === 4)!;
      return made.edit({ ...fourth.edit, wire: { ...fourth.edit.wire, how: 'held' } });
    };

    test('held keeps its port, also with fewer tails, and the free tails of its port serve others', () => {
      const made = held();
      expect(onPort(made, 4).map(({ how, device }) => [how, device.length])).toEqual([['held', 4]]);
      const fewer = made.edit({ type: 'units.remove', units: [made.unit('barge-8', 2)] });
      expect(onPort(fewer, 4).map(({ how, device }) => [how, device.length])).toEqual([['held', 3]]);
      expect(fewer.build.layout.dormant).toEqual({});
      const more = fewer.add('pike-960', 1);
      expect(more.assess().unconnected).toEqual([]);
      expect(checkLayout({ units: plannedUnits(more.build) }, more.build.layout)).toEqual([]);
    });

    test('sleeps tail by tail where its port is gone, and is one breakout again when it is back', () => {
      const made = held();
      const smaller = swap(made, 'tern-8i');
      expect(Object.values(smaller.build.layout.dormant).map(({ reason, how }) => [reason, how])).toEqual(
        Array(4).fill(['that port is not there now', 'held']),
      );
      expect(smaller.assess().unconnected).toEqual([]);
      const back = swap(smaller, 'tern-16i');
      expect(onPort(back, 4)).toEqual([
        expect.objectContaining({ how: 'held', device: made.build.layout.wires[0]!.device }),
      ]);
      expect(back.build.layout.dormant).toEqual({});
    });

    test('on a card that takes fewer drives than it has tails what is held still goes, as far as it may', () => {
      const few = fixture(tweak('tern-16i', { mostDevices: 2 }, tweak('plover-a6', { connectors: [] })))
        .add('steading-t9')
        .add('plover-a6')
        .add('drover-4')
        .add('ember-650')
        .add('tern-16i')
        .add('barge-8', 2);
      const [wire] = few.build.layout.wires;
      const made = few.edit({ type: 'cable.how', device: wire!.device[0], how: 'held' }).add('barge-8', 2);
      expect(made.assess().unconnected).toHaveLength(2);
      const lowered = new Set(made.build.layout.wires.flatMap(({ device }) => device.map(({ host }) => host)));
      expect([...lowered].sort()).toEqual([few.unit('barge-8', 1), few.unit('barge-8', 2)].sort());
    });
  });

  test('a cable whose end is gone is refused in words', () => {
    const made = rack();
    const wire = firstWire(made);
    expect(() =>
      made.edit({ type: 'cable.put', wire: { ...wire, host: [{ host: 'u999', key: 'port', n: 1 }] } }),
    ).toThrow('One end of that cable is no longer in the build');
    expect(() => made.edit({ type: 'cable.how', device: { host: 'u999', key: 'data' }, how: 'held' })).toThrow(
      'No cable ends there',
    );
  });
});

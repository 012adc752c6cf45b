import { checkSheet } from '../parts/checkSheet';
import { resolve, type PartOf } from '../parts/resolve';
import { sheetSchema, type Archetype } from '../parts/sheet';
import type { SheetId } from '../parts/ids';
import { catalogue } from '../testing/fixture';
import { TENTH } from '../testing/specTexts/tenth';
import { listsOf } from './lists/listsOf';
import { placesOf } from './lists/places';
import { readSpec } from './readSpec';
import { SAMPLES } from '../testing/specTexts/all';
import { FIRST } from '../testing/specTexts/first';
import { classFor, sheetOfSpec } from './sheetOf';

const classes = (kind: Archetype['kind']) => Object.values(catalogue.archetypes).filter((one) => one.kind === kind);
const sheetFrom = (text: string) => {
  const read = readSpec(text);
  if (!read.ok) throw new Error(read.words);
  const archetype = classFor(classes(read.kind), read.fields, read.places)!;
  return {
    archetype,
    sheet: sheetOfSpec('own-x' as SheetId, archetype, read.name || 'X', 'Maker', read.fields, read.places),
    read,
  };
};

test('a class is found by what was read: disks of an interface, modules, supplies of a form', () => {
  const of = (id: string) => sheetFrom(FIRST.find((one) => one.id === id)!.text).archetype.id as string;
  expect(of('disk, a table with tabs and bels')).toMatch(/sas/);
  expect(of('NVMe module, a table copied without tabs')).toMatch(/m2/);
  expect(of('SATA SSD, German')).toMatch(/flash-25/);
  expect(of('supply, the label as a table')).toMatch(/sfx/);
  expect(of('supply, text of a sheet')).toMatch(/atx/);
  expect(classFor([], [])).toBeNull();
});

test('every text read makes a sheet its schema takes, with the line of each field', () => {
  for (const { text } of SAMPLES) {
    const { sheet, read } = sheetFrom(text);
    expect(sheetSchema.safeParse(sheet).error?.issues ?? []).toEqual([]);
    for (const { field, text: line } of read.fields)
      expect(sheet.from?.[field]).toEqual({ basis: 'stated', ref: line });
  }
});

test('both ends of a cable by their plugs: which is at the host, with how many tails and lanes', () => {
  const endsOf = (text: string) => {
    const { sheet, archetype } = sheetFrom(text);
    const { ends, carries } = resolve(sheet, archetype) as PartOf<'cable'>;
    return [
      ...ends.map(({ kind, tails, lanesPerTail, role }) => `${tails} ${kind} of ${lanesPerTail}, ${role}`),
      carries.join(),
    ];
  };
  expect(endsOf('Breakout cable SFF-8643 to 4 x SATA, 0.5 m')).toEqual([
    '1 sff-8643 of 4, host',
    '4 sata of 1, device',
    'sata',
  ]);
  expect(endsOf('Reverse breakout cable 4 x SATA to SFF-8087')).toEqual([
    '4 sata of 1, host',
    '1 sff-8087 of 4, device',
    'sata',
  ]);
  // Without a word for it, what is named first is at the host; a word outweighs the order.
  expect(endsOf('Cable 4 x SATA to SFF-8087').slice(0, 2)).toEqual(['4 sata of 1, host', '1 sff-8087 of 4, device']);
  expect(endsOf('Forward breakout cable 4 x SATA to SFF-8087').slice(0, 2)).toEqual([
    '4 sata of 1, device',
    '1 sff-8087 of 4, host',
  ]);
  // A plug for SAS at the card's end carries PCIe where U.2 is at the other.
  expect(endsOf('SFF-8654 8i to 2 x U.2 (SFF-8639) cable')).toEqual([
    '1 sff-8654-8i of 8, host',
    '2 sff-8639 of 4, device',
    'pcie',
  ]);
  expect(endsOf('Mini-SAS HD cable\nSFF-8643 to SFF-8643\nLength: 75 cm')).toEqual([
    '1 sff-8643 of 4, either',
    '1 sff-8643 of 4, either',
    'sas,sata',
  ]);
  expect(endsOf('SlimSAS 8i to 2 x SFF-8643 cable')).toEqual([
    '1 sff-8654-8i of 8, host',
    '2 sff-8643 of 4, device',
    'sas,sata',
  ]);
});

describe('ports, slots, bays and plugs that a text counts', () => {
  const placed = (id: string) => {
    const { text, places = {} } = TENTH.find((one) => one.id === id)!;
    const { sheet, archetype, read } = sheetFrom(text);
    expect([id, sheetSchema.safeParse(sheet).error?.issues ?? [], checkSheet(sheet, archetype)]).toEqual([id, [], []]);
    return { part: resolve(sheet, archetype) as never, sheet, read, said: places as Readonly<Record<string, number>> };
  };
  const sum = (list: readonly { readonly count: number }[]) => list.reduce((all, { count }) => all + count, 0);

  test.each(['board, a maker’s table of ports', 'server board, labels with counts behind', 'small board, German'])(
    '%s: as many ports, sockets and slots',
    (id) => {
      const { part, said } = placed(id);
      const { connectors, m2Sockets, slots } = part as PartOf<'board'>;
      expect(sum(connectors.filter(({ kind }) => kind === 'sata'))).toBe(said.sataPorts);
      expect(m2Sockets).toHaveLength(said.m2Sockets!);
      expect(slots.map(({ lanes, wiredLanes }) => [lanes, wiredLanes])).toEqual(
        (said.slots as unknown as { count: number; lanes: number; wiredLanes: number }[]).flatMap((slot) =>
          Array.from({ length: slot.count }, () => [slot.lanes, slot.wiredLanes]),
        ),
      );
    },
  );

  test.each(['tower case with room for parts', 'rack with hot-swap bays', 'cube, one line of a shop'])(
    '%s: as many bays and openings, in the shell that was read',
    (id) => {
      const { part, said, read } = placed(id);
      const { bayGroups, openings, boardHoles } = part as PartOf<'chassis'>;
      const bays = bayGroups.filter(({ takes }) => takes.includes('3.5')).map(({ rows, columns }) => rows * columns);
      const left = listsOf((part as PartOf<'chassis'>).typical as never, {}, read.places).left.map(
        ({ field }) => field,
      );
      if (!left.includes('bays35')) expect(bays).toContain(said.bays35);
      expect(openings[0]!.count).toBe(said.openings);
      expect(boardHoles).toEqual(said.boards);
    },
  );

  test('plugs on cables of up to four; the list counts as typical, with what was said as its source', () => {
    const { part, said, sheet } = placed('supply with its plugs');
    const { cables } = part as PartOf<'supply'>;
    const plugs = (kind: string) =>
      sum(
        cables.flatMap((one) =>
          one.plugs.filter(({ plug }) => plug === kind).map(({ count }) => ({ count: count * one.count })),
        ),
      );
    expect([
      plugs('24-pin'),
      plugs('8-pin-cpu'),
      plugs('8-pin-card'),
      plugs('sata-power'),
      plugs('peripheral'),
    ]).toEqual([said.mainPlugs, said.processorPlugs, said.cardPlugs, said.sataPlugs, said.peripheralPlugs]);
    expect(sheet.from!.cables).toEqual({ basis: 'typical', ref: expect.stringContaining('10 SATA plugs') as string });
  });

  test('ports of a card by their kind and side', () => {
    const { connectors } = placed('HBA, inside and outside').part as PartOf<'controller'>;
    expect(connectors.map(({ count, kind, side }) => [count, kind, side])).toEqual([
      [1, 'sff-8643', 'inside'],
      [1, 'sff-8644', 'outside'],
    ]);
  });

  test('what two lines count differently, and bays that fit no shell, are left as they are', () => {
    const of = (text: string) => placesOf('board', text.split('\n'), '.').map(({ field }) => field);
    expect(of('SATA ports: 6\n4 x SATA 6Gb/s')).toEqual([]);
    expect(of('SATA ports: 6\n6 x SATA 6Gb/s')).toEqual(['sataPorts']);
    const cube = catalogue.archetypes['cube-8']!;
    const bays = (count: number) => [{ field: 'bays35', value: count, words: '', line: 1, text: '' }];
    expect(listsOf(cube, {}, bays(61)).left).toHaveLength(1);
    expect(listsOf(cube, {}, bays(4)).left).toEqual([]);
  });
});

describe('a box of drives on USB', () => {
  const box = (link: string) =>
    sheetFrom(
      `Gantry D5 USB storage enclosure\n${link}\nDrive bays: 5 x 3.5-inch SATA\nWeight: 3.1 kg\nFan: 1 x 80 mm rear`,
    );
  const linkOf = (text: string) => {
    const { sheet, archetype } = box(text);
    const [group] = (resolve(sheet, archetype) as PartOf<'chassis'>).bayGroups;
    const [connector] = group!.backplane!.connectors;
    return [group!.rows * group!.columns, connector.kind, connector.gbPerLane];
  };
  // What a class has for typical would be twice as fast as the first of these.
  test.each([
    ['Interface: USB 3.2 Gen 1 Type-C (5 Gbps)', [5, 'usb-c', 5]],
    ['Interface: USB-A 3.0', [5, 'usb-a', 5]],
    ['Connection\tUSB 3.2 Gen 2x2, 20 Gbit/s, type C', [5, 'usb-c', 20]],
    ['Schnittstelle: USB 3.2 Gen 2', [5, 'usb-c', 10]],
    ['Host interface: USB 2.0', [5, 'usb-c', 0.48]],
    ['Colour: black', [5, 'usb-c', 10]],
  ] as const)('%s', (text, link) => {
    expect(linkOf(text)).toEqual(link);
  });
  test('ports in the front of a case say nothing of how it hangs on a host', () => {
    const of = (text: string) => placesOf('chassis', text.split('\n'), '.').map(({ field }) => field);
    expect(of('Front I/O: 2 x USB 3.0, 1 x USB-C')).toEqual([]);
    expect(of('Interface: 2 x USB 3.0 on the front')).toEqual([]);
  });
});

test('a card for SATA is made of a card for SATA, with as many ports of one lane', () => {
  const { sheet, archetype } = sheetFrom('Stilt 6 SATA controller card, PCIe 3.0 x4, 6 x SATA 6 Gb/s');
  const { connectors } = resolve(sheet, archetype) as PartOf<'controller'>;
  expect(archetype.id).toMatch(/sata/);
  expect(connectors.map(({ count, kind, lanes, carries }) => [count, kind, lanes, ...carries])).toEqual([
    [6, 'sata', 1, 'sata'],
  ]);
});

describe('how a drive starts', () => {
  const start = (line: string, title = 'Barge 8 TB hard drive, 3.5-inch, SATA, 7200 rpm') => {
    const { sheet, archetype } = sheetFrom(`${title}\n${line}`);
    const { spinUp } = resolve(sheet, archetype) as PartOf<'drive'>;
    return [
      Math.max(...spinUp.map(({ a12 }) => a12)),
      Math.max(...spinUp.map(({ a5 }) => a5)),
      sheet.from?.spinUp?.basis,
    ];
  };
  // The class of air-filled disks of 7200 takes 2 A and 0.8 A; a rail that is not said stays the class's, and then all of it is typical.
  test.each([
    ['Spin-up current (12 V): 2.4 A', [2.4, 0.8, 'typical']],
    ['Startup current 12V\t1.9 A\nStartup current 5V\t0.9 A', [1.9, 0.9, 'stated']],
    ['Start current 5 V / 12 V: 0.6 / 2.1 A', [2.1, 0.6, 'stated']],
    ['Max. start current: 2.2 A (12 V), 750 mA (5 V)', [2.2, 0.75, 'stated']],
    ['Anlaufstrom: 12 V 2,0 A', [2, 0.8, 'typical']],
  ] as const)('%s', (line, said) => {
    expect(start(line)).toEqual(said);
  });
  test.each([
    ['of which rail is not said', 'Startup current: 2.4 A'],
    ['two lines that differ', 'Spin-up current (12 V): 2.4 A\nStartup 12 V: 1.7 A'],
    ['what no disk takes', 'Spin-up current (12 V): 24 A'],
    ['watts', 'Spin-up power: 24 W'],
  ])('%s is left open', (_which, line) => {
    expect(start(line)[0]).toBe(2);
  });
});

describe('what a chassis takes, and what is behind its bays', () => {
  const of = (text: string) => {
    const { sheet, archetype } = sheetFrom(text);
    expect(checkSheet(sheet, archetype)).toEqual([]);
    return resolve(sheet, archetype) as PartOf<'chassis'>;
  };
  const RACK = 'Gable 12 rack chassis, 2U\nDrive bays: 12 x 3.5" hot-swap\nSize (W x H x D): 438 x 88 x 660 mm\n';
  test.each([
    ['Power supply: SFX', ['sfx']],
    ['PSU: ATX or SFX, max. 160 mm', ['sfx', 'atx']],
    ['Netzteil: Flex-ATX', ['flex-atx']],
    ['1U redundant power supply, 2 x 550 W', ['redundant']],
  ])('%s', (line, forms) => {
    expect(of(`Byre tower chassis\nDrive bays: 4 x 3.5"\n${line}`).supplyBays[0]!.forms).toEqual(forms);
  });
  test('a board in the same line is no supply', () => {
    const fieldsOf = (text: string) => placesOf('chassis', text.split('\n'), '.').map(({ field }) => field);
    expect(fieldsOf('Motherboard: ATX')).not.toContain('supplyForms');
    expect(fieldsOf('Power supply: not included')).not.toContain('supplyForms');
    expect(fieldsOf('Power supply plugs: ATX 24-pin')).not.toContain('supplyForms');
  });
  test.each([
    ['Backplane: 3 x SFF-8643, 12 Gb/s', 'direct', 4],
    ['SAS backplane, 1 x SFF-8643', 'expander', 12],
    ['Backplane: 3 x SFF-8087', 'direct', 4],
  ])('%s', (line, type, baysPerConnector) => {
    const { backplane } = of(RACK + line).bayGroups.find(({ takes }) => takes.includes('3.5'))!;
    expect([backplane!.type, backplane!.baysPerConnector]).toEqual([type, baysPerConnector]);
    expect(backplane!.connectors[0].kind).toBe(line.includes('8087') ? 'sff-8087' : 'sff-8643');
  });
  const baysOf = (text: string) =>
    of(text).bayGroups.map(({ rows, columns, takes, access, wall }) => [rows * columns, takes[0], access, wall]);
  test('bays of a size the class has none of are added, bare and fixed', () => {
    expect(baysOf(`${RACK}Drive bays inside: 2 x 2.5" rear`)).toEqual([
      [12, '3.5', 'hotSwap', 'front'],
      [2, '2.5', 'fixed', 'rear'],
    ]);
    expect(baysOf('Byre tower case, ATX\nDrive bays: 8 x 3.5" trays')).toEqual([[8, '3.5', 'tray', 'front']]);
  });
  test('bays that are told as one or the other stand once', () => {
    expect(
      baysOf('Gable short 1U chassis\n1 x 3.5" or 2 x 2.5" fixed bays').map(([count, size]) => [count, size]),
    ).toEqual([[1, '3.5']]);
  });
  test('43.5 mm and 12.5 mm are no bays of 3.5 and 2.5 inch', () => {
    const fieldsOf = (text: string) => placesOf('chassis', text.split('\n'), '.').map(({ field }) => field);
    expect(fieldsOf('Rack height 1U (43.5 mm), feet 12.5 mm')).toEqual([]);
  });
  test('a box whose drives are pulled while it runs is made of one', () => {
    const cube = (bays: string) => of(`Byre NAS cube\nDrive bays: 4 x 3.5" ${bays}\nBoard: Mini-ITX`);
    expect(cube('hot-swap').bayGroups.some(({ access }) => access === 'hotSwap')).toBe(true);
    expect(cube('tray').bayGroups.some(({ access }) => access === 'hotSwap')).toBe(false);
  });
});

test('SAS plugs of a board stand beside its SATA ports, with what goes through them', () => {
  const { sheet, archetype } = sheetFrom(
    'Gannet server board, ATX\nSocket R6\nStorage: 4 x SATA 6Gb/s\nSAS: 2 x SFF-8643 (8 x SATA)',
  );
  const { connectors } = resolve(sheet, archetype) as PartOf<'board'>;
  expect(connectors.filter(({ kind }) => kind === 'sata' || kind.startsWith('sff'))).toMatchObject(
    [
      { kind: 'sata', count: 4 },
      { kind: 'sff-8643', count: 2, lanes: 4, carries: ['sata'], gbPerLane: 6 },
    ].sort((a, b) => b.kind.localeCompare(a.kind)),
  );
});

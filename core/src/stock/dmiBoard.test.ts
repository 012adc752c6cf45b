import { catalogue } from '../testing/fixture';
import { ownSheet } from '../parts/ownSheet';
import { resolve } from '../parts/resolve';
import { sheetSchema } from '../parts/sheet';
import type { SheetId } from '../parts/ids';
import type { Found } from './found';
import { readListings } from './listings';

type Structure = readonly [type: number, fields: Readonly<Record<string, string>>];
/** Tables as they are printed: a handle, a title and fields for each structure. */
const tables = (...all: Structure[]): string =>
  all
    .map(([type, fields], i) =>
      [
        `Handle 0x00${10 + i}, DMI type ${type}, 40 bytes`,
        'Structure',
        ...Object.entries(fields).map(([name, value]) => `\t${name}: ${value}`),
        '',
      ].join('\n'),
    )
    .join('\n');
const BOARD: Structure = [2, { Manufacturer: 'Plashmill', 'Product Name': 'Plover Z1' }];
const bank = (type: string, more: Readonly<Record<string, string>> = {}) =>
  [17, { Size: '8 GB', 'Form Factor': 'DIMM', Type: type, ...more }] as const;
const board = (...more: Structure[]): Found =>
  readListings(tables(BOARD, ...more)).found.find(({ kind }) => kind === 'board')!;
const asSheet = (found: Found) => {
  const archetype = catalogue.archetypes[found.archetype]!;
  const sheet = ownSheet('own-x' as SheetId, archetype, { name: found.name, values: found.values, basis: 'stated' });
  expect(sheetSchema.safeParse(sheet).error).toBeUndefined();
  return resolve(sheet, archetype);
};

test('an old desktop board: no M.2, slots and socket by its tables, its year by its firmware', () => {
  const found = board(
    [0, { 'Release Date': '03/14/2012' }],
    [4, { 'Socket Designation': 'Q3', Version: 'Wagoner 4' }],
    [9, { Designation: 'PCIEX16', Type: 'x16 PCI Express 2' }],
    [9, { Designation: 'PCIEX1_1', Type: 'x1 PCI Express' }],
    [9, { Designation: 'PCI1', Type: '32-bit PCI' }],
    bank('DDR3'),
    bank('DDR3'),
    [17, { Size: 'No Module Installed', 'Form Factor': 'DIMM' }],
    [17, { Size: 'No Module Installed', 'Form Factor': 'DIMM' }],
  );
  expect(found).toMatchObject({ archetype: 'board-atx', year: 2012, typical: ['m2Sockets', 'introducedYear'] });
  expect(found.guessed.join()).toContain('M.2: none');
  const part = asSheet(found);
  if (part.kind !== 'board') throw new Error(part.kind);
  expect([part.socket, part.m2Sockets, part.sheet.introducedYear]).toEqual(['Q3', [], 2012]);
  expect(part.slots.map(({ bus, lanes, gen, owner }) => [bus, lanes, gen, owner])).toEqual([
    ['pcie', 16, 2, 'processor'],
    // Its generation is not told: the newest beside DDR3.
    ['pcie', 1, 3, 'chipset'],
    ['pci', 1, 1, 'chipset'],
  ]);
});

test('registered memory, a management controller or a rack speaks for a server board, and its processor', () => {
  const registered = bank('DDR4', { 'Type Detail': 'Synchronous Registered (Buffered)' });
  expect(board(registered).archetype).toBe('board-server');
  expect(board([38, { 'Interface Type': 'KCS' }], bank('DDR4'))).toMatchObject({
    archetype: 'board-server',
    values: { remoteManagement: true },
  });
  expect(board([3, { Type: 'Rack Mount Chassis' }], bank('DDR4')).archetype).toBe('board-server');
  const both = readListings(tables(BOARD, registered, [4, { Version: 'Shire 8', Upgrade: 'Socket Q8' }])).found;
  expect(both.find(({ kind }) => kind === 'processor')).toMatchObject({
    archetype: 'cpu-server',
    values: { socket: 'Q8', memoryTypes: ['ddr4'] },
    guessed: ['lanes', 'watts'],
  });
});

test('small boards by their modules and box; two banks speak for a small board; what is not told stays the class’s', () => {
  const soDimm = bank('DDR4', { 'Form Factor': 'SODIMM' });
  expect(board([3, { Type: 'Mini PC' }], soDimm).archetype).toBe('board-small');
  expect(board(soDimm).archetype).toBe('board-itx');
  const two = board(bank('DDR4'), bank('DDR4'));
  expect(two.archetype).toBe('board-matx');
  expect(Object.keys(two.values)).not.toContain('m2Sockets');
  expect(two.year).toBeUndefined();
});

test('the place of a processor is no socket, and modules are counted where the tables tell of their sockets', () => {
  const found = board(
    [4, { 'Socket Designation': 'CPU 1', Version: 'Drover 4', Upgrade: 'Other' }],
    [9, { Designation: 'M2_1', Type: 'M.2 Socket 3' }],
    [9, { Designation: 'M2_WIFI', Type: 'M.2 Socket 1-DP' }],
    bank('DDR4'),
  );
  expect(found.guessed).toContain('socket');
  const part = asSheet(found);
  expect(part.kind === 'board' && part.m2Sockets.length).toBe(1);
});

test('a board on which an M.2 drive runs has where it goes, whatever its memory', () => {
  const listing = JSON.stringify({
    blockdevices: [
      { name: 'nvme0n1', size: 500107862016, rota: false, type: 'disk', tran: 'nvme', model: 'Stickle 500' },
    ],
  });
  const { found } = readListings(`${tables(BOARD, bank('DDR3'))}\n${listing}`);
  const one = found.find(({ kind }) => kind === 'board')!;
  expect(Object.keys(one.values)).not.toContain('m2Sockets');
  expect(one.typical).toEqual([]);
});

test('a supply that tells of itself: one of a server, or an old plain one', () => {
  const supplies = (fields: Readonly<Record<string, string>>) =>
    readListings(tables(BOARD, [39, fields])).found.filter(({ kind }) => kind === 'supply');
  const [server] = supplies({ Manufacturer: 'Ashgrate', 'Max Power Capacity': '800 W', 'Hot Replaceable': 'Yes' });
  expect(server).toMatchObject({ archetype: 'supply-redundant', values: { ratedW: 800, modules: 1 } });
  const [plain] = supplies({ Name: 'Cinder 400', 'Max Power Capacity': '400 W', 'Hot Replaceable': 'No' });
  expect(plain).toMatchObject({ name: 'Cinder 400', archetype: 'supply-old', values: { ratedW: 400 } });
  const part = asSheet(plain!);
  expect(part.kind === 'supply' && [part.efficiencyClass, part.ratedW]).toEqual(['plain', 400]);
  expect(supplies({ Name: 'Nameless', 'Max Power Capacity': 'Unknown' })).toEqual([]);
});

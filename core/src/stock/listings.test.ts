import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { resolve } from '../parts/resolve';
import { ownSheet } from '../parts/ownSheet';
import { sheetSchema } from '../parts/sheet';
import type { SheetId } from '../parts/ids';
import { catalogue } from '../testing/fixture';
import type { Found } from './found';
import { readListings } from './listings';

const sample = (name: string) => readFileSync(join(process.cwd(), 'core/src/stock/samples', name), 'utf8');
const everything = () =>
  readListings([sample('dmi.txt'), sample('block-devices.json'), sample('pci.txt'), sample('smart.json')].join('\n'));
const brief = ({ count, kind, name, archetype }: Found) => `${count} × ${kind} ${name} (${archetype})`;

test('one paste of four listings: everything in it, once', () => {
  const { found, recognised } = everything();
  expect([...recognised].sort()).toEqual(['DMI tables', 'PCI devices', 'SMART data', 'block devices']);
  expect(found.map(brief)).toEqual(
    [
      '1 × board Plashmill Plover B7 (board-atx)',
      '1 × processor Drovegate Wagoner 4 (cpu-desktop)',
      '1 × memory Clewline CL8G3 (memory-ddr3)',
      '1 × memory Clewline CL4G3E (memory-ddr3)',
      '1 × controller Ternery Tern 8 6G (hba-8)',
      '1 × networkCard Tollhatch Skein 10 Gigabit, two ports (network-card)',
      '1 × networkCard Tollhatch Plain Lan (network-card-slow)',
      '2 × drive PUDDLEWICK LX1000 (disk-25)',
      '1 × drive BY12000S (disk-35-54)',
      '1 × drive Dab 32 (stick-usb)',
      '1 × drive Stickle 500 (flash-m2-nvme)',
    ].map((line) => line.replace('BY12000S (disk-35-54)', 'BY12000S (disk-35-sas)')),
  );
});

test('a drive in both listings is one: capacity from the one, hours and size from the other', () => {
  const laptop = everything().found.find((one) => one.name === 'PUDDLEWICK LX1000')!;
  expect(laptop).toMatchObject({
    count: 2,
    hours: 41_020,
    values: { capacityBytes: 1_000_204_886_016, interface: 'sata', size: '2.5', rpm: 5400, sectors: '512e' },
    guessed: [],
  });
  expect(laptop.note).toBe('PW-0011, 41020 h; PW-0012, 38115 h, reports that it is failing');
});

test('a processor takes the memory it runs with', () => {
  const processor = everything().found.find((one) => one.kind === 'processor');
  expect(processor?.values).toMatchObject({ cores: 4, memoryTypes: ['ddr3'] });
});

test('what a listing does not say is said to be guessed', () => {
  const { found } = readListings(
    '{"blockdevices":[{"name":"sda","size":8001563222016,"rota":true,"type":"disk","tran":null,"model":"Nameless"}]}',
  );
  expect(found[0]).toMatchObject({ archetype: 'disk-35-54', guessed: ['interface', 'size', 'rpm'] });
});

test('520-byte sectors, partitions, optical drives and dead drives', () => {
  const { found, skipped } = everything();
  expect(found.find((one) => one.name === 'BY12000S')!.values.sectors).toBe('520');
  expect(found.some((one) => /DVD|sda1|loop/.test(one.name))).toBe(false);
  expect(skipped.map((one) => one.words)).toContain('A dead one: its capacity is not in the listing');
});

test('what is on bus 0 is the board’s; two functions of a card are one card with two ports', () => {
  const { found } = everything();
  expect(found.filter((one) => one.kind === 'accelerator')).toEqual([]);
  expect(found.find((one) => one.name.includes('two ports'))!.values.networkPorts).toEqual([
    { key: 'lan', gbPerS: 10, count: 2 },
  ]);
});

test('machine-readable PCI lines are read too', () => {
  const { found } = readListings(
    '0000:01:00.0 "Serial Attached SCSI controller [0107]" "Ternery [1f31]" "Tern 8 6G [0072]" -r03 "Ternery [1f31]" "Tern [3020]"',
  );
  expect(found.map(brief)).toEqual(['1 × controller Ternery Tern 8 6G (hba-8)']);
});

test('memory: ECC by its width, sockets counted, empty ones not modules', () => {
  const { found } = everything();
  expect(found.filter((one) => one.kind === 'memory').map((one) => [one.values.capacityBytes, one.values.ecc])).toEqual(
    [
      [8 * 1024 ** 3, false],
      [4 * 1024 ** 3, true],
    ],
  );
  expect(found.find((one) => one.kind === 'board')!.values).toMatchObject({
    memorySlots: 4,
    memoryMaxBytes: 32 * 1024 ** 3,
    memoryType: 'ddr3',
    memoryForm: 'dimm',
    memoryEcc: false,
  });
});

test('a paste that breaks off or is something else loses nothing else and says so', () => {
  const cut = readListings(`${sample('pci.txt')}\n${sample('block-devices.json').slice(0, 300)}`);
  expect(cut.found.map((one) => one.kind)).toEqual(['controller', 'networkCard', 'networkCard']);
  expect(cut.skipped[0]!.words).toMatch(/breaks off/);
  expect(readListings('hello\n{"a": 1}\n')).toMatchObject({ found: [], recognised: [], skipped: [{ line: 2 }] });
  expect(readListings('')).toEqual({ found: [], skipped: [], recognised: [] });
  expect(readListings('{"blockdevices": 5}').found).toEqual([]);
  expect(readListings('{"blockdevices": [null, 3, "x", {}]}').found).toEqual([]);
});

test('everything found makes a valid sheet on an archetype of the catalogue', () => {
  for (const one of everything().found) {
    const archetype = catalogue.archetypes[one.archetype]!;
    expect([one.name, archetype?.kind]).toEqual([one.name, one.kind]);
    const sheet = ownSheet('own-x' as SheetId, archetype, { name: one.name, values: one.values, basis: 'stated' });
    expect(sheetSchema.safeParse(sheet).error?.issues ?? []).toEqual([]);
    expect(resolve(sheet, archetype).kind).toBe(one.kind);
  }
});

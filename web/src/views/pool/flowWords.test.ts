import { linkInside, linkName, type FlowLink, type Loaded, type PoolFlow, type Rate } from '@inch-tower/core';
import { burstWords, cardWords, fastAnswer, networkTold, nextWords, severalWords, wasteWords } from './flowWords';

const loaded = (kind: FlowLink['kind'], name: string, allowsMBps: number, count = 1): Loaded => ({
  link: { key: name, group: name, kind, name, mark: 'G1', carriesMBps: allowsMBps, half: false },
  count,
  perMBps: 1,
  allowsMBps,
});
const drives = loaded('drive', 'Barge 12 TB', 3084, 16);
const network = loaded('network', '10 Gb/s network', 1124);
const rate = (neck: Loaded | null, next: Loaded | null): Rate => ({
  mbPerS: neck?.allowsMBps ?? 0,
  neck,
  next,
  links: [neck, next].flatMap((one) => one ?? []),
  each: [],
  through: new Map(),
});
const both = (one: Rate) => ({ reading: one, writing: one });
const pool = (more: Partial<PoolFlow['flow']> = {}): PoolFlow => {
  const flow = {
    inside: both(rate(drives, null)),
    one: both(rate(network, drives)),
    several: both(rate(network, drives)),
    ports: [],
    without: [],
    ...more,
  };
  return { medium: 'disk', sets: ['set1'], flow, halfFull: flow, small: both(0 as never) as never, drivesOver: 12.4 };
};

test('what one client gets, what holds it back, and what would be next', () => {
  expect(fastAnswer(pool())).toBe(
    'One client reads 1,124 MB/s and writes 1,124 MB/s. The 10 Gb/s network holds it back.',
  );
  const uneven = { reading: rate(drives, network), writing: rate(network, drives) };
  expect(fastAnswer(pool({ one: uneven }))).toBe(
    'One client reads 3,084 MB/s and writes 1,124 MB/s. ' +
      '16 × Barge 12 TB hold reading back, the 10 Gb/s network writing.',
  );
  expect(fastAnswer(pool({ one: both(rate(null, null)) }))).toBe(
    'In the machine it reads 3,084 MB/s and writes 3,084 MB/s; there is no network port.',
  );
  expect(nextWords(rate(network, drives), 'writing')).toBe(
    'Were that cured, it writes 3,084 MB/s; then 16 × Barge 12 TB would hold it back.',
  );
  expect(nextWords(rate(drives, null), 'reading')).toBeNull();
});

test('links by name, one or many', () => {
  expect(linkInside(loaded('chip', 'added chip of Wren', 1))).toBe('the added chip of Wren');
  expect(linkName(loaded('drive', 'Coot', 1))).toBe('Drive G1, Coot');
  expect(linkName(loaded('cable', '#1 to bays', 1))).toBe('Cable #1 to bays');
  expect(linkName(loaded('cable', '#1 to bays', 1, 4))).toBe('4 cables as #1 to bays');
  expect(linkName(loaded('slot', 'PCI bus', 1))).toBe('PCI bus');
  expect(linkName(loaded('uplink', 'chipset of Wren', 1))).toBe('Uplink of the chipset of Wren');
});

test('what is wasted, said only where it is much and the drives are not what holds it back', () => {
  expect(wasteWords(pool())).toBe(
    'The disks could give 12 times as much: in a row it is wasted on the 10 Gb/s network.',
  );
  expect(wasteWords({ ...pool(), drivesOver: 2 })).toBeNull();
  expect(wasteWords(pool({ one: both(rate(drives, network)) }))).toBeNull();
});

test('several clients, bursts, cards and an unsaid network', () => {
  expect(severalWords(pool())).toBeNull();
  expect(severalWords(pool({ several: both(rate(drives, null)), ports: [{}, {}] as never }))).toBe(
    'Several clients together read 3,084 MB/s and write 3,084 MB/s: each is on one of 2 links.',
  );
  const burst = { gb: 12.34, mbPerS: 1124, thenMBps: 400 };
  expect(burstWords({ kind: 'memoryWrites', ...burst })).toBe(
    'Memory takes about the first 12 GB of a write at 1,124 MB/s, then it is 400 MB/s.',
  );
  expect(burstWords({ kind: 'cache', gb: 960, mbPerS: 500, thenMBps: 500 })).toMatch(/reads no faster in a row/);
  const card = { mark: 'G1', name: 'Tern 24i', drives: 24, wantMBps: 12_720, givesMBps: 6700 };
  expect(cardWords({ ...card, wanted: 2 })).toBe(
    '24 drives on G1, Tern 24i, could give 12,720 MB/s; it passes on 6,700 MB/s: they want 2 such cards.',
  );
  expect(cardWords({ ...card, wanted: 1 })).toBeNull();
  expect(networkTold({ pools: [], bursts: [], cards: [], rebuilds: new Map(), ports: [10, 1], isSaid: false })).toMatch(
    /10 Gb\/s\.$/,
  );
});

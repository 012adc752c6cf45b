import { entriesOf } from './text/entries';
import { decimalOf, numberOf, quantitiesOf } from './text/quantities';
import { PART_KINDS } from '../parts/vocabulary';
import { readSpec, SPEC_CHARACTERS } from './readSpec';
import { SETS } from '../testing/specTexts/all';
import { scoreSamples } from '../testing/specTexts/score';

test.each(SETS)('texts of the %s set: what a person reads is read, and next to nothing wrong', (_which, samples) => {
  const { fields, right, wrong, notes } = scoreSamples(samples);
  expect(notes.filter((note) => !note.includes(' open, is '))).toEqual([]);
  expect(right / fields).toBeGreaterThanOrEqual(0.95);
  expect(wrong / fields).toBeLessThanOrEqual(0.005);
});

test('numbers as people of several languages write them', () => {
  const inEnglish = ['1,234.5', '7,200', '2.5', '1,000,000', '1 200', "1'200", '1.016'];
  expect(inEnglish.map((text) => numberOf(text, '.'))).toEqual([1234.5, 7200, 2.5, 1e6, 1200, 1200, 1.016]);
  const inGerman = ['1.234,5', '7.200', '2,5', '1.000.000', '1,016'];
  expect(inGerman.map((text) => numberOf(text, ','))).toEqual([1234.5, 7200, 2.5, 1e6, 1.016]);
  expect(decimalOf('Schnittstelle: PCIe 3.0 x4, Lesen: 3.500 MB/s')).toBe(',');
  expect([decimalOf('2,5 W und 1.752 TB'), decimalOf('2.5 W, 7,200 rpm'), decimalOf('8 TB')]).toEqual([',', '.', '.']);
});

test('units come to those of sheets, and a range has one unit', () => {
  const of = (text: string) =>
    quantitiesOf(text, '.').map(({ dimension, value, hi }) => [dimension, +value.toFixed(3), +hi.toFixed(3)]);
  expect(of('6 Gb/s, 6 GB/s, 262 MB/s').map(([dimension, value]) => [dimension, value])).toEqual([
    ['Gbps', 6],
    ['MBps', 6000],
    ['MBps', 262],
  ]);
  expect(of('66.2 CFM')).toEqual([['m3h', 112.474, 112.474]]);
  expect(of('6.4 l/s')).toEqual([['m3h', 23.04, 23.04]]);
  expect(of('2.75 mmH2O')).toEqual([['Pa', 26.968, 26.968]]);
  expect(of('2.8 bels')).toEqual([['dB', 28, 28]]);
  expect(of('100 BTU/h')).toEqual([['W', 29.307, 29.307]]);
  expect(of('5–60 °C')).toEqual([['C', 5, 60]]);
  expect(of('150 x 86 x 140 mm')).toEqual([
    ['mm', 150, 150],
    ['mm', 86, 86],
    ['mm', 140, 140],
  ]);
  expect(of('17.2"')).toEqual([['mm', 436.88, 436.88]]);
  expect(of('2 x 12 V 7 Ah')).toEqual([
    [null, 2, 2],
    ['V', 12, 12],
    ['Ah', 7, 7],
  ]);
});

test('each field says the line it was read from', () => {
  const read = readSpec('Barge 9\nCapacity: 9 TB\nInterface: SATA 6 Gb/s\nSpindle speed: 7200 rpm');
  expect(read).toMatchObject({ ok: true, kind: 'drive', isSure: true, name: 'Barge 9' });
  const line = (field: string) => read.ok && read.fields.find((one) => one.field === field)?.line;
  expect(['capacityBytes', 'gbPerLane', 'rpm'].map(line)).toEqual([2, 3, 4]);
});

test('what two lines say differently is left open and shown; the same in two units is not', () => {
  const read = readSpec('HDD\nCapacity: 9 TB\nIdle power: 5 W\nPower, idle: 8 W\nHeight: 1.028 in (26.1 mm)', 'drive');
  if (!read.ok) throw new Error(read.words);
  expect(read.contradictions).toMatchObject([
    {
      field: 'idleW',
      found: [
        { value: 5, line: 3 },
        { value: 8, line: 4 },
      ],
    },
  ]);
  expect(read.fields.map(({ field }) => field)).not.toContain('idleW');
  expect(read.fields.find(({ field }) => field === 'heightMm')!.value).toBeCloseTo(26.1, 1);
});

test('a number that looks like the size of a module makes none of a disk', () => {
  const read = readSpec('Barge 2 TB hard drive, SATA, 2280 MB/s burst, 2242 h', 'drive');
  expect(read.ok && read.fields.map(({ field }) => field)).toEqual(expect.not.arrayContaining(['size', 'lengthMm']));
});

test('a value no sheet of the kind allows is not taken', () => {
  const read = readSpec('HDD\nCapacity: 9 TB\nIdle power: 5000 W\nHeight: 4 m', 'drive');
  expect(read.ok && read.fields.map(({ field }) => field)).toEqual(expect.not.arrayContaining(['idleW', 'heightMm']));
});

test('a text of nothing is refused with a word, as is one too long; hostile text does nothing', () => {
  expect(readSpec('')).toMatchObject({ ok: false });
  expect(readSpec('Dear all, lunch is at noon.')).toMatchObject({
    ok: false,
    words: expect.stringContaining('choose it'),
  });
  for (const kind of PART_KINDS) expect(readSpec('x', kind)).toMatchObject({ ok: true, kind, fields: [] });
  expect(readSpec('x'.repeat(SPEC_CHARACTERS + 1))).toMatchObject({ ok: false });
  const hostile = [
    '<script>alert(1)</script>: 5 W',
    '__proto__: 8 TB',
    `${'('.repeat(1500)}: 5 W`,
    `${'1,'.repeat(900)}W`,
  ];
  const read = readSpec(`HDD\nCapacity: 2 TB\n${hostile.join('\n')}`, 'drive');
  expect(read.ok && read.fields.map(({ field, value }) => [field, value])).toEqual(
    expect.arrayContaining([['capacityBytes', 2e12]]),
  );
});

test('a label on one line and its value on the next', () => {
  expect(entriesOf(['Weight', '5 kg'], (words) => /weight/i.test(words))).toMatchObject([
    { line: 2, label: 'weight', value: '5 kg' },
  ]);
});

test('a table of several models is read only where all agree; a number no part ever has is not taken', () => {
  const table =
    'Fan\tGale A\tGale B\nSpeed\t1200 rpm\t1500 rpm\nSize\t140 x 140 x 25 mm\t140 x 140 x 25 mm\nNoise\t19 dB(A)\t24 dB(A)';
  const read = readSpec(table, 'fan');
  expect(read.ok && read.fields.map(({ field, value }) => [field, value])).toEqual([
    ['sizeMm', 140],
    ['thickMm', 25],
  ]);
  const second = readSpec(table, 'fan', 1);
  expect(second).toMatchObject({ models: ['Gale A', 'Gale B'], name: 'Gale B' });
  expect(second.ok && second.fields.map(({ field, value }) => [field, value])).toEqual([
    ['sizeMm', 140],
    ['thickMm', 25],
    ['maxRpm', 1500],
    ['soundDb', 24],
  ]);
  const series = readSpec(
    'Pike series\t240 GB\t480 GB\nEndurance\t80 TBW\t160 TBW\nIdle power\t0.4 W\t0.5 W',
    'drive',
    1,
  );
  expect(series).toMatchObject({ name: 'Pike series 480 GB' });
  // The unit in a column of its own, the models told by what they hold.
  const disks =
    'Specifications\tUnit\t12 TB\t14 TB\nCapacity\tTB\t12\t14\nIdle\tW\t5.1\t5.3\nSpindle speed\trpm\t7200\t7200\nInterface\tSATA 6 Gb/s';
  const of = (model: number | null) => {
    const told = readSpec(disks, 'drive', model);
    return told.ok && Object.fromEntries(told.fields.map(({ field, value }) => [field, value]));
  };
  expect(of(null)).toEqual({ interface: 'sata', gbPerLane: 6, rpm: 7200, medium: 'disk' });
  expect(of(1)).toEqual({
    interface: 'sata',
    gbPerLane: 6,
    rpm: 7200,
    medium: 'disk',
    capacityBytes: 14e12,
    idleW: 5.3,
  });
  const answers = readSpec(
    'Processor\tShire A\tShire B\nCores\t8\t16\nThreads\t16\t32\nECC memory\tYes\tNo',
    'processor',
  );
  expect(answers.ok && answers.fields).toEqual([]);
  const odd = readSpec('HDD\nSustained transfer rate: 3.5 MB/s\nWeight: 690 kg', 'drive');
  expect(odd.ok && odd.fields.map(({ field }) => field)).toEqual(['medium']);
});

test.each([
  [
    'Spanish',
    'SAI Garza 900\nPotencia: 900 VA / 540 W\nPeso: 5,2 kg\nRendimiento: 95 %',
    { massG: 5200, efficiencyPct: 95 },
  ],
  [
    'Italian',
    'Onduleur UPS\nPotenza: 900 VA / 540 W\nPeso: 5,2 kg\nPrese: 6\nEfficienza: 95 %',
    { massG: 5200, outlets: 6 },
  ],
  ['Dutch', 'UPS 900\nVermogen: 900 VA / 540 W\nGewicht: 5,2 kg\nUitgangen: 6', { massG: 5200, outlets: 6 }],
])('a text in %s is read, and told as it stands', (_language, text, wanted) => {
  const read = readSpec(text, 'ups');
  const fields = read.ok ? read.fields : [];
  expect(Object.fromEntries(fields.map(({ field, value }) => [field, value]))).toMatchObject({
    ratedVa: 900,
    ratedW: 540,
    ...wanted,
  });
  for (const field of fields) expect(text.split('\n')).toContain(field.text);
});

test('one foreign word is a name, and changes nothing', () => {
  const read = readSpec('Peso hard drive\nCapacity: 4 TB\nIdle 3.1 W, operating 4.8 W', 'drive');
  expect(read.ok && read.name).toBe('Peso hard drive');
  expect(read.ok && read.fields.map(({ field, value }) => [field, value])).toEqual(
    expect.arrayContaining([
      ['capacityBytes', 4e12],
      ['idleW', 3.1],
      ['busyW', 4.8],
    ]),
  );
});

test('facts side by side are told apart, and none is the label of the next', () => {
  const read = readSpec('SSD 1 TB M.2\nRead 3,400 MB/s  Write 2,900 MB/s\nActive 4.5 W max | idle 0.05 W', 'drive');
  const values = Object.fromEntries(read.ok ? read.fields.map(({ field, value }) => [field, value]) : []);
  expect(values).toMatchObject({ sequentialMBps: 3400, idleW: 0.05 });
  expect(values.busyW).toBeUndefined();
});

test('amperes of a fan are watts at 12 V, unless the text is of a fan for another voltage', () => {
  const watts = (voltage: string) => {
    const read = readSpec(`Gale 80 server fan\n${voltage}\nRated current: 0.5 A\nAirflow: 60 CFM`, 'fan');
    return read.ok ? read.fields.find(({ field }) => field === 'maxW')?.value : null;
  };
  expect(watts('Rated voltage: 12 V')).toBe(6);
  expect(watts('Speed: 4000 rpm')).toBe(6);
  expect(watts('Rated voltage: 48 VDC')).toBeUndefined();
  expect(watts('Rated voltage: 5 V')).toBeUndefined();
});

test('writes a day are TB where the years stand beside them, and the text has no sum of its own', () => {
  const tb = (line: string) => {
    const read = readSpec(`Zander 3.84 TB SATA SSD\nCapacity: 3.84 TB\n${line}`, 'drive');
    return read.ok ? read.fields.find(({ field }) => field === 'enduranceTb')?.value : null;
  };
  // 365 × 5 × 3.84 = 7,008; three a day for as long 21,024.
  expect(tb('Endurance (DWPD, 5 years): 1')).toBe(7008);
  expect(tb('Endurance: 3 DWPD for 5 years')).toBe(21_024);
  expect(tb('DWPD (5 yr): 0.8')).toBe(5606.4);
  expect(tb('Endurance: 1 DWPD')).toBeUndefined();
  expect(tb('Endurance: 7000 TBW, 1 DWPD (5 years)')).toBe(7000);
});

describe('what comes along, and what is told twice', () => {
  const read = (text: string) => {
    const found = readSpec(text);
    if (!found.ok) throw new Error(found.words);
    return { kind: found.kind, values: Object.fromEntries(found.fields.map(({ field, value }) => [field, value])) };
  };
  test.each([
    ['supply', 'Ember 650 ATX power supply, 80 PLUS Gold, 650 W, up to 8 SATA plugs'],
    ['powerAdapter', 'SATA power splitter for power supplies with few plugs, 1 to 2 x SATA'],
    ['cooler', 'Crag T2 CPU cooler, 190 W TDP, 156 mm high, thermal paste included'],
    ['chassis', 'Byre 15 4U case, 15 x 3.5" tray, 7 slots, rack rails included'],
    ['sundry', 'Thermal paste, 4 g, for coolers'],
  ])('%s: %s', (kind, text) => {
    expect(read(text).kind).toBe(kind);
  });
  test('a low bracket that is not in the box makes no low card', () => {
    const card = (bracket: string) => read(`Tern 8i HBA, PCIe 3.0 x8\nBracket: full height, ${bracket}`).values.height;
    expect(card('low-profile bracket not included')).toBeUndefined();
    expect(card('low-profile bracket optional')).toBeUndefined();
    expect(card('low-profile bracket in the box')).toBe('low');
  });
  test('a medium that two lines say differently stays open, whatever turns', () => {
    const found = readSpec('Drive: SSD\nType: HDD\nSpeed: 7200 rpm\nCapacity: 1 TB', 'drive');
    expect(found).toMatchObject({ ok: true, contradictions: [{ field: 'medium' }] });
    expect(found.ok && found.fields.map(({ field }) => field)).not.toContain('medium');
  });
  test('of two columns none is of remarks', () => {
    expect(read('Barge 8 TB\nCapacity\t8 TB\nInterface\tSATA 6 Gb/s\nSee\tNotes').values).toMatchObject({
      interface: 'sata',
      gbPerLane: 6,
    });
  });
});

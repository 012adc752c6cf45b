import fc from 'fast-check';
import { catalogue } from '../testing/fixture';
import { readPartsFile, writePartsCsv, writePartsJson, type FileRow } from './catalogueFile';
import { fieldsOf, readField } from './fields';
import { ownSheet, ownSheetId } from './ownSheet';
import { basisOf, factOf, resolve } from './resolve';
import { sheetSchema, type Sheet } from './sheet';
import type { SheetId } from './ids';
import { PART_KINDS } from './vocabulary';

const isOwn = (id: string) => id.startsWith('own-');
const rows = (text: string): readonly FileRow[] => {
  const read = readPartsFile(text, catalogue, isOwn);
  if (!read.ok) throw new Error(read.words);
  return read.rows;
};
const mine = (sheet: Sheet): Sheet => ({
  ...sheet,
  id: `own-${sheet.id}` as SheetId,
  name: `${sheet.name}, mine`,
  rev: 1,
});
const all = Object.values(catalogue.sheets);

test.each(PART_KINDS)('%s sheets written as CSV are read back as they were', (kind) => {
  const own = all.filter((sheet) => sheet.kind === kind).map(mine);
  expect(rows(writePartsCsv(kind, own)).map((row) => (row.ok ? row.sheet : row))).toEqual(own);
});

test('the whole catalogue written as JSON is read back as it was', () => {
  const own = all.map(mine);
  const read = rows(writePartsJson(own, catalogue.archetypes));
  expect(read.map((row) => (row.ok ? row.sheet : row))).toEqual(own);
  expect(new Set(read.map((row) => row.ok && row.what))).toEqual(new Set(['new']));
});

test('bad rows are told with their line, good ones beside them are kept', () => {
  const text = [
    'name,kind,archetype,idleW,interface,price,currency',
    'Good,drive,disk-25,0.9,sata,40,EUR',
    'Too much,drive,disk-25,900,sata,,',
    'No such bus,drive,disk-25,1,firewire,,',
    'Which,wheel,disk-25,,,,',
    'Lost,drive,nowhere,,,,',
    '"Comma, quoted ""so""",drive,disk-25,"1,1",,,',
  ].join('\r\n');
  const read = rows(text);
  expect(read.map((row) => [row.line, row.ok])).toEqual([
    [2, true],
    [3, false],
    [4, false],
    [5, false],
    [6, false],
    [7, true],
  ]);
  expect(read.flatMap((row) => (row.ok ? [] : [row.words]))).toEqual([
    expect.stringMatching(/idle “900”: too big/),
    expect.stringContaining('interface “firewire”: one of SATA, SAS, NVMe, USB'),
    expect.stringContaining('kind “wheel” is none of'),
    'there is no archetype nowhere',
  ]);
  expect(read[0]).toMatchObject({ sheet: { id: 'own-good', price: { minor: 4000, currency: 'EUR' }, idleW: 0.9 } });
  expect(read[5]).toMatchObject({ sheet: { name: 'Comma, quoted "so"', idleW: 1.1 } });
});

test('a part of the catalogue is not overwritten, a sheet of your own is', () => {
  const shipped = catalogue.sheets['coot-1']!;
  expect(rows(writePartsJson([{ ...shipped, name: 'Mine' }], {}))[0]).toMatchObject({
    ok: false,
    words: 'coot-1 is a part of the catalogue: take another id',
  });
  expect(rows(writePartsJson([shipped], {}))[0]).toMatchObject({ ok: true, what: 'same' });
  const own = mine(shipped);
  const withOwn = { ...catalogue, sheets: { ...catalogue.sheets, [own.id]: own } };
  const read = readPartsFile(writePartsJson([{ ...own, name: 'Renamed' }], {}), withOwn, isOwn);
  expect(read.ok && read.rows[0]).toMatchObject({ ok: true, what: 'differs' });
  const later = readPartsFile(writePartsJson([{ ...own, name: 'Renamed', rev: 3 }], {}), withOwn, isOwn);
  expect(later.ok && later.rows[0]).toMatchObject({ ok: true, what: 'newer' });
});

test('a file says whose parts it holds; what it came with itself is not handed on', () => {
  const own = { ...mine(catalogue.sheets['coot-1']!), parcel: 'Parts of the boathouse' };
  const about = { name: 'Shelf parts', date: '2026-11-29', author: 'the boathouse', licence: 'CC0' };
  const text = writePartsJson([own], {}, about);
  expect(text).not.toContain('Parts of the boathouse');
  const read = readPartsFile(text, catalogue, isOwn);
  expect(read).toMatchObject({ ok: true, about, rows: [{ ok: true, what: 'new' }] });
  // A part that came with a file is the same as one that did not.
  const here = { ...catalogue, sheets: { ...catalogue.sheets, [own.id]: own } };
  expect(readPartsFile(text, here, isOwn)).toMatchObject({ rows: [{ what: 'same' }] });
  // A head that says something else is no reason to refuse the parts.
  const odd = readPartsFile(text.replace('"Shelf parts"', '7'), catalogue, isOwn);
  expect(odd).toMatchObject({ ok: true, about: {}, rows: [{ ok: true }] });
});

test.each([
  ['', 'The file is empty.'],
  ['{"format":"other"}', 'is of the format "other"'],
  ['{"a":', 'This is not JSON'],
  ['{"x":1}', 'holds no list of sheets'],
  ['a,b\n1,2', 'missing: name, kind, archetype'],
])('a file that is no file of parts: %s', (text, words) => {
  const read = readPartsFile(text, catalogue, isOwn);
  expect(read).toMatchObject({ ok: false, words: expect.stringContaining(words) as string });
});

test('a twin in one file, and the wrong archetype for its kind', () => {
  expect(
    rows('id,name,kind,archetype\nown-a,A,drive,disk-25\nown-a,B,drive,disk-25\nown-c,C,fan,disk-25').map((row) =>
      row.ok ? '' : row.words,
    ),
  ).toEqual(['', 'the id own-a stands twice in the file', 'disk-25 is an archetype of a drive, the row is a fan']);
});

test('no text makes the reader throw', () => {
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string(),
        fc.json(),
        fc.string().map((s) => `name,kind,archetype\n${s}`),
      ),
      (text) => {
        readPartsFile(text, catalogue, isOwn);
        return true;
      },
    ),
    { numRuns: 300 },
  );
});

test('an own sheet: what is typed is its own with its source, the rest is typical', () => {
  const archetype = catalogue.archetypes['disk-25']!;
  const sheet = ownSheet('own-a' as SheetId, archetype, {
    name: 'From the drawer',
    values: { idleW: 1.4 },
    basis: 'measured',
    price: { minor: 0, currency: 'EUR' },
  });
  expect(sheetSchema.safeParse(sheet).success).toBe(true);
  const part = resolve(sheet, archetype);
  expect([basisOf(part, 'idleW'), basisOf(part, 'busyW')]).toEqual(['measured', 'typical']);
  expect(factOf(part, 'idleW').hi).toBeCloseTo(1.4 * 1.03, 9);
});

test('made like another sheet: what is left as it was keeps its source, what is typed has its own, the inside stays', () => {
  const archetype = catalogue.archetypes['cube-8']!;
  const like = {
    ...catalogue.sheets['larder-8']!,
    from: { depthMm: { basis: 'typical' as const, ref: 'a photograph' } },
  } as Sheet;
  const { widthMm, heightMm, depthMm } = like as unknown as Record<string, number>;
  const sheet = ownSheet('own-l' as SheetId, archetype, {
    name: 'Mine',
    values: { widthMm, heightMm: heightMm! + 2, depthMm },
    basis: 'measured',
    like,
  });
  expect(sheet.from).toEqual({ heightMm: { basis: 'measured' }, depthMm: { basis: 'typical', ref: 'a photograph' } });
  const part = resolve(sheet, archetype);
  expect((['widthMm', 'heightMm', 'depthMm'] as const).map((field) => basisOf(part, field))).toEqual([
    'stated',
    'measured',
    'typical',
  ]);
  expect([sheet.builtIn, sheet.inTheBox]).toEqual([like.builtIn, like.inTheBox]);
});

test('nothing of a CSV is lost without a word: strange columns, too many cells, an open quotation mark', () => {
  const head = 'name,kind,archetype,idleW,rpmm';
  const wordsOf = (line: string) => rows(`${head}\n${line}`).map((row) => (row.ok ? 'good' : row.words));
  expect(wordsOf('A,drive,disk-25,1,')).toEqual(['good']);
  expect(wordsOf('A,drive,disk-25,1,5400')).toEqual(['column “rpmm” is no field of a drive']);
  expect(wordsOf('A,drive,disk-25,1,,more')).toEqual(['6 cells, and the first line names 5']);
  expect(wordsOf('A,drive,disk-25,"1,')).toEqual(['a quotation mark is opened and not closed']);
  expect(readPartsFile('name,kind,archetype,idleW,idleW\n', catalogue, isOwn)).toMatchObject({
    ok: false,
    words: expect.stringContaining('stands twice') as string,
  });
});

test('lines are those of the file, also after an empty one and after a cell of two lines', () => {
  const text = 'name,kind,archetype\r\n"Two\r\nlines",drive,disk-25\r\n\r\nBad,wheel,disk-25\r\nGood,drive,disk-25\r\n';
  expect(rows(text).map((row) => [row.line, row.ok])).toEqual([
    [2, true],
    [5, false],
    [6, true],
  ]);
});

test('a price comes back in its own currency, also one without smaller units', () => {
  const yen = { ...mine(catalogue.sheets['coot-1']!), price: { minor: 6400, currency: 'JPY' } } as Sheet;
  const csv = writePartsCsv('drive', [yen]);
  expect(csv).toContain(',6400,JPY,');
  expect(rows(csv)[0]).toMatchObject({ ok: true, sheet: { price: { minor: 6400, currency: 'JPY' } } });
  expect(rows('name,kind,archetype,price,currency\nA,drive,disk-25,5,euro')[0]).toMatchObject({
    ok: false,
    words: 'currency “euro” is no ISO 4217 code',
  });
});

test('a sheet that contains what is nowhere, and one called like a class, are refused; what comes in the same file is found', () => {
  const box = {
    ...mine(catalogue.sheets['larder-8']!),
    builtIn: [{ key: 'fan', sheet: 'own-fan', count: 1, spot: 'rear', fixed: false }],
    inTheBox: [],
  } as unknown as Sheet;
  const fan = { ...catalogue.sheets['hush-120']!, id: 'own-fan', name: 'A fan' } as Sheet;
  expect(rows(writePartsJson([box], {}))[0]).toMatchObject({
    ok: false,
    words: 'it contains own-fan, which is neither here nor in the file',
  });
  expect(rows(writePartsJson([box, fan], {})).map((row) => row.ok)).toEqual([true, true]);
  expect(rows(writePartsJson([{ ...fan, id: 'class-fan' } as unknown as Sheet], {}))[0]).toMatchObject({
    ok: false,
    words: expect.stringContaining('how a class is called') as string,
  });
});

test('memory counts in GiB, drives in GB', () => {
  const per = (kind: (typeof PART_KINDS)[number], name: string) => {
    const field = fieldsOf(kind).find((one) => one.name === name)!;
    return [field.unit, field.per];
  };
  expect([
    per('drive', 'capacityBytes'),
    per('memory', 'capacityBytes'),
    per('board', 'memoryMaxBytes'),
    per('drive', 'idleW'),
  ]).toEqual([
    ['GB', 1e9],
    ['GiB', 1024 ** 3],
    ['GiB', 1024 ** 3],
    ['W', 1],
  ]);
});

test('own ids are readable and never taken twice', () => {
  expect(ownSheetId('My  Bären-Kiste №2!', () => false)).toBe('own-my-baren-kiste-no2');
  expect(ownSheetId('A', (id) => id === 'own-a' || id === 'own-a-2')).toBe('own-a-3');
  expect(ownSheetId('☂', () => false)).toBe('own-part');
});

test('every field of every kind has words, and a unit where its name ends in one', () => {
  for (const kind of PART_KINDS)
    for (const field of fieldsOf(kind)) {
      expect([kind, field.name, field.label.length > 1]).toEqual([kind, field.name, true]);
      if (/(Mm|W|Db|Rpm|Pa|M3h|MBps)$/.test(field.name))
        expect([field.name, field.unit !== '']).toEqual([field.name, true]);
    }
});

test('answers: none for what may be absent, yes and no, choices, lists, a comma for a point', () => {
  const field = (kind: (typeof PART_KINDS)[number], name: string) => fieldsOf(kind).find((one) => one.name === name)!;
  expect(readField(field('drive', 'rpm'), 'none')).toEqual({ ok: true, value: null });
  expect(readField(field('drive', 'idleW'), 'none')).toMatchObject({ ok: false });
  expect(readField(field('drive', 'shingled'), 'Yes')).toEqual({ ok: true, value: true });
  expect(readField(field('drive', 'size'), '2.5')).toEqual({ ok: true, value: '2.5' });
  expect(readField(field('controller', 'lanes'), '8')).toEqual({ ok: true, value: 8 });
  expect(readField(field('controller', 'lanes'), '7')).toMatchObject({ ok: false });
  expect(readField(field('fan', 'maxW'), '1,2')).toEqual({ ok: true, value: 1.2 });
  expect(readField(field('drive', 'idleW'), '')).toEqual({ ok: true, value: undefined });
});

test.each(['=1+1', '+49', '-12 V supply', '@sum', "'=kept", "''-", '=HYPERLINK("http://x.test")'])(
  'a name like a formula (%j) is no formula in a spreadsheet, and is read back as it was',
  (name) => {
    const sheet = { ...catalogue.sheets['coot-1']!, id: 'own-formula', name, maker: '=cmd' } as never;
    const csv = writePartsCsv('drive', [sheet]);
    expect(
      csv
        .split('\r\n')[1]!
        .split(',')
        .filter((cell) => /^"?[=+\-@]/.test(cell)),
    ).toEqual([]);
    const read = readPartsFile(csv, catalogue, () => true);
    expect(read.ok && read.rows.map((row) => row.ok && [row.sheet.name, row.sheet.maker])).toEqual([[name, '=cmd']]);
  },
);

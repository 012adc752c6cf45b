import fc from 'fast-check';
import { catalogue } from '../testing/fixture';
import { readPartsFile, writePartsCsv, writePartsJson, type FileRow } from './catalogueFile';
import { fieldsOf, readField } from './fields';
import { cloneSheet, ownSheet, ownSheetId } from './ownSheet';
import { basisOf, factOf, resolve } from './resolve';
import { sheetSchema, type Sheet } from './sheet';
import type { SheetId } from './ids';
import { PART_KINDS } from './vocabulary';

const isOwn = (id: string) => id.startsWith('own-');
const rows = (text: string): readonly FileRow[] => { const read = readPartsFile(text, catalogue, isOwn); if (!read.ok) throw new Error(read.words); return read.rows; };
const mine = (sheet: Sheet) => cloneSheet(sheet, `own-${sheet.id}` as SheetId, `${sheet.name}, mine`);
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
  const text = ['name,kind,archetype,idleW,interface,price,currency', 'Good,drive,disk-25,0.9,sata,40,EUR', 'Too much,drive,disk-25,900,sata,,', 'No such bus,drive,disk-25,1,firewire,,', 'Which,wheel,disk-25,,,,', 'Lost,drive,nowhere,,,,', '"Comma, quoted ""so""",drive,disk-25,"1,1",,,'].join('\r\n');
  const read = rows(text);
  expect(read.map((row) => [row.line, row.ok])).toEqual([[2, true], [3, false], [4, false], [5, false], [6, false], [7, true]]);
  expect(read.flatMap((row) => (row.ok ? [] : [row.words]))).toEqual([
    expect.stringMatching(/idle “900”: too big/), expect.stringContaining('interface “firewire”: one of sata, sas, nvme, usb'), expect.stringContaining('kind “wheel” is none of'), 'there is no archetype nowhere',
  ]);
  expect(read[0]).toMatchObject({ sheet: { id: 'own-good', price: { minor: 4000, currency: 'EUR' }, idleW: 0.9 } });
  expect(read[5]).toMatchObject({ sheet: { name: 'Comma, quoted "so"', idleW: 1.1 } });
});

test('a part of the catalogue is not overwritten, a sheet of your own is', () => {
  const shipped = catalogue.sheets['coot-1']!;
  expect(rows(writePartsJson([{ ...shipped, name: 'Mine' } as Sheet], {}))[0]).toMatchObject({ ok: false, words: 'coot-1 is a part of the catalogue: take another id' });
  expect(rows(writePartsJson([shipped], {}))[0]).toMatchObject({ ok: true, what: 'same' });
  const own = mine(shipped);
  const withOwn = { ...catalogue, sheets: { ...catalogue.sheets, [own.id]: own } };
  const read = readPartsFile(writePartsJson([{ ...own, name: 'Renamed' } as Sheet], {}), withOwn, isOwn);
  expect(read.ok && read.rows[0]).toMatchObject({ ok: true, what: 'replaces' });
});

test.each([['', 'The file is empty.'], ['{"format":"other"}', 'is of the format "other"'], ['{"a":', 'This is not JSON'], ['{"x":1}', 'holds no list of sheets'], ['a,b\n1,2', 'missing: name, kind, archetype']])('a file that is no file of parts: %s', (text, words) => {
  const read = readPartsFile(text, catalogue, isOwn);
  expect(read).toMatchObject({ ok: false, words: expect.stringContaining(words) as string });
});

test('a twin in one file, and the wrong archetype for its kind', () => {
  expect(rows('id,name,kind,archetype\nown-a,A,drive,disk-25\nown-a,B,drive,disk-25\nown-c,C,fan,disk-25').map((row) => (row.ok ? '' : row.words))).toEqual(['', 'the id own-a stands twice in the file', 'disk-25 is an archetype of a drive, the row is a fan']);
});

test('no text makes the reader throw', () => {
  fc.assert(fc.property(fc.oneof(fc.string(), fc.json(), fc.string().map((s) => `name,kind,archetype\n${s}`)), (text) => { readPartsFile(text, catalogue, isOwn); return true; }), { numRuns: 300 });
});

test('an own sheet: what is typed is its own with its source, the rest is typical', () => {
  const archetype = catalogue.archetypes['disk-25']!;
  const sheet = ownSheet('own-a' as SheetId, archetype, { name: 'From the drawer', values: { idleW: 1.4 }, basis: 'measured', price: { minor: 0, currency: 'EUR' } });
  expect(sheetSchema.safeParse(sheet).success).toBe(true);
  const part = resolve(sheet, archetype);
  expect([basisOf(part, 'idleW'), basisOf(part, 'busyW')]).toEqual(['measured', 'typical']);
  expect(factOf(part, 'idleW').hi).toBeCloseTo(1.4 * 1.03, 9);
});

test('own ids are readable and never taken twice', () => {
  expect(ownSheetId('My  Bären-Kiste №2!', () => false)).toBe('own-my-baren-kiste-no2');
  expect(ownSheetId('A', (id) => id === 'own-a' || id === 'own-a-2')).toBe('own-a-3');
  expect(ownSheetId('☂', () => false)).toBe('own-part');
});

test('every field of every kind has words, and a unit where its name ends in one', () => {
  for (const kind of PART_KINDS) for (const field of fieldsOf(kind)) {
    expect([kind, field.name, field.label.length > 1]).toEqual([kind, field.name, true]);
    if (/(Mm|W|Db|Rpm|Pa|M3h|MBps)$/.test(field.name)) expect([field.name, field.unit !== '']).toEqual([field.name, true]);
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

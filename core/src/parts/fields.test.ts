import { fieldsOf, readField } from './fields';
import { choiceWords, FIELD_WORDS } from './fieldWords';
import { VALUES } from './sheet';
import { PART_KINDS, type PartKind } from './vocabulary';

const field = (kind: PartKind, name: string) => fieldsOf(kind).find((one) => one.name === name)!;

test('every choice of every field has words: no key of the file is shown', () => {
  for (const kind of PART_KINDS)
    for (const one of fieldsOf(kind))
      for (const option of one.type === 'choice' ? one.options : [])
        expect([
          kind,
          one.name,
          option,
          typeof option === 'number' || !!FIELD_WORDS[one.name].choices?.[option],
        ]).toEqual([kind, one.name, option, true]);
});

test('no label holds a unit, a capital within a word or a key', () => {
  for (const kind of PART_KINDS)
    for (const { label, name } of fieldsOf(kind))
      expect([name, /[a-z][A-Z]|\b(dc|max|min|mm)\b/.test(label.replace('PCIe', '').replace('eSATA', ''))]).toEqual([
        name,
        false,
      ]);
});

test('a unit at the end of a name is the unit of the field', () => {
  const UNIT: Readonly<Record<string, readonly string[]>> = {
    Mm: ['mm'],
    KPerW: ['K/W'],
    W: ['W', 'K/W'],
    A: ['A'],
    Va: ['VA'],
    Wh: ['Wh'],
    V: ['V'],
    MBps: ['MB/s'],
    Pa: ['Pa'],
    Db: ['dB(A)'],
    Pct: ['%'],
    G: ['g'],
    S: ['s', 'm/s', 'Gb/s', 'MT/s'],
    C: ['°C'],
  };
  for (const kind of PART_KINDS)
    for (const name of Object.keys(VALUES[kind].shape)) {
      const suffix = /(KPerW|MBps|Mm|Db|Pct|Pa|Va|Wh|W|A|S|V|G|C)$/.exec(name)?.[0];
      if (suffix && name !== 'staggersStart')
        expect([name, UNIT[suffix]!.includes(FIELD_WORDS[name as keyof typeof FIELD_WORDS].unit)]).toEqual([
          name,
          true,
        ]);
    }
});

test('a choice is read by its words and by its key, whatever the capitals', () => {
  const meaning = field('drive', 'soundMeaning');
  expect(choiceWords('soundMeaning', 'pressureFreeField1m')).toBe('pressure at 1 m in free field');
  for (const text of ['pressureFreeField1m', 'Pressure at 1 m in free field'])
    expect(readField(meaning, text)).toEqual({ ok: true, value: 'pressureFreeField1m' });
  expect(readField(field('drive', 'interface'), 'SATA')).toEqual({ ok: true, value: 'sata' });
  expect(readField(field('drive', 'interface'), 'firewire')).toEqual({
    ok: false,
    words: 'interface “firewire”: one of SATA, SAS, NVMe, USB',
  });
  expect(readField(field('drive', 'shingled'), 'yes')).toEqual({ ok: true, value: true });
});

test('capacities are asked for in the unit their kind is sold in', () => {
  expect([field('drive', 'capacityBytes').unit, field('memory', 'capacityBytes').unit]).toEqual(['GB', 'GiB']);
  expect(field('cooler', 'kPerW').unit).toBe('K/W');
});

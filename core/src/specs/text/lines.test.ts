import { linesOf, withoutMarks } from './lines';

const read = (text: string) => linesOf(text).map((one) => `${one.line} ${one.text}`);

test('facts with labels of their own are lines; what belongs together stays in one', () => {
  expect(read('A disk\nSize: 8 TB; Speed: 7200 rpm; CMR')).toEqual([
    '1 A disk',
    '2 Size: 8 TB',
    '2 Speed: 7200 rpm',
    '2 CMR',
  ]);
  expect(read('8 TB • 7200 rpm • SATA')).toEqual(['1 8 TB', '1 7200 rpm', '1 SATA']);
  expect(read('Capacity: 8 TB, Interface: SATA, 6 Gb/s')).toEqual(['1 Capacity: 8 TB', '1 Interface: SATA, 6 Gb/s']);
  expect(read('Noise: idle 20 dB; seek 29 dB')).toEqual(['1 Noise: idle 20 dB; seek 29 dB']);
  expect(read('Boards: ATX, Micro-ATX')).toEqual(['1 Boards: ATX, Micro-ATX']);
});

test('cells in quotes, marks of a page and of footnotes', () => {
  expect(read('"Size","8 TB, 3.5"" disk"')).toEqual(['1 Size\t8 TB, 3.5" disk']);
  expect(read('## Disk\n**Size:** 8 TB¹\nFlow: 90 m³/h, error 10⁻¹⁵')).toEqual([
    '1 Disk',
    '2 Size: 8 TB',
    '3 Flow: 90 m3/h, error 10^-15',
  ]);
});

test('names of settings are labels, their units in brackets', () => {
  expect(['idle_w=5', '"power_idle_w": 0.6,', '3v3=20A', '12v: 45 A', 'tbw: 600'].map(withoutMarks)).toEqual([
    'idle (w): 5',
    'power idle (w): 0.6',
    '3.3V: 20A',
    '12v: 45 A',
    'tbw: 600',
  ]);
});

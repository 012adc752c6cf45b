import { differenceWords } from './differenceWords';

const none = { added: [], gone: [], moved: [], loose: [], changed: [], undone: [] };

test.each([
  [none, ''],
  [
    { ...none, added: [{ name: 'Fell 37', count: 1 }], gone: [{ name: 'Fell 62', count: 1 }] },
    'Fell 37 in, Fell 62 out',
  ],
  [{ ...none, gone: [{ name: 'Barge 8 TB', count: 4 }], moved: ['F1', 'F2'] }, '4 × Barge 8 TB out, F1, F2 move'],
  [{ ...none, moved: ['F1', 'F2', 'F3', 'F4', 'F5'], loose: ['G1'] }, '5 parts move, G1 without a place'],
  [{ ...none, undone: ['Vents sealed'] }, 'Taken back: vents sealed'],
  [
    { ...none, changed: ['Take out the fan wall'], undone: ['Vents sealed'] },
    'Take out the fan wall, taken back: vents sealed',
  ],
])('%#', (difference, words) => {
  expect(differenceWords(difference)).toBe(words);
});

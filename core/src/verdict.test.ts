import { verdictOf } from './verdict';

const snags = (...severities: ('blocker' | 'caution' | 'note')[]) => severities.map((severity) => ({ severity }));
const open = (...labels: string[]) => labels.map((label) => ({ label }));

test.each([
  ['clear', open(), snags(), 'Clear'],
  ['clear', open(), snags('note', 'caution', 'caution'), 'Clear, 2 cautions'],
  ['blocked', open('Cooler'), snags('blocker', 'caution'), '1 blocker, 1 caution'],
  ['blocked', open(), snags('blocker', 'blocker'), '2 blockers'],
  ['partsMissing', open('Cooler', 'Memory'), snags('caution'), 'Parts missing: cooler, memory, 1 caution'],
  [
    'partsMissing',
    open('Board', 'Processor', 'Cooler', 'Memory'),
    snags(),
    'Parts missing: board, processor and 2 more',
  ],
  ['empty', open('Chassis'), snags(), 'Empty'],
] as const)('%s with %j and %j reads %s', (status, missing, found, words) => {
  expect(verdictOf({ status, open: missing, snags: found }).words).toBe(words);
});

test('what is not computed is said of every machine that has parts', () => {
  const said = (status: 'clear' | 'empty') => verdictOf({ status, open: [], snags: [] }).notComputed;
  expect([said('clear'), said('empty')]).toEqual(['temperatures not computed', '']);
});

import { acceptedReason, withAccepted, withoutAccepted } from './snags/accepted';
import type { Figure, Figures } from './figures/figures';
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
  expect(verdictOf({ status, open: missing, snags: found, figures: {} }).words).toBe(words);
});

test('temperatures that are not computed are said of every machine that has parts', () => {
  const warm: Figure = { id: 'air.hottestDriveC', value: 45, lo: 40, hi: 50, unit: '°C', basis: 'typical' };
  const said = (status: 'clear' | 'empty', figures: Figures = {}) =>
    verdictOf({ status, open: [], snags: [], figures }).notComputed;
  expect([said('clear'), said('empty'), said('clear', { 'air.hottestDriveC': warm })]).toEqual([
    'temperatures not computed',
    '',
    '',
  ]);
});

test('an accepted caution is counted apart, and a blocker cannot be accepted', () => {
  const told = [{ severity: 'caution', accepted: 'The door stays open.' }, { severity: 'caution' }] as const;
  expect(verdictOf({ status: 'clear', open: [], snags: told, figures: {} }).words).toBe('Clear, 1 caution, 1 accepted');
  const build = { accepted: withAccepted({ accepted: [] }, 'a|u1', 'It is cool there.') };
  expect(acceptedReason(build, { key: 'a|u1', severity: 'caution' })).toBe('It is cool there.');
  expect(acceptedReason(build, { key: 'a|u1', severity: 'blocker' })).toBeUndefined();
  expect(withAccepted(build, 'a|u1', 'Another reason.')).toEqual([{ snag: 'a|u1', reason: 'Another reason.' }]);
  expect(withoutAccepted(build, 'a|u1')).toEqual([]);
});

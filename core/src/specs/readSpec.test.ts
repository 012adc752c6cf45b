import { FIRST } from './samples/first';
import { scoreSamples } from './samples/score';

test('texts written before the reader: what a person reads is read, and next to nothing wrong', () => {
  const { fields, right, wrong, notes } = scoreSamples(FIRST);
  expect(notes.join('\n')).toBe('');
  expect(right / fields).toBeGreaterThanOrEqual(0.95);
  expect(wrong / fields).toBeLessThanOrEqual(0.005);
});

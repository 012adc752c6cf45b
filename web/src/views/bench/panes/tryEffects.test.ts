import { effectsOf, sharedWords } from './tryEffects';

const row = (causes: readonly (readonly ['blocker' | 'caution' | 'note', string])[], cures: readonly string[] = []) =>
  effectsOf(
    {
      sheet: 'one',
      causes: causes.map(([severity, what]) => ({ severity, what, title: what, code: 'within.growth' })),
      worsens: [],
      cures: cures.map((title) => ({ severity: 'caution', what: title, title, code: 'within.growth' })),
      eases: [],
      delta: {},
      figures: {},
    } as never,
    undefined,
  );

test('the gravest effect is said first, and every one has its word and tone', () => {
  expect(
    row(
      [
        ['note', 'A'],
        ['blocker', 'B'],
      ],
      ['C'],
    ),
  ).toEqual([
    { severity: 'blocker', tone: 'bad', words: 'Blocker: B' },
    { severity: 'caution', tone: 'good', words: 'Fixes: c' },
    { severity: 'note', tone: 'warn', words: 'Note: A' },
  ]);
});

test('what every row says is said once, from four rows on', () => {
  const [a, b] = [
    row([
      ['caution', 'Everywhere'],
      ['note', 'Here'],
    ]),
    row([['caution', 'Everywhere']]),
  ];
  expect([...sharedWords([a, b, b, b])]).toEqual(['Caution: Everywhere']);
  expect(sharedWords([a, b, b]).size).toBe(0);
  expect(sharedWords([a, b, b, row([])]).size).toBe(0);
  expect(sharedWords([]).size).toBe(0);
});

test('how fast files go is said where it changes by a tenth or more, and only where they went before', () => {
  const rates = (is: number, change: number) =>
    effectsOf(
      {
        ...{ causes: [], worsens: [], cures: [], eases: [] },
        figures: { 'flow.readMBps': { value: is } },
        delta: { 'flow.readMBps': change },
      } as never,
      undefined,
    ).map(({ tone, words }) => `${tone} ${words.replace(/\u202f/g, ' ')}`);
  expect(rates(1124, 843)).toEqual(['good Files read: 1 124 MB/s instead of 281']);
  expect(rates(281, -843)).toEqual(['warn Files read: 281 MB/s instead of 1 124']);
  expect(rates(1124, 100)).toEqual([]);
  expect(rates(1124, 1124)).toEqual([]);
});

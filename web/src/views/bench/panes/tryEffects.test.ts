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

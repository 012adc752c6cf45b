import { readFileSync } from 'node:fs';
import { createAssessor, parseBuildText, powerBoxes, powerOf, wordsOf, type Build } from '@inch-tower/core';
import type { TaggedSnag } from '../../worker/messages';
import { plugAnswer } from './plugAnswer';
import { apart, startLines } from './startLines';
import { holdAnswer, mildestWords, moreWords, policyWords, startAnswer, whyStart } from './startWords';

const read = (id: string): Build => {
  const parsed = parseBuildText(readFileSync(`demo/builds/${id}.json`, 'utf8'));
  if (!parsed.ok) throw new Error(parsed.words);
  return parsed.build;
};
const looked = (build: Build) => {
  const assessor = createAssessor();
  const { snags } = assessor.assess(build, { asOf: '2026-11-28' });
  return {
    power: powerOf(assessor.context(build), build, '2026-11-01'),
    snags: snags.map((snag) => ({ ...snag, ...wordsOf(snag) })) as unknown as TaggedSnag[],
  };
};

test('lines of a start are shares of their own limits, the fullest first, none where no limit is known', () => {
  const [box] = looked(read('boathouse-rack')).power.boxes;
  const lines = startLines(box!.start);
  expect(lines.map(({ name }) => name)).toEqual(['5 V', 'Together', '12 V', '3.3 V']);
  for (const { peak, limit, points } of lines) {
    expect(peak.value).toBeCloseTo(peak.share * limit, 9);
    expect(Math.max(...points.map(([, share]) => share))).toBe(peak.share);
  }
  expect(startLines({ ...box!.start, limits: null })).toEqual([]);
});

test('labels keep apart, in the order of what they name, and on the picture', () => {
  expect(apart([10, 12, 200], 20, 210)).toEqual([10, 30, 200]);
  const many = apart([200, 205, 208], 20, 210);
  expect(many).toEqual([170, 190, 210]);
});

test('the answer says what the supply has left, and never other than the snags', () => {
  const { power, snags } = looked(read('boathouse-rack'));
  const others = snags.filter(({ code }) => code !== 'powered.wires');
  expect(startAnswer(power.boxes[0]!, others)).toEqual({
    words:
      'Yes: about 69 % of what Brazier 800 1+1 gives at the worst moment, 90 % of 12 V and W with a module gone; ' +
      'the last drive has spun up after 10 s.',
    tone: 'good',
  });
  // A cable past what it carries at the start is part of the answer.
  expect(startAnswer(power.boxes[0]!, snags)).toMatchObject({
    words: expect.stringMatching(/^Yes, but see what was found: about 69 %/),
    tone: 'warn',
  });
  expect(holdAnswer(power.boxes[0]!, snags).words).toMatch(
    /^With everything at its most 33 % .* 66 % with a module gone/,
  );
  const shelf = looked(read('school-shelf'));
  expect(startAnswer(shelf.power.boxes[1]!, shelf.snags)).toMatchObject({ tone: 'warn' });
  const blocked = snags.slice(0, 1).map((snag) => ({
    ...snag,
    code: 'powered.start12V' as const,
    severity: 'blocker' as const,
    at: [{ unit: power.boxes[0]!.supply!.unit }],
  })) as TaggedSnag[];
  expect(startAnswer(power.boxes[0]!, blocked)).toMatchObject({ tone: 'bad', words: expect.stringMatching(/^No: /) });
  expect(startAnswer({ ...power.boxes[0]!, supply: null }, [])).toMatchObject({
    words: 'Not known yet: no supply is chosen.',
  });
});

test('a milder start is offered where it is another than the one that is set', () => {
  const mildest = {
    spinUp: { kind: 'waves', drives: 4, everyS: 10 },
    readyS: 40,
    share: 0.7,
    cablesHold: true,
  } as const;
  expect(mildestWords(mildest, { kind: 'together' }, true)).toEqual({
    words:
      'Soonest within 80 % of every limit: 4 at a time, every 10 s; ' +
      'about 70 % at the worst moment, the last has spun up after 40 s.',
    offers: true,
  });
  expect(mildestWords(mildest, mildest.spinUp, true)).toMatchObject({ offers: false });
  expect(mildestWords({ ...mildest, cablesHold: false }, { kind: 'together' }, true)!.words).toMatch(
    /40 s; no start in turn brings its cables within what they carry\.$/,
  );
  expect(mildestWords(null, { kind: 'together' }, true)).toMatchObject({ offers: false });
  expect(mildestWords(null, { kind: 'together' }, false)).toBeNull();
  expect(policyWords({ kind: 'paced' })).toMatch(/counted as all at once/);
});

test('every input has a plug on a cable that carries it, or is named for what it lacks', () => {
  const answer = (id: string) => {
    const build = read(id);
    const assessor = createAssessor();
    return plugAnswer(powerBoxes(assessor.plugs(build), assessor.assess(build, { asOf: '2026-11-28' }).units));
  };
  expect(answer('weighbridge')).toEqual({
    words: 'Yes: the fullest cable is at 80 % of what it carries.',
    tone: 'good',
  });
  expect(answer('lock-keepers-box')).toEqual({ words: 'No: one input has no plug.', tone: 'bad' });
  expect(answer('boathouse-rack')).toEqual({
    words: 'Every input has one, but 3 cables are past what they carry while drives start: up to 120 %.',
    tone: 'warn',
  });
  // A brick's plug into a board is there; of what goes through it nothing is said.
  expect(answer('school-shelf')).toEqual({
    words: 'Every input has one; what goes through them is not computed.',
    tone: 'text-mid',
  });
  // Flash asks most at work.
  expect(answer('field-kit')).toEqual({
    words: 'Every input has one, but one cable is past what it carries: up to 112 %.',
    tone: 'warn',
  });
});

test('how many more would start, and what ends then', () => {
  expect(moreWords({ more: 0, drive: 'Barge 8 TB', ends: '12 V' })).toBe(
    'Not one more Barge 8 TB would start: 12 V is used up.',
  );
  expect(moreWords({ more: 3, drive: 'Barge 8 TB', ends: 'W' })).toBe(
    'It would start 3 more Barge 8 TB; then its watts are used up.',
  );
  expect(moreWords({ more: 60, drive: 'Barge 8 TB', ends: null })).toBe(
    'It would start 60 more Barge 8 TB and further.',
  );
});

test('why a start asks more than work does is said in W, and only where it is much more', () => {
  const [box] = looked(read('boathouse-rack')).power.boxes;
  expect(whyStart(box!)).toMatch(
    /^At work its parts take about 2\d\d W of the 1600 W it gives; while drives spin up, in the first 10 s, about 7\d\d W\.$/,
  );
  const states = box!.states.map((one) => (one.state === 'working' ? { ...one, loadShare: 0.4 } : one));
  expect(whyStart({ ...box!, states })).toBeNull();
  expect(whyStart({ ...box!, supply: null })).toBeNull();
});

import { createAssessor } from '../../assess';
import { cube, type Fixture } from '../../testing/fixture';
import { rack } from '../../testing/rules';
import { hottestOn, sameTemperature, withDuty } from './sameTemperature';

const contextOf = (made: Fixture) => createAssessor().context(made.build);
const full = () => rack().add('tern-24i').add('brazier-800').add('barge-12', 24);
const at = (made: Fixture, duty: number) =>
  made.set({ policy: { ...made.build.policy, fans: { kind: 'fixed', duty } } });

test('a machine beside itself turns as fast, is as warm and as loud', () => {
  const same = sameTemperature(contextOf(at(full(), 0.5)), contextOf(at(full(), 0.9)))!;
  for (const { mine, other, missesK } of [same.normal, same.hot]) {
    expect(other.duty).toBeCloseTo(0.5, 2);
    expect(other.hottestC).toBeCloseTo(mine.hottestC, 1);
    expect(other.earDb!).toBeCloseTo(mine.earDb!, 1);
    expect(other.wallW!).toBeCloseTo(mine.wallW!, 0);
    expect(missesK).toBe(0);
  }
});

test('with fewer drives in it the fans turn slower for the same degrees, found once more by trying every duty', () => {
  const other = contextOf(rack().add('tern-24i').add('brazier-800').add('pike-960', 24));
  const { hot } = sameTemperature(contextOf(at(full(), 0.6)), other)!;
  let slowest = 1;
  for (let mille = 1000; mille >= 200; mille--)
    if (hottestOn(withDuty(other, mille / 1000), 'hot')! <= hot.mine.hottestC) slowest = mille / 1000;
  expect(hot.other.duty).toBeCloseTo(slowest, 2);
  expect(hot.other.rpm.every(({ rpm }) => rpm > 0)).toBe(true);
});

test('what no duty of the other holds is told in K', () => {
  const cool = contextOf(at(cube().add('barge-8', 1), 1));
  const warm = contextOf(full().set({ site: { ...full().build.site, hotDayC: 45, ambientC: 40 } }));
  const { hot } = sameTemperature(cool, warm)!;
  expect(hot.missesK).toBeGreaterThan(5);
  expect(hot.other.hottestC - hot.mine.hottestC).toBeCloseTo(hot.missesK, 9);
});

test('without a drive there is nothing to hold', () => {
  expect(sameTemperature(contextOf(full()), contextOf(cube()))).toBeNull();
  expect(sameTemperature(contextOf(cube()), contextOf(full()))).toBeNull();
});

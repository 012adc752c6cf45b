import { createAssessor } from '../../assess';
import type { FigureContext } from '../context';
import { rack } from '../../testing/rules';
import { fixture } from '../../testing/fixture';
import { Ledger } from '../quantity';
import { stillWalls } from './stillWalls';
import { hotDrives } from './temperatures';

const filled = () => rack().add('brazier-800').add('tern-8i', 3).add('barge-12', 24);
const onDay = (context: FigureContext, hotDayC: number): FigureContext => ({
  ...context,
  units: [...context.units],
  site: { ...context.site, hotDayC },
});
const hottest = (context: FigureContext): number =>
  Math.max(...hotDrives(context, new Ledger(false)).map(({ tempC }) => tempC.value));

describe('a rack whose middle wall draws the air past its disks', () => {
  const context = createAssessor().context(filled().build);
  const [wall] = stillWalls(context);

  test('one row of fans is one thing, with all of its fans', () => {
    expect(wall!.fans.length).toBeGreaterThan(1);
    expect(new Set(wall!.fans.map(({ unit }) => unit)).size).toBe(wall!.fans.length);
  });

  // Day by day, against the temperatures of the machine without those fans.
  test.each([20, 28, 35, 40])('on a day of %d °C it names the drives that only its standing still heats', (hotDayC) => {
    const day = onDay(context, hotDayC);
    const still = new Set(wall!.fans.map(({ unit }) => unit));
    const without = { ...day, running: day.running.filter(({ id }) => !still.has(id)) };
    const limit = 60;
    const [before, after] = [hottest(day), hottest(without)];
    expect(after).toBeGreaterThan(before);
    const { drives } = stillWalls(day)[0]!;
    expect(drives.length > 0).toBe(before <= limit && after > limit);
  });
});

test('a machine without fans in mounts has none to stand still', () => {
  const bare = fixture().add('satchel-1').add('clew-s16').add('annex-4').add('barge-16', 4);
  const walls = stillWalls(createAssessor().context(bare.build));
  expect(walls.every(({ fans }) => fans.length > 0)).toBe(true);
  expect(stillWalls({ ...createAssessor().context(bare.build), running: [] })).toEqual([]);
});

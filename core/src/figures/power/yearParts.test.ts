import { createAssessor } from '../../assess';
import { powerOf as reckoned } from './powerOf';
import { AS_OF, catalogue, cube, tweak, type Fixture } from '../../testing/fixture';
import { rack, tower } from '../../testing/rules';
import { batteryLeft, batteryMinutes } from './upsTime';
import { worstShare } from './startCurve';

const powerOf = ({ build }: Fixture) => reckoned(createAssessor().context(build), build, AS_OF.asOf);

test('what a year is cheaper without a part is what it costs less once that is taken out', () => {
  const made = cube().add('tern-8i').add('barge-8', 4).add('pike-960', 1);
  const { year, yearParts } = powerOf(made);
  // An SSD on 5 V of no backplane: nothing else changes with it.
  const part = yearParts.find(({ label }) => label === 'Pike 960 GB')!;
  const without = powerOf(made.edit({ type: 'units.remove', units: [made.unit('pike-960')] })).year!;
  expect(part.kwh.value).toBeCloseTo(year!.kwh.value - without.kwh.value, 6);
  expect(part.costMinor.value).toBeCloseTo(year!.costMinor.value - without.costMinor.value, 6);
  expect(part.kwh.lo).toBeLessThanOrEqual(part.kwh.value);
  expect(part.kwh.hi).toBeGreaterThanOrEqual(part.kwh.value);
});

test('the parts of a year are less than the whole: what a supply loses without load goes with none', () => {
  for (const made of [
    cube().add('barge-8', 8),
    tower().add('barge-12', 4),
    rack().add('tern-16i').add('brazier-800'),
  ]) {
    const { year, yearParts } = powerOf(made);
    const sum = yearParts.reduce((all, { kwh }) => all + kwh.value, 0);
    expect(sum).toBeLessThan(year!.kwh.value);
    expect(sum).toBeGreaterThan(0.6 * year!.kwh.value);
    expect(yearParts.map(({ kwh }) => kwh.value)).toEqual(yearParts.map(({ kwh }) => kwh.value).sort((a, b) => b - a));
  }
});

test('drives asleep: the kWh of the idle hours between idle and asleep, and a start each time they end', () => {
  const day = (idle: number, ...hours: number[]) =>
    Array.from({ length: 24 }, (_, hour) => (hours.includes(hour) || idle > hour ? 'idle' : 'working'));
  const made = tower().add('barge-12', 4);
  const hoursOf = { weekday: day(6, 12), weekend: day(24), scrubsPerYear: 0 };
  const profile = { ...made.build.profile, ...hoursOf } as typeof made.build.profile;
  const { yearAsleep, together } = powerOf(made.set({ profile }));
  const watts = (state: string) => together.find((one) => one.state === state)!.wall.value;
  // Weekdays 7 idle hours in two runs, weekends 24 in none that ends but with Monday's work, counted with its own day.
  const hours = (365.25 / 7) * (5 * 7 + 2 * 24);
  expect(yearAsleep!.kwh).toBeCloseTo((hours * (watts('idle') - watts('asleep'))) / 1000, 6);
  expect(yearAsleep!.starts).toBe(Math.round((365.25 / 7) * 5 * 2));
  expect(
    powerOf(made.set({ profile: { ...profile, weekday: day(0), weekend: day(0) } as never })).yearAsleep,
  ).toBeNull();
});

test('so many disks more start, and one more does not: tried on the machine itself', () => {
  const spinUp = [{ atS: 0, forS: 8, a12: 2, a5: 0.7, a33: 0 }];
  const from = tweak('barge-8', { spinUp }, tweak('ember-650', { rail12A: 24 }));
  const made = (disks: number) => tower(from).add('barge-8', disks);
  const { startsMore } = powerOf(made(2)).boxes[0]!;
  expect(startsMore).toMatchObject({ drive: 'Barge 8 TB', ends: '12 V' });
  const most = 2 + startsMore!.more;
  expect(most).toBeGreaterThan(3);
  // Bays end before: the others lie on the table, which starts with the machine.
  expect(worstShare(powerOf(made(most)).boxes[0]!.start)).toBeLessThanOrEqual(1);
  expect(worstShare(powerOf(made(most + 1)).boxes[0]!.start)).toBeGreaterThan(1);
  expect(powerOf(tower(from).add('pike-960', 2)).boxes[0]!.startsMore).toBeNull();
});

test('three UPS by hand: a small one of lead, an old one, one of lithium iron', () => {
  const lead = { battery: 'leadAcid', batteryWh: 84, efficiencyPct: 90 } as const;
  // 84 Wh · 0.9 = 75.6 Wh against 110 W: 20 · (75.6 / 2200)^1.2 = 0.3500 h.
  expect(batteryMinutes(lead, 100, 10)).toBeCloseTo(60 * 20 * Math.exp(1.2 * Math.log(75.6 / 2200)), 9);
  expect(batteryMinutes(lead, 100, 10)).toBeCloseTo(21.0, 1);
  // Three years on four fifths are left, six years on three.
  expect(batteryLeft('leadAcid', 3)).toBeCloseTo(0.8);
  expect(batteryLeft('leadAcid', 6)).toBeCloseTo(0.6);
  expect(batteryLeft('lithiumIron', 8)).toBeCloseTo(0.8);
  expect(batteryLeft('leadAcid', 40)).toBe(0.4);
  expect(batteryMinutes(lead, 100, 10, 0.8)).toBeCloseTo(21.0 * 0.8 ** 1.2, 1);
  // 290 Wh · 0.9 · 0.93 / 210 W = 1.156 h.
  expect(batteryMinutes({ battery: 'lithiumIron', batteryWh: 290, efficiencyPct: 93 }, 200, 10)).toBeCloseTo(69.35, 2);
});

test('a UPS of the machine: minutes fall with the load, its age counts, past its W it holds nothing', () => {
  const made = tower().add('barge-12', 4).add('sump-1500');
  const [ups] = powerOf(made).ups;
  const likely = ups!.states.map(({ minutes }) => minutes?.value ?? 0);
  expect(likely).toEqual([...likely].sort((a, b) => b - a));
  expect(ups).toMatchObject({ name: 'Sump 1500', ageYears: null });
  const item = made.build.items.find(({ sheet }) => sheet === 'sump-1500')!.id;
  const old = made.edit({ type: 'item.patch', item, patch: { year: 2023 } });
  expect(powerOf(old).ups[0]!.ageYears).toBe(3);
  expect(powerOf(old).ups[0]!.states[0]!.minutes!.value / likely[0]!).toBeCloseTo(0.8 ** 1.2, 6);
  const small = powerOf(rack(catalogue).add('tern-16i').add('brazier-800').add('barge-12', 16).add('sump-700')).ups[0]!;
  expect(small.states.at(-1)).toMatchObject({ state: 'start', minutes: null });
  expect(powerOf(made.add('sump-700')).ups).toHaveLength(2);
  // What shares its battery shortens the time: as many minutes as for that many W more.
  const shared = powerOf(made.set({ site: { ...made.build.site, upsOtherW: 40 } })).ups[0]!;
  expect(shared.otherW).toBe(40);
  expect(shared.states[0]!.minutes!.value).toBeLessThan(likely[0]!);
});

test('scrubs: the slowest data drive read once from end to end, in hours in which nobody asks', () => {
  const from = tweak('barge-12', { sequentialMBps: 200, capacityBytes: 10.8e12 });
  const made = tower(from).add('barge-12', 2).add('pike-960', 1, { role: 'boot' });
  const year = (scrubsPerYear: number) =>
    powerOf(made.set({ profile: { ...made.build.profile, scrubsPerYear } })).year!;
  // 10.8 TB at 200 MB/s · 0.75 are 72,000 s.
  expect(year(12).scrubHours).toBeCloseTo(20, 9);
  expect(year(12).hours.busy).toBeCloseTo(240, 9);
  expect(year(12).hours.idle).toBeCloseTo(year(0).hours.idle! - 240, 6);
  const { together } = powerOf(made);
  const watts = (state: string) => together.find((one) => one.state === state)!.wall.value;
  expect(year(12).kwh.value - year(0).kwh.value).toBeCloseTo((240 * (watts('busy') - watts('idle'))) / 1000, 6);
  expect(year(0).scrubHours).toBe(0);
});

test('how much it does at work, said by the builder, takes the place of what is typical, and its range goes', () => {
  const made = tower().add('barge-12', 2);
  const working = (workShare?: number) => {
    const profile = { ...made.build.profile, ...(workShare === undefined ? {} : { workShare }) };
    const { together } = powerOf(made.set({ profile }));
    return together.find(({ state }) => state === 'working')!.wall;
  };
  const { together } = powerOf(made);
  const wall = (state: string) => together.find((one) => one.state === state)!.wall;
  expect(working(0).value).toBeLessThan(working(0.3).value);
  expect(working(0.3).value).toBeCloseTo(working().value, 6);
  expect(working(0.3).hi - working(0.3).lo).toBeLessThan(working().hi - working().lo);
  expect(working(0).value).toBeGreaterThanOrEqual(wall('idle').value - 2);
  expect(working(1).value).toBeLessThanOrEqual(wall('busy').value * 1.1);
});

import type { Build, Service } from '../../build/build';
import { cube, fixture, tweak, type Fixture } from '../../testing/fixture';
import { find, firstRemedy, rack, said } from '../../testing/rules';

const wishing = (made: Fixture, brief: Build['brief']) => made.set({ brief });
const wornDisks = (made: Fixture) =>
  made.set({
    items: made.build.items.map((item) => (item.sheet === 'barge-8' ? { ...item, condition: 'worn' as const } : item)),
  });
const onUsb = () => fixture().add('satchel-1').add('clew-s16').add('annex-4').add('barge-16', 4);
type Wanted = NonNullable<Build['brief']['notWanted']>[number];
const unwanted = (made: Fixture, one: Wanted) => said(wishing(made, { notWanted: [one] }), 'within.notWanted');
const must = (made: Fixture, one: Wanted) => said(wishing(made, { mustHave: [one] }), 'within.mustHave');

describe('what is not wanted', () => {
  const PAIRS: readonly (readonly [Wanted, () => Fixture, RegExp, () => Fixture])[] = [
    ['remoteManagement', () => rack(), /does not want remote management: Gannet E8\.$/, () => cube()],
    ['usbDrives', onUsb, /does not want data drives on USB: Barge 16 TB\.$/, () => cube().add('barge-8', 2)],
    [
      'shingled',
      () => cube(tweak('barge-8', { shingled: true })).add('barge-8', 2),
      /does not want shingled drives: Barge 8 TB\.$/,
      () => cube().add('barge-8', 2),
    ],
    ['hotSwap', () => rack().add('tern-8i').add('barge-8', 2), /does not want hot swap: Barge 8 TB\.$/, () => rack()],
    [
      'allFlash',
      () => cube().add('pike-960', 2),
      /does not want all flash/,
      () => cube().add('barge-8').add('pike-960'),
    ],
    [
      'wornParts',
      () => wornDisks(cube().add('barge-8', 2)),
      /does not want worn parts: Barge 8 TB\.$/,
      () => cube().add('barge-8', 2),
    ],
  ];
  test.each(PAIRS)('%s', (one, there, sentence, not) => {
    expect(unwanted(there(), one)).toEqual([expect.stringMatching(sentence)]);
    expect(unwanted(there(), one)[0]).toMatch(/^caution: /);
    expect(unwanted(not(), one)).toEqual([]);
    expect(find(there(), 'within.notWanted')).toEqual([]);
  });
  test('no fan as a must names what turns, the fan of a supply too', () => {
    expect(must(cube(), 'fanless')[0]).toMatch(/^caution: The brief asks for no fan; these have one: .*Ember 450 SFX/);
    expect(unwanted(cube(), 'fanless')).toEqual([]);
  });
  test('drives that are not shingled are offered for those that are', () => {
    const made = wishing(cube(tweak('barge-8', { shingled: true })).add('barge-8', 2), { notWanted: ['shingled'] });
    expect(firstRemedy(made, 'within.notWanted')[0]).toMatch(/^Take .* instead of Barge 8 TB$/);
  });
});

describe('services', () => {
  const service = (more: Partial<Service> & { readonly name: string }): Service => ({ level: 'must', ...more });
  // Two modules of 16 GB; the system takes 4 of the 32.
  const with32 = (...services: Service[]) => wishing(cube(), { services });
  test('memory: all that must run beside the system, each beside those before it', () => {
    expect(find(with32(service({ name: 'Index', memoryGb: 28 })), 'within.services')).toEqual([]);
    expect(
      said(with32(service({ name: 'Index', memoryGb: 20 }), service({ name: 'Mail', memoryGb: 9 })), 'within.services'),
    ).toEqual(['caution: 1 service does not fit: Mail. With the system they want 33 GB of 32.']);
    // What is nice to have is told when machines are compared, and tags nothing.
    expect(find(with32(service({ name: 'Lab', memoryGb: 200, level: 'nice' })), 'within.services')).toEqual([]);
  });
  test('cores by what they keep busy on average', () => {
    const cores = cube()
      .assess()
      .units.flatMap(({ part }) => (part.kind === 'processor' ? [part.cores] : []))[0]!;
    expect(find(with32(service({ name: 'Video', cores })), 'within.services')).toEqual([]);
    expect(said(with32(service({ name: 'Video', cores: cores + 0.5 })), 'within.services')).toEqual([
      `caution: 1 service does not fit: Video. They keep ${cores + 0.5} cores busy of ${cores}.`,
    ]);
  });
  test('what is always on, on a machine that is off at night', () => {
    const profile = { ...cube().build.profile };
    const night = profile.weekday.map((state, hour) => (hour < 6 ? ('off' as const) : state));
    const made = with32(service({ name: 'Doorbell', alwaysOn: true }));
    expect(find(made, 'within.services')).toEqual([]);
    expect(said(made.set({ profile: { ...profile, weekday: night } }), 'within.services')).toEqual([
      'caution: 1 service does not fit: Doorbell. The machine is off 30 hours a week.',
    ]);
  });
  test('more or larger modules are offered, and do it', () => {
    const made = with32(service({ name: 'Index', memoryGb: 40 }));
    const ways = firstRemedy(made, 'within.services');
    expect(ways.length).toBeGreaterThan(0);
    expect(ways.every((words) => /Clew/.test(words))).toBe(true);
  });
  test('what is always on keeps cores busy while the rest idles: by hand', () => {
    const idle = (made: Fixture) => made.assess().figures['power.idleWallW']!.value;
    const made = cube();
    const { part } = made.assess().units.find((unit) => unit.part.kind === 'processor')!;
    if (part.kind !== 'processor') throw new Error('it is');
    const half = with32(service({ name: 'Video', cores: part.cores / 2, alwaysOn: true }));
    // Half of the cores: half of the way from idle to busy, over 0.75 for the converters on the board.
    const moreW = (0.5 * (part.busyW - part.idleW)) / 0.75;
    expect(idle(half) - idle(made)).toBeGreaterThan(moreW);
    expect(idle(half) - idle(made)).toBeLessThan(moreW * 1.35);
    expect(idle(with32(service({ name: 'Video', cores: part.cores / 2 })))).toBe(idle(made));
  });
});

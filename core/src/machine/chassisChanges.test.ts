import { catalogue, cube } from '../testing/fixture';
import { resolve, type PartOf } from '../parts/resolve';
import { changeEffects, modsFor } from './chassisChanges';

const chassis = (id: string) =>
  resolve(catalogue.sheets[id]!, catalogue.archetypes[catalogue.sheets[id]!.archetype]!) as PartOf<'chassis'>;
const option = (id: string, key: string) => chassis(id).options.find((one) => one.key === key)!.effects;

test('what else a piece did is said: it held, it cooled, it limited', () => {
  expect(changeEffects(chassis('steading-t9'), option('steading-t9', 'noCage'))).toEqual(
    expect.arrayContaining([
      '6 bays fewer',
      'cards up to 410 mm (was 290)',
      expect.stringMatching(/^supplies no longer limited/),
    ]),
  );
  expect(changeEffects(chassis('byre-15'), option('byre-15', 'noWall'))).toEqual([
    '3 fans fewer: they cooled drives and cards',
    'cards no longer limited (was 280 mm)',
    '40 % more air goes past the drives',
  ]);
});

test('mods are what no option of the sheet makes; a wall moves no further than the bays let it', () => {
  const labels = (id: string) => modsFor(chassis(id)).map(({ label }) => label);
  expect(labels('gable-24')).toContain('Take out front bays');
  expect(labels('gable-24')).not.toContain('Take out fan wall');
  expect(labels('larder-8')).toEqual(expect.arrayContaining(['Take out cage', 'Seal vents and open bays']));
  for (const id of ['gable-24', 'byre-15', 'byre-15s'])
    for (const mod of modsFor(chassis(id)).filter(({ key }) => key.startsWith('move-'))) {
      const moved = mod.effects.find((effect) => effect.do === 'addFanMount')!;
      expect(moved.do === 'addFanMount' && moved.feature.at!.zMm).toBeGreaterThanOrEqual(0);
    }
});

test('a mod is an edit like any other: done it gives the room, taken back it is as before', () => {
  const made = cube();
  const mod = modsFor(chassis('larder-8')).find(({ key }) => key === 'out-cage')!;
  const after = made.edit({
    type: 'change.add',
    change: { id: 'm1', kind: 'mod', host: made.unit('larder-8'), title: mod.label, effects: [...mod.effects] },
  });
  expect(after.assess().figures['bays.free']!.value).toBeLessThan(made.assess().figures['bays.free']!.value);
  expect(after.edit({ type: 'change.remove', id: 'm1' }).assess().figures).toEqual(made.assess().figures);
});

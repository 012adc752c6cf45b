import { createAssessor } from '../../assess';
import type { Snag } from '../../snags/snag';
import { AS_OF, catalogue, fixture, type Fixture } from '../../testing/fixture';
import { allRemedies } from '../remedies';

const tower = () => fixture().add('steading-t9').add('plover-a6').add('drover-4').add('tarn-155').add('clew-16e', 2);
const titles = (made: Fixture, code: Snag['code']) => {
  const assessment = made.assess();
  const snag = assessment.snags.find((one) => one.code === code);
  if (!snag) throw new Error(`${code} is not said: ${made.snags().join(', ')}`);
  return allRemedies({ build: made.build, assessment }, snag, catalogue, createAssessor(), AS_OF).map(
    ({ title }) => title,
  );
};

test('drives that speak NVMe get a card that speaks it, however many dearer or cheaper ones speak SATA', () => {
  const found = titles(tower().add('crib-u2').add('wels-3840', 2), 'reaches.interface');
  expect(found[0]).toBe('Add Heron 4, switched');
  expect(found.filter((title) => /Stilt|Tern 8/.test(title))).toEqual([]);
});

test('without a bay of their own they get the cage that takes them together with such a card', () => {
  expect(titles(tower().add('ember-650').add('wels-3840', 2), 'fits.driveInBay')).toContain(
    'Add Crib 2 U.2 in 1, and Heron 4, switched',
  );
});

test('a plain cable card in a slot that does not part gives way to one that shares by itself', () => {
  const made = tower().add('crib-u2').add('heron-2').add('wels-3840', 2);
  expect(titles(made, 'reaches.bifurcation')[0]).toBe('Take Heron 4, switched instead of Heron 2');
});

test('of boxes beside the machine those whose bridge holds come before more of those that drop out', () => {
  const found = titles(tower().add('ember-650').add('barge-8', 12), 'fits.driveInBay');
  expect(found[0]).toBe('Add 2 × Annex 4');
  expect(found.indexOf('Add 3 × Annex 2')).toBeGreaterThan(0);
});

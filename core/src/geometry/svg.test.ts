import { plannedUnits } from '../machine/units';
import { sceneOf } from './scene';
import { cube, fixture, type Fixture } from '../testing/fixture';
import { drawingSvg } from './svg';

const svg = (made: Fixture, name = 'Test') =>
  drawingSvg({ name }, sceneOf(plannedUnits(made.build), made.build.layout).boxes);

test('the document is in millimetres: a shell of 226 is drawn 226 wide', () => {
  const text = svg(cube());
  expect(text).toMatch(/width="[\d.]+mm" height="[\d.]+mm"/);
  expect(text).toContain('<rect class="s shell" x="30" y="30" width="226" height="330"/>');
  expect(text.match(/class="s shell"/g)).toHaveLength(3);
  expect(text).toContain('>226 mm<');
});

test('every box of the machine is on it', () => {
  expect(svg(fixture().add('satchel-1').add('annex-4')).match(/class="s shell"/g)).toHaveLength(6);
});

test('drives carry their marks, empty bays are dashed', () => {
  const text = svg(cube().add('barge-8', 2));
  expect(text).toContain('>G1<');
  expect(text).toContain('class="s empty"');
});

test('a name is text, whatever is in it', () => {
  const text = svg(cube(), '<script>alert(1)</script> & "so"\u0007');
  expect(text).toContain('&lt;script&gt;alert(1)&lt;/script&gt; &amp; &quot;so&quot;');
  expect([text.includes('<script'), text.includes('\u0007')]).toEqual([false, false]);
});

test('a machine without a chassis still gives a document', () => {
  expect(svg(fixture())).toContain('no chassis chosen');
});

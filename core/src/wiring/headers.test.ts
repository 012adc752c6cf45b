import { createAssessor } from '../assess';
import { AS_OF, catalogue, tweak, type Fixture } from '../testing/fixture';
import { tower } from '../testing/rules';
import { headerLines } from './headers';

/** The one front mount of a tower, for so many fans. */
const mountsOf = (count: number) => {
  const own = (catalogue.archetypes['tower-atx'] as unknown as { fanMounts: object[] }).fanMounts[0]!;
  return [{ ...own, key: 'front', label: 'Front', count, sizesMm: [120] }];
};

test('of headers that carry alike, fans with a PWM wire take those that steer by it, whatever comes first', () => {
  const chassis = tweak('steading-t9', { fanMounts: mountsOf(12), builtIn: [] });
  const headers = [
    { key: 'dc', count: 2, pwm: false, maxA: 1 },
    { key: 'pwm', count: 2, pwm: true, maxA: 1, byVolts: false },
  ];
  const from = tweak(
    'stock-120',
    { maxW: 2.4, pwm: false },
    tweak(
      'hush-120',
      { maxW: 2.4, pwm: true },
      tweak('tarn-155', { builtIn: [] }, tweak('plover-a6', { fanHeaders: headers }, chassis)),
    ),
  );
  const one = tower(from).add('stock-120', 2).add('hush-120', 2);
  const { units, layout } = createAssessor().assess(one.build, AS_OF);
  expect(
    headerLines(units, layout)
      .slice(0, 4)
      .map(({ from, to, amps, note }) => [from, to, amps, note]),
  ).toEqual([
    ['Plover A6, fan header 1', 'Stock 120, front 1', '0.20 of 1 A', 'steered by its volts'],
    ['Plover A6, fan header 2', 'Stock 120, front 2', '0.20 of 1 A', 'steered by its volts'],
    ['Plover A6, fan header 3, PWM', 'Hush 120, front 3', '0.20 of 1 A', 'steered by PWM'],
    ['Plover A6, fan header 4, PWM', 'Hush 120, front 4', '0.20 of 1 A', 'steered by PWM'],
  ]);
});

test('front sockets take each header once; what has none says so, and the button is not forgotten', () => {
  const usb = (kinds: string[], count: number) =>
    tower(
      tweak(
        'steading-t9',
        { frontUsb: kinds },
        tweak('plover-a6', { usbInside: [{ key: 'usb3', label: 'USB 3', kind: 'usb3-header', count }] }),
      ),
    );
  const lines = (one: Fixture) => {
    const { units, layout } = createAssessor().assess(one.build, AS_OF);
    return headerLines(units, layout)
      .filter(({ to }) => to.startsWith('Steading'))
      .map(({ from, to }) => `${to}: ${from}`);
  };
  expect(lines(usb(['usb3-header', 'usb3-header', 'usb2-header'], 1))).toEqual([
    'Steading T9, front USB: Plover A6, header USB 3, 19 pins',
    'Steading T9, front USB: no header for it',
    'Steading T9, front USB: no header for it',
    'Steading T9, button and lights: Plover A6, front panel header',
  ]);
});

import type { SpotRef, Wire } from '../build/layout';
import type { SheetId } from '../parts/ids';
import type { Sheet } from '../parts/sheet';
import { catalogue, fixture, tweak } from '../testing/fixture';
import { said } from '../testing/rules';
import { clashingPlugs, pairHalves } from './halfPlugs';

describe('a plug of eight lanes takes one cable', () => {
  // A card with so many plugs before a backplane and bare bays, and no other port.
  const card = (plugs: number) =>
    tweak('tern-16x', {
      connectors: [
        { ...(catalogue.sheets['tern-16x' as SheetId] as Sheet<'controller'>).connectors![0]!, count: plugs },
      ],
    });
  const made = (plugs: number, below: number) =>
    cage(plugs, below).add('pike-960', 4, { at: [1, 2, 3, 4].map((n) => `u2/roof.${n}`) });
  const cage = (plugs: number, below: number) =>
    fixture(tweak('wren-c8', { connectors: [], m2Sockets: [] }, card(plugs)))
      .add('larder-8')
      .add('wren-c8')
      .add('tern-16x')
      .add('barge-12', below, { at: Array.from({ length: below }, (_, i) => `u2/cage.${i + 1}`) });
  const clash = (from: ReturnType<typeof made>) => clashingPlugs(from.assess().layout.wires);
  const ref = (n: number) => ({ host: 'u3', key: 'port', n });
  const wire = (cable: string, n: number, to: SpotRef, how: Wire['how'] = 'solved'): Wire => ({
    cable,
    host: [ref(n)],
    device: [to],
    how,
  });
  const TO_43 = 'straight:sff-8654-8i:sff-8643';
  const TO_SATA = 'forward:sff-8654-8i:sata';
  const TO_EIGHT = 'straight:sff-8654-8i:sff-8654-8i';
  const bay = (n: number, host = 'u1'): SpotRef => ({ host, key: 'front-in', n });

  test('a backplane and bare drives on one plug block; on two plugs each has its own', () => {
    const one = made(1, 4);
    expect(one.assess().unconnected).toEqual([]);
    expect(said(one, 'mates.halfPlugs')).toEqual([
      'blocker: Plug 1 of Tern 16x would take two cables: Breakout, SFF-8654-8I to 2 × SFF-8643; Breakout, SFF-8654-8I to 8 × SATA.',
    ]);
    const two = made(2, 8);
    expect(two.assess().unconnected).toEqual([]);
    expect(clash(two)).toEqual([]);
    expect(said(two, 'mates.halfPlugs')).toEqual([]);
  });
  test('one kind of cable on both halves is one cable', () => {
    expect(said(cage(1, 8), 'mates.halfPlugs')).toEqual([]);
    expect(clashingPlugs([wire(TO_43, 1, bay(1)), wire(TO_43, 2, bay(2))])).toEqual([]);
  });
  test('two kinds on one plug clash, on two plugs they do not', () => {
    expect(clashingPlugs([wire(TO_43, 1, bay(1)), wire(TO_SATA, 2, bay(2))])).toHaveLength(1);
    expect(clashingPlugs([wire(TO_43, 1, bay(1)), wire(TO_SATA, 3, bay(2))])).toEqual([]);
  });
  test('both halves of a straight cable end at one plug', () => {
    expect(clashingPlugs([wire(TO_EIGHT, 1, bay(1)), wire(TO_EIGHT, 2, bay(2))])).toEqual([]);
    expect(clashingPlugs([wire(TO_EIGHT, 1, bay(1)), wire(TO_EIGHT, 2, bay(3))])).not.toEqual([]);
  });
  test('cables are paired by kind, whatever order they came in', () => {
    const wires = [wire(TO_43, 1, bay(1)), wire(TO_SATA, 2, bay(2)), wire(TO_43, 3, bay(3)), wire(TO_SATA, 4, bay(4))];
    const now = pairHalves(wires, () => [1, 2, 3, 4].map(ref));
    expect(clashingPlugs(now)).toEqual([]);
    expect(now.map(({ cable, device }) => [cable, device])).toEqual(wires.map(({ cable, device }) => [cable, device]));
    expect(new Set(now.map(({ host }) => host[0].n)).size).toBe(4);
  });
  test('what lies by hand stays; where plugs run out the clash stays and is told', () => {
    const byHand = wire(TO_43, 1, bay(1), 'put');
    const now = pairHalves([byHand, wire(TO_SATA, 2, bay(2))], () => [1, 2, 3, 4].map(ref));
    expect(now[0]).toBe(byHand);
    expect(now[1]!.host[0].n).toBeGreaterThan(2);
    expect(clashingPlugs(pairHalves([byHand, wire(TO_SATA, 2, bay(2))], () => [1, 2].map(ref)))).toHaveLength(1);
  });
});

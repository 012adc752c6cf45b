import type { FlowLink, FlowTold, Rate, Wiring } from '@inch-tower/core';
import { rateOf, throughWords, withFlow } from './flowWiring';

const link = (key: string, kind: FlowLink['kind'], mark = ''): FlowLink => ({
  key,
  group: key,
  kind,
  name: key,
  mark,
  carriesMBps: 1000,
  half: false,
});
const neckOf = (one: FlowLink) => ({ link: one, count: 1, perMBps: 1, allowsMBps: 1000 });
const rate = (neck: FlowLink): Rate => ({
  mbPerS: 1000,
  neck: neckOf(neck),
  next: null,
  links: [],
  each: [],
  through: new Map([
    ['cable #1 + #2', 800],
    ['cable #3', 200],
    ['slot g1', 1000],
    ['uplink b1', 50],
    ['socket d9', 50],
  ]),
});
const row = (label: string) => ({ label, carriesMBps: 600, asksMBps: 1 });
const wiring = {
  hosts: [
    { unit: 'g1', link: { uplink: false }, cables: [row('#1'), row('#2'), row('#3'), row('#4')], modules: [] },
    { unit: 'b1', link: { uplink: true }, cables: [], modules: [{ unit: 'd9', carriesMBps: 500, asksMBps: 1 }] },
  ],
} as unknown as Wiring;

test('every cable is as full as what goes through it; of two to one backplane each has its half', () => {
  const { wiring: drawn, links } = withFlow(wiring, rate(link('slot g1', 'slot')));
  expect(drawn.hosts[0]!.cables.map(({ asksMBps }) => asksMBps)).toEqual([400, 400, 200, 0]);
  expect(drawn.hosts[1]!.modules[0]!.asksMBps).toBe(50);
  expect([...links]).toEqual([
    ['g1', { mbPerS: 1000, isNeck: true }],
    ['b1', { mbPerS: 50, isNeck: false }],
  ]);
});

test('a cable that is the narrow place is drawn full', () => {
  const drawn = withFlow(wiring, rate(link('cable #1 + #2', 'cable', '#1 + #2'))).wiring.hosts[0]!.cables;
  expect(drawn.map(({ asksMBps }) => asksMBps)).toEqual([Infinity, Infinity, 200, 0]);
});

test('without a network the machine inside is drawn; without a set nothing is', () => {
  const inside = rate(link('x', 'drive'));
  const bare = { ...inside, neck: null };
  const told = {
    pools: [{ sets: ['set1'], flow: { inside: { reading: inside }, several: { reading: bare } } }],
  } as unknown as FlowTold;
  expect(rateOf(told, 'reading')).toBe(inside);
  expect(rateOf({ ...told, pools: [] }, 'reading')).toBeNull();
  expect(throughWords({ ...told, pools: [] })).toMatch(/^No set of drives yet/);
});

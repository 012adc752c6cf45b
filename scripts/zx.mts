import { createAssessor, newBuild, addItemEdit, commit } from '@inch-tower/core';
import { loadDemoBuilds, loadDemoCatalogue } from '../demo/loadDemo';
import { plugCases, placeCase } from '../core/src/plugs/plan';
import { placePlugs } from '../core/src/plugs/place';
const time = (n: number, f: () => void) => { for (let i = 0; i < 50; i++) f(); const t = performance.now(); for (let i = 0; i < n; i++) f(); return (performance.now() - t) / n; };
const disk = { plug: 'sata-power' as const, start: { a12: 1.8, a5: 0.7 }, run: { a12: 0.5, a5: 0.6 }, disks: 1 };
const ssd = { ...disk, start: { a12: 0, a5: 1 }, run: { a12: 0, a5: 1 }, disks: 0 };
const chain = { plugs: { 'sata-power': 4 }, startA: 8, runA: 8 };
const rep = <T,>(n: number, x: T) => Array.from({ length: n }, () => x);
console.log('24 of one class, 6 chains', time(300, () => placePlugs(rep(24, disk), rep(6, chain), [])));
console.log('20+4 two classes', time(300, () => placePlugs([...rep(18, disk), ...rep(6, ssd)], rep(6, chain), [])));
const third = { ...disk, start: { a12: 2.1, a5: 0.9 } };
console.log('10+8+6 three', time(100, () => placePlugs([...rep(10, disk), ...rep(6, ssd), ...rep(8, third)], rep(6, chain), [])));
const split = { takes: 'sata-power' as const, gives: { 'sata-power': 2 }, ratedA: 4.5 };
console.log('three, 4 splitters', time(20, () => placePlugs([...rep(10, disk), ...rep(6, ssd), ...rep(8, third)], rep(5, chain), rep(4, split))));
console.log('120 of two', time(10, () => placePlugs([...rep(100, disk), ...rep(20, ssd)], rep(30, chain), [])));
for (const build of loadDemoBuilds()) { const b = build; console.log(b.id, time(50, () => { createAssessor().assess(b, { asOf: '2026-11-01' }); }).toFixed(2)); }

import highsLoader from 'highs';
import { machine } from '../core/src/testing/mip/machines';
import { faultsOf } from '../core/src/testing/mip/compare';
const highs = await highsLoader();
const [from, to, most] = process.argv.slice(2).map(Number);
let bad = 0, whole = 0; const feats: Record<string, number> = {};
const t0 = Date.now();
for (let seed = from!; seed <= to!; seed++) {
  try {
    const m = machine(seed, most ?? 6);
    for (const f of m.features) feats[f] = (feats[f] ?? 0) + 1;
    const t = Date.now();
    const r = faultsOf(highs, m);
    if (r.whole) whole++;
    if (r.faults.length) { bad++; console.log(seed, [...m.features].join(','), r.faults.join(' | ')); }
    if (Date.now() - t > 5000) console.log(seed, 'slow', Date.now() - t);
  } catch (e) { bad++; console.log(seed, (e as Error).stack?.split('\n').slice(0, 4).join(' ')); }
}
console.log({ bad, whole, n: to! - from! + 1, s: (Date.now() - t0) / 1000, feats });
process.exit(0);

import { createAssessor } from '@inch-tower/core';
import { loadDemoBuilds, loadDemoCatalogue } from '../demo/loadDemo';
const f = (x: number) => x.toFixed(1);
for (const build of loadDemoBuilds()) {
  const a = createAssessor();
  const t0 = performance.now();
  a.assess(build, { asOf: '2026-11-01' });
  const t = performance.now();
  const plans = a.plugs(build);
  console.log('##', build.id, (t - t0).toFixed(1), (performance.now() - t).toFixed(1), 'ms');
  for (const p of plans) {
    console.log('  box', p.box?.part.name, 'supply', p.supply.part.name, p.whole, 'without', p.without.map((x) => `${x.spot.host}/${x.spot.key}.${x.spot.n}`).join(' '));
    for (const c of p.chains)
      console.log('   ', c.chain.host.key, c.chain.host.n, c.chain.wireA, 'A |', c.plugs.map((q) => `${q.plug}:${[...q.on, ...(q.splitter?.on ?? [])].map((o) => o.input.input.by.mark + (o.input.input.drives.length ? `(${o.input.input.drives.length}d)` : '')).join('+') || '-'}`).join(' '), '| start', f(c.start.a12), f(c.start.a5), 'run', f(c.run.a12), f(c.run.a5), 'disks', f(c.disks), 'drop', c.drop && `${(c.drop.start * 100).toFixed(1)}% ${(c.drop.run * 100).toFixed(1)}%`);
  }
}

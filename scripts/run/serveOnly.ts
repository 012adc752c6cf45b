/**
 * The server alone on the database of DATABASE_URL, for the checks that kill, load and attack it: says when it listens,
 * and on SIGUSR2 how long its event loop was held at most.
 */
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { readConfig, serve } from '@inch-tower/server';
import { loadDemoBuilds, loadDemoCatalogue } from '../../demo/loadDemo';

const held = monitorEventLoopDelay({ resolution: 5 });
const serving = await serve(readConfig({ ...process.env, LOG_LEVEL: 'silent' }), () => ({
  catalogue: loadDemoCatalogue(),
  builds: loadDemoBuilds(),
}));
console.log(`listening ${serving.url}`);
held.enable();
process.on('SIGUSR2', () => {
  const heldMs = held.max / 1e6;
  // What is only waiting to be collected is no memory kept; collecting itself is not counted as held.
  globalThis.gc?.();
  console.log(`held ${heldMs.toFixed(0)} ms, ${Math.round(process.memoryUsage().heapUsed / 1e6)} MB`);
  held.reset();
});

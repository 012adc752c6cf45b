/** The server alone on the database of DATABASE_URL, for the checks that kill it: says when it listens. */
import { readConfig, serve } from '@inch-tower/server';
import { loadDemoBuilds, loadDemoCatalogue } from '../demo/loadDemo';

const serving = await serve(readConfig({ ...process.env, LOG_LEVEL: 'silent' }), () => ({ catalogue: loadDemoCatalogue(), builds: loadDemoBuilds() }));
console.log(`listening ${serving.url}`);

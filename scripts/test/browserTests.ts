/** The browser's tests: `npm run test:browser -- e2e/journeys.spec.ts -g J1`. */
import { runBrowser } from './runBrowser';

const { passed, failed } = await runBrowser(process.argv.slice(2));
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed ? 1 : 0);

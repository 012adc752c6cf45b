/** The server's tests against a real MariaDB. */
import { runJest } from './runJest';
import { withDatabase } from './withServer';

const { passed, failed } = await withDatabase((database) => runJest(['server'], { DATABASE_URL: database.url }));
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed ? 1 : 0);

// Serves the built application on a free port with the database that JORAM_TEST_SERVE_URL names, and says which port.
import { freePort } from '../../tools/cluster.mjs';
import { serve } from '../../tools/serve.mjs';

const port = await freePort();
const stop = await serve({ host: '127.0.0.1', port, databaseUrl: /** @type {string} */ (process.env.JORAM_TEST_SERVE_URL) });
console.log(`port ${port}`);
process.on('SIGTERM', () => void stop().then(() => process.exit(0)));

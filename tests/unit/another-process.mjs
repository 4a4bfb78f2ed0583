// Serves the built application on a free port with the database that JORAM_TEST_SERVE_URL names, and says which port.
import { freePort } from '../../tools/cluster.mjs';
import { serve } from '../../tools/serve.mjs';

const port = await freePort();
const { JORAM_TEST_SERVE_URL, JORAM_TEST_TLS, JORAM_TEST_PROXY } = process.env;
const tls = JORAM_TEST_TLS ? { cert: `${JORAM_TEST_TLS}.crt`, key: `${JORAM_TEST_TLS}.key` } : undefined;
const stop = await serve({
  host: '127.0.0.1',
  port,
  databaseUrl: /** @type {string} */ (JORAM_TEST_SERVE_URL),
  tls,
  proxy: JORAM_TEST_PROXY === 'yes'
});
console.log(`port ${port}`);
process.on('SIGTERM', () => void stop().then(() => process.exit(0)));

// Serves the built page; what is no method of a page gets 405 here, before anything tries to make a request of it.
import { createServer } from 'node:http';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { build } from 'esbuild';
import next from 'next';

/** The engine's thread for questions over HTTP: a file of its own, as a thread needs. */
async function threadScript() {
  const root = fileURLToPath(new URL('..', import.meta.url));
  const outfile = join(root, '.build', 'thread.mjs');
  await build({
    entryPoints: [join(root, 'src/server/thread.ts')],
    bundle: true,
    platform: 'node',
    format: 'esm',
    outfile,
    logLevel: 'error',
  });
  return outfile;
}

const METHODS = ['GET', 'HEAD', 'POST', 'OPTIONS'];

const [hostname = '127.0.0.1', port = '4173'] = process.argv.slice(2);
process.env.SYMPLEX_THREAD = await threadScript();
const app = next({ dev: false, hostname, port: Number(port) });
await app.prepare();
const handle = app.getRequestHandler();
createServer((request, response) => {
  if (METHODS.includes(request.method ?? '')) return void handle(request, response);
  response.writeHead(405, { Allow: METHODS.join(', '), 'Content-Type': 'text/plain' });
  response.end(
    `method ${JSON.stringify(request.method)} is not allowed here; allowed are ${METHODS.join(', ')}\n`,
  );
}).listen(Number(port), hostname);

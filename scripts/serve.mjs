// Serves the built page; what is no method of a page gets 405 here, before anything tries to make a request of it.
import { createServer } from 'node:http';
import next from 'next';

const METHODS = ['GET', 'HEAD', 'POST', 'OPTIONS'];

const [hostname = '127.0.0.1', port = '4173'] = process.argv.slice(2);
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

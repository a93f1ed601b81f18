// Serves the built application: node scripts/serve.mjs HOST PORT. The framework answers an address that is no text with an
// error of the server, before the application sees it; here it is refused first.
import http from 'node:http';
import process from 'node:process';
import next from 'next';

process.env.NODE_ENV = 'production';
const [hostname = '127.0.0.1', port = '3000'] = process.argv.slice(2);

const METHODS = new Set(['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS']);

/** What is wrong with a request whatever it asks for; null for nothing. */
function problemOf({ url = '/', method = 'GET' }) {
  if (!METHODS.has(method)) return [405, 'This method is not allowed.'];
  try {
    decodeURIComponent(url.split('?', 1)[0]);
    return null;
  } catch {
    return [400, 'The address has a broken percent code; check it.'];
  }
}

const app = next({ dev: false, hostname, port: Number(port) });
const handle = app.getRequestHandler();
await app.prepare();
// Longer than browsers and proxies keep an idle connection (common practice, no source: 60 s): with Node's 5 s a request may
// meet one that is just being closed.
const keepAliveTimeout = 75_000;
http
  .createServer({ keepAliveTimeout }, (request, response) => {
    const problem = problemOf(request);
    if (!problem) return void handle(request, response);
    const [status, message] = problem;
    response.writeHead(status, { 'content-type': 'application/json', 'x-content-type-options': 'nosniff' });
    response.end(JSON.stringify({ message }));
  })
  .listen(Number(port), hostname);

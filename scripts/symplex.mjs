// The one command. Everything it needs is installed from the lock file the first time it is asked for.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { helpOf, overview } from './help.mjs';

const ROOT = fileURLToPath(new URL('..', import.meta.url));
const STAMPS = join(ROOT, '.build');
const ENVIRONMENT = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' };
const bin = (name) => join(ROOT, 'node_modules', '.bin', name);

const COMMANDS = JSON.parse(readFileSync(join(ROOT, 'src/cli/commands.json'), 'utf8'));
const USAGE = overview(COMMANDS);

class Stop extends Error {}

function run(command, args, what, options = {}) {
  const { status, error } = spawnSync(command, args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: ENVIRONMENT,
    ...options,
  });
  if (error) throw new Stop(`${what}: cannot run ${command} (${error.code ?? error.message})`);
  if (status !== 0) throw new Stop(`${what} failed`);
}

function* filesBelow(folder) {
  for (const entry of readdirSync(join(ROOT, folder), { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) yield* filesBelow(path);
    else yield path;
  }
}

function fingerprint(paths) {
  const hash = createHash('sha256').update(process.version);
  for (const path of [...paths].sort())
    hash
      .update(path)
      .update('\0')
      .update(readFileSync(join(ROOT, path)));
  return hash.digest('hex');
}

/** Does a step once for each state of what it is made from. */
function whenChanged(step, print, present, work) {
  const stamp = join(STAMPS, `${step}.stamp`);
  if (present && existsSync(stamp) && readFileSync(stamp, 'utf8') === print) return;
  work();
  mkdirSync(STAMPS, { recursive: true });
  writeFileSync(stamp, print);
}

function install() {
  whenChanged('install', fingerprint(['package-lock.json']), existsSync(bin('next')), () => {
    console.error('Installing from the lock file…');
    run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], 'npm ci', { stdio: ['ignore', 2, 2] });
  });
}

const SOURCES = ['src', 'demo'];
const BUILD_FILES = ['package-lock.json', 'next.config.ts', 'postcss.config.mjs', 'tsconfig.json'];
const sourcePrint = () =>
  fingerprint([...SOURCES.flatMap((folder) => [...filesBelow(folder)]), ...BUILD_FILES]);

function build() {
  whenChanged('page', sourcePrint(), existsSync(join(ROOT, '.next/BUILD_ID')), () => {
    console.error('Building the page…');
    run(bin('next'), ['build'], 'next build');
  });
}

function bundleCli() {
  const outfile = join(STAMPS, 'cli.mjs');
  whenChanged('cli', sourcePrint(), existsSync(outfile), () =>
    run(
      bin('esbuild'),
      [
        'src/cli/main.ts',
        '--bundle',
        '--platform=node',
        '--format=esm',
        `--outfile=${outfile}`,
        '--log-level=error',
      ],
      'esbuild',
    ),
  );
  return outfile;
}

const isFree = (port) =>
  new Promise((resolve) => {
    const server = createServer()
      .once('error', () => resolve(false))
      .once('listening', () => server.close(() => resolve(true)))
      .listen(port, '127.0.0.1');
  });

function portFrom(args) {
  const at = args.indexOf('--port');
  if (at < 0) return 4173;
  const port = Number(args[at + 1]);
  if (!Number.isInteger(port) || port < 1 || port > 65535) {
    throw new Stop(`--port ${args[at + 1] ?? ''}: must be a whole number from 1 to 65535`);
  }
  return port;
}

async function serve(args, demo) {
  const port = portFrom(args);
  if (!(await isFree(port))) throw new Stop(`port ${port} is taken: choose another with --port`);
  install();
  build();
  const server = spawn(process.execPath, [join(ROOT, 'scripts/serve.mjs'), '127.0.0.1', String(port)], {
    cwd: ROOT,
    env: { ...ENVIRONMENT, NODE_ENV: 'production', SYMPLEX_DEMO: demo ? '1' : '0' },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  const address = `http://localhost:${port}/`;
  for (let tries = 0; tries < 100; tries += 1) {
    const answered = await fetch(address).then(
      () => true,
      () => false,
    );
    if (answered) break;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  console.log(`Symplex is at ${address} (stop with Ctrl-C)`);
  return new Promise((resolve) => server.on('exit', (code) => resolve(code ?? 0)));
}

/** Asks the engine; what it says and its exit code are the answer. */
function answer(command, args) {
  const isBench = command === 'bench';
  return (
    spawnSync(process.execPath, [...(isBench ? ['--expose-gc'] : []), bundleCli(), command, ...args], {
      stdio: 'inherit',
      ...(isBench && { cwd: ROOT }),
    }).status ?? 1
  );
}

/** Whether help is asked for: nothing is done then. */
const asksForHelp = (args) => {
  const end = args.indexOf('--');
  return (end < 0 ? args : args.slice(0, end)).some((word) => word === '--help' || word === '-h');
};

async function main([command, ...args]) {
  const told = command === 'help' ? args[0] : command;
  if (told !== undefined && (command === 'help' || asksForHelp(args))) {
    const help = helpOf(COMMANDS, told);
    if (help === undefined) throw new Stop(`unknown command "${told}"\n${USAGE}`);
    console.log(help);
    return 0;
  }
  switch (command) {
    case 'demo':
    case 'start':
      return serve(args, command === 'demo');
    case 'test': {
      install();
      const { runTests } = await import('./run-tests.mjs');
      return runTests({ root: ROOT, environment: ENVIRONMENT, build });
    }
    case undefined:
    case 'help':
    case '--help':
      console.log(USAGE);
      return 0;
    case '--version':
      console.log(JSON.parse(readFileSync(join(ROOT, 'package.json'), 'utf8')).version);
      return 0;
    default:
      if (!COMMANDS.some(({ name }) => name === command))
        throw new Stop(`unknown command "${command}"\n${USAGE}`);
      install();
      return answer(command, args);
  }
}

try {
  process.exitCode = await main(process.argv.slice(2));
} catch (error) {
  if (!(error instanceof Stop)) throw error;
  console.error(`symplex: ${error.message}`);
  process.exitCode = 2;
}

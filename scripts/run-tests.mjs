// Everything a change must pass, one step after the other; counts what ran and ends in one line.
import { spawn as start, spawnSync } from 'node:child_process';
import { closeSync, existsSync, mkdirSync, openSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { CHECKS } from './checks.mjs';

/** What only tests need, by the file that proves it is there. */
const DEBIAN = {
  chromium: '/usr/bin/chromium',
  'chromium-driver': '/usr/bin/chromedriver',
  ngspice: '/usr/bin/ngspice',
  ffmpeg: '/usr/bin/ffmpeg',
  sox: '/usr/bin/sox',
  'espeak-ng': '/usr/bin/espeak-ng',
};

function installDebian(environment) {
  const missing = Object.keys(DEBIAN).filter((name) => !existsSync(DEBIAN[name]));
  if (missing.length === 0) return '';
  console.log(`Installing ${missing.join(', ')}…`);
  const sudo = process.getuid?.() === 0 ? [] : ['sudo', '-n'];
  const apt = (...args) => {
    const [command, ...rest] = [...sudo, 'apt-get', ...args];
    return spawnSync(command, rest, {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...environment, DEBIAN_FRONTEND: 'noninteractive' },
    });
  };
  apt('update', '-qq');
  apt('install', '-y', '-qq', '--no-install-recommends', ...missing);
  const still = missing.filter((name) => !existsSync(DEBIAN[name]));
  return still.length > 0
    ? `missing Debian packages: ${still.join(', ')} (apt-get install ${still.join(' ')})`
    : '';
}

/** Passed and failed counts of a Vitest JSON report. */
function counts(report) {
  if (!existsSync(report)) return { passed: 0, failed: 1 };
  const { numPassedTests, numFailedTests, numFailedTestSuites, testResults } = JSON.parse(
    readFileSync(report, 'utf8'),
  );
  const brokenFiles = testResults.filter(
    (file) => file.status === 'failed' && file.assertionResults.length === 0,
  );
  return {
    passed: numPassedTests,
    failed: numFailedTests + (numFailedTestSuites > 0 ? brokenFiles.length : 0),
  };
}

/** The checks that only read, begun now; asked, it prints what they printed and says how many failed. */
function startChecks({ root, environment }) {
  const printed = join(root, '.build', 'checks.txt');
  mkdirSync(join(root, '.build'), { recursive: true });
  const file = openSync(printed, 'w');
  const child = start(process.execPath, [join(root, 'scripts/checks.mjs')], {
    cwd: root,
    env: environment,
    stdio: ['ignore', file, file],
  });
  const ended = new Promise((resolve) => {
    child.on('error', () => resolve(CHECKS.length));
    child.on('exit', (code) => resolve(Math.min(code ?? CHECKS.length, CHECKS.length)));
  });
  return async () => {
    const failed = await ended;
    closeSync(file);
    console.log(readFileSync(printed, 'utf8'));
    return failed;
  };
}

/** Runs all steps; gives back the exit code. A step that is no test suite counts as one test. */
export async function runTests({ root, environment, build }) {
  const trouble = installDebian(environment);
  if (trouble) {
    console.error(`symplex test: ${trouble}`);
    return 2;
  }
  let [passed, failed] = [0, 0];
  const bin = (name) => join(root, 'node_modules/.bin', name);
  const spawn = (command, args) =>
    spawnSync(command, args, { cwd: root, stdio: 'inherit', env: environment }).status === 0;
  const step = (name, work) => {
    console.log(`\n— ${name}`);
    const fine = work();
    if (fine) passed += 1;
    else failed += 1;
    return fine;
  };
  const suite = (name, args) => {
    console.log(`\n— ${name}`);
    const report = join(root, '.build', `${name.replaceAll(' ', '-')}.json`);
    rmSync(report, { force: true });
    mkdirSync(join(root, '.build'), { recursive: true });
    const fine = spawn(bin('vitest'), [
      'run',
      ...args,
      '--reporter=default',
      '--reporter=json',
      `--outputFile=${report}`,
    ]);
    const result = counts(report);
    passed += result.passed;
    failed += result.failed + (!fine && result.failed === 0 ? 1 : 0);
  };
  // The build leaves one of two cores half idle.
  const checked = startChecks({ root, environment });
  const built = step('production build', () => {
    try {
      build();
      return true;
    } catch (error) {
      console.error(error.message);
      return false;
    }
  });
  const wrong = await checked();
  passed += CHECKS.length - wrong;
  failed += wrong;
  step('types', () => spawn(bin('tsc'), ['--noEmit']));
  suite('unit tests', []);
  if (built) suite('browser tests', ['--config', 'vitest.e2e.config.mts']);
  console.log(`\n${passed} passed, ${failed} failed`);
  return failed === 0 ? 0 : 1;
}

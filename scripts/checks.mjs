// What is checked by reading alone, one after the other; its exit code is the number of checks that failed.
import { spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const HERE = fileURLToPath(import.meta.url);

/** Name, command under node_modules/.bin (or node itself), arguments. */
export const CHECKS = [
  ['format', 'prettier', ['--check', '--log-level=warn', '.']],
  ['lint', 'eslint', ['.']],
  ['import cycles', 'depcruise', ['src', 'e2e', '--config', '.dependency-cruiser.mjs']],
  ['generated files', 'node', ['scripts/generate.mjs', '--check']],
];

function failing() {
  const root = join(dirname(HERE), '..');
  return CHECKS.filter(([name, tool, args]) => {
    console.log(`\n— ${name}`);
    const command = tool === 'node' ? process.execPath : join(root, 'node_modules/.bin', tool);
    return spawnSync(command, args, { cwd: root, stdio: 'inherit' }).status !== 0;
  });
}

if (process.argv[1] === HERE) process.exitCode = failing().length;

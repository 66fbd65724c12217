import { readFile, stat } from 'node:fs/promises';
import { LARGEST_RIG_BYTES, sayProblem } from '../core/files';
import { type Rig } from '../core/rig';
import { readRig } from '../core/files/read-rig';
import { checkReport, spiceReport } from '../core/files';
import { planReport } from '../core/files/plan-report';
import { plan, sayRequestProblem } from '../core/search/route';
import { readRequest } from '../core/files/read-request';
import { bench } from './bench';
import { planText } from './plan-text';
import { textReport } from './text-report';

/** Bad input: one line on standard error, exit code 2. */
class BadInput extends Error {}

async function readText(path: string): Promise<string> {
  try {
    const { size } = await stat(path);
    if (size > LARGEST_RIG_BYTES) {
      throw new BadInput(sayProblem({ code: 'too-large', at: '', bytes: size, limit: LARGEST_RIG_BYTES }));
    }
    return await readFile(path, 'utf8');
  } catch (error) {
    if (error instanceof BadInput) throw error;
    throw new BadInput(`cannot be read: ${error instanceof Error ? error.message : String(error)}`);
  }
}

async function loadRig(path: string): Promise<Rig> {
  const result = readRig(await readText(path));
  if (!result.ok) throw new BadInput(sayProblem(result.problem));
  return result.rig;
}

async function check(path: string | undefined, flags: readonly string[]): Promise<string> {
  if (path === undefined) throw new BadInput('say which rig: symplex check RIG.json [--json]');
  const unknown = flags.find((flag) => flag !== '--json');
  if (unknown !== undefined) throw new BadInput(`unknown option ${unknown}: symplex check RIG.json [--json]`);
  const report = checkReport(await loadRig(path));
  return flags.includes('--json') ? JSON.stringify(report, null, 2) : textReport(report);
}

async function planned(path: string | undefined, flags: readonly string[]): Promise<string> {
  if (path === undefined) throw new BadInput('say which request: symplex plan REQUEST.json [--json]');
  const unknown = flags.find((flag) => flag !== '--json');
  if (unknown !== undefined)
    throw new BadInput(`unknown option ${unknown}: symplex plan REQUEST.json [--json]`);
  const result = readRequest(await readText(path));
  if (!result.ok) throw new BadInput(sayRequestProblem(result.problem));
  const report = planReport(plan(result.request));
  return flags.includes('--json') ? JSON.stringify(report, null, 2) : planText(report);
}

async function spice(path: string | undefined, flags: readonly string[]): Promise<string> {
  if (path === undefined) throw new BadInput('say which rig: symplex spice RIG.json');
  if (flags[0] !== undefined) throw new BadInput(`unknown option ${flags[0]}: symplex spice RIG.json`);
  return spiceReport(await loadRig(path));
}

const COMMANDS: Readonly<Record<string, typeof check>> = {
  check,
  plan: planned,
  spice,
  bench: async (path) => {
    if (path !== undefined) throw new BadInput('takes nothing: symplex bench');
    return bench('demo/rigs', 'demo/requests');
  },
};

async function main([command, ...args]: readonly string[]): Promise<number> {
  const flags = args.filter((arg) => arg.startsWith('--'));
  const [path, second] = args.filter((arg) => !arg.startsWith('--'));
  try {
    const work = COMMANDS[command ?? ''];
    if (!work) throw new BadInput(`unknown command ${command ?? ''}`);
    if (second !== undefined) throw new BadInput(`one file at a time, not also ${second}`);
    console.log(await work(path, flags));
    return 0;
  } catch (error) {
    if (!(error instanceof BadInput)) throw error;
    console.error(`symplex ${command ?? ''}: ${path === undefined ? '' : `${path}: `}${error.message}`);
    return 2;
  }
}

process.exitCode = await main(process.argv.slice(2));

import { isMainThread, parentPort, workerData } from 'node:worker_threads';
import { readFile, stat } from 'node:fs/promises';
import { LARGEST_RIG_BYTES, sayProblem } from '../core/files';
import { type Rig } from '../core/rig';
import { oneLine } from '../core/schema';
import { readRig } from '../core/files/read-rig';
import { checkReport, spiceReport } from '../core/files';
import { planReport } from '../core/files/plan-report';
import { LIMITS, plan, sayRequestProblem } from '../core/search/route';
import { readRequest } from '../core/files/read-request';
import { bench } from './bench';
import { levelsCsv, levelsReport, readTarget } from '../core/files/levels-report';
import { levelsText } from './levels-text';
import { powerReport } from '../core/files/power-report';
import { powerText } from './power-text';
import { returnsReport } from '../core/files/returns-report';
import { returnsText } from './returns-text';
import { planText } from './plan-text';
import { framesOf, soundcheck, type Against } from './soundcheck';
import { takeText } from './take-text';
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

/** Options by their name, with the value of those that have one. */
type Flags = ReadonlyMap<string, string | undefined>;

/** Options that the next word belongs to. */
const WITH_VALUE: readonly string[] = ['--fixes', '--time', '--target', '--rig', '--recorder'];

/** Apart: the options, and what is left. */
function readArguments(args: readonly string[]): { flags: Flags; words: readonly string[] } {
  const flags = new Map<string, string | undefined>();
  const words: string[] = [];
  for (let index = 0; index < args.length; index += 1) {
    const arg = args[index] ?? '';
    if (WITH_VALUE.includes(arg)) flags.set(arg, args[(index += 1)]);
    else if (arg.startsWith('--')) flags.set(arg, undefined);
    else words.push(arg);
  }
  return { flags, words };
}

function refuseOthers(flags: Flags, known: readonly string[], usage: string): void {
  const unknown = [...flags.keys()].find((flag) => !known.includes(flag));
  if (unknown !== undefined) throw new BadInput(`unknown option ${oneLine(unknown)}: ${usage}`);
}

/** Time for the search for fixes unless another is asked for, ms: an answer that one waits for. */
const FIXES_MS = 2000;
/** An hour. */
const MOST_MS = 3_600_000;
const CHECK_USAGE = 'symplex check RIG.json [--json] [--fixes MS]';

/** The milliseconds that an option gives, or the usual ones where it is not there. */
function millisecondsOf(flags: Flags, option: string, usual: number, usage: string): number {
  if (!flags.has(option)) return usual;
  const value = flags.get(option);
  const milliseconds = Number(value);
  if (value === undefined || !/^\d+$/.test(value) || milliseconds > MOST_MS) {
    throw new BadInput(
      `${option} takes milliseconds from 0 to ${MOST_MS}, not ${value === undefined ? 'nothing' : oneLine(value)}: ${usage}`,
    );
  }
  return milliseconds;
}

async function check(path: string | undefined, flags: Flags): Promise<string> {
  if (path === undefined) throw new BadInput(`say which rig: ${CHECK_USAGE}`);
  refuseOthers(flags, ['--json', '--fixes'], CHECK_USAGE);
  const milliseconds = millisecondsOf(flags, '--fixes', FIXES_MS, CHECK_USAGE);
  const report = checkReport(await loadRig(path), {}, { now: () => performance.now(), milliseconds });
  return flags.has('--json') ? JSON.stringify(report, null, 2) : textReport(report, milliseconds);
}

const LEVELS_USAGE = 'symplex levels RIG.json [--target DB] [--json | --csv]';

async function levels(path: string | undefined, flags: Flags): Promise<string> {
  if (path === undefined) throw new BadInput(`say which rig: ${LEVELS_USAGE}`);
  refuseOthers(flags, ['--target', '--json', '--csv'], LEVELS_USAGE);
  const target = flags.has('--target')
    ? readTarget(flags.get('--target') ?? '')
    : { ok: true as const, value: undefined };
  if (!target.ok) throw new BadInput(`--target ${target.says}: ${LEVELS_USAGE}`);
  const report = levelsReport(await loadRig(path), target.value);
  if (flags.has('--csv')) return levelsCsv(report);
  return flags.has('--json') ? JSON.stringify(report, null, 2) : levelsText(report);
}

const POWER_USAGE = 'symplex power RIG.json [--json]';

async function power(path: string | undefined, flags: Flags): Promise<string> {
  if (path === undefined) throw new BadInput(`say which rig: ${POWER_USAGE}`);
  refuseOthers(flags, ['--json'], POWER_USAGE);
  const report = powerReport(await loadRig(path));
  return flags.has('--json') ? JSON.stringify(report, null, 2) : powerText(report);
}

const RETURNS_USAGE = 'symplex returns RIG.json [--json]';

async function returns(path: string | undefined, flags: Flags): Promise<string> {
  if (path === undefined) throw new BadInput(`say which rig: ${RETURNS_USAGE}`);
  refuseOthers(flags, ['--json'], RETURNS_USAGE);
  const report = returnsReport(await loadRig(path));
  return flags.has('--json') ? JSON.stringify(report, null, 2) : returnsText(report);
}

const SOUNDCHECK_USAGE = 'symplex soundcheck TAKE.wav [--rig RIG.json] [--recorder ID] [--json]';

/** The rig that a take is held against; its first recorder unless another is named. */
async function againstOf(flags: Flags): Promise<Against | undefined> {
  if (!flags.has('--rig')) return undefined;
  const path = flags.get('--rig');
  if (path === undefined) throw new BadInput(`--rig takes a file: ${SOUNDCHECK_USAGE}`);
  const rig = await loadRig(path).catch((error: unknown) => {
    throw error instanceof BadInput ? new BadInput(`--rig ${path}: ${error.message}`) : error;
  });
  const { recorders } = rig.purpose;
  const recorder = flags.get('--recorder') ?? recorders[0];
  if (recorder === undefined || !recorders.includes(recorder)) {
    throw new BadInput(
      `--recorder ${oneLine(recorder ?? '')} is no recorder of ${path}: ${recorders.length === 0 ? 'it has none' : recorders.join(', ')}`,
    );
  }
  return { rig, recorder };
}

async function soundchecked(path: string | undefined, flags: Flags): Promise<string> {
  if (path === undefined) throw new BadInput(`say which take: ${SOUNDCHECK_USAGE}`);
  refuseOthers(flags, ['--json', '--rig', '--recorder'], SOUNDCHECK_USAGE);
  const report = await soundcheck(path, (says) => new BadInput(says), await againstOf(flags));
  return flags.has('--json') ? JSON.stringify(report, null, 2) : takeText(report);
}

const PLAN_USAGE = 'symplex plan REQUEST.json [--json] [--time MS]';

async function planned(path: string | undefined, flags: Flags): Promise<string> {
  if (path === undefined) throw new BadInput(`say which request: ${PLAN_USAGE}`);
  refuseOthers(flags, ['--json', '--time'], PLAN_USAGE);
  const milliseconds = millisecondsOf(flags, '--time', LIMITS.milliseconds, PLAN_USAGE);
  const result = readRequest(await readText(path));
  if (!result.ok) throw new BadInput(sayRequestProblem(result.problem));
  const report = planReport(plan(result.request, { ...LIMITS, milliseconds }));
  return flags.has('--json') ? JSON.stringify(report, null, 2) : planText(report);
}

const SPICE_USAGE = 'symplex spice RIG.json';

async function spice(path: string | undefined, flags: Flags): Promise<string> {
  if (path === undefined) throw new BadInput(`say which rig: ${SPICE_USAGE}`);
  refuseOthers(flags, [], SPICE_USAGE);
  return spiceReport(await loadRig(path));
}

const COMMANDS: Readonly<Record<string, typeof check>> = {
  check,
  plan: planned,
  levels,
  power,
  returns,
  soundcheck: soundchecked,
  spice,
  bench: async (path) => {
    if (path !== undefined) throw new BadInput('takes nothing: symplex bench');
    return bench('demo/rigs', 'demo/requests');
  },
};

async function main([command, ...args]: readonly string[]): Promise<number> {
  const { flags, words } = readArguments(args);
  const [path, second] = words;
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

// The same file is the thread that reads a long take for its frames: the bundle is one.
if (isMainThread) process.exitCode = await main(process.argv.slice(2));
else {
  const { take } = workerData as { readonly take: string };
  parentPort?.postMessage(await framesOf(take, (says) => new BadInput(says)));
}

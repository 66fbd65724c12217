import { isMainThread, parentPort, workerData } from 'node:worker_threads';
import { APPS } from '../core/apps';
import { spiceReport } from '../core/files';
import { levelsCsv, levelsReport, readTarget } from '../core/files/levels-report';
import { planReport } from '../core/files/plan-report';
import { powerReport } from '../core/files/power-report';
import { returnsReport } from '../core/files/returns-report';
import { answersTo, CATALOGUE, findPart, searchRank } from '../core/parts';
import { warningReport } from '../core/files/warnings';
import type { Rig } from '../core/rig';
import { oneLine } from '../core/schema';
import { LIMITS, plan } from '../core/search/route';
import { compareRigs } from '../core/words';
import { millisecondsOf, type Answer } from './answer';
import { commandNamed, readArguments, usageOf, type Arguments, type Command } from './arguments';
import { bench } from './bench';
import { appsText, noPart, partsText, partText, table } from './catalogue-text';
import { check } from './check';
import { loadRequest, loadRig, refuseOddFile, rigOf } from './input';
import { levelsText } from './levels-text';
import { put, watchOutput } from './output';
import { planText } from './plan-text';
import { powerText } from './power-text';
import { returnsText } from './returns-text';
import { framesOf, soundcheck, type Against } from './soundcheck';
import { standInWav } from './stand-in';
import { takeText } from './take-text';
import { BadInput, NotWritten } from './trouble';

type Flags = Arguments['flags'];
type Work = (words: readonly string[], flags: Flags) => Promise<Answer>;

const said = (text: string): Answer => ({ text, code: 0 });

/** A report as JSON where that is asked for, else in words. */
const shown = <T extends object>(flags: Flags, report: T, inWords: (report: T) => string): Answer =>
  said(flags.has('json') ? JSON.stringify(report, null, 2) : inWords(report));

const levels: Work = async ([path = ''], flags) => {
  const asked = flags.get('target');
  const target = asked === undefined ? { ok: true as const, value: undefined } : readTarget(asked);
  if (!target.ok) throw new BadInput(`--target ${target.says}`);
  const { read, warnings } = await loadRig(path);
  const report = levelsReport(read, target.value);
  return flags.has('csv')
    ? said(levelsCsv(report))
    : shown(flags, { ...report, warnings: warningReport(warnings) }, levelsText);
};

const power: Work = async ([path = ''], flags) => {
  const { read, warnings } = await loadRig(path);
  return shown(flags, { ...powerReport(read), warnings: warningReport(warnings) }, powerText);
};

const returns: Work = async ([path = ''], flags) => {
  const { read, warnings } = await loadRig(path);
  return shown(flags, { ...returnsReport(read), warnings: warningReport(warnings) }, returnsText);
};

/** The recorder of a rig that is asked about: its first one unless another is named. */
function recorderOf(rig: Rig, flags: Flags, path: string): string {
  const { recorders } = rig.purpose;
  const { recorder = recorders[0] } = Object.fromEntries(flags);
  if (recorder === undefined || !recorders.includes(recorder)) {
    const there = recorders.length === 0 ? 'it has none' : recorders.join(', ');
    throw new BadInput(`--recorder ${oneLine(recorder ?? '')} is no recorder of ${path}: ${there}`);
  }
  return recorder;
}

async function againstOf(flags: Flags): Promise<Against | undefined> {
  const path = flags.get('rig');
  if (path === undefined) return undefined;
  const rig = await rigOf(`--rig ${path}`, path);
  return { rig, recorder: recorderOf(rig, flags, path) };
}

async function rendered(path: string, flags: Flags): Promise<Answer> {
  const to = flags.get('output');
  if (to === undefined) throw new BadInput('--stand-in goes with -o OUT.wav: where the take goes');
  const rig = await rigOf(`--stand-in ${path}`, path);
  await put(to, standInWav(rig, recorderOf(rig, flags, path)));
  return said(to === '-' ? '' : `${to} is what ${rig.name} would give.`);
}

const soundchecked: Work = async ([path], flags) => {
  const plan = flags.get('stand-in');
  if (plan !== undefined) return rendered(plan, flags);
  if (path === undefined) throw new BadInput('say which take');
  await refuseOddFile(path);
  return shown(flags, await soundcheck(path, (says) => new BadInput(says), await againstOf(flags)), takeText);
};

const planned: Work = async ([path = ''], flags) => {
  const milliseconds = millisecondsOf(flags, 'time', LIMITS.milliseconds);
  const { read, warnings } = await loadRequest(path);
  return shown(
    flags,
    { ...planReport(plan(read, { ...LIMITS, milliseconds })), warnings: warningReport(warnings) },
    planText,
  );
};

const spice: Work = async ([path = '']) => said(spiceReport((await loadRig(path)).read));

const diff: Work = async ([one = '', other = ''], flags) => {
  const [{ read: a }, b] = [await loadRig(one), await rigOf(other, other)];
  const differences = compareRigs(a, b);
  return shown(flags, { differences }, () =>
    differences.length === 0
      ? 'The two rigs do not differ.'
      : table([
          ['what', one, other],
          ...differences.map((each) => [each.what, each.one ?? '–', each.other ?? '–']),
        ]),
  );
};

const parts: Work = (words, flags) => {
  const query = words.join(' ');
  const found = query
    ? CATALOGUE.filter((part) => answersTo(part, query)).toSorted(
        (a, b) => searchRank(b, query) - searchRank(a, query),
      )
    : CATALOGUE;
  const rows = found.map(({ id, name, family, summary, price }) => ({ id, name, family, summary, price }));
  return Promise.resolve(shown(flags, { parts: rows }, () => partsText(found)));
};

const part: Work = ([id = ''], flags) => {
  const found = findPart(id);
  if (!found) throw new BadInput(noPart(id));
  return Promise.resolve(shown(flags, found, partText));
};

const apps: Work = (_, flags) => Promise.resolve(shown(flags, { apps: APPS }, () => appsText(APPS)));

const WORK: Readonly<Record<string, Work>> = {
  check,
  plan: planned,
  levels,
  power,
  returns,
  soundcheck: soundchecked,
  diff,
  parts,
  part,
  apps,
  spice,
  bench: async () => said(await bench('demo/rigs', 'demo/requests')),
};

/** What a command takes has to be there, and nothing more. */
function countWords(command: Command, words: readonly string[], flags: Flags): void {
  if (command.words !== undefined) return;
  const wanted = flags.has('stand-in') ? [] : command.takes;
  const missing = wanted[words.length];
  if (missing !== undefined) throw new BadInput(`say which ${missing}: ${usageOf(command)}`);
  const more = words[wanted.length];
  if (more === undefined) return;
  throw new BadInput(
    wanted.length === 0
      ? `takes nothing: ${usageOf(command)}`
      : `one ${wanted.length === 1 ? 'file' : 'pair'} at a time, not also ${oneLine(more)}`,
  );
}

/** The exit code: 0 answered, 1 the answer could not be written, 2 bad input, 3 as bad as --fail-on asks about. */
async function main([name = '', ...args]: readonly string[]): Promise<number> {
  const command = commandNamed(name);
  const work = WORK[name];
  let path: string | undefined;
  try {
    if (!command || !work) throw new BadInput('unknown command');
    const { flags, words } = readArguments(command, args);
    [path] = words;
    countWords(command, words, flags);
    const { text, code } = await work(words, flags);
    if (text !== '') console.log(text);
    return code;
  } catch (error) {
    if (!(error instanceof BadInput || error instanceof NotWritten)) throw error;
    console.error(`symplex ${name}: ${path === undefined ? '' : `${path}: `}${error.message}`);
    return error instanceof NotWritten ? 1 : 2;
  }
}

// The same file is the thread that reads a long take for its frames: the bundle is one.
if (isMainThread) {
  watchOutput();
  process.exitCode = await main(process.argv.slice(2));
} else {
  const { take } = workerData as { readonly take: string };
  parentPort?.postMessage(await framesOf(take, (says) => new BadInput(says)));
}

import { checkReport, writeRig, type CheckReport } from '../core/files';
import { warningReport } from '../core/files/warnings';
import { SEVERITIES, severityRank, type Severity } from '../core/checks';
import { applyEdit, type Rig } from '../core/rig';
import type { Arguments } from './arguments';
import { loadDrawer, loadRig } from './input';
import { millisecondsOf, type Answer } from './answer';
import { put } from './output';
import { textReport } from './text-report';
import { BadInput } from './trouble';

/** Time for the search for fixes unless another is asked for, ms: an answer that one waits for. */
const FIXES_MS = 2000;
/** Something as bad as was asked about is found. */
const FOUND = 3;

/** How many steps of “Do this” are to be done; undefined where none are. */
function stepsToDo(flags: Arguments['flags'], { wayOut }: CheckReport): number | undefined {
  const asked = flags.get('do');
  if (asked === undefined) {
    if (flags.has('output')) throw new BadInput('-o goes with --do N: what is written is the mended rig');
    return undefined;
  }
  const most = wayOut?.steps.length ?? 0;
  const steps = Number(asked);
  if (!/^\d+$/.test(asked) || steps < 1 || steps > most)
    throw new BadInput(
      most === 0
        ? `--do ${asked}: there is nothing to do that is proved to help`
        : `--do takes a number from 1 to ${most}, not ${asked}`,
    );
  if (!flags.has('output')) throw new BadInput('--do goes with -o FILE: where the mended rig goes');
  return steps;
}

const mended = (rig: Rig, { wayOut }: CheckReport, steps: number): Rig =>
  (wayOut?.steps ?? []).slice(0, steps).reduce((stands, { edit }) => applyEdit(stands, edit), rig);

function failsOn(flags: Arguments['flags'], { findings }: CheckReport): boolean {
  const asked = flags.get('fail-on');
  if (asked === undefined) return false;
  const limit = SEVERITIES.find((severity): severity is Severity => severity === asked);
  if (limit === undefined)
    throw new BadInput(`--fail-on takes one of ${SEVERITIES.join(', ')}, not ${asked}`);
  return findings.some(({ severity }) => severityRank(severity) <= severityRank(limit));
}

/** `symplex check`. */
export async function check([path = '']: readonly string[], flags: Arguments['flags']): Promise<Answer> {
  const milliseconds = millisecondsOf(flags, 'fixes', FIXES_MS);
  const { read: rig, warnings } = await loadRig(path);
  const drawerPath = flags.get('drawer');
  const drawer = drawerPath === undefined ? {} : await loadDrawer(drawerPath);
  const report = checkReport(rig, drawer, { now: () => performance.now(), milliseconds });
  const code = failsOn(flags, report) ? FOUND : 0;
  const steps = stepsToDo(flags, report);
  const to = flags.get('output');
  if (steps !== undefined && to !== undefined) {
    await put(to, writeRig(mended(rig, report, steps)));
    if (to === '-') return { code, text: '' };
  }
  const text = flags.has('json')
    ? JSON.stringify({ ...report, warnings: warningReport(warnings) }, null, 2)
    : textReport(report, milliseconds);
  return { code, text };
}

import { checkReport, sayProblem, spiceReport } from '../core/files';
import { levelsReport } from '../core/files/levels-report';
import { powerReport } from '../core/files/power-report';
import { returnsReport } from '../core/files/returns-report';
import { planReport } from '../core/files/plan-report';
import { readRequest } from '../core/files/read-request';
import { readRig } from '../core/files/read-rig';
import { warningReport } from '../core/files/warnings';
import type { Rig } from '../core/rig';
import { plan, sayRequestProblem } from '../core/search/route';

/** What is asked of a thread: a document as it came, and how long fixes may be sought. */
export interface Job {
  readonly kind: 'check' | 'fixes' | 'plan' | 'spice' | 'levels' | 'power' | 'returns';
  readonly text: string;
  readonly milliseconds: number;
  /** Of levels: where peaks should come to, dBFS. */
  readonly target?: number;
}

/** An answer as it goes out: JSON, or a netlist. */
export interface Answer {
  readonly status: number;
  readonly type: 'application/json' | 'text/plain; charset=utf-8';
  readonly body: string;
}

const json = (value: unknown, status = 200): Answer => ({
  status,
  type: 'application/json',
  body: JSON.stringify(value),
});

/** A refusal is one line, as on the command line. */
export const refusal = (error: string, status = 400): Answer => json({ error }, status);

/** What of a rig is asked about by name alone. */
const REPORTS: Readonly<Record<'levels' | 'power' | 'returns', (rig: Rig, target?: number) => object>> = {
  levels: levelsReport,
  power: (rig) => powerReport(rig),
  returns: (rig) => returnsReport(rig),
};

function checked(rig: Rig, { kind, milliseconds }: Job): object {
  const report = checkReport(rig, {}, { now: () => performance.now(), milliseconds });
  if (kind === 'check') return report;
  const { verdict, findings, wayOut, whyNot } = report;
  return { rig: report.rig, verdict, findings, wayOut, whyNot };
}

function planned(text: string): Answer {
  const result = readRequest(text);
  if (!result.ok) return refusal(sayRequestProblem(result.problem));
  return json({ ...planReport(plan(result.request)), warnings: warningReport(result.warnings) });
}

/** Does one job with the engine of the command line. Bad input is an answer, not an error. */
export function doJob(job: Job): Answer {
  const { kind, text, target } = job;
  if (kind === 'plan') return planned(text);
  const result = readRig(text);
  if (!result.ok) return refusal(sayProblem(result.problem));
  const { rig, warnings } = result;
  if (kind === 'spice') return { status: 200, type: 'text/plain; charset=utf-8', body: spiceReport(rig) };
  const report = kind === 'check' || kind === 'fixes' ? checked(rig, job) : REPORTS[kind](rig, target);
  return json({ ...report, warnings: warningReport(warnings) });
}

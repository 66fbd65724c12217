import { checkReport, sayProblem, spiceReport } from '../core/files';
import { levelsReport } from '../core/files/levels-report';
import { powerReport } from '../core/files/power-report';
import { returnsReport } from '../core/files/returns-report';
import { planReport } from '../core/files/plan-report';
import { readRequest } from '../core/files/read-request';
import { readRig } from '../core/files/read-rig';
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

function ofRig(text: string, answer: (rig: Rig) => Answer): Answer {
  const result = readRig(text);
  return result.ok ? answer(result.rig) : refusal(sayProblem(result.problem));
}

/** Does one job with the engine of the command line. Bad input is an answer, not an error. */
export function doJob({ kind, text, milliseconds, target }: Job): Answer {
  if (kind === 'plan') {
    const result = readRequest(text);
    return result.ok ? json(planReport(plan(result.request))) : refusal(sayRequestProblem(result.problem));
  }
  if (kind === 'spice') {
    return ofRig(text, (rig) => ({
      status: 200,
      type: 'text/plain; charset=utf-8',
      body: spiceReport(rig),
    }));
  }
  if (kind === 'levels') return ofRig(text, (rig) => json(levelsReport(rig, target)));
  if (kind === 'returns') return ofRig(text, (rig) => json(returnsReport(rig)));
  if (kind === 'power') return ofRig(text, (rig) => json(powerReport(rig)));
  return ofRig(text, (rig) => {
    const report = checkReport(rig, {}, { now: () => performance.now(), milliseconds });
    if (kind === 'check') return json(report);
    const { verdict, findings, wayOut, whyNot } = report;
    return json({ rig: report.rig, verdict, findings, wayOut, whyNot });
  });
}

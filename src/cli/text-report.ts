import type { CheckReport } from '../core/files';

type ArrivalReport = CheckReport['arrives'][number];

/** What arrives, and under it how loud and how clear of the noise that is recorded which was wanted. */
function arrivalLines({ says, state, peakDbfs, noiseDbfs }: ArrivalReport): string[] {
  if (state !== 'recorded' || peakDbfs === null || noiseDbfs === null) return [says];
  return [says, `  Peaks ${minus(peakDbfs)} dBFS, signal-to-noise ${minus(peakDbfs - noiseDbfs)} dB.`];
}

const minus = (value: number): string => String(Math.round(value)).replace('-', '−');

/** What to do, one thing after another, until the whole rig is clean; or why there is no such way. */
function wayLines({ wayOut, whyNot }: CheckReport): string[] {
  if (!wayOut) return whyNot === null ? [] : ['', `No way out in a few steps. ${whyNot}`];
  if (wayOut.steps.length === 0) return [];
  const steps = wayOut.steps.map(({ says, owned, cost, last }, index) => {
    const buy = owned ? '' : ` To buy, about ${cost}.`;
    return `  ${index + 1}. ${says}.${buy}${last ? ' Replaces gear that you brought.' : ''}`;
  });
  return ['', 'Do this:', ...steps, ...(wayOut.notLightest === null ? [] : [wayOut.notLightest])];
}

/** The report as a person reads it in a terminal; `milliseconds`: the time that the search for fixes had. */
export function textReport(report: CheckReport, milliseconds: number): string {
  const lines = [
    `${report.rig}: ${report.verdict}`,
    ...report.arrives.flatMap(arrivalLines),
    ...wayLines(report),
  ];
  for (const finding of report.findings) {
    lines.push('', `[${finding.severity}] ${finding.title} (${finding.code})`, `  ${finding.says}`);
    lines.push(`  Limit: ${finding.source.text}`);
    const cause = finding.because === null ? undefined : report.findings[finding.because];
    if (cause) lines.push(`  Goes when this is cured: ${cause.title}.`);
    for (const fix of finding.fixes) lines.push(`  → ${fix.says}. ${fix.outcome}`);
    if (finding.whyNone !== null) lines.push(`  ${finding.whyNone}`);
  }
  if (report.findings.some(({ fixesCut }) => fixesCut === 'time')) {
    lines.push(
      '',
      `The search for fixes was cut after ${milliseconds} ms; --fixes MS gives it another time.`,
    );
  }
  return lines.join('\n');
}

import type { CheckReport } from '../core/files';

/** The report as a person reads it in a terminal; `milliseconds`: the time that the search for fixes had. */
export function textReport(report: CheckReport, milliseconds: number): string {
  const lines = [`${report.rig}: ${report.verdict}`, ...report.arrives.map((arrival) => arrival.says)];
  for (const finding of report.findings) {
    lines.push('', `[${finding.severity}] ${finding.title} (${finding.code})`, `  ${finding.says}`);
    lines.push(`  Limit: ${finding.source.text}`);
    const cause = finding.because === null ? undefined : report.findings[finding.because];
    if (cause) lines.push(`  Goes when this is cured: ${cause.title}.`);
    for (const fix of finding.fixes) lines.push(`  → ${fix.says}. ${fix.outcome}`);
  }
  if (report.findings.some(({ fixesCut }) => fixesCut === 'time')) {
    lines.push(
      '',
      `The search for fixes was cut after ${milliseconds} ms; --fixes MS gives it another time.`,
    );
  }
  if (report.findings.some(({ fixesCut }) => fixesCut === 'number')) {
    lines.push('', 'Not every part was tried as a fix: those nearest to the fault were.');
  }
  return lines.join('\n');
}

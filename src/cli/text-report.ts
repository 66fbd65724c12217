import type { CheckReport } from '../core/files';

/** The report as a person reads it in a terminal. */
export function textReport(report: CheckReport): string {
  const lines = [`${report.rig}: ${report.verdict}`, ...report.arrives.map((arrival) => arrival.says)];
  for (const finding of report.findings) {
    lines.push('', `[${finding.severity}] ${finding.title} (${finding.code})`, `  ${finding.says}`);
    lines.push(`  Limit: ${finding.source.text}`);
    for (const fix of finding.fixes) lines.push(`  → ${fix.says}. ${fix.outcome}`);
  }
  return lines.join('\n');
}

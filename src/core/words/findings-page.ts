import { CHECKS, SEVERITIES } from '../checks';
import { FINDING_WORDS } from './say-finding';

const MEANINGS = {
  danger: 'may hurt someone or something',
  blocks: 'the intended source is not recorded',
  spoils: 'it is recorded, with a fault',
  note: 'worth knowing',
} as const;

/** docs/findings.md, from the checks and their words. */
export function findingsPage(): string {
  const entries = CHECKS.map(({ code, means, severity, limit }) => {
    const { title } = FINDING_WORDS[code];
    return `## \`${code}\`\n\n**${title}** · ${severity.join(' or ')}\n\n${means}\n\n*Limit and its source:* ${limit}\n`;
  });
  const severities = SEVERITIES.map((severity) => `- \`${severity}\`: ${MEANINGS[severity]}`);
  return [
    '# Findings',
    '',
    'Made by `npm run generate` from `src/core/checks` and `src/core/words`; the unit tests fail when it is out of date.',
    'Codes, severities and field names are the public interface of `symplex check --json`.',
    '',
    ...severities,
    '',
    ...entries,
  ].join('\n');
}

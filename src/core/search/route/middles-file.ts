import { CATALOGUE } from '../../parts';
import { lineOf, probedMiddle } from './middles';
import { entriesOf } from './sockets';

/** What every shipped part could do in the middle of several things, as a file. */
export function middlesFile(): string {
  const lines = CATALOGUE.filter((part) => entriesOf(part).length > 0).map(
    (part) => `  '${part.id}': '${lineOf(probedMiddle(part))}',`,
  );
  return [
    '// Made by scripts/generate.mjs from the catalogue; not for editing.',
    'export const MIDDLES_MADE: Readonly<Record<string, string>> = {',
    ...lines,
    '};',
    '',
  ].join('\n');
}

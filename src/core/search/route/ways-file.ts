import { CATALOGUE } from '../../parts';
import { mate } from '../../plugs';
import { poolOf } from './pool';
import { HALVES, probedWays } from './ways';

/** Every way through every shipped part, as a file: a search would find each anew otherwise, once a page. */
export function waysFile(): string {
  const { parts } = poolOf(CATALOGUE);
  const lines = parts.flatMap((part) => {
    const ways = HALVES.flatMap((half) =>
      part.ports.some((port) => mate(half, port).fits) ? probedWays(part, half) : [],
    );
    return ways.length > 0 ? [`  '${part.id}': '${ways.map((way) => way.join('>')).join('|')}',`] : [];
  });
  return [
    '// Made by scripts/generate.mjs from the catalogue; not for editing.',
    'export const WAYS_MADE: Readonly<Record<string, string>> = {',
    ...lines,
    '};',
    '',
  ].join('\n');
}

import { readFileSync, readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { APPS } from './apps';
import { FINDING_CODES } from './checks';
import { CATALOGUE, PART_FAMILIES } from './parts';

/**
 * What a part, an app or a finding is called stands in parts/, apps/, checks/ and words/ alone. Whoever else knows a name keeps a second
 * table of rules, which the catalogue does not see.
 */
const HOME = /^src\/core\/(parts|apps|checks|words)\//;
/** Examples: the rig that a new user opens, and those that the benchmarks time. */
const EXAMPLES = /^src\/(cli\/(bench|grown)|store\/starter)/;
/** A family has its picture as it has its word. */
const PICTURES = 'src/ui/bench/part-icon.tsx';

const FILES = readdirSync('src', { recursive: true, encoding: 'utf8' })
  .map((name) => `src/${name.replaceAll('\\', '/')}`)
  .filter((name) => /\.tsx?$/.test(name) && !/\.test\.tsx?$|\.generated\./.test(name))
  .filter((name) => !HOME.test(name) && !EXAMPLES.test(name) && name !== PICTURES);

/** Names that are words of another vocabulary too, which is meant where they stand. */
const ALSO: Readonly<Record<string, string>> = {
  supply: 'kind of circuit element; lane of the ladder; ending of a layout',
  headphones: 'kind of cure; ending of a layout',
  microphone: 'contact role; reading of a headset jack',
  hot: 'contact role',
  camera: 'word for a recorder without apps',
};

const NAMES = new Set<string>([
  ...CATALOGUE.map((part) => part.id),
  ...PART_FAMILIES,
  ...FINDING_CODES,
  ...APPS.map((app) => app.id),
]);

/** Setting, choice and port ids that nothing else could mean: of more than one word. */
const OTHER_NAMES = new Set(
  [
    ...CATALOGUE.flatMap((part) => [...part.ports, ...(part.settings ?? [])].map(({ id }) => id)),
    ...APPS.flatMap((app) => app.choices.map(({ id }) => id)),
  ].filter((id) => id.includes('-')),
);

/** Connectors are no names of parts, though a plug's name may be one. */
const CONNECTORS = new Set(CATALOGUE.flatMap((part) => part.ports.map((port) => port.connector as string)));

const code = (file: string): { line: string; at: string }[] =>
  readFileSync(file, 'utf8')
    .split('\n')
    .map((line, index) => ({ line, at: `${file}:${index + 1}` }))
    .filter(({ line }) => !/^\s*(\/\/|\*|\/\*)/.test(line) && !/\bfrom '[^']+';?$/.test(line));

const literals = (line: string): string[] =>
  [...line.matchAll(/'([^'\n]*)'|"([^"\n]*)"|`([^`$\n]*)`/g)].map((m) => m[1] ?? m[2] ?? m[3] ?? '');

/** A comparison of a name of something with a word that is written there. */
const COMPARED =
  /\.(?:id|family|port|setting|choice|app|code|part)\s*[!=]==?\s*['"`]|['"`]\s*[!=]==?\s*[\w.?]+\.(?:id|family|code)\b|\.(?:id|port|name|code)\s*\.(?:startsWith|endsWith|includes|match)\(\s*['"`/]|\.id\s*\.replace\(|\/\.(?:exec|test)\([\w.?]+\.(?:id|port|name)\)/;

const lines = FILES.flatMap(code);

describe('no second table of rules', () => {
  it('reads all of the source: some hundred files', () => {
    expect(FILES.length).toBeGreaterThan(150);
    expect(FILES).toContain('src/core/search/route/wishes.ts');
  });

  it('names no part, family, app or finding', () => {
    const found = lines.flatMap(({ line, at }) =>
      literals(line)
        .filter((word) => NAMES.has(word) && !(word in ALSO))
        .map((word) => `${at} ${word}`),
    );
    expect(found).toEqual([]);
  });

  it('names no port, setting or choice', () => {
    const found = lines.flatMap(({ line, at }) =>
      literals(line)
        .filter((word) => OTHER_NAMES.has(word) && !CONNECTORS.has(word))
        .map((word) => `${at} ${word}`),
    );
    expect(found).toEqual([]);
  });

  it('compares no name with a word', () => {
    expect(
      lines.filter(({ line }) => COMPARED.test(line)).map(({ line, at }) => `${at} ${line.trim()}`),
    ).toEqual([]);
  });

  it('would find one', () => {
    expect("part.id.startsWith('charger')").toMatch(COMPARED);
    expect("port.id === 'charge'").toMatch(COMPARED);
    expect('/^track-/.exec(choice.id)').toMatch(COMPARED);
    expect(literals("findApp(app ?? 'camera-app')").filter((word) => NAMES.has(word))).toEqual([
      'camera-app',
    ]);
  });
});

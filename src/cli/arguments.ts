import { distance } from 'fastest-levenshtein';
import { parseArgs } from 'node:util';
import { oneLine } from '../core/schema';
import COMMANDS from './commands.json';
import { BadInput } from './trouble';

/** A command as it is told of: what it takes, and its options. */
export interface Command {
  readonly name: string;
  readonly takes: readonly string[];
  /** Any number of words may follow. */
  readonly words?: string;
  readonly says: string;
  readonly options: readonly {
    readonly name: string;
    readonly short?: string;
    /** What stands behind it; absent where nothing does. */
    readonly value?: string;
    readonly says: string;
  }[];
  readonly examples: readonly string[];
}

export const commandNamed = (name: string): Command | undefined =>
  (COMMANDS as readonly Command[]).find((command) => command.name === name);

/** Options by their name, with the value of those that have one; and what stands beside them. */
export interface Arguments {
  readonly flags: ReadonlyMap<string, string | undefined>;
  readonly words: readonly string[];
}

/** A command and its arguments on one line. */
export function usageOf({ name, takes, words, options }: Command): string {
  const flags = options.map((option) => {
    const written = option.short === undefined ? `--${option.name}` : `-${option.short}`;
    return `[${written}${option.value === undefined ? '' : ` ${option.value}`}]`;
  });
  return ['symplex', name, ...takes, ...(words === undefined ? [] : [`[${words}]`]), ...flags].join(' ');
}

function unknown(command: Command, written: string): BadInput {
  const known = command.options.map(({ name }) => `--${name}`);
  const [near] = known
    .map((one) => ({ one, far: distance(one, written) }))
    .sort((a, b) => a.far - b.far)
    .filter(({ far }) => far <= 2);
  const guess = near === undefined ? '' : `, did you mean ${near.one}?`;
  return new BadInput(`unknown option ${oneLine(written)}${guess} ${usageOf(command)}`);
}

/** Reads what stands behind a command. Throws `BadInput` where an option is not known, or lacks its value. */
export function readArguments(command: Command, args: readonly string[]): Arguments {
  const options = Object.fromEntries(
    command.options.map(({ name, short, value }) => [
      name,
      { type: value === undefined ? ('boolean' as const) : ('string' as const), ...(short && { short }) },
    ]),
  );
  const { tokens, positionals } = parseArgs({
    args: [...args],
    options,
    allowPositionals: true,
    strict: false,
    tokens: true,
  });
  const flags = new Map<string, string | undefined>();
  for (const token of tokens) {
    if (token.kind !== 'option') continue;
    const option = command.options.find(({ name }) => name === token.name);
    if (!option) throw unknown(command, token.rawName);
    if (option.value !== undefined && token.value === undefined)
      throw new BadInput(`${token.rawName} takes ${option.value}: ${usageOf(command)}`);
    if (option.value === undefined && token.value !== undefined)
      throw new BadInput(`${token.rawName} takes nothing, not ${oneLine(token.value)}: ${usageOf(command)}`);
    flags.set(token.name, token.value);
  }
  return { flags, words: positionals };
}

// What every command is and takes, made from the one list of them (src/cli/commands.json).

/** Those that are no question to the engine. */
const AROUND = [
  {
    name: 'demo',
    takes: [],
    says: 'build, serve and open with the demo rigs',
    options: [{ name: 'port', value: 'N', says: 'the port (4173)' }],
    examples: ['symplex demo'],
  },
  {
    name: 'start',
    takes: [],
    says: 'the same, empty',
    options: [{ name: 'port', value: 'N', says: 'the port (4173)' }],
    examples: ['symplex start --port 8080'],
  },
  {
    name: 'test',
    takes: [],
    says: 'install what tests need, then run all of them',
    options: [],
    examples: ['symplex test'],
  },
];

const heads = ({ name, takes, words }) =>
  ['symplex', name, ...takes, ...(words === undefined ? [] : [`[${words}]`])].join(' ');

const columns = (rows) => {
  const width = Math.max(...rows.map(([head]) => head.length));
  return rows.map(([head, says]) => `  ${head.padEnd(width)}  ${says}`).join('\n');
};

/** Every command on a line. */
export const overview = (commands) =>
  [
    columns([...AROUND, ...commands].map((command) => [heads(command), command.says])),
    '',
    'symplex COMMAND --help tells more; - is standard input; symplex --version.',
    'Exit 0: answered. 1: the answer could not be written. 2: bad input, told in one line. 3: as bad as --fail-on asks about.',
  ].join('\n');

/** One command, its options and examples; undefined where there is none of that name. */
export function helpOf(commands, name) {
  const command = [...AROUND, ...commands].find((one) => one.name === name);
  if (!command) return undefined;
  const options = command.options.map(({ name: option, short, value, says }) => [
    `${short === undefined ? '' : `-${short}, `}--${option}${value === undefined ? '' : ` ${value}`}`,
    says,
  ]);
  return [
    `${heads(command)}${options.length > 0 ? ' [options]' : ''}`,
    `  ${command.says}`,
    ...(options.length > 0 ? ['', columns(options)] : []),
    '',
    'For example',
    ...command.examples.map((example) => `  ${example}`),
  ].join('\n');
}

import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { spiceDeck, type Netlist, type NodeKey } from '../src/core/engine/circuit';

const folder = mkdtempSync(join(tmpdir(), 'symplex-ngspice-'));

/** One thing to ask of a circuit: volts between two nodes for one volt of a source, at one frequency. */
export interface Asked {
  readonly source: string;
  readonly plus: NodeKey;
  readonly minus: NodeKey;
  readonly hertz: number;
}

/** The magnitudes that ngspice (Debian) finds, one run a source. */
export function byNgspice(netlist: Netlist, questions: readonly Asked[]): number[] {
  const deck = spiceDeck(netlist, () => true);
  const found = new Map<Asked, number>();
  for (const source of new Set(questions.map((q) => q.source))) {
    const own = questions.filter((q) => q.source === source);
    const drive = deck.sources.get(source) ?? '';
    const ask = ({ plus, minus, hertz }: Asked) => {
      const [p, m] = [deck.name(plus) ?? '0', deck.name(minus) ?? '0'];
      const out = m === '0' ? `v(${p})` : p === '0' ? `v(${m})` : `v(${p})-v(${m})`;
      return p === m ? ['print 0'] : [`ac lin 1 ${hertz} ${hertz}`, `print mag(${out})`];
    };
    const path = join(folder, 'deck.cir');
    writeFileSync(
      path,
      [
        '* symplex',
        ...deck.lines.map((line) => (line.startsWith(`${drive} `) ? line.replace('AC 0', 'AC 1') : line)),
        '.options temp=16.85 reltol=1e-9 abstol=1e-18 gmin=1e-18',
        '.control',
        'set numdgt=12',
        ...own.flatMap(ask),
        'quit',
        '.endc',
        '.end',
        '',
      ].join('\n'),
    );
    const text = execFileSync('ngspice', ['-b', path], {
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    const values = [...text.matchAll(/^\S.* = (-?[\d.]+e[+-]\d+)\s*$/gm)].map((match) => Number(match[1]));
    if (values.length !== own.length) throw new Error(`ngspice said:\n${text}`);
    for (const [index, question] of own.entries()) found.set(question, values[index] ?? NaN);
  }
  return questions.map((question) => found.get(question) ?? NaN);
}

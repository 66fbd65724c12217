import { blocks } from './blocks';
import { electretCurrent } from './excite';
import type { Netlist } from './netlist';
import type { NodeKey } from './node-key';
import { mergeNets, type Branch, type Nets } from './nets';
import { FOUR_K_T } from './noise-answers';
import { SOURCE_RESISTANCE } from './system';
import { HIGHEST, LOWEST } from './third-octaves';

/** A netlist with the names that its nets bear in it. */
export interface SpiceDeck {
  /** Elements only: no title, no analysis, no `.end`. */
  readonly lines: readonly string[];
  readonly name: (node: NodeKey) => string | undefined;
  /** The voltage source of each sound source that is not an electret, by its id. */
  readonly sources: ReadonlyMap<string, string>;
}

/** Keeps nets that direct current does not reach from having no voltage at all. */
const LEAK_OHMS = 1e12;
/** In series with the part of an electret that is there for direct current only. */
const CHOKE_HENRIES = 1e6;

/** The resistor whose thermal noise has this level, dBV over 20 Hz–20 kHz. */
const noiseResistor = (level: number): number => 10 ** (level / 10) / (HIGHEST - LOWEST) / FOUR_K_T;

interface Writer {
  readonly lines: string[];
  readonly net: (index: number) => string;
  readonly paths: Netlist['paths'];
  readonly senses: ReadonlyMap<string, number>;
  readonly alive: (source: string) => boolean;
}

function writeElectret(w: Writer, branch: Extract<Branch, { kind: 'electret' }>, id: number): void {
  const [a, b] = [w.net(branch.from), w.net(branch.to)];
  const { dcResistance, acResistance } = branch.capsule;
  w.lines.push(
    `R${id} ${a} ${b} ${acResistance} noisy=0`,
    `R${id}d ${a} x${id} ${1 / (1 / dcResistance - 1 / acResistance)} noisy=0`,
    `L${id} x${id} ${b} ${CHOKE_HENRIES}`,
  );
  if (w.alive(branch.id)) w.lines.push(`G${id} ${b} ${a} e${id} 0 ${electretCurrent(branch)}`);
  w.lines.push(`V${id} e${id} 0 DC 0 AC 0`, `R${id}e e${id} 0 1 noisy=0`);
}

function writeDrive(w: Writer, branch: Extract<Branch, { kind: 'drive' }>, id: number): void {
  let below = w.net(branch.to);
  for (const [index, path] of w.paths.filter((p) => p.to === branch.id).entries()) {
    const sense = w.senses.get(path.from);
    if (sense === undefined) continue;
    const above = `d${id}_${index}`;
    w.lines.push(`E${id}_${index} ${above} ${below} s${sense} 0 ${path.gain}`);
    below = above;
  }
  w.lines.push(`R${id} ${w.net(branch.from)} ${below} ${branch.ohms}`);
}

function writeSense(w: Writer, branch: Extract<Branch, { kind: 'sense' }>, id: number): void {
  const [a, b] = [w.net(branch.from), w.net(branch.to)];
  w.lines.push(
    `R${id} ${a} ${b} ${branch.ohms}`,
    `R${id}n q${id} 0 ${noiseResistor(branch.noise)}`,
    `E${id} u${id} t${id} ${a} ${b} 1`,
    `E${id}n t${id} 0 q${id} 0 1`,
    // Stages pass no direct current.
    `C${id} u${id} s${id} 1e-3`,
    `R${id}b s${id} 0 1e9 noisy=0`,
  );
}

function writeBranch(w: Writer, branch: Branch, id: number): void {
  const [a, b] = [w.net(branch.from), w.net(branch.to)];
  switch (branch.kind) {
    case 'resistor':
      w.lines.push(`R${id} ${a} ${b} ${branch.ohms}`);
      break;
    case 'capacitor':
      w.lines.push(`C${id} ${a} ${b} ${branch.farads}`);
      break;
    case 'inductor':
      w.lines.push(`L${id} ${a} x${id} ${branch.henries}`, `R${id} x${id} ${b} ${SOURCE_RESISTANCE} noisy=0`);
      break;
    case 'supply':
      w.lines.push(
        `V${id} x${id} ${b} DC ${branch.volts}`,
        `R${id} x${id} ${a} ${SOURCE_RESISTANCE} noisy=0`,
      );
      break;
    case 'signal':
      w.lines.push(`V${id} ${a} ${b} DC 0 AC 0`);
      break;
    case 'transformer': {
      const [c, d] = [w.net(branch.winding?.from ?? 0), w.net(branch.winding?.to ?? 0)];
      w.lines.push(
        `V${id} ${c} x${id} DC 0`,
        `E${id} x${id} ${d} ${a} ${b} ${branch.ratio}`,
        `F${id} ${a} ${b} V${id} ${-branch.ratio}`,
      );
      break;
    }
    case 'electret':
      writeElectret(w, branch, id);
      break;
    case 'drive':
      writeDrive(w, branch, id);
      break;
    case 'sense':
      writeSense(w, branch, id);
      break;
  }
}

/** One ground for each conducting part, as the engine has it; parts that only capacitors join get a leak instead. */
function netNames(nets: Nets): { name: (net: number) => string; leaks: string[] } {
  const grounded = blocks(nets, nets.branches).references;
  const name = (net: number) => (grounded.has(net) ? '0' : `n${net}`);
  const direct = blocks(
    nets,
    nets.branches.filter((branch) => branch.kind !== 'capacitor'),
  );
  const leaks = [...direct.references]
    .filter((net) => !grounded.has(net))
    .map((net) => `Rleak${net} ${name(net)} 0 ${LEAK_OHMS} noisy=0`);
  return { name, leaks };
}

/** The circuit as a SPICE netlist, element for element; `alive` says which capsules have their bias. */
export function spiceDeck(netlist: Netlist, alive: (source: string) => boolean): SpiceDeck {
  const nets = mergeNets(netlist);
  const { name, leaks } = netNames(nets);
  const senses = new Map(
    nets.branches.flatMap((branch, id) => (branch.kind === 'sense' ? [[branch.id, id] as const] : [])),
  );
  const writer: Writer = { lines: [], net: name, paths: netlist.paths, senses, alive };
  for (const [id, branch] of nets.branches.entries()) writeBranch(writer, branch, id);
  const sources = nets.branches.flatMap((branch, id) =>
    branch.kind === 'signal' || branch.kind === 'electret' ? [[branch.id, `V${id}`] as const] : [],
  );
  return {
    lines: [...writer.lines, ...leaks],
    name: (node) => {
      const net = nets.of(node);
      return net === undefined ? undefined : name(net);
    },
    sources: new Map(sources),
  };
}

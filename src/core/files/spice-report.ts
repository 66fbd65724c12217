import {
  NOISE_TEMPERATURE,
  isAlive,
  mergeNets,
  nodeKey,
  solveDirect,
  spiceDeck,
  type Netlist,
} from '../engine/circuit';
import { allFacts } from '../engine';
import { laidParts, type Rig } from '../rig';

function netlistOf(rig: Rig): Netlist {
  const { netlist } = allFacts(rig)[0];
  return netlist;
}

/** Where a converter listens: the first channel of the first input in the rig. */
function firstChannel(rig: Rig) {
  for (const { placed, part } of laidParts(rig)) {
    const channel = part.captures?.[0]?.channels[0];
    if (channel) return { plus: nodeKey(placed.id, channel.plus), minus: nodeKey(placed.id, channel.minus) };
  }
  return undefined;
}

function soundingIn(netlist: Netlist): (id: string) => boolean {
  const nets = mergeNets(netlist);
  const direct = solveDirect(nets);
  const dead = new Set(
    nets.branches.flatMap((branch) =>
      (branch.kind === 'electret' || branch.kind === 'signal') && !isAlive(branch, nets, direct)
        ? [branch.id]
        : [],
    ),
  );
  return (id) => !dead.has(id);
}

/**
 * The rig's circuit, likeliest reading of its joints, as a netlist that a SPICE simulator runs in batch: operating
 * point, sweep and noise from the first intended source to the first converter channel.
 */
export function spiceReport(rig: Rig): string {
  const netlist = netlistOf(rig);
  const deck = spiceDeck(netlist, soundingIn(netlist));
  const out = firstChannel(rig);
  const source = [...deck.sources].find(([id]) => rig.purpose.sources.some((s) => id.startsWith(`${s}/`)));
  const nodes = netlist.elements.flatMap((e) => [e.a, e.b]);
  const names = [...new Set(nodes)].flatMap((node) => {
    const name = deck.name(node);
    return name === undefined ? [] : [`* ${name} = ${node}`];
  });
  const lines = deck.lines.map((line) =>
    source && line.startsWith(`${source[1]} `) ? line.replace('AC 0', 'AC 1') : line,
  );
  const analyses =
    out && source
      ? [
          `Eout out 0 ${deck.name(out.plus) ?? '0'} ${deck.name(out.minus) ?? '0'} 1`,
          'Rout out 0 1e9 noisy=0',
          '.control',
          'op',
          'print all',
          'ac dec 10 20 20k',
          'print vm(out)',
          `noise v(out) ${source[1]} dec 10 20 20k`,
          'setplot noise2',
          'print onoise_total',
          'quit',
          '.endc',
        ]
      : ['.op'];
  return [
    `* ${rig.name.replace(/\s+/g, ' ')}: circuit of the rig, from Symplex`,
    ...names,
    ...lines,
    ...analyses,
    `.options temp=${NOISE_TEMPERATURE - 273.15}`,
    '.end',
    '',
  ].join('\n');
}

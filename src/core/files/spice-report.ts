import {
  NOISE_TEMPERATURE,
  isAlive,
  mergeNets,
  nodeKey,
  solveDirect,
  spiceDeck,
  type Netlist,
} from '../engine/circuit';
import { allFacts, type Facts } from '../engine';
import type { Rig } from '../rig';

/** Where a converter listens. */
interface Ear {
  readonly recorder: string;
  readonly records: string;
  readonly channel: number;
  readonly plus: string;
  readonly minus: string;
}

/** Every channel of every input that a recorder of the rig could take, those that it does take first. */
function earsOf({ rig, inputs, arrivals }: Facts): Ear[] {
  const taken = new Set(arrivals.map(({ recorder, records }) => `${recorder} ${records}`));
  const ears = inputs
    .filter(({ host }) => rig.purpose.recorders.includes(host))
    .flatMap(({ host, placed, capture }) =>
      capture.channels.map(({ plus, minus }, index): Ear => ({
        recorder: host,
        records: `${placed}/${capture.id}`,
        channel: index + 1,
        plus: nodeKey(placed, plus),
        minus: nodeKey(placed, minus),
      })),
    );
  const isTaken = ({ recorder, records }: Ear) => taken.has(`${recorder} ${records}`);
  return [...ears.filter(isTaken), ...ears.filter((ear) => !isTaken(ear))];
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
 * point, sweep and noise from the first intended source to the first channel that is recorded. Comments say which node is which contact,
 * and between which nodes each channel of each recorder listens.
 */
export function spiceReport(rig: Rig): string {
  const [facts] = allFacts(rig);
  const { netlist } = facts;
  const deck = spiceDeck(netlist, soundingIn(netlist));
  const ears = earsOf(facts);
  const [out] = ears;
  const source = [...deck.sources].find(([id]) => rig.purpose.sources.some((s) => id.startsWith(`${s}/`)));
  const nodes = netlist.elements.flatMap((e) => [e.a, e.b]);
  const names = [...new Set(nodes)].flatMap((node) => {
    const name = deck.name(node);
    return name === undefined ? [] : [`* ${name} = ${node}`];
  });
  const between = ({ plus, minus }: Ear) => `v(${deck.name(plus) ?? '0'},${deck.name(minus) ?? '0'})`;
  const heard = ears.map(
    (ear) => `* channel ${ear.channel} of ${ear.records} at ${ear.recorder} = ${between(ear)}`,
  );
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
    ...heard,
    ...lines,
    ...analyses,
    `.options temp=${NOISE_TEMPERATURE - 273.15}`,
    '.end',
    '',
  ].join('\n');
}

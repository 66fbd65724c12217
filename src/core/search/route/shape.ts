import type { PortRef } from '../../rig';
import type { Layout } from './layout';
import type { RouteRequest } from './request';

/** A name reaches so many joints far. */
const MOST_ROUNDS = 6;

/**
 * What layouts are, whatever their pieces are called: two of one shape are the same rig with like things exchanged, such as two packs at
 * the two sockets of a splitter. A piece is named by what it is, then by that and what hangs on each of its ports, and so on outward
 * (the refinement of Weisfeiler and Leman, from memory): it tells trees apart, and layouts are trees or nearly.
 */
export class Shapes {
  private readonly codes = new Map<string, number>();

  /** Sources of which the request says the same but for what they are called may be exchanged, and recorders. */
  constructor(private readonly request: RouteRequest) {}

  private codeOf(name: string): number {
    const code = this.codes.get(name) ?? this.codes.size;
    this.codes.set(name, code);
    return code;
  }

  private asked({ sources, recorders, given, carried }: Layout, id: string): unknown {
    if (id === given) return 'given';
    if (carried?.includes(id)) return 'carried';
    const asked =
      this.request.sources[sources.indexOf(id)] ?? this.request.destinations[recorders.indexOf(id)];
    return asked && { ...asked, label: undefined };
  }

  of(layout: Layout): string {
    const { pieces, joints } = layout;
    let names = new Map(
      pieces.map((piece) => {
        const { id, part, length, settings, app } = piece;
        return [id, this.codeOf(JSON.stringify([part.id, length, app, settings, this.asked(layout, id)]))];
      }),
    );
    const ports = new Map(
      pieces.map(({ id, part }) => [id, new Map(part.ports.map((port) => [port.id, port.alike ?? port.id]))]),
    );
    // Ports that are as good as one another are one.
    const kindOf = ({ part, port }: PortRef) => ports.get(part)?.get(port) ?? port;
    for (let round = 0; round < Math.min(MOST_ROUNDS, pieces.length); round += 1) {
      const around = new Map<string, string[]>(pieces.map(({ id }) => [id, []]));
      for (const { plug, jack } of joints) {
        const [own, far] = [kindOf(plug), kindOf(jack)];
        around.get(plug.part)?.push(`${own} ${far} ${names.get(jack.part)}`);
        around.get(jack.part)?.push(`${far} ${own} ${names.get(plug.part)}`);
      }
      names = new Map(
        pieces.map(({ id }) => [
          id,
          this.codeOf(`${names.get(id)}(${(around.get(id) ?? []).sort().join()})`),
        ]),
      );
    }
    return [...names.values()].sort((a, b) => a - b).join(' ');
  }
}

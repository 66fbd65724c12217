import { magnitude, nodeKey, type AlternatingSolution, type Nets, type SoundSource } from '../circuit';
import type { LaidPart } from '../rig';

/** What a pair of earpieces hears: the sides on which each playing device arrives. */
export interface Listener {
  readonly listener: string;
  readonly hears: readonly { readonly device: string; readonly sides: 'both' | 'left' | 'right' }[];
}

/** Under this share of the device's own voltage an earpiece counts as silent. A limit of our own. */
const HEARD_FROM = 0.01;

function heardFrom(context: ListenContext, laid: LaidPart, device: string): ('left' | 'right')[] {
  const sources = context.sources.filter((s) => s.placed === device);
  return (laid.part.ears ?? []).flatMap((ear) => {
    const plus = context.nets.of(nodeKey(laid.placed.id, ear.plus));
    const minus = context.nets.of(nodeKey(laid.placed.id, ear.minus));
    const heard = sources.some((s) => {
      const gain = context.alternating.gain(s.id, plus, minus);
      return gain !== undefined && magnitude(gain) >= HEARD_FROM;
    });
    return heard ? [ear.side] : [];
  });
}

export interface ListenContext {
  readonly nets: Nets;
  readonly alternating: AlternatingSolution;
  /** The playback outputs of the rig. */
  readonly sources: readonly SoundSource[];
}

/** Every pair of earpieces in the rig with the playback that reaches it. */
export function listeners(context: ListenContext, laid: readonly LaidPart[]): Listener[] {
  const devices = [...new Set(context.sources.map((s) => s.placed))];
  return laid
    .filter((l) => l.part.ears)
    .map((l) => ({
      listener: l.placed.id,
      hears: devices.flatMap((device) => {
        const [first, second] = heardFrom(context, l, device);
        return first === undefined
          ? []
          : [{ device, sides: second === undefined ? first : ('both' as const) }];
      }),
    }));
}

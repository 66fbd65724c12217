import type { SoundSource } from './excite';
import type { DirectSolution } from './direct';
import type { Nets } from './nets';

/** What a source must be fed with to sound: two nets, and the least direct voltage from the second to the first. */
export function feedOf(source: SoundSource) {
  if (source.kind === 'electret') {
    return { plus: source.a, minus: source.b, volts: source.capsule.minimumBias };
  }
  return source.needs;
}

/** A capsule sounds while its plug-in power or phantom suffices; sources that need none always do. */
export function isAlive(source: SoundSource, nets: Nets, direct: DirectSolution): boolean {
  const feed = feedOf(source);
  if (!feed) return true;
  return (direct.between(nets.of(feed.plus), nets.of(feed.minus)) ?? 0) >= feed.volts;
}

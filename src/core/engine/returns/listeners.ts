import { magnitude, nodeKey, type AlternatingSolution, type Nets, type SoundSource } from '../circuit';
import type { AttachedDevice } from '../bus';
import { choiceOf, type LaidPart } from '../../rig';
import { dbV, gainToDb, type DbV } from '../../units';
import type { Arrival } from '../flow/arrivals';
import type { VoiceSource } from '../flow/sources';

type EarSides = 'both' | 'left' | 'right';

/** An intended source in somebody's ears: past the recorder (`direct`), or played back by its app. */
export interface HeardSource {
  readonly source: string;
  readonly sides: EarSides;
  readonly by: 'direct' | 'app';
}

/** What a pair of earpieces hears: the playback of hosts, and the intended sources. */
export interface Listener {
  readonly listener: string;
  /** `device` is the host that plays. */
  readonly hears: readonly { readonly device: string; readonly sides: EarSides }[];
  readonly sources: readonly HeardSource[];
  /** Hosts whose own output it is plugged to while their playback comes out of another part. */
  readonly moved: readonly { readonly device: string; readonly to: string }[];
}

/** Under this share of the device's own voltage an earpiece counts as silent. A limit of our own. */
const HEARD_FROM = 0.01;
/** Speech at an earpiece under this, dBV, is not heard. A limit of our own: about 55 dB SPL in usual headphones. */
export const HEARD_LEVEL: DbV = dbV(-60);

export interface ListenContext {
  readonly nets: Nets;
  readonly alternating: AlternatingSolution;
  /** The playback outputs of the rig. */
  readonly playing: readonly SoundSource[];
  readonly voices: readonly VoiceSource[];
  readonly arrivals: readonly Arrival[];
  readonly laid: ReadonlyMap<string, LaidPart>;
  readonly playsAt: ReadonlyMap<string, string>;
  readonly sources: readonly string[];
}

/**
 * Where the playback of each host comes out: its own output, or the sound device that it took. Key: the part that plays;
 * value: the host.
 */
export function playbackPlaces(
  laid: ReadonlyMap<string, LaidPart>,
  devices: readonly AttachedDevice[],
): ReadonlyMap<string, string> {
  const places = new Map<string, string>();
  for (const [id, { part }] of laid) {
    if (!part.host) continue;
    const device = devices.find((d) => d.host === id && d.accepted && d.device.plays);
    places.set(device?.placed ?? id, id);
  }
  return places;
}

const sided = (sides: readonly ('left' | 'right')[]): EarSides | undefined =>
  sides.length > 1 ? 'both' : sides[0];

/** On which sides something is heard, by the voltage across each earpiece. */
function sidesHeard(
  context: ListenContext,
  { placed, part }: LaidPart,
  test: (plus: number | undefined, minus: number | undefined) => boolean,
): EarSides | undefined {
  const net = (node: string) => context.nets.of(nodeKey(placed.id, node));
  const heard = (part.ears ?? []).filter((ear) => test(net(ear.plus), net(ear.minus)));
  return sided([...new Set(heard.map((ear) => ear.side))]);
}

function playbackHeard(context: ListenContext, listener: LaidPart, playing: string): EarSides | undefined {
  const outputs = context.playing.filter((s) => s.placed === playing);
  return sidesHeard(context, listener, (plus, minus) =>
    outputs.some((s) => {
      const gain = context.alternating.gain(s.id, plus, minus);
      return gain !== undefined && magnitude(gain) >= HEARD_FROM;
    }),
  );
}

function directlyHeard(context: ListenContext, listener: LaidPart, source: string): EarSides | undefined {
  const voices = context.voices.filter((v) => v.placed === source);
  return sidesHeard(context, listener, (plus, minus) =>
    voices.some((voice) => {
      const gain = context.alternating.gain(voice.id, plus, minus);
      return gain !== undefined && voice.level + gainToDb(magnitude(gain)) >= HEARD_LEVEL;
    }),
  );
}

/** Whether the app on a host plays back what it records. */
const monitors = (host: LaidPart | undefined): boolean =>
  host !== undefined && choiceOf(host.placed, 'monitor') === 'on';

function listenerOf(context: ListenContext, listener: LaidPart): Listener {
  const parts = [...new Set(context.playing.map((s) => s.placed))];
  const heard = parts.flatMap((playing) => {
    const sides = playbackHeard(context, listener, playing);
    return sides ? [{ playing, sides }] : [];
  });
  const hears = heard.flatMap(({ playing, sides }) => {
    const device = context.playsAt.get(playing);
    return device === undefined ? [] : [{ device, sides }];
  });
  const moved = heard.flatMap(({ playing }) => {
    const to = [...context.playsAt].find(([, host]) => host === playing)?.[0];
    return to === undefined || to === playing ? [] : [{ device: playing, to }];
  });
  const sources = context.sources.flatMap((source): HeardSource[] => {
    const direct = directlyHeard(context, listener, source);
    const back = hears.find(
      ({ device }) =>
        monitors(context.laid.get(device)) &&
        context.arrivals.some((a) => a.recorder === device && a.source === source && a.state === 'recorded'),
    );
    return [
      ...(direct ? [{ source, sides: direct, by: 'direct' as const }] : []),
      ...(back ? [{ source, sides: back.sides, by: 'app' as const }] : []),
    ];
  });
  return { listener: listener.placed.id, hears, sources, moved };
}

/** Every pair of earpieces in the rig with what reaches it. */
export const listeners = (context: ListenContext): Listener[] =>
  [...context.laid.values()].filter((l) => l.part.ears).map((l) => listenerOf(context, l));

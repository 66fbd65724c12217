import {
  magnitude,
  nodeKey,
  plus,
  type AlternatingSolution,
  type Nets,
  type Phasor,
  type SoundSource,
} from '../circuit';
import type { AttachedDevice } from '../bus';
import { monitoringOf } from '../flow/policy';
import type { LaidPart } from '../../rig';
import { dbV, decibels, gainToDb, type DbV, type Decibels } from '../../units';
import type { Arrival } from '../flow/arrivals';
import type { VoiceSource } from '../flow/sources';

type EarSides = 'both' | 'left' | 'right';

/** An intended source in somebody's ears: past the recorder (`direct`), or played back by its app. */
export interface HeardSource {
  readonly source: string;
  readonly sides: EarSides;
  readonly by: 'direct' | 'app';
}

/** A host's playback in somebody's ears. */
export interface HeardDevice {
  readonly device: string;
  readonly sides: EarSides;
  /** What both sides of the playback have in common, in the earpiece that has most of it, against either side alone, dB. */
  readonly common: Decibels;
}

/** What a pair of earpieces hears: the playback of hosts, and the intended sources. */
export interface Listener {
  readonly listener: string;
  readonly hears: readonly HeardDevice[];
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

/** On which sides a device's playback is heard, and how much of what both sides have in common. */
function playbackHeard(
  context: ListenContext,
  listener: LaidPart,
  playing: string,
): Omit<HeardDevice, 'device'> | undefined {
  const outputs = context.playing.filter((s) => s.placed === playing);
  const gainsAt = (plus: number | undefined, minus: number | undefined): Phasor[] =>
    outputs.flatMap((s) => context.alternating.gain(s.id, plus, minus) ?? []);
  let common = -Infinity;
  const sides = sidesHeard(context, listener, (plusNet, minusNet) => {
    const gains = gainsAt(plusNet, minusNet).filter((gain) => magnitude(gain) >= HEARD_FROM);
    if (gains.length === 0) return false;
    const loudest = Math.max(...gains.map(magnitude));
    const sum = gains.reduce(plus, { re: 0, im: 0 });
    common = Math.max(common, gainToDb(magnitude(sum) / loudest));
    return true;
  });
  return sides && { sides, common: decibels(common) };
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

function listenerOf(context: ListenContext, listener: LaidPart): Listener {
  const parts = [...new Set(context.playing.map((s) => s.placed))];
  const heard = parts.flatMap((playing) => {
    const found = playbackHeard(context, listener, playing);
    return found ? [{ playing, ...found }] : [];
  });
  const hears = heard.flatMap(({ playing, sides, common }) => {
    const device = context.playsAt.get(playing);
    return device === undefined ? [] : [{ device, sides, common }];
  });
  const moved = heard.flatMap(({ playing }) => {
    const to = [...context.playsAt].find(([, host]) => host === playing)?.[0];
    return to === undefined || to === playing ? [] : [{ device: playing, to }];
  });
  const sources = context.sources.flatMap((source): HeardSource[] => {
    const direct = directlyHeard(context, listener, source);
    const back = hears.find(
      ({ device }) =>
        monitoringOf(context.laid.get(device))?.on === true &&
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

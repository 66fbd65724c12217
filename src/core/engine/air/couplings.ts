import type { Facts } from '../facts';
import { figureOf, magnitude, plus, nodeKey, REFERENCE_FREQUENCY, type SoundSource } from '../circuit';
import { monitoringOf } from '../flow';
import { gainToDb, PASCAL_SPL, type Hertz } from '../../units';
import type { LaidPart, Placing, Room } from '../../rig';
import type { PolarPattern } from '../../parts';
import { diffuseShare, patternGain } from './patterns';
import { reverberant, USUAL_ROOM } from './room';

/** Where a loudspeaker stands to a microphone, where the rig does not say: 2 m away, at its side. Ours. */
export const USUAL_PLACING = { metres: 2, degrees: 90 } as const;
/** Speed of sound at 20 °C, m/s. */
export const SOUND = 343;

/** A loudspeaker that is heard by a microphone through the air. */
export interface Coupling {
  readonly speaker: string;
  readonly microphone: string;
  /** The source in the circuit that hears. */
  readonly source: string;
  readonly placing: Required<Pick<Placing, 'metres' | 'degrees'>>;
  /** Whether the rig says where it stands. */
  readonly said: boolean;
  /** From volts at the loudspeaker’s terminals to volts of the source’s own, linear: direct sound and that of the room by power. */
  readonly gain: number;
  readonly delayMs: number;
}

/** Power of a source at a microphone against its own on the axis 1 m before it: direct sound, and that of the room. */
export function soundAt(
  pattern: PolarPattern,
  { metres, degrees }: { readonly metres: number; readonly degrees: number },
  room: Required<Room>,
  directivity: number,
): { readonly direct: number; readonly diffuse: number } {
  return {
    direct: (patternGain(pattern, degrees) / metres) ** 2,
    diffuse: reverberant(room, directivity) * diffuseShare(pattern),
  };
}

export const speakersOf = (facts: Facts): LaidPart[] =>
  [...facts.laid.values()].filter(({ part }) => part.speaker);

const hearsVoice = (source: SoundSource): boolean => source.kind === 'electret' || source.hears === 'voice';

const sensitivityOf = (source: SoundSource): number =>
  source.kind === 'electret' ? source.capsule.sensitivity : source.sensitivity;

/** The sound sources of the circuit that stand in the air. */
export const microphonesOf = (facts: Facts): SoundSource[] =>
  facts.nets.branches.filter(
    (branch): branch is SoundSource =>
      (branch.kind === 'signal' || branch.kind === 'electret') && hearsVoice(branch),
  );

function couple(facts: Facts, laid: LaidPart, source: SoundSource): Coupling[] {
  const { speaker } = laid.part;
  const microphone = facts.laid.get(source.placed);
  const sensitivity = sensitivityOf(source);
  if (!speaker || !microphone || !Number.isFinite(sensitivity)) return [];
  const { air, room } = facts.rig.surroundings;
  const said = air?.find((a) => a.speaker === laid.placed.id && a.microphone === source.placed);
  const placing = {
    metres: said?.metres ?? USUAL_PLACING.metres,
    degrees: said?.degrees ?? USUAL_PLACING.degrees,
  };
  const { direct, diffuse } = soundAt(
    microphone.part.pattern ?? 'omni',
    placing,
    { ...USUAL_ROOM, ...room },
    speaker.directivity,
  );
  const spl = speaker.spl + (speaker.gain === undefined ? 0 : figureOf(speaker.gain, laid));
  const level = spl - PASCAL_SPL + sensitivity + 10 * Math.log10(direct + diffuse);
  return [
    {
      speaker: laid.placed.id,
      microphone: source.placed,
      source: source.id,
      placing,
      said: said !== undefined,
      gain: 10 ** (level / 20),
      delayMs: (placing.metres / SOUND) * 1000,
    },
  ];
}

const known = new WeakMap<Facts, readonly Coupling[]>();

/** Every way from a loudspeaker through the air into a microphone. */
export function couplings(facts: Facts): readonly Coupling[] {
  const found = known.get(facts);
  if (found) return found;
  const speakers = speakersOf(facts);
  const made =
    speakers.length === 0
      ? []
      : speakers.flatMap((s) => microphonesOf(facts).flatMap((m) => couple(facts, s, m)));
  known.set(facts, made);
  return made;
}

export const terminals = (facts: Facts, speaker: string) => {
  const ends = facts.laid.get(speaker)?.part.speaker;
  const net = (node: string | undefined) => facts.nets.of(nodeKey(speaker, node ?? ''));
  return [net(ends?.plus), net(ends?.minus)] as const;
};

/** Gain from sources of the circuit that give one sound to a loudspeaker’s terminals, linear: they add as amplitudes. */
export function toSpeaker(
  facts: Facts,
  sources: string | readonly string[],
  speaker: string,
  at = REFERENCE_FREQUENCY,
): number {
  const [one, other] = terminals(facts, speaker);
  // A part of one's own may name a node that it does not have.
  if (one === undefined || other === undefined) return 0;
  const gains = [sources].flat().flatMap((source) => facts.alternatingAt(at).gain(source, one, other) ?? []);
  return magnitude(gains.reduce(plus, { re: 0, im: 0 }));
}

/** The same by way of an app that plays its input back: into the converter, and out again. */
function throughApps(facts: Facts, source: string, speaker: string, at: Hertz): number {
  return facts.inputs
    .filter(
      ({ host, accepted, plugged, on }) =>
        accepted && plugged && on && monitoringOf(facts.laid.get(host))?.on === true,
    )
    .flatMap((input) =>
      input.channels.flatMap((channel) => {
        const spec = input.capture.channels[channel.number - 1];
        const net = (node: string | undefined) => facts.nets.of(nodeKey(input.placed, node ?? ''));
        const taken = facts.alternatingAt(at).gain(source, net(spec?.plus), net(spec?.minus));
        if (!taken) return [];
        const outputs = facts.playing.filter(
          (s) => facts.playsAt.get(s.placed) === input.host && s.kind === 'signal',
        );
        const played = outputs.map(
          (s) => (s.kind === 'signal' ? s.sensitivity : 0) + gainToDb(toSpeaker(facts, s.id, speaker, at)),
        );
        return [magnitude(taken) * 10 ** ((Math.max(-Infinity, ...played) - channel.fullScale) / 20)];
      }),
    )
    .reduce((sum, gain) => sum + gain, 0);
}

/** From a microphone’s own volts to a loudspeaker’s terminals, past the recorders and through their apps. */
export const backTo = (facts: Facts, source: string, speaker: string, at = REFERENCE_FREQUENCY): number =>
  toSpeaker(facts, source, speaker, at) + throughApps(facts, source, speaker, at);

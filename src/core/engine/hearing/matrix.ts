import { appOf, chooseInput, heardBy, PLAYED_CREST, SPEECH_CREST, wayInto, type VoiceSource } from '../flow';
import type { Facts } from '../facts';
import { magnitude, nodeKey, plus as add } from '../circuit';
import { HEARD_LEVEL } from '../returns';
import { dbV, gainToDb, SINE_CREST } from '../../units';
import { couplings, toSpeaker, voicesOfPerson, type MouthVoice } from '../air';
import { peopleOf } from '../../rig';
import { listensAt } from '../earth';
import { appDelay, fixed, networkDelay, plusRange, type Delay } from './delays';

/** Who hears: a pair of ears in the room, a person there, somebody at the far end of an app, or a recording. */
export interface Hearer {
  readonly id: string;
  readonly is: 'ears' | 'person' | 'caller' | 'recording';
}

/** Who is heard: a source of the rig, a person in the room, or somebody at the far end of an app. */
export interface Speaker {
  readonly id: string;
  readonly is: 'source' | 'person' | 'caller';
}

/**
 * `late`: one's own voice comes back as an echo. `twice`: past the recorder and once more by its app, more than ten milliseconds
 * apart; at a device by two microphones, the direct sound of both nearly alike. `alone`: nothing of one's own comes back, as it should be.
 */
export type HearState = 'hears' | 'quiet' | 'late' | 'twice' | 'not' | 'alone';

/** One speaker as one hearer has them. */
export interface Heard {
  readonly listener: string;
  readonly voice: string;
  readonly state: HearState;
  /** RMS dBV in ears, dB SPL of loudspeakers at a person, peaks in dBFS at a device; −Infinity where nothing comes. */
  readonly level: number;
  readonly delay: Delay;
  /** Heard twice: how far the two are apart, ms, typical. */
  readonly apart?: number;
  /** Heard twice by two microphones: the one that is not the nearer, and how far its direct sound lies under, dB. */
  readonly also?: { readonly microphone: string; readonly under: number };
  /** Parts that it goes through, from the speaker on. */
  readonly path: readonly string[];
}

export interface Hearing {
  readonly hearers: readonly Hearer[];
  readonly speakers: readonly Speaker[];
  readonly cells: readonly Heard[];
}

/** Peaks at a device from which somebody is heard, and under which nothing is: our own limits, dBFS. */
const HEARD_DBFS = -50;
const LOST_DBFS = -75;
/** The same in ears under what is heard there, dB. */
const LOST_UNDER = 20;
/** A caller’s peaks lie so far under full scale: common practice. */
const CALLER_PEAKS = -12;
/** Two ways of one sound further apart than this are heard as two, ms: about a singer’s limit, from memory. */
export const TWICE_FROM = 10;

/** Three times as far from the other microphone, dB: the three-to-one rule. Common practice. */
export const APART_ENOUGH = 20 * Math.log10(3);
/** Closer in time, ms, the first gap lies over 5 kHz, past what speech is made of. Computed. */
const ALIGNED = 0.1;

const isCaller = (facts: Facts, host: string): boolean => {
  const laid = facts.laid.get(host);
  return laid !== undefined && appOf(laid)?.farEnd === true;
};

/** What a host plays, as loud as people speak there. A call is one sound on both sides, and adds as amplitudes wherever they meet. */
const playedBy = (facts: Facts, host: string): Voice[] =>
  facts.playing.flatMap((s) =>
    s.kind === 'signal' && facts.playsAt.get(s.placed) === host && Number.isFinite(s.sensitivity)
      ? [
          {
            id: s.id,
            placed: host,
            level: dbV(s.sensitivity + SINE_CREST + CALLER_PEAKS - SPEECH_CREST),
            noise: dbV(-Infinity),
            crest: SPEECH_CREST,
            band: [200, 6300],
            ...(isCaller(facts, host) && { sound: host }),
          },
        ]
      : [],
  );

export function voicesOf(facts: Facts, { id, is }: Speaker): Voice[] {
  if (is === 'caller') return playedBy(facts, id);
  if (is === 'source') return facts.voices.filter((v) => v.placed === id);
  const person = peopleOf(facts.rig).find((one) => one.id === id);
  return person ? voicesOfPerson(facts, person) : [];
}

/** A voice, with how late it is and through what where it came by air. */
type Voice = VoiceSource &
  Partial<AirVoice> &
  Partial<Pick<MouthVoice, 'direct'>> & {
    /** Voices with the same word here are one sound that leaves by several outputs. */
    readonly sound?: string;
  };

/** Voices that are one sound together; each other one is by itself. */
const bySound = (voices: readonly Voice[]): Voice[][] => {
  const groups = new Map<string | Voice, Voice[]>();
  for (const voice of voices) {
    const key = voice.sound === undefined || voice.by ? voice : voice.sound;
    groups.set(key, [...(groups.get(key) ?? []), voice]);
  }
  return [...groups.values()];
};

/** A voice between two nodes, and how loud: RMS dBV, or peaks in dBFS. */
interface Came {
  readonly voice: Voice;
  readonly level: number;
  readonly plus: number | undefined;
  readonly minus: number | undefined;
}

/** A voice that came out of a loudspeaker and into a microphone: how late, and through what. */
interface AirVoice extends VoiceSource {
  readonly late: number;
  readonly by: readonly string[];
}

/** Voices as microphones have them from loudspeakers that play them. */
const throughAir = (facts: Facts, voices: readonly Voice[]): AirVoice[] =>
  couplings(facts).flatMap(({ speaker, microphone, source, gain, delayMs }) =>
    bySound(voices.filter(({ placed, level }) => placed !== microphone && Number.isFinite(level))).flatMap(
      ([voice, ...others]) => {
        if (!voice) return [];
        const played = toSpeaker(
          facts,
          [voice, ...others].map(({ id }) => id),
          speaker,
        );
        return {
          ...voice,
          id: source,
          placed: microphone,
          level: dbV(voice.level + gainToDb(gain * played)),
          late: delayMs,
          by: [voice.placed, speaker, microphone],
        };
      },
    ),
  );

/** Voices with what of them comes through the air. */
const inTheAir = (facts: Facts, voices: readonly Voice[]): Voice[] => [
  ...voices,
  ...throughAir(facts, voices),
];

/** Voices as they stand between two nodes: RMS dBV. What is one sound adds as amplitudes there, and is told by its louder way. */
function between(facts: Facts, voices: readonly Voice[], from: string, to: string): Came[] {
  const [plus, minus] = [facts.nets.of(from), facts.nets.of(to)];
  return bySound(voices.filter(({ level }) => Number.isFinite(level))).flatMap((group): Came[] => {
    const came = group.flatMap((voice) => {
      const gain = facts.alternating.gain(voice.id, plus, minus);
      return gain && magnitude(gain) >= 1e-7 ? [{ voice, gain }] : [];
    });
    const [louder] = came.toSorted((a, b) => magnitude(b.gain) - magnitude(a.gain));
    if (!louder) return [];
    const sum = magnitude(came.reduce((all, { gain }) => add(all, gain), { re: 0, im: 0 }));
    return [{ voice: louder.voice, level: louder.voice.level + gainToDb(sum), plus, minus }];
  });
}

const loudest = (all: readonly Came[]): Came | undefined => [...all].sort((a, b) => b.level - a.level)[0];

/** By which way it came: through what, and how late. */
function wayOf(facts: Facts, { voice, plus, minus }: Came) {
  const { parts, delay } = wayInto(facts, voice, plus, minus);
  return { path: [...(voice.by ?? []), ...parts], delay: delay + (voice.late ?? 0) };
}

/** Loud enough, be it late or twice. */
export const isHeard = ({ state }: Heard): boolean =>
  state !== 'not' && state !== 'alone' && state !== 'quiet';

export const NOTHING: Delay = { typical: 0, least: 0, most: 0 };

/** What the speaker’s own side adds: a caller comes over a network and out of an app. */
export const before = (facts: Facts, speaker: Speaker): Delay =>
  speaker.is === 'caller' ? plusRange(networkDelay(facts, speaker.id), appDelay(facts, speaker.id)) : NOTHING;

/** At a device: into what it records, and on over the network to who is at its far end. */
function atDevice(facts: Facts, hearer: Hearer, speaker: Speaker): Heard {
  const host = facts.laid.get(hearer.id);
  const own = hearer.is === 'caller' && speaker.id === hearer.id;
  const none = { listener: hearer.id, voice: speaker.id, level: -Infinity, delay: NOTHING, path: [] };
  const nothing: Heard = { ...none, state: own ? 'alone' : 'not' };
  if (!host) return nothing;
  const inputs = facts.inputs.filter((i) => i.host === hearer.id);
  const { input } = chooseInput(facts.rig, host, inputs);
  if (!input) return nothing;
  const numbers = new Set(heardBy(host, appOf(host), input).map(({ number }) => number));
  const voices = inTheAir(facts, voicesOf(facts, speaker));
  const crest = voices[0]?.crest ?? PLAYED_CREST;
  const channels = input.channels.map((channel): Came[] => {
    const spec = input.capture.channels[channel.number - 1];
    if (!spec || !numbers.has(channel.number)) return [];
    const node = (name: string) => nodeKey(input.placed, name);
    const here = between(facts, voices, node(spec.plus), node(spec.minus));
    return here.map((one) => ({ ...one, level: one.level + crest - channel.fullScale - SINE_CREST }));
  });
  const came = loudest(channels.flat());
  if (!came || came.level < LOST_DBFS) return nothing;
  const { level } = came;
  const way = wayOf(facts, came);
  const after =
    hearer.is === 'caller' ? plusRange(appDelay(facts, hearer.id), networkDelay(facts, hearer.id)) : NOTHING;
  const delay = plusRange(plusRange(before(facts, speaker), fixed(way.delay)), after);
  const quiet = level < HEARD_DBFS;
  const comb = quiet || own ? undefined : channels.flatMap((came) => combOf(facts, came) ?? [])[0];
  const state = own ? (quiet ? 'alone' : 'late') : quiet ? 'quiet' : comb ? 'twice' : 'hears';
  return { ...none, state, level, delay, path: [...new Set([...way.path, hearer.id])], ...comb };
}

/** Two microphones that have the direct sound of one mouth nearly alike, mixed: what arrives later cancels some of it. */
function combOf(facts: Facts, came: readonly Came[]): Pick<Heard, 'apart' | 'also'> | undefined {
  const direct = came
    .map((one) => ({ ...one, level: one.level + (one.voice.direct ?? -Infinity) }))
    .sort((a, b) => b.level - a.level);
  const [nearest] = direct;
  const other = direct.find(({ voice }) => voice.placed !== nearest?.voice.placed);
  if (!nearest || !other) return undefined;
  const under = nearest.level - other.level;
  const apart = Math.abs(wayOf(facts, other).delay - wayOf(facts, nearest).delay);
  return under < APART_ENOUGH && apart >= ALIGNED
    ? { apart, also: { microphone: other.voice.placed, under } }
    : undefined;
}

/** The source by which somebody is recorded: their own microphone, or what they are. */
const spokenInto = (facts: Facts, { id, is }: Speaker): string =>
  is === 'person' ? (peopleOf(facts.rig).find((one) => one.id === id)?.microphone ?? id) : id;

/** In ears: past the recorder, or played back by its app, or both. */
function inEars(facts: Facts, hearer: Hearer, speaker: Speaker): Heard {
  const ears = facts.laid.get(hearer.id)?.part.ears ?? [];
  const spoken = spokenInto(facts, speaker);
  const voices = inTheAir(facts, voicesOf(facts, speaker));
  const node = (name: string) => nodeKey(hearer.id, name);
  const came = loudest(ears.flatMap(({ plus, minus }) => between(facts, voices, node(plus), node(minus))));
  const none = { listener: hearer.id, voice: speaker.id, level: -Infinity, delay: NOTHING, path: [] };
  const played = facts.listeners
    .find(({ listener }) => listener === hearer.id)
    ?.sources.some(({ source, by }) => source === spoken && by === 'app');
  const monitor = facts.arrivals.find((a) => a.source === spoken && a.state === 'recorded')?.recorder;
  const byApp =
    played && monitor !== undefined
      ? plusRange(appDelay(facts, monitor), appDelay(facts, monitor))
      : undefined;
  const heard = came !== undefined && came.level >= HEARD_LEVEL;
  if (!heard && byApp)
    return { ...none, state: 'hears', level: HEARD_LEVEL, delay: byApp, path: [spoken, monitor ?? ''] };
  if (!came || came.level < HEARD_LEVEL - LOST_UNDER) return { ...none, state: 'not' };
  const { level } = came;
  const way = wayOf(facts, came);
  const delay = plusRange(before(facts, speaker), fixed(way.delay));
  const apart = byApp === undefined ? 0 : byApp.typical - delay.typical;
  const twice = apart > TWICE_FROM;
  const state = !heard ? 'quiet' : twice ? 'twice' : 'hears';
  const path = [...way.path, hearer.id];
  return { ...none, state, level, delay, path, ...(twice && { apart }) };
}

/** The loudest of all that is said and played, where somebody listens: RMS dBV; −Infinity where nothing comes. */
export function programmeAt(facts: Facts, listener: string): number {
  const part = facts.laid.get(listener)?.part;
  const voices = [...facts.voices, ...facts.rig.parts.flatMap(({ id }) => playedBy(facts, id))];
  const node = (name: string) => nodeKey(listener, name);
  const came = part
    ? listensAt(part).flatMap(({ plus, minus }) => between(facts, voices, node(plus), node(minus)))
    : [];
  return loudest(came)?.level ?? -Infinity;
}

const known = new WeakMap<Facts, Map<string, Heard>>();

/** One speaker as one hearer has them; worked out when first asked for. */
export function heardAs(facts: Facts, hearer: Hearer, speaker: Speaker): Heard {
  const own = known.get(facts) ?? new Map<string, Heard>();
  known.set(facts, own);
  const key = `${hearer.is} ${hearer.id} ${speaker.is} ${speaker.id}`;
  const found =
    own.get(key) ??
    (hearer.is === 'ears' ? inEars(facts, hearer, speaker) : atDevice(facts, hearer, speaker));
  own.set(key, found);
  return found;
}

export function hearersOf(facts: Facts): Hearer[] {
  const { recorders } = facts.rig.purpose;
  return [
    ...facts.listeners.map(({ listener }): Hearer => ({ id: listener, is: 'ears' })),
    ...recorders.map((id): Hearer => ({ id, is: isCaller(facts, id) ? 'caller' : 'recording' })),
  ];
}

export function speakersOfRig(facts: Facts): Speaker[] {
  const { recorders, sources } = facts.rig.purpose;
  return [
    ...sources.filter((id) => !isCaller(facts, id)).map((id): Speaker => ({ id, is: 'source' })),
    ...recorders.filter((id) => isCaller(facts, id)).map((id): Speaker => ({ id, is: 'caller' })),
  ];
}

/** Of everyone of the rig those whom `hears` and `speaks` let through: as each hearer has each speaker. */
const cellsOf = (
  facts: Facts,
  hears: (hearer: Hearer) => boolean,
  speaks: (speaker: Speaker) => boolean,
): Heard[] => {
  const speakers = speakersOfRig(facts).filter(speaks);
  return hearersOf(facts)
    .filter(hears)
    .flatMap((hearer) => speakers.map((speaker) => heardAs(facts, hearer, speaker)));
};

/** What comes into ears in the room. */
export const heardInEars = (facts: Facts): Heard[] =>
  cellsOf(
    facts,
    ({ is }) => is === 'ears',
    () => true,
  );

/** What recordings have of those at the far ends. */
export const heardInRecordings = (facts: Facts): Heard[] =>
  cellsOf(
    facts,
    ({ is }) => is === 'recording',
    ({ is }) => is === 'caller',
  );

/** What those at the far ends have of one another, and of themselves. */
export const heardAmongCallers = (facts: Facts): Heard[] =>
  cellsOf(
    facts,
    ({ is }) => is === 'caller',
    ({ is }) => is === 'caller',
  );

/** Who hears whom, how loud, how late, by which way. */
export const hearing = (facts: Facts): Hearing => ({
  hearers: hearersOf(facts),
  speakers: speakersOfRig(facts),
  cells: cellsOf(
    facts,
    () => true,
    () => true,
  ),
});

import { PLAYED_CREST, SPEECH_CREST } from '../../engine/flow';
import type { CircuitElement, Part, PartPort } from '../../parts';
import { isBareMicrophone } from '../../rig';
import { dbSpl, microphoneOutput, dbVPerPa, SINE_CREST, type DbSpl } from '../../units';
import { arrive } from './arrive';
import { isDigital, type OpenEnd, type Sides, type SidesAsked } from './end';
import { digitalEnd, hostTakes } from './digital';
import { withEdge } from './edge';
import { join, type Voices } from './join';
import { leave } from './leave';
import { rangeOf } from './part-net';
import { passageOf } from './passage';
import type { Amplitude } from './stages';

const real = (decibelVolts: number): readonly [number, number] => [10 ** (decibelVolts / 20), 0];

function amplitudeOf(
  part: Part,
  element: CircuitElement,
  pressure: DbSpl,
): (Amplitude & { crest: number }) | undefined {
  if (element.kind === 'electret') {
    const at = real(microphoneOutput(element.sensitivity, pressure));
    return { most: at, least: at, crest: SPEECH_CREST };
  }
  if (element.kind !== 'signal') return undefined;
  const { least, most } = rangeOf(element.sensitivity, part);
  const of = (decibels: number): readonly [number, number] => {
    switch (element.hears) {
      case 'voice':
        return real(microphoneOutput(dbVPerPa(decibels), pressure));
      case 'played':
        return real(decibels);
      case 'playback':
        return real(decibels + SINE_CREST - PLAYED_CREST);
    }
  };
  return {
    least: of(least),
    most: of(most),
    crest: element.hears === 'voice' ? SPEECH_CREST : PLAYED_CREST,
  };
}

/** What sounds in a part when it is somebody's source; `plays`: what it plays, and nothing else. */
function voicesOf(part: Part, pressure: DbSpl, plays = part.host !== undefined): Voices {
  const sounding = part.circuit.filter((e) =>
    plays
      ? e.kind === 'signal' && e.hears === 'playback'
      : e.kind === 'electret' || (e.kind === 'signal' && e.hears !== 'playback'),
  );
  const bare = isBareMicrophone(part);
  return new Map(
    sounding.flatMap((element) => {
      const amplitude = amplitudeOf(part, element, pressure);
      return amplitude && 'id' in element
        ? [[element.id, { ...amplitude, id: element.id, bare }] as const]
        : [];
    }),
  );
}

/** What is asked of one output of a pair. */
const PAIRED = {
  any: 'any',
  both: 'pair',
  each: 'pair',
  two: 'two by pair',
  'two by pair': 'two by pair',
} as const;

/** What is asked of what is half of a pair: the other half brings the other side. */
export const askedOfHalf = (sides: Sides): Sides =>
  sides === 'split' || sides === 'pair' ? sides : PAIRED[sides];

/** Another output of its source brings the other side. */
export const isHalf = ({ analogue }: OpenEnd): boolean =>
  analogue?.sides === 'pair' || analogue?.sides === 'two by pair';

/** An open end whose sound has to come to these sides; the other output of a pair brings the other one. */
export function asked(end: OpenEnd, sides: SidesAsked): OpenEnd {
  const { part, port, analogue } = end;
  if (!analogue || sides === 'any') return end;
  // An output with both sides on its own contacts is half of nothing.
  const isStereo = ['left', 'right'].every((role) => Object.values(port.roles ?? {}).some((r) => r === role));
  const paired =
    !isStereo &&
    part.ports.some(
      (other) => other !== port && other.direction === 'out' && other.connector === port.connector,
    );
  const wanted = paired ? PAIRED[sides] : sides;
  return { ...end, analogue: { ...analogue, sides: wanted }, state: `${end.state} ${wanted}` };
}

/** Every end at which a source gives its sound: its outputs, and the digital plug of one that is a sound device itself. */
export function sourceEnds(part: Part, pressure: DbSpl, sides: SidesAsked = 'any'): OpenEnd[] {
  const voices = voicesOf(part, pressure);
  return part.ports.flatMap((port: PartPort): OpenEnd[] => {
    if (isDigital(port)) {
      if (part.bus?.port !== port.id || part.host) return [];
      const captures = (part.captures ?? []).filter(({ id }) => part.bus?.captures.includes(id));
      const peaks = captures.length > 0 ? arrive(part, undefined, undefined, captures, voices) : undefined;
      return peaks ? [digitalEnd(part, port, peaks.most)] : [];
    }
    return analogueEnds(part, port, voices, sides);
  });
}

/** What sounds in a part, at one of its ports. */
function analogueEnds(part: Part, port: PartPort, voices: Voices, sides: SidesAsked): OpenEnd[] {
  if (port.direction === 'in' || port.direction === 'through') return [];
  const passage = passageOf(part, [port]);
  const joined = join(passage, undefined, undefined, voices);
  const [places] = passage.places;
  const end = joined && places && leave(joined, part, port, places);
  return end ? [asked(withEdge(end, voices), sides)] : [];
}

/** The digital plug of something that plays what its host sends it; nothing where it plays nothing. */
export function playerEnd(player: Part): OpenEnd | undefined {
  const entry = player.ports.find(({ id }) => id === player.bus?.port);
  return player.bus?.plays && entry ? digitalEnd(player, entry, 0) : undefined;
}

/** Whether a host plays into what comes to one of its ports. What lacks the chip works in the app of its maker alone, and a host that plays is in none that is known. */
export const playsAt = (host: Part, port: PartPort, end: OpenEnd): boolean =>
  isDigital(port) &&
  hostTakes(host, port, end) &&
  (end.digital?.authenticated === true ||
    (host.host?.busPorts.some((one) => one.port === port.id && !one.wantsAuthentication) ?? false));

/** What a box gives at one of its ports of what a host plays into it. */
export const playedAt = (player: Part, port: PartPort, sides: SidesAsked = 'any'): OpenEnd[] =>
  isDigital(port) ? [] : analogueEnds(player, port, voicesOf(player, UNHEARD, true), sides);

/** Nobody speaks into what plays. */
const UNHEARD = dbSpl(0);

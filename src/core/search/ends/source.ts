import { PLAYED_CREST, SPEECH_CREST } from '../../engine/flow';
import type { CircuitElement, Part, PartPort } from '../../parts';
import { microphoneOutput, dbVPerPa, SINE_CREST, type DbSpl } from '../../units';
import { arrive } from './arrive';
import { isDigital, type OpenEnd, type SidesAsked } from './end';
import { digitalEnd } from './digital';
import { join, type Amplitude, type Voices } from './join';
import { leave } from './leave';
import { rangeOf } from './part-net';
import { passageOf } from './passage';

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

/** What sounds in a part when it is somebody's source: playback only where it is nothing else. */
export function voicesOf(part: Part, pressure: DbSpl): Voices {
  const sounding = part.circuit.filter(
    (e) =>
      e.kind === 'electret' ||
      (e.kind === 'signal' && (part.host ? e.hears === 'playback' : e.hears !== 'playback')),
  );
  return new Map(
    sounding.flatMap((element) => {
      const amplitude = amplitudeOf(part, element, pressure);
      return amplitude && 'id' in element ? [[element.id, { ...amplitude, id: element.id }] as const] : [];
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

/** An open end whose sound has to come to these sides; the other output of a pair brings the other one. */
export function asked(end: OpenEnd, sides: SidesAsked): OpenEnd {
  const { part, port, analogue } = end;
  if (!analogue || sides === 'any') return end;
  const paired = part.ports.some(
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
      return captures.length > 0 && arrive(part, undefined, undefined, captures, voices)
        ? [digitalEnd(part, port)]
        : [];
    }
    if (port.direction === 'in' || port.direction === 'through') return [];
    const passage = passageOf(part, [port]);
    const joined = join(passage, undefined, undefined, voices);
    const [places] = passage.places;
    const end = joined && places && leave(joined, part, port, places);
    return end ? [asked(end, sides)] : [];
  });
}

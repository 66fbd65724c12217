import type { Facts } from '../facts';
import { atPerson, speakersOf, terminals, USUAL_STAND } from '../air';
import { magnitude } from '../circuit';
import { gainToDb } from '../../units';
import { peopleOf, type LaidPart, type Person, type Rig } from '../../rig';
import { VOICE_LEVEL, wayInto } from '../flow';
import { fixed, plusRange } from './delays';
import {
  before,
  heardAs,
  hearersOf,
  hearing,
  NOTHING,
  speakersOfRig,
  TWICE_FROM,
  voicesOf,
  type Heard,
  type Hearer,
  type Hearing,
  type Speaker,
} from './matrix';

/** Speech from this on is heard in a room, dB SPL, and under the second nothing is: the limits in ears, as usual headphones give them. Ours. */
const [HEARD_SPL, LOST_SPL] = [55, 35];

/** Voices by who speaks them: people of the rig, microphones of which it says nothing, those at the far ends. */
export function voicesInRoom(facts: Facts): Speaker[] {
  const people = peopleOf(facts.rig);
  const spoken = new Set(people.map(({ microphone }) => microphone));
  return [
    ...people.map(({ id }): Speaker => ({ id, is: 'person' })),
    ...speakersOfRig(facts).filter(({ id, is }) => is === 'caller' || !spoken.has(id)),
  ];
}

/** Hearers: people of the rig, headphones that nobody of them wears, devices. */
export function hearersInRoom(facts: Facts): Hearer[] {
  const people = peopleOf(facts.rig);
  const worn = new Set(people.map(({ wears }) => wears));
  return [
    ...people.map(({ id }): Hearer => ({ id, is: 'person' })),
    ...hearersOf(facts).filter(({ id, is }) => is !== 'ears' || !worn.has(id)),
  ];
}

/** One voice out of one loudspeaker, where a person sits. */
function outOf(facts: Facts, person: Person, laid: LaidPart, speaker: Speaker): Heard[] {
  const [plus, minus] = terminals(facts, laid.placed.id);
  if (plus === undefined || minus === undefined) return [];
  const { level, late } = atPerson(facts, person, laid);
  return voicesOf(facts, speaker).flatMap((voice): Heard[] => {
    const gain = facts.alternating.gain(voice.id, plus, minus);
    if (!gain || magnitude(gain) < 1e-7 || !Number.isFinite(voice.level)) return [];
    const way = wayInto(facts, voice, plus, minus);
    const here = voice.level + gainToDb(magnitude(gain)) + level;
    const delay = plusRange(before(facts, speaker), fixed(way.delay + late + (voice.late ?? 0)));
    const state = here >= HEARD_SPL ? 'hears' : here >= LOST_SPL ? 'quiet' : 'not';
    return [
      {
        listener: person.id,
        voice: speaker.id,
        state,
        level: here,
        delay,
        path: [...way.parts, laid.placed.id],
      },
    ];
  });
}

/** What somebody who wears nothing hears: loudspeakers, and those who are in the room with them. */
function openEars(facts: Facts, person: Person, speaker: Speaker): Heard {
  const own = speaker.id === person.id;
  const none = { listener: person.id, voice: speaker.id, level: -Infinity, delay: NOTHING, path: [] };
  const [loudest] = speakersOf(facts)
    .flatMap((laid) => outOf(facts, person, laid, speaker))
    .sort((a, b) => b.level - a.level);
  if (speaker.is === 'person' && !own) {
    const level = VOICE_LEVEL[facts.rig.surroundings.voice] - 20 * Math.log10(USUAL_STAND.metres);
    if (!loudest || loudest.level < level) return { ...none, state: 'hears', level };
  }
  if (!loudest) return { ...none, state: own ? 'alone' : 'not' };
  return own ? { ...loudest, state: ownState(loudest) } : loudest;
}

/** One’s own voice: nothing of it is as it should be, some at once is monitoring, some later is an echo. */
const ownState = ({ state, delay }: Pick<Heard, 'state' | 'delay'>): Heard['state'] =>
  state === 'not' || state === 'quiet'
    ? 'alone'
    : state === 'hears' && delay.typical > TWICE_FROM
      ? 'late'
      : state;

function toPerson(facts: Facts, person: Person, speaker: Speaker): Heard {
  if (person.wears === undefined) return openEars(facts, person, speaker);
  const heard = heardAs(facts, { id: person.wears, is: 'ears' }, speaker);
  const own = speaker.id === person.id;
  return { ...heard, listener: person.id, ...(own && { state: ownState(heard) }) };
}

/** Who hears whom with the people of the rig in their places; where it names nobody, by what is worn and spoken into. */
export function peopleHearing(facts: Facts): Hearing {
  const people = new Map(peopleOf(facts.rig).map((person) => [person.id, person]));
  if (people.size === 0) return hearing(facts);
  const [hearers, speakers] = [hearersInRoom(facts), voicesInRoom(facts)];
  const cells = hearers.flatMap((hearer) => {
    const person = people.get(hearer.id);
    return speakers.map((speaker) =>
      person ? toPerson(facts, person, speaker) : heardAs(facts, hearer, speaker),
    );
  });
  return { hearers, speakers, cells };
}

/** What it is said in: RMS dBV in ears, dB SPL in the room, peaks in dBFS at devices. */
export type LevelUnit = 'dBV' | 'dB SPL' | 'dBFS';

export function unitOf(rig: Rig, hearers: readonly Hearer[], listener: string): LevelUnit {
  const is = hearers.find(({ id }) => id === listener)?.is;
  if (is === 'caller' || is === 'recording') return 'dBFS';
  const person = peopleOf(rig).find(({ id }) => id === listener);
  return is === 'person' && person?.wears === undefined ? 'dB SPL' : 'dBV';
}

import type { Facts } from '../facts';
import { mouthDistance, type VoiceSource } from '../flow';
import { dbSpl, dbV, decibels, distanceDb, metres, type DbSpl, type Decibels } from '../../units';
import { peopleOf, type LaidPart, type Person, type Stand } from '../../rig';
import { figureOf } from '../circuit';
import { microphonesOf, SOUND, soundAt, speakersOf } from './couplings';
import { USUAL_ROOM } from './room';

/** Where somebody is to a microphone of somebody else, or to a loudspeaker, where the rig does not say. Ours. */
export const USUAL_STAND = { metres: 1.5, degrees: 90 } as const;
/** How much a talker’s sound is thrown ahead: Q of a voice at middle frequencies, typical, from memory. */
const TALKER = 2;

/** Where a person is to a part, and whether the rig says so. */
export interface Standing extends Required<Pick<Stand, 'metres' | 'degrees'>> {
  readonly said: boolean;
}

export function standingOf({ places = [] }: Person, part: string): Standing {
  const said = places.find((stand) => stand.part === part);
  return {
    metres: said?.metres ?? USUAL_STAND.metres,
    degrees: said?.degrees ?? USUAL_STAND.degrees,
    said: said !== undefined,
  };
}

export const delayOver = (distance: number): number => (distance / SOUND) * 1000;

/** A person’s voice at one microphone. */
export interface MouthVoice extends VoiceSource {
  /** From the mouth, ms. */
  readonly late: number;
  readonly by: readonly string[];
  /** How far the direct sound alone lies under all of it, dB: only what comes direct stands still against the other way. */
  readonly direct: Decibels;
}

/** At their own microphone: as near as the rig says, on its axis. */
function atOwn(facts: Facts, microphone: string): MouthVoice[] {
  const late = delayOver(mouthDistance(facts.rig, microphone, false));
  return facts.voices
    .filter(({ placed }) => placed === microphone)
    .map((voice) => ({ ...voice, late, by: [], direct: decibels(0) }));
}

/** At everybody else’s: direct sound by distance and angle, and what the room gives back. */
function atOthers(facts: Facts, person: Person): MouthVoice[] {
  const room = { ...USUAL_ROOM, ...facts.rig.surroundings.room };
  const others = microphonesOf(facts).filter(({ placed }) => placed !== person.microphone);
  return others.flatMap(({ id, placed }): MouthVoice[] => {
    const heard = facts.voices.find((voice) => voice.id === id);
    const pattern = facts.laid.get(placed)?.part.pattern ?? 'omni';
    const standing = standingOf(person, placed);
    const { direct, diffuse } = soundAt(pattern, standing, room, TALKER);
    // Whoever speaks into it is at its own distance from it: the level that is there is of that voice.
    const owner = distanceDb(metres(mouthDistance(facts.rig, placed, false)));
    const power = 10 * Math.log10(direct + diffuse);
    return heard
      ? [
          {
            ...heard,
            level: dbV(heard.level + power - owner),
            late: delayOver(standing.metres),
            by: [],
            direct: decibels(10 * Math.log10(direct) - power),
          },
        ]
      : [];
  });
}

/** What a person who wears nothing hears of a loudspeaker, for one volt at its terminals: dB SPL, and how late. */
export function atPerson(
  facts: Facts,
  person: Person,
  { placed, part }: LaidPart,
): { readonly level: DbSpl; readonly late: number } {
  const { speaker } = part;
  const standing = standingOf(person, placed.id);
  if (!speaker) return { level: dbSpl(-Infinity), late: 0 };
  const room = { ...USUAL_ROOM, ...facts.rig.surroundings.room };
  const { direct, diffuse } = soundAt('omni', standing, room, speaker.directivity);
  const spl = speaker.spl + (speaker.gain === undefined ? 0 : figureOf(speaker.gain, { placed, part }));
  return { level: dbSpl(spl + 10 * Math.log10(direct + diffuse)), late: delayOver(standing.metres) };
}

/** A person’s voice at every microphone of the rig. */
export const voicesOfPerson = (facts: Facts, person: Person): MouthVoice[] => [
  ...(person.microphone === undefined ? [] : atOwn(facts, person.microphone)),
  ...atOthers(facts, person),
];

/** Where a person is to one part of the rig that hears them, or that they hear. */
export interface PersonStands {
  readonly person: string;
  readonly part: string;
  readonly is: 'speaks' | 'listens';
  readonly standing: Standing;
}

/** Everyone of the rig with the microphones of others, and the loudspeakers where they wear nothing. */
export const standings = (facts: Facts): PersonStands[] =>
  peopleOf(facts.rig).flatMap((person) => {
    const microphones = new Set(microphonesOf(facts).map(({ placed }) => placed));
    microphones.delete(person.microphone ?? '');
    const loud = person.wears === undefined ? speakersOf(facts).map(({ placed }) => placed.id) : [];
    const stands = (is: PersonStands['is']) => (part: string) => ({
      person: person.id,
      part,
      is,
      standing: standingOf(person, part),
    });
    return [...[...microphones].map(stands('speaks')), ...loud.map(stands('listens'))];
  });

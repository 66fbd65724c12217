import { allFacts, type Facts } from '../engine';
import { couplings, howl, standings, type Coupling, type PersonStands } from '../engine/air';
import { echoes, peopleHearing, type Echo, type Hearing } from '../engine/hearing';
import { gainToDb } from '../units';
import type { Rig } from '../rig';

/** A closed loop of stages: how far it stays from howling, and the parts that it goes through. */
export interface LoopView {
  readonly marginDb: number;
  readonly through: readonly string[];
  /** Through the air, and the octave with least room, Hz. */
  readonly air?: true;
  readonly hertz?: number;
}

/** Who hears whom, who hears themself, what goes round. */
export interface ReturnsView {
  readonly hearing: Hearing;
  readonly echoes: readonly Echo[];
  readonly loops: readonly LoopView[];
  /** Every loudspeaker that a microphone hears. */
  readonly air: readonly Coupling[];
  /** Where people are to microphones of others and to loudspeakers. */
  readonly people: readonly PersonStands[];
}

const throughStages = (facts: Facts): LoopView[] =>
  facts.alternating.loops.map(({ gain, drives }) => ({
    marginDb: -gainToDb(gain),
    through: [...new Set(drives.map((id) => id.slice(0, id.indexOf('/'))))],
  }));

/** All loudspeakers and microphones together; named by the pair that gives most. */
function throughAir(facts: Facts): LoopView[] {
  const found = howl(facts);
  return found
    ? [
        {
          marginDb: found.marginDb,
          through: [found.worst.speaker, found.worst.microphone],
          air: true,
          hertz: found.at,
        },
      ]
    : [];
}

/** The same from facts that are there. */
export const returnsViewOf = (facts: Facts): ReturnsView => ({
  hearing: peopleHearing(facts),
  echoes: echoes(facts),
  loops: [...throughAir(facts), ...throughStages(facts)],
  air: couplings(facts),
  people: standings(facts),
});

export const returnsView = (rig: Rig): ReturnsView => returnsViewOf(allFacts(rig)[0]);

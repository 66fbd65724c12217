import { allFacts, type Facts } from '../engine';
import { echoes, hearing, type Echo, type Hearing } from '../engine/hearing';
import { gainToDb } from '../units';
import type { Rig } from '../rig';

/** A closed loop of stages: how far it stays from howling, and the parts that it goes through. */
export interface LoopView {
  readonly marginDb: number;
  readonly through: readonly string[];
}

/** Who hears whom, who hears themself, what goes round. */
export interface ReturnsView {
  readonly hearing: Hearing;
  readonly echoes: readonly Echo[];
  readonly loops: readonly LoopView[];
}

/** The same from facts that are there. */
export const returnsViewOf = (facts: Facts): ReturnsView => ({
  hearing: hearing(facts),
  echoes: echoes(facts),
  loops: facts.alternating.loops.map(({ gain, drives }) => ({
    marginDb: -gainToDb(gain),
    through: [...new Set(drives.map((id) => id.slice(0, id.indexOf('/'))))],
  })),
});

export const returnsView = (rig: Rig): ReturnsView => returnsViewOf(allFacts(rig)[0]);

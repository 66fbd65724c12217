import { runChecks, type Finding } from '../checks';
import { chainsInto, type Arrival, type Chain, type HostInput, type Listener } from '../flow';
import type { Rig } from '../rig';
import { allFacts, type Facts } from './facts';
import { jointViews, type JointView } from './joint-view';
import { ladder, type Rung } from './ladder';
import { verdictOf, type Verdict } from './verdict';

/** Everything that Symplex says of a rig; plain data, fit to cross to another thread. */
export interface Analysis {
  readonly rig: string;
  readonly verdict: Verdict;
  readonly arrives: readonly Arrival[];
  readonly listeners: readonly Listener[];
  readonly findings: readonly Finding[];
  readonly joints: readonly JointView[];
  readonly inputs: readonly HostInput[];
  readonly rungs: readonly Rung[];
  /** The way of each intended source, stage by stage, into what its recorder takes. */
  readonly chains: readonly Chain[];
  readonly nets: NetReport;
}

/** Contacts on which nothing lies, and nets whose equations have no single answer, by a contact of theirs. */
export interface NetReport {
  readonly floating: readonly string[];
  readonly singular: readonly string[];
}

function chainsOf(facts: Facts): Chain[] {
  return facts.arrivals.flatMap((arrival) =>
    facts.inputs
      .filter((i) => i.host === arrival.recorder && `${i.placed}/${i.capture.id}` === arrival.records)
      .flatMap((input) =>
        facts.voices
          .filter((voice) => voice.placed === arrival.source)
          .flatMap((voice) => chainsInto(facts, voice, input)),
      ),
  );
}

/** Verdict, arrivals and findings alone: what trying a fix needs. */
export type Outcome = Pick<Analysis, 'verdict' | 'arrives' | 'findings'>;

export function outcomeOf(rig: Rig): Outcome {
  const facts = allFacts(rig);
  const findings = runChecks(facts);
  return { verdict: verdictOf(findings, facts[0].arrivals), arrives: facts[0].arrivals, findings };
}

/** The whole pipeline over a rig. Never throws on a rig that `readRig` accepts. */
export function analyse(rig: Rig): Analysis {
  const facts = allFacts(rig);
  const findings = runChecks(facts);
  const [nominal] = facts;
  return {
    rig: rig.id,
    verdict: verdictOf(findings, nominal.arrivals),
    arrives: nominal.arrivals,
    listeners: nominal.listeners,
    findings,
    joints: jointViews(nominal),
    inputs: nominal.inputs,
    rungs: ladder(rig),
    chains: chainsOf(nominal),
    nets: { floating: nominal.direct.floating, singular: nominal.direct.singular },
  };
}

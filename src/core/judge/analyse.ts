import { checkOf, type Aspect, type Finding } from '../checks';
import type { Chain, HostInput } from '../engine/flow';
import { arrivalChains } from '../engine/levels';
import type { Rig } from '../rig';
import { allFacts } from '../engine/facts';
import { jointViews, type JointView } from '../views/joint-view';
import { ladder, type Rung } from '../views/ladder';
import { outcomeFrom, type Outcome } from './outcome';

/** Everything that Symplex says of a rig; plain data, fit to cross to another thread. */
export interface Analysis extends Outcome {
  readonly rig: string;
  readonly joints: readonly JointView[];
  readonly inputs: readonly HostInput[];
  readonly rungs: readonly Rung[];
  /** The way of each intended source, stage by stage, into what its recorder takes. */
  readonly chains: readonly Chain[];
  readonly nets: NetReport;
  /** In which ways of looking at the rig something that weighs is found. */
  readonly marks: readonly Aspect[];
  /** What each finding is a matter of, in their order. */
  readonly aspects: readonly Aspect[];
}

const ASPECTS: readonly Aspect[] = ['wiring', 'levels', 'power', 'returns'];

/** What a finding is a matter of, as its check says; where a gain may cure it, of levels. */
export function aspectOf({ code }: Pick<Finding, 'code'>): Aspect {
  const found = checkOf(code);
  return found?.aspect ?? (found?.cures.includes('gain') ? 'levels' : 'wiring');
}

function marksOf(findings: readonly Finding[]): Aspect[] {
  const found = findings.filter(({ severity }) => severity !== 'note').map(aspectOf);
  return ASPECTS.filter((aspect) => found.includes(aspect));
}

/** Contacts on which nothing lies, and nets whose equations have no single answer, by a contact of theirs. */
export interface NetReport {
  readonly floating: readonly string[];
  readonly singular: readonly string[];
}

/** The whole pipeline over a rig. Never throws on a rig that `readRig` accepts. */
export function analyse(rig: Rig): Analysis {
  const facts = allFacts(rig);
  const [nominal] = facts;
  const outcome = outcomeFrom(facts);
  return {
    rig: rig.id,
    ...outcome,
    marks: marksOf(outcome.findings),
    aspects: outcome.findings.map(aspectOf),
    joints: jointViews(nominal),
    inputs: nominal.inputs,
    rungs: ladder(rig),
    chains: arrivalChains(nominal),
    nets: { floating: nominal.direct.floating, singular: nominal.direct.singular },
  };
}

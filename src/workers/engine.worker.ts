import { expose } from 'comlink';
import {
  cleaningEdits,
  proveAdds,
  searchFixes,
  moveOptions,
  outcomesOf,
  swapOptions,
} from '../core/search/fixes';
import { levelsAtRest, levelWays, USUAL_AIM } from '../core/search/levels';
import { wayOut } from '../core/search/way-out';
import { checkPart } from '../core/parts/model/check-part';
import { analyse, outcomeFrom } from '../core/judge';
import { allFacts } from '../core/engine';
import { sayMissing } from '../core/files/returns-report';
import { airMoves, planReturns } from '../core/search/returns';
import { humsAfter, powerViewOf, returnsView } from '../core/views';
import { powerAnswers } from '../core/words/say-power';
import { checkRig, readRig } from '../core/files/read-rig';
import type { EngineProtocol } from './protocol';

/** Time for the fixes of one finding, and for the way out: what is left untried is said. */
const FIXES_MS = 2000;

function spentAfter(milliseconds: number): () => boolean {
  const until = performance.now() + milliseconds;
  return () => performance.now() >= until;
}

const engine: EngineProtocol = {
  analyse,
  problemOf: (document) => {
    const result = checkRig(document);
    return result.ok ? null : result.problem;
  },
  soundParts: (parts) => parts.map((part) => checkPart(part).ok),
  fixes: (rig, finding, drawer) => searchFixes(rig, finding, drawer, spentAfter(FIXES_MS)),
  wayOut: (rig, drawer, found) =>
    wayOut(rig, drawer, { spent: spentAfter(FIXES_MS), known: cleaningEdits(found) }),
  options: (rig, placed) => [...moveOptions(rig, placed), ...swapOptions(rig, placed)],
  outcomes: outcomesOf,
  levelWays,
  levelsAtRest,
  provedAdds: (rig, drawer) => proveAdds(rig, USUAL_AIM, drawer, spentAfter(FIXES_MS)),
  powerAnswers: (rig) => {
    const facts = allFacts(rig);
    const view = powerViewOf(facts[0]);
    return { view, answers: powerAnswers(rig, view, outcomeFrom(facts)) };
  },
  humsAfter,
  returns: (rig) => {
    const plan = planReturns(rig);
    return {
      view: returnsView(rig),
      moves: airMoves(rig),
      missing: plan ? sayMissing(rig, plan) : [],
      ...(plan && { plan }),
    };
  },
  read: readRig,
};

expose(engine);

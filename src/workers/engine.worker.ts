import { expose } from 'comlink';
import { searchFixes, moveOptions, outcomesOf, swapOptions } from '../core/search/fixes';
import { checkPart } from '../core/parts/model/check-part';
import { analyse } from '../core/judge';
import { checkRig, readRig } from '../core/files/read-rig';
import type { EngineProtocol } from './protocol';

/** Time for the fixes of one finding: what is left untried is said. */
const FIXES_MS = 2000;

const engine: EngineProtocol = {
  analyse,
  problemOf: (document) => {
    const result = checkRig(document);
    return result.ok ? null : result.problem;
  },
  soundParts: (parts) => parts.map((part) => checkPart(part).ok),
  fixes: (rig, finding, drawer) => {
    const until = performance.now() + FIXES_MS;
    return searchFixes(rig, finding, drawer, () => performance.now() >= until);
  },
  options: (rig, placed) => [...moveOptions(rig, placed), ...swapOptions(rig, placed)],
  outcomes: outcomesOf,
  read: readRig,
};

expose(engine);

import { expose } from 'comlink';
import { searchFixes, moveOptions, outcomesOf, swapOptions } from '../core/search/fixes';
import { checkPart } from '../core/parts/model/check-part';
import { analyse } from '../core/judge';
import { checkRig, readRig } from '../core/files/read-rig';
import type { EngineProtocol } from './protocol';

const engine: EngineProtocol = {
  analyse,
  problemOf: (document) => {
    const result = checkRig(document);
    return result.ok ? null : result.problem;
  },
  soundParts: (parts) => parts.map((part) => checkPart(part).ok),
  fixes: (rig, finding, drawer) => searchFixes(rig, finding, drawer),
  options: (rig, placed) => [...moveOptions(rig, placed), ...swapOptions(rig, placed)],
  outcomes: outcomesOf,
  read: readRig,
};

expose(engine);

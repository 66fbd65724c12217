import { expose } from 'comlink';
import { fixesFor, moveOptions, outcomesOf, swapOptions } from '../core/fixes';
import { checkPart } from '../core/parts/check-part';
import { analyse } from '../core/pipeline';
import { checkRig, readRig } from '../core/rig/read';
import type { EngineProtocol } from './protocol';

const engine: EngineProtocol = {
  analyse,
  problemOf: (document) => {
    const result = checkRig(document);
    return result.ok ? null : result.problem;
  },
  soundParts: (parts) => parts.map((part) => checkPart(part).ok),
  fixes: fixesFor,
  options: (rig, placed) => [...moveOptions(rig, placed), ...swapOptions(rig, placed)],
  outcomes: outcomesOf,
  read: readRig,
};

expose(engine);

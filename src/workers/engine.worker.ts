import { expose } from 'comlink';
import { fixesFor, moveOptions, outcomesOf, swapOptions } from '../core/fixes';
import { analyse } from '../core/pipeline';
import { readRig } from '../core/rig/read';
import type { EngineProtocol } from './protocol';

const engine: EngineProtocol = {
  analyse,
  fixes: fixesFor,
  options: (rig, placed) => [...moveOptions(rig, placed), ...swapOptions(rig, placed)],
  outcomes: outcomesOf,
  read: readRig,
};

expose(engine);

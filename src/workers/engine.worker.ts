import { expose } from 'comlink';
import { fixesFor, moveOptions, swapOptions } from '../core/fixes';
import { analyse } from '../core/pipeline';
import { readRig } from '../core/rig';
import type { EngineProtocol } from './protocol';

const engine: EngineProtocol = {
  analyse,
  fixes: (rig, findings, drawer) => findings.map((finding) => fixesFor(rig, finding, drawer)),
  options: (rig, placed) => [...moveOptions(rig, placed), ...swapOptions(rig, placed)],
  read: readRig,
};

expose(engine);

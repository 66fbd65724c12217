import { wrap, type Remote } from 'comlink';
import type { EngineProtocol } from './protocol';

const start = (): Remote<EngineProtocol> =>
  wrap<EngineProtocol>(new Worker(new URL('./engine.worker.ts', import.meta.url), { type: 'module' }));

let engine: Remote<EngineProtocol> | undefined;
let prover: Remote<EngineProtocol> | undefined;

/** The engine's thread, started when first asked for. */
export const getEngine = (): Remote<EngineProtocol> => (engine ??= start());

/** A second thread for what takes many analyses, so that a knob never waits for it. */
export const getProver = (): Remote<EngineProtocol> => (prover ??= start());

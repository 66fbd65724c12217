import type { EngineProtocol } from './protocol';
import { Thread, type Answering } from './thread';

const start = (): Worker => new Worker(new URL('./engine.worker.ts', import.meta.url), { type: 'module' });

/** An analysis takes milliseconds; a thread that takes so long is stuck, ms. */
const ENGINE_PATIENCE = 20_000;
/** Fixes of a large rig take seconds, ms. */
const PROVER_PATIENCE = 60_000;

const engine = new Thread<EngineProtocol>(start, ENGINE_PATIENCE);
const prover = new Thread<EngineProtocol>(start, PROVER_PATIENCE);

/** The engine's thread. */
export const getEngine = (): Answering<EngineProtocol> => engine.calls;

/** A second thread for what takes many analyses, so that a knob never waits for it. */
export const getProver = (): Answering<EngineProtocol> => prover.calls;

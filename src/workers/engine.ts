import { wrap, type Remote } from 'comlink';
import type { EngineProtocol } from './protocol';

let engine: Remote<EngineProtocol> | undefined;

/** The engine's thread, started when first asked for. */
export function getEngine(): Remote<EngineProtocol> {
  engine ??= wrap<EngineProtocol>(
    new Worker(new URL('./engine.worker.ts', import.meta.url), { type: 'module' }),
  );
  return engine;
}

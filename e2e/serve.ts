import { spawn } from 'node:child_process';
import { createServer, type AddressInfo } from 'node:net';
import type { TestProject } from 'vitest/node';

declare module 'vitest' {
  export interface ProvidedContext {
    address: string;
    emptyAddress: string;
  }
}

const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => resolve(port));
    });
  });

async function serve(demo: boolean): Promise<{ address: string; stop: () => void }> {
  const port = await freePort();
  const server = spawn(process.execPath, ['scripts/serve.mjs', '127.0.0.1', String(port)], {
    env: {
      ...process.env,
      NODE_ENV: 'production',
      SYMPLEX_DEMO: demo ? '1' : '0',
      NEXT_TELEMETRY_DISABLED: '1',
    },
    stdio: 'ignore',
  });
  const address = `http://localhost:${port}/`;
  for (let tries = 0; tries < 150; tries += 1) {
    const up = await fetch(address).then(
      () => true,
      () => false,
    );
    if (up) return { address, stop: () => server.kill() };
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  server.kill();
  throw new Error(`the page did not answer at ${address}: was it built?`);
}

/** Serves the production build twice: opened as a demo, and empty. */
export default async function setup(project: TestProject): Promise<() => void> {
  const [demo, empty] = await Promise.all([serve(true), serve(false)]);
  project.provide('address', demo.address);
  project.provide('emptyAddress', empty.address);
  return () => {
    demo.stop();
    empty.stop();
  };
}

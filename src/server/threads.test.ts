import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build } from 'esbuild';
import { beforeAll, describe, expect, it } from 'vitest';
import { Threads } from './threads';

const script = join(mkdtempSync(join(tmpdir(), 'symplex-thread-')), 'thread.mjs');
const rig = readFileSync('demo/rigs/slipway-diary.json', 'utf8');
const request = readFileSync('demo/requests/launch-day-mixer.json', 'utf8');
const never = new AbortController().signal;

describe('threads of the server', () => {
  beforeAll(async () => {
    await build({
      entryPoints: ['src/server/thread.ts'],
      bundle: true,
      platform: 'node',
      format: 'esm',
      outfile: script,
      logLevel: 'error',
    });
  });

  it('answer as the engine does', async () => {
    const threads = new Threads(script);
    const answers = await Promise.all(
      [1, 2, 3].map(() => threads.do({ kind: 'check', text: rig, milliseconds: 500 }, never)),
    );
    for (const { status, body } of answers) {
      expect(status).toBe(200);
      expect(JSON.parse(body)).toMatchObject({ rig: 'slipway-diary', verdict: 'silent' });
    }
    expect(threads.busy).toBe(0);
  });

  it('end with the client: nothing goes on, and the next question is answered', async () => {
    const threads = new Threads(script);
    const leaving = new AbortController();
    const given = threads.do({ kind: 'plan', text: request, milliseconds: 0 }, leaving.signal);
    expect(threads.busy).toBe(1);
    leaving.abort();
    expect((await given).status).toBe(499);
    expect(threads.busy).toBe(0);
    const next = await threads.do({ kind: 'spice', text: rig, milliseconds: 0 }, never);
    expect(next.status).toBe(200);
    expect(next.body).toMatch(/\.end\s*$/i);
  });

  it('refuse when too many wait', async () => {
    const threads = new Threads(script);
    const leaving = new AbortController();
    const all = Array.from({ length: 60 }, () =>
      threads.do({ kind: 'plan', text: request, milliseconds: 0 }, leaving.signal),
    );
    const refused = await Promise.race([
      all.at(-1),
      new Promise((wait) => setTimeout(wait, 1000, undefined)),
    ]);
    leaving.abort();
    expect(refused).toMatchObject({ status: 503 });
    expect((await Promise.all(all)).filter(({ status }) => status === 499).length).toBeGreaterThan(20);
    expect(threads.busy).toBe(0);
  });
});

import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { inject, expect, describe, it } from 'vitest';

const at = (path: string): string => new URL(path, inject('address')).href;
const file = (path: string): string => readFileSync(path, 'utf8');
/** By a connection of its own: while a command runs this process answers nobody, and the server closes what stands idle. */
const post = (path: string, body: string, init: RequestInit = {}) =>
  fetch(at(path), { method: 'POST', body, headers: { connection: 'close' }, ...init });

const cli = (...args: string[]): string => {
  const { stdout, status } = spawnSync('./symplex', args, { encoding: 'utf8' });
  expect(status).toBe(0);
  return stdout;
};

describe('the engine over HTTP', () => {
  it('checks a rig as the command line does', async () => {
    const path = 'demo/rigs/slipway-diary.json';
    const answer = await post('/api/check?fixes=10000', file(path));
    expect(answer.status).toBe(200);
    expect(answer.headers.get('content-type')).toBe('application/json');
    expect(await answer.json()).toEqual(JSON.parse(cli('check', path, '--json', '--fixes', '10000')));
  });

  it('gives fixes and the way out alone', async () => {
    const answer = await post('/api/fixes', file('demo/rigs/quay-to-camera.json'));
    const report = await answer.json();
    expect(Object.keys(report)).toEqual(['rig', 'verdict', 'findings', 'wayOut', 'whyNot', 'warnings']);
    expect(report.wayOut.steps).toMatchObject([{ edit: { kind: 'move' }, verdict: 'clean' }]);
  });

  it('gives the levels as the command line does, for the peaks that are asked for', async () => {
    const path = 'demo/rigs/two-at-the-bench.json';
    const answer = await post('/api/levels?target=-18', file(path));
    expect(answer.status).toBe(200);
    expect(await answer.json()).toEqual(JSON.parse(cli('levels', path, '--json', '--target', '-18')));
  });

  it('gives supply and earths as the command line does', async () => {
    const path = 'demo/rigs/launch-day-stream.json';
    const answer = await post('/api/power', file(path));
    expect(answer.status).toBe(200);
    expect(await answer.json()).toEqual(JSON.parse(cli('power', path, '--json')));
  });

  it('says who hears whom as the command line does', async () => {
    const path = 'demo/rigs/harbour-call-in.json';
    const answer = await post('/api/returns', file(path));
    expect(answer.status).toBe(200);
    expect(await answer.json()).toEqual(JSON.parse(cli('returns', path, '--json')));
  });

  it('plans, and its rigs are documents that it checks as clean', async () => {
    const answer = await post('/api/plan', file('demo/requests/slipway-pack-to-phone.json'));
    const { routes } = await answer.json();
    expect(routes.length).toBeGreaterThan(0);
    const checked = await (await post('/api/check?fixes=0', JSON.stringify(routes[0].rig))).json();
    expect(checked).toMatchObject({ verdict: 'clean', wayOut: { steps: [] } });
  });

  it('gives a netlist that ngspice runs', async () => {
    const answer = await post('/api/spice', file('demo/rigs/slipway-diary.json'));
    expect(answer.headers.get('content-type')).toMatch(/^text\/plain/);
    const { status, stdout } = spawnSync('ngspice', ['-b'], { input: await answer.text(), encoding: 'utf8' });
    expect(status).toBe(0);
    expect(stdout).toMatch(/onoise_total = [\d.e+-]+/);
  });

  it('lists the catalogue and its schemas, and describes itself', async () => {
    const { parts, apps } = await (await fetch(at('/api/catalogue'))).json();
    expect(parts.length).toBeGreaterThan(100);
    expect(apps.length).toBeGreaterThan(5);
    for (const name of ['rig', 'request', 'part']) {
      const schema = await (await fetch(at(`/api/schema/${name}`))).json();
      expect(schema.$schema).toBe('https://json-schema.org/draft/2020-12/schema');
      expect(schema.$id).toBe(`symplex-${name}-1`);
    }
    expect(await (await fetch(at('/api/openapi.json'))).json()).toMatchObject({ openapi: '3.1.0' });
  });

  it.each([
    ['/api/check', '{"format":', 400, /not complete JSON/],
    ['/api/check', '', 400, /not complete JSON/],
    [
      '/api/check?fixes=soon',
      file('demo/rigs/slipway-diary.json'),
      400,
      /fixes takes milliseconds .*, not soon/,
    ],
    ['/api/fixes', '{"format":"symplex-rig","version":2}', 400, /\/version is 2/],
    ['/api/levels?target=7', file('demo/rigs/slipway-diary.json'), 400, /target takes dBFS .*, not 7/],
    ['/api/plan', '{}', 400, /format/],
    ['/api/spice', ' '.repeat(3_000_000), 413, /at most 2 MB/],
  ] as const)('%s refuses %.20s with %i in one line', async (path, body, status, message) => {
    const answer = await post(path, body);
    expect(answer.status).toBe(status);
    const { error } = await answer.json();
    expect(error).toMatch(message);
    expect(error).not.toContain('\n');
  });

  it('measures a take of 13 MB as the terminal does: bodies come whole', { timeout: 60_000 }, async () => {
    const path = join(mkdtempSync(join(tmpdir(), 'take-')), 'long.wav');
    const made = ['-D', '-R', '-n', '-r', '48000', '-c', '2', '-b', '16', path, 'synth', '68', 'brownnoise'];
    expect(spawnSync('sox', [...made, 'gain', '-20']).status).toBe(0);
    const bytes = readFileSync(path);
    expect(bytes.byteLength).toBeGreaterThan(13e6);
    const init = { method: 'POST', body: bytes, headers: { connection: 'close' } };
    const answer = await fetch(at('/api/soundcheck'), init);
    expect(answer.status).toBe(200);
    const [here, there] = [await answer.json(), JSON.parse(cli('soundcheck', path, '--json'))];
    expect(here.durationSeconds).toBeCloseTo(68, 3);
    for (const figure of ['integratedLufs', 'durationSeconds', 'noiseFloorDbfs', 'samplePeakDbfs'])
      expect(here[figure]).toEqual(there[figure]);
  });

  it('knows no other schema and no other method', async () => {
    const missing = await fetch(at('/api/schema/__proto__'));
    expect(missing.status).toBe(404);
    expect((await missing.json()).error).toContain('rig, request, part');
    const got = await fetch(at('/api/check'));
    expect([got.status, got.headers.get('allow')]).toEqual([405, 'POST']);
    expect((await got.json()).error).toBe('GET is not allowed here; allowed: POST.');
    const posted = await post('/api/catalogue', '{}');
    expect([posted.status, posted.headers.get('allow')]).toEqual([405, 'GET, HEAD']);
    const nowhere = await post('/api/weather', '{}');
    expect(nowhere.status).toBe(404);
    expect((await nowhere.json()).error).toContain('There is no /api/weather');
    const packed = await post('/api/check', 'x', {
      headers: { 'content-encoding': 'gzip', connection: 'close' },
    });
    expect(packed.status).toBe(415);
    expect((await packed.json()).error).toContain('packed as gzip');
    expect((await fetch(at('/api/check'), { method: 'TRACE' }).catch(() => ({ status: 405 }))).status).toBe(
      405,
    );
  });

  it('answers others while a long plan runs, and drops a plan whose client is gone', async () => {
    const leaving = new AbortController();
    const long = post('/api/plan', file('demo/requests/launch-day-mixer.json'), { signal: leaving.signal });
    await new Promise((wait) => setTimeout(wait, 100));
    expect((await fetch(at('/api/catalogue'))).status).toBe(200);
    leaving.abort();
    await expect(long).rejects.toThrow();
    const next = await post('/api/check?fixes=0', file('demo/rigs/quay-to-camera.json'));
    expect(await next.json()).toMatchObject({ rig: 'quay-to-camera' });
  });
});

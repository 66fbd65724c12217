import { execFileSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { magnitude, nodeKey } from '../../engine/circuit';
import { allFacts } from '../../engine';
import { spiceReport } from '../../files';
import type { Rig } from '../../rig';
import { plan } from '../../../../testing/by-steps';
import type { RouteRequest } from '.';
import { checkRequest } from '../../files/read-request';

const folder = mkdtempSync(join(tmpdir(), 'symplex-routes-'));

/** Volts at the first converter of a rig for one volt of its first source at 1 kHz, by ngspice (Debian). */
function byNgspice(rig: Rig): number {
  const path = join(folder, 'route.cir');
  writeFileSync(path, spiceReport(rig).replace('ac dec 10 20 20k', 'ac lin 1 1000 1000'));
  const text = execFileSync('ngspice', ['-b', path], { encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'] });
  const [, value] = /^vm\(out\) = (\S+)/m.exec(text) ?? /^\d+\s+1\.0+e\+03\s+(\S+)/m.exec(text) ?? [];
  if (value === undefined) throw new Error(`ngspice said:\n${text.slice(-1500)}`);
  return Number(value);
}

/** The same by the engine, at the channel that the netlist names first. */
function byEngine(rig: Rig): number {
  const [{ alternating, nets, voices, inputs }] = allFacts(rig);
  const voice = voices.find(({ placed }) => rig.purpose.sources.includes(placed));
  const [, records] = /^\* channel 1 of (\S+) at /m.exec(spiceReport(rig)) ?? [];
  const input = inputs.find(({ placed, capture }) => `${placed}/${capture.id}` === records);
  const channel = input?.capture.channels[0];
  if (!voice || !input || !channel) throw new Error('no voice or no converter');
  const net = (node: string) => nets.of(nodeKey(input.placed, node));
  const gain = alternating.gain(voice.id, net(channel.plus), net(channel.minus));
  return gain ? magnitude(gain) : 0;
}

const requests = readdirSync('demo/requests').map((file): [string, RouteRequest] => {
  const result = checkRequest(JSON.parse(readFileSync(join('demo/requests', file), 'utf8')));
  if (!result.ok) throw new Error(`${file} is no request`);
  return [file, result.request];
});

describe.each(requests)('%s', (_, request) => {
  it(
    'is answered, and ngspice finds the same level at the converter to 0.01 dB',
    { timeout: 180_000 },
    () => {
      const { routes } = plan(request);
      expect(routes.length).toBeGreaterThan(0);
      for (const { rig } of routes) {
        const [outside, own] = [byNgspice(rig), byEngine(rig)];
        if (own === 0) expect(outside).toBeLessThan(1e-6);
        else expect(20 * Math.log10(outside / own)).toBeCloseTo(0, 2);
      }
    },
  );
});

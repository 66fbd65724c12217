import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { analyse } from '../judge';
import type { Rig } from '../rig';
import { spiceReport } from './spice-report';

const demo = (path: string): Rig => JSON.parse(readFileSync(`demo/${path}.json`, 'utf8')) as Rig;

describe('the netlist of a rig', () => {
  it('says between which nodes each channel of each recorder listens', () => {
    const text = spiceReport(demo('usual/guitar-voice-tracks'));
    const heard = [...text.matchAll(/^\* channel (\d) of (\S+) at (\S+) = v\((n\d+|0),(n\d+|0)\)$/gm)];
    expect(heard.map(([, channel]) => channel)).toContain('2');
    expect(text).toContain(' at tablet-8-pin = v(');
  });

  /** ngspice (Debian) at 1 kHz against the levels of the engine, between the nodes that the comments name. */
  it.each(['usual/clip-on-trs', 'usual/condenser-tablet', 'usual/mixer-headset'])(
    'a simulator’s figure there is the figure of the levels: %s',
    (path) => {
      const rig = demo(path);
      const text = spiceReport(rig);
      const [arrival] = analyse(rig).arrives;
      const { stages } = analyse(rig).chains.find((c) => c.source === arrival?.source && c.number === 1)!;
      const heard = /^\* channel 1 of (\S+) at \S+ = (v\(\S+\))$/m.exec(text);
      expect(heard?.[1]).toBe(arrival?.records);
      const asked = text.replace('ac dec 10 20 20k', 'ac lin 1 1k 1k');
      const { stdout } = spawnSync('ngspice', ['-b'], { input: asked, encoding: 'utf8' });
      const gain = Number(/vm\(out\) = ([\d.e+-]+)/.exec(stdout)?.[1]);
      const input = stages.findLast(({ is }) => is === 'converter' || is === 'input')!;
      expect(20 * Math.log10(gain)).toBeCloseTo(input.level - (stages[0]?.level ?? 0), 1);
    },
  );
});

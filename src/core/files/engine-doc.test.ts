import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { analyse } from '../judge';
import { applyEdit, type Rig } from '../rig';
import { readRig } from './read-rig';
import { formatDb, formatOhms, formatVolts } from '../units';

const doc = readFileSync('docs/engine.md', 'utf8').replace(/\s+/g, ' ');

function slipway(): Rig {
  const result = readRig(readFileSync('demo/rigs/slipway-diary.json', 'utf8'));
  if (!result.ok) throw new Error('Slipway diary is no rig');
  return result.rig;
}

const sensedOf = (rig: Rig) => analyse(rig).inputs[0]?.sensed;
const figures = (rig: Rig) => {
  const { arrives } = analyse(rig);
  const sensed = sensedOf(rig);
  if (!arrives[0] || !sensed) throw new Error('nothing arrives');
  return { ...arrives[0], sensed };
};

describe('the worked rig of docs/engine.md', () => {
  const asDelivered = slipway();
  const patched = applyEdit(asDelivered, {
    kind: 'swap',
    part: 'lead',
    to: 'patch-trs-trrs',
    ports: ['trs', 'trrs'],
  });
  const low = applyEdit(patched, { kind: 'set', part: 'receiver', setting: 'output', option: 'low' });

  it('tells the figures of the lead from the box', () => {
    const { sensed, peak, state } = figures(asDelivered);
    expect(doc).toContain(
      `reads **${formatOhms(sensed.resistance)}**, with **${formatVolts(sensed.left)}** left`,
    );
    expect(doc).toContain(`\`${state}\`: its own microphone, peaks at **${formatDb(peak, 'dBFS')}**`);
  });
  it('tells the figures of the patch cable', () => {
    const { sensed, peak, noise, state } = figures(patched);
    expect(doc).toContain(
      `reads **${formatOhms(sensed.resistance)}** with **${formatVolts(sensed.left)}** left`,
    );
    expect(doc).toContain(
      `\`${state}\`, peaks at **${formatDb(peak, 'dBFS')}**, noise at **${formatDb(noise, 'dBFS')}**`,
    );
  });
  it('tells the figures of the low output', () => {
    const { peak, noise } = figures(low);
    expect(doc).toContain(
      `peaks at **${formatDb(peak, 'dBFS')}** and noise at **${formatDb(noise, 'dBFS')}**: \`clean\``,
    );
    expect(analyse(low).verdict).toBe('clean');
  });
  it('tells the level by hand as the engine computes it', () => {
    // 470 Ω and 22 µF from the source; 4.7 kΩ, 2.2 kΩ of bias and 20 kΩ of converter beside it; 0.2 m of lead.
    const load = 1 / (1 / 4700 + 1 / 2200 + 1 / 20_000);
    const lost = 20 * Math.log10(load / (load + 470));
    expect(doc).toContain(`loses ${formatDb(-lost)}`);
    const rms = -20 + (68.34 + 13.9794 - 93.9794) + lost;
    expect(doc).toContain(`**${formatDb(rms, 'dBV')}** RMS`);
    expect(figures(patched).peak).toBeCloseTo(rms + 12 + 26.7 - 3.0103, 1);
  });
});

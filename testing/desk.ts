import { mixerPart } from '../src/core/parts/catalogue/mixer-part';
import type { Joint, Rig } from '../src/core/rig';
import { random } from './takes/random';

/** A desk with as many sends and line pairs as there are callers, made up for this. */
const deskFor = (callers: number) =>
  mixerPart({
    id: 'own-desk',
    name: 'Desk with many sends',
    summary: 'as many sends and line pairs as callers',
    price: 900,
    mics: 1,
    pairs: callers,
    sends: Array.from({ length: callers }, (_, n) => ({
      id: `send-${n}`,
      name: `Send ${n}`,
      pre: n % 2 === 0,
    })),
  });

/** A microphone and so many callers, each with a send and a line pair; every send stands somewhere, by the seed. */
export function desk(callers: number, seed: number): Rig {
  const next = random(seed);
  const joints: Joint[] = [];
  const join = (plug: string, jack: string) => {
    const ref = (text: string) => ({ part: text.split('.')[0] ?? '', port: text.split('.')[1] ?? '' });
    joints.push({ id: `j${joints.length + 1}`, plug: ref(plug), jack: ref(jack) });
  };
  join('mic.out', 'mixer.mic-1');
  join('ears.plug', 'mixer.phones');
  const parts: Rig['parts'][number][] = [
    { id: 'mic', part: 'dynamic-xlr' },
    { id: 'ears', part: 'headphones-big' },
  ];
  const settings: Record<string, number> = { 'gain-1': 54 };
  for (let n = 0; n < callers; n += 1) {
    for (const channel of ['mic-1', ...Array.from({ length: callers }, (_, pair) => `pair-${pair + 1}`)])
      settings[`send-${n}-${channel}`] = next() < 0.5 ? 0 : -60;
    parts.push(
      { id: `to-${n}`, part: 'lead-line-headset-pad' },
      { id: `split-${n}`, part: 'splitter-trrs' },
      { id: `from-${n}`, part: 'lead-breakout-jacks' },
      { id: `phone-${n}`, part: 'phone-ctia', app: 'voice-room' },
    );
    join(`to-${n}.big`, `mixer.send-${n}`);
    join(`to-${n}.trrs`, `split-${n}.mic`);
    join(`split-${n}.plug`, `phone-${n}.jack`);
    join(`from-${n}.small`, `split-${n}.phones`);
    join(`from-${n}.left`, `mixer.pair-${n + 1}-left`);
    join(`from-${n}.right`, `mixer.pair-${n + 1}-right`);
  }
  return {
    format: 'symplex-rig',
    version: 1,
    id: 'desk',
    name: 'Desk',
    parts: [...parts, { id: 'mixer', part: 'own-desk', settings }],
    joints,
    surroundings: { voice: 'normal', distances: { mic: 0.06 } },
    purpose: { sources: ['mic'], recorders: Array.from({ length: callers }, (_, n) => `phone-${n}`) },
    ownParts: [deskFor(callers)],
  };
}

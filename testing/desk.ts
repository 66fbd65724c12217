import { mixerPart } from '../src/core/parts/catalogue/mixer-part';
import type { Joint, Rig } from '../src/core/rig';
import { random } from './takes/random';

/** What a desk has, and which of its sends feeds each caller. */
export interface DeskPlan {
  readonly mics: number;
  readonly sends: number;
  /** By caller: the output that goes to them, `send-0`, `main-left`. */
  readonly feeds: readonly string[];
}

/** A desk with so many sends, and a line pair for each caller, made up for this. */
const deskFor = ({ mics, sends, feeds }: DeskPlan) =>
  mixerPart({
    id: 'own-desk',
    name: 'Desk with many sends',
    summary: 'as many sends and line pairs as it takes',
    price: 900,
    mics,
    pairs: feeds.length,
    sends: Array.from({ length: sends }, (_, n) => ({
      id: `send-${n}`,
      name: `Send ${n}`,
      pre: n % 2 === 0,
    })),
  });

/** The channels of such a desk, as its knobs call them. */
export const channelsOf = ({ mics, feeds }: DeskPlan): string[] => [
  ...Array.from({ length: mics }, (_, mic) => `mic-${mic + 1}`),
  ...feeds.map((_, pair) => `pair-${pair + 1}`),
];

/** A microphone and so many callers, each with a send and a line pair; every send stands somewhere, by the seed. */
export const desk = (callers: number, seed: number): Rig =>
  deskWith({ mics: 1, sends: callers, feeds: Array.from({ length: callers }, (_, n) => `send-${n}`) }, seed);

/** Microphones and callers on such a desk; every send stands somewhere, by the seed. */
export function deskWith(plan: DeskPlan, seed: number): Rig {
  const { mics, sends, feeds } = plan;
  const callers = feeds.length;
  const next = random(seed);
  const joints: Joint[] = [];
  const join = (plug: string, jack: string) => {
    const ref = (text: string) => ({ part: text.split('.')[0] ?? '', port: text.split('.')[1] ?? '' });
    joints.push({ id: `j${joints.length + 1}`, plug: ref(plug), jack: ref(jack) });
  };
  const microphones = Array.from({ length: mics }, (_, n) => (n === 0 ? 'mic' : `mic-${n + 1}`));
  const parts: Rig['parts'][number][] = [{ id: 'ears', part: 'headphones-big' }];
  const settings: Record<string, number> = {};
  for (const [n, id] of microphones.entries()) {
    parts.push({ id, part: 'dynamic-xlr' });
    join(`${id}.out`, `mixer.mic-${n + 1}`);
    settings[`gain-${n + 1}`] = 54;
  }
  join('ears.plug', 'mixer.phones');
  for (let send = 0; send < sends; send += 1)
    for (const channel of channelsOf(plan)) settings[`send-${send}-${channel}`] = next() < 0.5 ? 0 : -60;
  for (const [n, output] of feeds.entries()) {
    parts.push(
      { id: `to-${n}`, part: 'lead-line-headset-pad' },
      { id: `split-${n}`, part: 'splitter-trrs' },
      { id: `from-${n}`, part: 'lead-breakout-jacks' },
      { id: `phone-${n}`, part: 'phone-ctia', app: 'voice-room' },
    );
    join(`to-${n}.big`, `mixer.${output}`);
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
    surroundings: {
      voice: 'normal',
      distances: Object.fromEntries(microphones.map((id) => [id, 0.06])),
    },
    purpose: { sources: microphones, recorders: Array.from({ length: callers }, (_, n) => `phone-${n}`) },
    ownParts: [deskFor(plan)],
  };
}

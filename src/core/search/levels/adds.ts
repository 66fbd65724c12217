import type { Facts } from '../../engine';
import { noiseBudget, staircases, type Staircase } from '../../engine/levels';
import { FAR_DOWN } from '../bother';
import { levelControls } from './model';
import { NEAR, type Aim } from './score';

/** What to put into a chain where no setting can do it, and ahead of which part. */
export interface Add {
  readonly is: 'pad' | 'booster' | 'closer';
  readonly source: string;
  readonly recorder: string;
  /** Ahead of which part; of `closer` the microphone itself. */
  readonly at: string;
  /** How much it should take off or bring, dB. */
  readonly decibels: number;
  readonly why: 'over' | 'far-down' | 'too-low' | 'noisy';
}

/** Less clear of the noise than this is heard to hiss, dB. Ours, as in Route. */
const CLEAR = 45;
/** What an inline booster brings, dB. Typical. */
const BOOST = 25;
/** A pad is asked for from here, dB: less is a matter of how loudly one speaks. */
const LEAST_PAD = 3;

/** Where a chain enters the part whose stage is at a place. */
const ownerAt = ({ chain }: Staircase, index: number): string => chain.stages[index]?.placed ?? chain.source;

function padFor(facts: Facts, staircase: Staircase, aim: Aim): Add[] {
  const { chain, recorder, source } = staircase;
  const of = { source, recorder };
  const over = chain.stages.findIndex(
    ({ clipLevel, peak }) => clipLevel !== null && peak + aim.headroom > clipLevel + LEAST_PAD,
  );
  const last = chain.stages.length - 1;
  const converter = chain.stages[last];
  const stage = chain.stages[over];
  if (stage?.clipLevel !== null && stage !== undefined) {
    // At the converter peaks come down to the target, at another stage to its room.
    const wanted = over === last ? -aim.target : aim.headroom;
    const decibels = Math.round(stage.peak - stage.clipLevel + wanted);
    return [{ is: 'pad', ...of, at: ownerAt(staircase, over), decibels, why: 'over' }];
  }
  if (!converter) return [];
  const low = levelControls(facts, staircase).find(
    ({ stands, places, from }) => stands <= -FAR_DOWN && stands > (places[0]?.decibels ?? 0) && from < last,
  );
  return low
    ? [{ is: 'pad', ...of, at: ownerAt(staircase, last), decibels: Math.round(-low.stands), why: 'far-down' }]
    : [];
}

/** The source gives its sound by itself, with no supply of its own: an inline booster stands behind it. */
function boostFor(facts: Facts, staircase: Staircase, aim: Aim): Add[] {
  const { arrival, chain, recorder, source } = staircase;
  const converter = chain.stages.at(-1);
  const owner = facts.laid.get(source)?.part;
  if (!converter || converter.clipLevel === null || !owner) return [];
  const short = aim.target - NEAR - (converter.peak - converter.clipLevel);
  const hiss = CLEAR - (arrival.peak - arrival.noise);
  if (short <= 0 && hiss <= 0) return [];
  const why = hiss > 0 ? 'noisy' : 'too-low';
  const [most] = noiseBudget(facts, staircase);
  const isVoice = owner.circuit.some(
    (e) => e.kind === 'electret' || (e.kind === 'signal' && e.hears === 'voice'),
  );
  const of = { source, recorder, why } as const;
  const closer: Add[] = isVoice
    ? [{ is: 'closer', ...of, at: source, decibels: Math.ceil(Math.max(short, hiss)) }]
    : [];
  // A booster lifts the sound over what follows, not over the source's own noise.
  const helps =
    owner.power === undefined && isVoice && most?.is !== 'source' && (hiss > 0 || short >= BOOST / 2);
  const next = chain.stages.find(({ is }) => is === 'input' || is === 'converter');
  return helps && next ? [{ is: 'booster', ...of, at: next.placed, decibels: BOOST }, ...closer] : closer;
}

/** What no setting can do, chain by chain, as the rig stands. */
export const addsFor = (facts: Facts, aim: Aim): Add[] =>
  staircases(facts).flatMap((staircase) => {
    const pads = padFor(facts, staircase, aim);
    return pads.length > 0 ? pads : boostFor(facts, staircase, aim);
  });

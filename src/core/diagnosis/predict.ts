import { SINE_CREST } from '../units';
import { overdriven } from '../checks/stages';
import type { Facts } from '../engine';
import { earthFacts } from '../engine/earth';
import {
  appOf,
  chooseInput,
  heardBy,
  SPEECH_CREST,
  type Arrival,
  type HostInput,
  type InputChannel,
} from '../engine/flow';
import { echoes } from '../engine/hearing';
import { SILENT, type Features } from './features';

/** A side so far under the other counts as empty, dB: as among the rig’s checks. */
const EMPTY = 20;
/** Nothing weaker than this is called an echo, dB under the voice. */
const ECHO_LEAST = -26;

const NOTHING: Features = {
  image: 'silent',
  active: -Infinity,
  noise: -Infinity,
  hum: -Infinity,
  ceiling: null,
  over: -Infinity,
  echo: null,
};

interface Side {
  readonly channel: InputChannel;
  /** RMS of all that is meant, dBFS re a sine; peaks of the loudest. */
  readonly rms: number;
  readonly peak: number;
}

function sideOf(channel: InputChannel, sources: readonly string[]): Side {
  const own = channel.signals.filter((s) => sources.includes(s.source.placed));
  const power = own.reduce((sum, s) => sum + 10 ** ((s.peak + SINE_CREST - s.source.crest) / 10), 0);
  return {
    channel,
    rms: power > 0 ? 10 * Math.log10(power) : -Infinity,
    peak: Math.max(-Infinity, ...own.map((s) => s.peak)),
  };
}

/** How alike two sides are, −1 to 1: of each source by its power, with its sign. */
function correlation(left: Side, right: Side): number {
  let [ll, rr, lr] = [0, 0, 0];
  const powerOf = (s: InputChannel['signals'][number]) => 10 ** ((s.peak - s.source.crest) / 10);
  for (const l of left.channel.signals) {
    const r = right.channel.signals.find(({ source }) => source.id === l.source.id);
    ll += powerOf(l);
    if (!r) continue;
    const sign = Math.sign(l.gain.re * r.gain.re + l.gain.im * r.gain.im) || 1;
    lr += sign * Math.sqrt(powerOf(l) * powerOf(r));
  }
  for (const r of right.channel.signals) rr += powerOf(r);
  return ll > 0 && rr > 0 ? lr / Math.sqrt(ll * rr) : 0;
}

function imageOf(sides: readonly Side[]): Features['image'] {
  const [left, right] = sides;
  if (!left || sides.every((s) => s.rms - SINE_CREST < SILENT)) return 'silent';
  if (!right) return 'mono';
  if (left.rms - right.rms >= EMPTY) return 'left-only';
  if (right.rms - left.rms >= EMPTY) return 'right-only';
  const alike = correlation(left, right);
  return alike > 0.985 ? 'dual-mono' : alike < -0.9 ? 'inverted' : 'stereo';
}

/** How far the peaks of what is meant drive a stage on the way past its clip level, dB; the worst. */
const worstStage = (facts: Facts, arrival: Arrival): number =>
  Math.max(-Infinity, ...overdriven(facts, arrival).map(({ stage, peak }) => peak - stage.clip));

function echoAt(facts: Facts, recorder: string): Features['echo'] {
  const found = echoes(facts).find(({ caller }) => caller === recorder);
  if (!found || -found.loss < ECHO_LEAST) return null;
  return { delayMs: found.roundTrip.typical, levelDb: Math.min(0, -found.loss) };
}

function humAt(facts: Facts, input: HostInput): number {
  const own = earthFacts(facts).hums.filter(
    (h) => h.host === input.host && h.placed === input.placed && h.capture === input.capture.id,
  );
  return Math.max(-Infinity, ...own.map((h) => h.hum.typical)) - SINE_CREST;
}

/** The device’s own microphone, in the way it hears the voice. */
function byOwnMicrophone(arrival: Arrival | undefined): Features {
  if (!arrival || arrival.peak === -Infinity) return NOTHING;
  return {
    ...NOTHING,
    image: 'mono',
    active: arrival.peak - SPEECH_CREST,
    noise: arrival.noise - SINE_CREST,
    ceiling: arrival.peak > 0 ? 0 : null,
    over: arrival.peak,
    ownMicrophone: true,
  };
}

/** What a test take at one recorder would show, everybody who is meant speaking in turn. */
export function predict(facts: Facts, recorder: string): Features {
  const host = facts.laid.get(recorder);
  const { input } = host
    ? chooseInput(
        facts.rig,
        host,
        facts.inputs.filter((i) => i.host === recorder),
      )
    : {};
  const arrivals = facts.arrivals.filter((a) => a.recorder === recorder);
  if (!host || !input) return byOwnMicrophone(arrivals.find((a) => a.records === 'own-microphone'));
  const heard = heardBy(host, appOf(host), input).slice(0, 2);
  const sides = heard.map((channel) => sideOf(channel, facts.rig.purpose.sources));
  const loudest = [...sides].sort((a, b) => b.rms - a.rms)[0];
  if (!loudest) return NOTHING;
  const stage = Math.max(-Infinity, ...arrivals.map((a) => worstStage(facts, a)));
  const over = Math.max(loudest.peak, stage);
  // A stage before the converter cuts where its own clip level comes to stand.
  const ceiling = over > 0 ? Math.min(0, loudest.peak - Math.max(0, stage)) : null;
  return {
    image: imageOf(sides),
    active: loudest.rms - SINE_CREST,
    noise: loudest.channel.noise - SINE_CREST,
    hum: humAt(facts, input),
    ceiling,
    over,
    echo: echoAt(facts, recorder),
  };
}

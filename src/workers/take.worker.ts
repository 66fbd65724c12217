import { expose } from 'comlink';
import { explain, featuresOf, standInPlan, sideAt } from '../core/diagnosis';
import { allFacts } from '../core/engine';
import { wavFeed, wavHead, weave16 } from '../core/signal/files';
import { measuring, type Piece } from '../core/signal/measure';
import { faultyTake } from '../core/signal/render/faulty';
import { guidedStandIn, standIn, type Simulated } from '../core/signal/render/stand-in';
import { sayWavProblem } from '../core/words/say-take';
import { decodedPieces } from './decode';
import type { TakeProtocol, TakeRead } from './take-protocol';

type Tell = (share: number) => void;
type Keep = ((samples: ArrayBuffer) => Promise<void>) | undefined;

const isWav = async (file: Blob): Promise<boolean> => {
  const start = new Uint8Array(await file.slice(0, 12).arrayBuffer());
  const text = String.fromCharCode(...start);
  return /^(RIFF|RF64|BW64)/.test(text) && text.endsWith('WAVE');
};

/** Pieces go to the measure, and to where the sound is kept. */
function taker(measure: ReturnType<typeof measuring>, keep: Keep) {
  const kept: Promise<void>[] = [];
  return {
    take(piece: Piece): void {
      measure.push(piece);
      if (keep) kept.push(keep(weave16(piece).buffer));
    },
    done: () => Promise.all(kept),
  };
}

async function measureWav(file: Blob, tell: Tell, keep: Keep): Promise<TakeRead> {
  let measure: ReturnType<typeof measuring> | undefined;
  let sound: ReturnType<typeof taker> | undefined;
  const feed = wavFeed(file.size, (head) => {
    measure = measuring(head, head.bytes / ((head.channels * head.bits) / 8) / head.sampleRate);
    sound = taker(measure, keep);
    return sound.take;
  });
  let seen = 0;
  const reader = file.stream().getReader();
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    const problem = feed.push(part.value);
    if (problem) return { ok: false, says: sayWavProblem(problem) };
    seen += part.value.byteLength;
    tell(seen / file.size);
  }
  const end = feed.finish();
  if (!end.ok || !measure)
    return { ok: false, says: end.ok ? 'holds no samples' : sayWavProblem(end.problem) };
  await sound?.done();
  return { ok: true, measures: measure.finish(), mended: end.head.mended };
}

async function measureOther(file: Blob, tell: Tell, keep: Keep): Promise<TakeRead> {
  const opened = await decodedPieces(file);
  if (!opened.ok) return opened;
  const { sampleRate, channels, seconds, pieces } = opened;
  const measure = measuring({ sampleRate, channels }, seconds);
  const sound = taker(measure, keep);
  let samples = 0;
  for await (const piece of pieces) {
    sound.take(piece);
    samples += piece[0]?.length ?? 0;
    tell(Math.min(1, samples / sampleRate / seconds));
  }
  if (samples === 0) return { ok: false, says: 'holds no sound that could be decoded' };
  await sound.done();
  return { ok: true, measures: measure.finish(), mended: [] };
}

function wavBlob({ sampleRate, sides }: Simulated): Blob {
  const samples = weave16(sides);
  return new Blob([wavHead(sampleRate, sides.length, samples.byteLength), samples], { type: 'audio/wav' });
}

const listener: TakeProtocol = {
  async measureFile(file, tell, keep) {
    if (file.size === 0) return { ok: false, says: 'is empty' };
    return (await isWav(file)) ? measureWav(file, tell, keep) : measureOther(file, tell, keep);
  },
  explain: (rig, recorder, measures) => explain(rig, recorder, featuresOf(measures)),
  simulate(rig, recorder, seed, steps) {
    const [facts] = allFacts(rig);
    const plan = standInPlan(rig, recorder);
    return wavBlob(
      steps
        ? guidedStandIn(
            plan,
            steps.map((step) => ({ ...step, ...sideAt(facts.arrivals, recorder, step.part) })),
            plan.ownMicrophone === true,
            seed,
          )
        : standIn(plan, seed),
    );
  },
  faulty: (name, seed) => wavBlob(faultyTake(name, seed)),
};

expose(listener);

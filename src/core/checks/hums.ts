import type { Facts } from '../engine';
import { earthFacts, earthLoops, UNDER_SPEECH, worstOf, type Hum } from '../engine/earth';
import { check, type Found } from './check';
import { inputOf } from './input-of';
import { HUM } from './origins';

type HumOf = Pick<Hum, 'hum' | 'whine' | 'shares'>;

/** Hum beside a voice at a recorder, dBFS. */
interface Beside {
  readonly hum: Hum;
  readonly voice: number;
  readonly source: string;
  readonly recorder: string;
}

/** The worst channel that a recorded source is on. */
function besideVoices(facts: Facts): Beside[] {
  const { hums } = earthFacts(facts);
  if (hums.length === 0) return [];
  return facts.arrivals.flatMap((arrival): Beside[] => {
    const input = arrival.state === 'recorded' ? inputOf(facts, arrival) : undefined;
    if (!input) return [];
    const found = input.channels.flatMap((channel, index): Beside[] => {
      const signal = channel.signals.find(({ source }) => source.placed === arrival.source);
      const hum = hums.find(
        (h) =>
          h.host === input.host &&
          h.placed === input.placed &&
          h.capture === input.capture.id &&
          h.channel === index,
      );
      if (!signal || !hum) return [];
      const { source, recorder } = arrival;
      return [{ hum, voice: signal.rms - channel.fullScale, source, recorder }];
    });
    const under = ({ hum, voice }: Beside) => voice - worstOf(hum, 'typical');
    return found.sort((a, b) => under(a) - under(b)).slice(0, 1);
  });
}

const isOver = ({ hum, voice }: Beside, which: 'typical' | 'most'): boolean =>
  worstOf(hum, which) > voice - UNDER_SPEECH;

/** The parts on the mains, or that charge, whose grounds the loudest share goes round. */
function between(facts: Facts, where: string | undefined): readonly string[] {
  const { mains, network } = earthFacts(facts);
  const onIt = new Set(mains.map(({ laid }) => laid.placed.id));
  const loops = earthLoops(facts, network).map(({ parts }) => parts.filter((id) => onIt.has(id)));
  const of = loops.filter((parts) => parts.length > 0).sort((a, b) => b.length - a.length);
  return of[0] ?? (where === undefined ? [] : [where]);
}

/** Whether it is rather a whine, how strong that is, and whose grounds it goes round. */
export function wayOfHum(facts: Facts, { hum, whine, shares }: HumOf, which: 'typical' | 'most') {
  const whines = whine[which] > hum[which];
  const [first] = shares.filter(({ why }) => (why === 'charging' || why === 'switching') === whines);
  // A current that charges comes back by the sound lead of whatever it comes from, on the mains or not.
  const [one, other] = first?.why === 'charging' ? [first.where] : between(facts, first?.where);
  return { whines, level: whines ? whine : hum, one, other };
}

function say(facts: Facts, { hum, voice, source, recorder }: Beside, which: 'typical' | 'most'): Found {
  const { whines, level, one, other } = wayOfHum(facts, hum, which);
  return {
    where: { part: one ?? recorder },
    ...(other !== undefined && { other }),
    source,
    recorder,
    values: [
      { name: whines ? 'whine' : 'hum', value: level.typical, unit: 'dBFS' },
      { name: 'at the least', value: level.least, unit: 'dBFS' },
      { name: 'at the most', value: level.most, unit: 'dBFS' },
      { name: 'the voice', value: voice, unit: 'dBFS' },
    ],
    limit: { value: voice - UNDER_SPEECH, unit: 'dBFS', is: 'at most' },
  };
}

/** Whether a recording hums already. */
export const recordingHums = (facts: Facts): boolean =>
  besideVoices(facts).some((one) => isOver(one, 'typical'));

/** Grounds that meet twice: what flows round them is heard beside the voice. */
export const hums = check({
  code: 'hums',
  means:
    'Two things on the mains are joined by the sound leads as well, or a current that charges returns by them: hum or whine beside the voice. A power bank, an isolator or a balanced lead breaks the way; a safety earth is never lifted.',
  severity: ['spoils'],
  origin: HUM,
  limit: `${UNDER_SPEECH} dB under the voice (our own limit, after common practice).`,
  aspect: 'power',
  asks: 'hum',
  cures: ['feeder', 'switch', 'parting'],
  find: (facts) =>
    besideVoices(facts)
      .filter((one) => isOver(one, 'typical'))
      .map((one) => say(facts, one, 'typical')),
});

/** The same where it is so only with the worst of what is usual. */
export const mayHum = check({
  code: 'may-hum',
  means:
    'The same where it is heard only with the worst that is usual at the earths: within the spread it must be tried.',
  severity: ['note'],
  origin: HUM,
  limit: `${UNDER_SPEECH} dB under the voice with the worst that is usual (our own limit); within the spread it must be tried.`,
  aspect: 'power',
  asks: 'hum',
  cures: ['feeder', 'switch', 'parting'],
  find: (facts) =>
    besideVoices(facts)
      .filter((one) => isOver(one, 'most') && !isOver(one, 'typical'))
      .map((one) => say(facts, one, 'most')),
});

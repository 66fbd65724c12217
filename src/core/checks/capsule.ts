import { feedOf, type SoundSource } from '../engine/circuit';
import type { Facts } from '../engine/facts';
import { jointsOf } from '../rig';
import { failing } from './failing';
import type { Finding, Place } from './finding';
import { HEADSET_PINOUT, PHANTOM, TYPICAL_CAPSULE } from './origins';

/** Under this a voltage is nothing but rounding. */
const NO_VOLTAGE = 1e-4;

interface Fed {
  readonly element: SoundSource;
  readonly least: number;
  readonly supply: number;
}

/** The contacts of a joint whose two sides give them different roles. */
function exchanged(facts: Facts, joint: string | undefined): Pick<Place, 'plug' | 'jack'> {
  const mated = facts.matings.find((m) => m.joint.id === joint);
  const meetings = (joint !== undefined && facts.reading.meetings.get(joint)) || [];
  const crossed = meetings.flatMap(({ jack, plug }) => {
    const [brings, expects] = [plug && mated?.plugPort.roles?.[plug], mated?.jackPort.roles?.[jack]];
    return plug && brings && expects && brings !== expects ? [{ jack, plug }] : [];
  });
  return { plug: crossed.map((c) => c.plug), jack: crossed.map((c) => c.jack) };
}

function finding(facts: Facts, { element, least, supply }: Fed, source: string, recorder: string): Finding {
  const swapped = element.kind === 'electret' && supply < -NO_VOLTAGE;
  const joint = jointsOf(facts.rig, element.placed)[0]?.id;
  const origin = element.kind === 'electret' ? TYPICAL_CAPSULE : PHANTOM;
  return {
    code: swapped ? 'contacts-swapped' : 'capsule-unpowered',
    severity: 'blocks',
    where: {
      ...(joint === undefined ? { part: element.placed } : { joint }),
      ...(swapped && exchanged(facts, joint)),
    },
    source,
    recorder,
    values: [{ name: 'supply at the microphone', value: supply, unit: 'V' }],
    limit: { value: least, unit: 'V', is: 'at least' },
    origin: swapped ? HEADSET_PINOUT : origin,
  };
}

const sourcesOf = (facts: Facts, placed: string): SoundSource[] =>
  facts.nets.branches.filter(
    (b): b is SoundSource => (b.kind === 'electret' || b.kind === 'signal') && b.placed === placed,
  );

/**
 * A microphone whose plug-in power or phantom is missing, or stands the wrong way round because microphone and ground are
 * exchanged.
 */
export function capsule(facts: Facts): Finding[] {
  return failing(facts).flatMap(({ arrival }) =>
    sourcesOf(facts, arrival.source).flatMap((element) => {
      const feed = feedOf(element);
      if (!feed) return [];
      const supply = facts.direct.between(facts.nets.of(feed.plus), facts.nets.of(feed.minus));
      if (supply === undefined || supply >= feed.volts) return [];
      return [finding(facts, { element, least: feed.volts, supply }, arrival.source, arrival.recorder)];
    }),
  );
}

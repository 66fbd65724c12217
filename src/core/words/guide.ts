import type { StretchKind } from '../signal/measure';
import { isSpoken, jointsOf, laidParts, type Rig } from '../rig';
import { nameOf as fullName } from './words';

/** One thing that is asked for in a guided take. */
export interface GuideStep {
  readonly asked: string;
  readonly is: StretchKind;
  /** Placed part that it is about. */
  readonly part?: string;
  readonly seconds: number;
}

/** As it stands within a sentence: a label as its owner wrote it, what a part is called with its article. */
const nameOf = (rig: Rig, id: string): string => {
  const name = fullName(rig, id);
  const isLabel = rig.parts.some((placed) => placed.id === id && placed.label !== undefined);
  return isLabel ? name : name.replace(/^[A-Z](?=[a-z])/, (c) => `the ${c.toLowerCase()}`);
};

/** What goes over the air may drop out where one stands. */
const hasRadio = (rig: Rig): boolean =>
  laidParts(rig).some(({ part }) => part.ports.some((port) => port.connector === 'radio'));

/** What is on the mains and in the rig’s supply: pulled, its hum goes. */
const chargers = (rig: Rig): string[] =>
  laidParts(rig)
    .filter(({ part, placed }) => part.mains && part.outlets && jointsOf(rig, placed.id).length > 0)
    .map(({ placed }) => placed.id);

/** The prompts of a test take for this very rig: silence, each source as usual and at its loudest, a tap on each microphone, what may be pulled. */
export function guideFor(rig: Rig): GuideStep[] {
  const spoken = laidParts(rig).filter(
    (laid) => rig.purpose.sources.includes(laid.placed.id) && isSpoken(laid.part),
  );
  const played = rig.purpose.sources.filter((id) => !spoken.some(({ placed }) => placed.id === id));
  return [
    { asked: 'Silence: nobody speaks', is: 'silence', seconds: 4 },
    ...spoken.flatMap(({ placed }): GuideStep[] => [
      { asked: `Speak as usual into ${nameOf(rig, placed.id)}`, is: 'usual', part: placed.id, seconds: 6 },
      {
        asked: `Now as loud as it will get, into ${nameOf(rig, placed.id)}`,
        is: 'loudest',
        part: placed.id,
        seconds: 4,
      },
      { asked: `Tap ${nameOf(rig, placed.id)}, three times`, is: 'tap', part: placed.id, seconds: 3 },
    ]),
    ...played.map((id): GuideStep => ({
      asked: `Play ${nameOf(rig, id)}`,
      is: 'play',
      part: id,
      seconds: 6,
    })),
    ...chargers(rig).map((id): GuideStep => ({
      asked: `Pull ${nameOf(rig, id)} and speak on`,
      is: 'pull',
      part: id,
      seconds: 5,
    })),
    ...(hasRadio(rig)
      ? [{ asked: 'Walk about, turn away, and speak on', is: 'walk' as const, seconds: 6 }]
      : []),
    { asked: 'Silence again', is: 'silence', seconds: 3 },
  ];
}

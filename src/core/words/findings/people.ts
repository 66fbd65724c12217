import type { Finding } from '../../checks';
import { peopleOf, speakerAt, type Rig } from '../../rig';
import type { FindingWords } from '../finding-words';
import { limitFigure, show } from '../measured';
import type { Sentence } from '../sentence';
import { capital, ears, list, nameOf, noun } from '../words';

const named = (rig: Rig, f: Finding): string =>
  peopleOf(rig).find(({ id }) => id === f.person)?.name ?? 'Somebody';

/** "Bea’s microphone", or what it is called where nobody speaks into it. */
function whose(rig: Rig, microphone: string | undefined): string {
  const owner = microphone === undefined ? undefined : speakerAt(rig, microphone);
  return owner ? `${owner.name}’s microphone` : noun(rig, microphone);
}

const sayBleeds = (rig: Rig, f: Finding): Sentence => [
  `${named(rig, f)} comes to ${noun(rig, f.recorder)} by ${f.source === undefined ? 'one microphone' : whose(rig, f.source)} and by ${whose(rig, f.other)}, only `,
  ...f.values.slice(0, 1).map(show),
  ' lower and ',
  ...f.values.slice(1).map(show),
  ' apart: mixed together they sound hollow; ',
  limitFigure(f),
  ' would do.',
];

const sayLate = (rig: Rig, f: Finding): Sentence => [
  `${named(rig, f)} hears themself in ${ears(rig, f.other)} by the app alone, `,
  ...f.values.map(show),
  ' late, typical; ',
  limitFigure(f),
  ' is about what a singer bears. Direct monitoring is at once.',
];

const sayNobody = (rig: Rig, f: Finding): Sentence => [
  `${named(rig, f)} wears nothing to listen, and no loudspeaker brings them the far end of ${nameOf(rig, f.recorder)} loud enough.`,
];

export const PEOPLE_WORDS = {
  'records-callers': {
    title: 'A caller is recorded',
    says: (rig: Rig, f: Finding): Sentence => [
      `${capital(noun(rig, f.recorder))} records ${list((f.sources ?? []).map((id) => nameOf(rig, id)))}: ask before; local law decides.`,
    ],
  },
  'volume-sets-level': {
    title: 'The volume keys set the level',
    says: (rig: Rig, f: Finding): Sentence => [
      `${capital(nameOf(rig, f.recorder))} plays into ${nameOf(rig, f.other)} as loud as its volume stands: nearly up, then leave it.`,
    ],
  },
  bleeds: { title: 'Two microphones on one voice', says: sayBleeds },
  'monitored-late': { title: 'Monitored too late', says: sayLate },
  'hears-nobody': {
    title: 'Does not hear the far end',
    says: sayNobody,
    heading: (rig: Rig, f: Finding) => `${capital(named(rig, f))} does not hear the far end`,
  },
} as const satisfies Readonly<Record<string, FindingWords>>;

import type { Finding, FindingCode } from '../checks';
import { PAIR_SUM } from '../checks/measured-names';
import { connectorName, contactName, contactsOf, mate, type Misfit } from '../plugs';
import { portOf, type Joint, type Rig } from '../rig';
import { formatQuantity } from '../units';
import { FINDING_LIST } from './finding-list';
import { limitFigure, show } from './measured';
import {
  sayApp,
  sayGuests,
  sayInputNumber,
  sayMonitorOff,
  sayMoved,
  sayNotArmed,
  sayNotNoticed,
  sayNotReloaded,
  sayOwnChosen,
  sayReturns,
  saySharesTrack,
  saySwitchedOff,
} from './say-app';
import {
  sayBrownOut,
  sayBytes,
  sayCount,
  sayLongLead,
  sayNoAnalogueMode,
  sayNoData,
  sayStarved,
  sayUnauthenticated,
  sayUnpoweredPart,
} from './say-device';
import { figure, type Sentence } from './sentence';
import { capital, list, nameOf, noun, numberWord, withArticle } from './words';

const MISFIT: Record<Misfit, string> = {
  'two-plugs': 'both are plugs',
  'two-jacks': 'both are sockets',
  size: 'they differ in size',
  family: 'they are of different kinds',
};

const jointOf = (rig: Rig, finding: Finding): Joint | undefined =>
  rig.joints.find((joint) => joint.id === finding.where.joint);

function connectorsOf(rig: Rig, finding: Finding) {
  const joint = jointOf(rig, finding);
  const plug = joint && portOf(rig, joint.plug);
  const jack = joint && portOf(rig, joint.jack);
  return joint && plug && jack ? { joint, plug, jack } : undefined;
}

/** "the lead’s tip": a contact with the part it is on. */
const theContact = (rig: Rig, placed: string | undefined, contact: string): string =>
  `${noun(rig, placed)}’s ${contact}`;

function sayShort(rig: Rig, finding: Finding): Sentence {
  const [resistance] = finding.values;
  const joint = jointOf(rig, finding);
  const [contact] = finding.where.plug ?? [];
  const [a, b] = finding.where.jack ?? [];
  const wants: Sentence = [
    `, and ${noun(rig, finding.recorder)} wants `,
    limitFigure(finding),
    ' before it believes in a microphone.',
  ];
  const measured = resistance ? [show(resistance)] : [];
  if (joint && contact && a && b) {
    const plugName = capital(theContact(rig, joint.plug.part, contactName(contact)));
    const springs = `the ${contactName(a)} spring (microphone) and the ${contactName(b)} spring (ground)`;
    return [`${plugName} lies on both ${springs} of the jack: `, ...measured, ' to ground', ...wants];
  }
  return ['The microphone contact is pulled to ground: ', ...measured, ...wants];
}

function sayOpen(rig: Rig, finding: Finding): Sentence {
  const joint = jointOf(rig, finding);
  const [plug] = finding.where.plug ?? [];
  const [jack] = finding.where.jack ?? [];
  const [resistance] = finding.values;
  const tail: Sentence = resistance
    ? [
        `. ${capital(noun(rig, finding.recorder))} reads `,
        show(resistance),
        ' there, takes it for a microphone, and hears nothing.',
      ]
    : ['. The input is live and hears nothing.'];
  if (!joint || !plug || !jack) return ['The microphone contact leads to nothing', ...tail];
  const spring = `The ${contactName(jack)} spring of ${nameOf(rig, joint.jack.part)}`;
  const meets = theContact(rig, joint.plug.part, contactName(plug));
  return [`${spring} meets ${meets}, and nothing is wired to that`, ...tail];
}

function sayMisfit(rig: Rig, finding: Finding): Sentence {
  const ends = connectorsOf(rig, finding);
  if (!ends) return ['The two connectors do not go together.'];
  const mating = mate(ends.plug, ends.jack);
  const why = mating.fits ? '' : MISFIT[mating.misfit];
  const [a, b] = [connectorName(ends.plug.connector), connectorName(ends.jack.connector)];
  return [
    `${capital(withArticle(a))} ${ends.plug.gender} and ${withArticle(b)} ${ends.jack.gender} do not go together: ${why}.`,
  ];
}

function sayUncertain(rig: Rig, finding: Finding): Sentence {
  const [usual, otherwise] = finding.values;
  const [jack] = finding.where.jack ?? [];
  const [plug] = finding.where.plug ?? [];
  const joint = jointOf(rig, finding);
  return [
    `Jacks differ: in some the ${jack ? contactName(jack) : ''} spring of ${nameOf(rig, joint?.jack.part)} lies on the plug’s ${plug ? contactName(plug) : ''}. Peaks are then `,
    ...(otherwise ? [show(otherwise)] : []),
    ' instead of ',
    ...(usual ? [show(usual)] : []),
    '; try it before the day.',
  ];
}

const sayNoPath = (rig: Rig, f: Finding): Sentence => [
  `No lead joins ${noun(rig, f.source)} to ${noun(rig, f.recorder)}.`,
];

const contactList = (f: Finding): string => {
  const names = (f.where.jack ?? []).map(contactName);
  return names.length > 0 ? ` (${list(names)})` : '';
};

const saySwapped = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.source))} and the jack put microphone and ground on each other’s contacts${contactList(f)}: `,
  ...f.values.slice(0, 1).map(show),
  ' across the capsule, which wants ',
  limitFigure(f),
  '.',
];

const sayUnpowered = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.source))} is fed `,
  ...f.values.slice(0, 1).map(show),
  ' and wants ',
  limitFigure(f),
  ' (plug-in power or phantom).',
];

function sayOutputs(rig: Rig, f: Finding): Sentence {
  const port = jointOf(rig, f)?.jack;
  const socket = (port && portOf(rig, port)?.name) ?? 'socket';
  return [
    `${capital(noun(rig, f.source))} gives sound out, and so does the ${socket} of ${noun(rig, f.other)}. Nothing listens there.`,
  ];
}

const sayTooQuiet = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.source))} arrives at ${noun(rig, f.recorder)} at `,
  ...f.values.slice(0, 1).map(show),
  '; it takes ',
  limitFigure(f),
  ' to stand out of the noise.',
];

const saySides = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.recorder))} records two sides: `,
  ...f.values.flatMap((m, index) => [`${index > 0 ? ', ' : ''}the ${m.name} has `, show(m)]),
  '; it takes ',
  limitFigure(f),
  ' to count as carried. Harmless if you copy it over later, wrong in a live stream.',
];

const sayClips = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.source))} reaches the input of ${nameOf(rig, f.where.part)} at `,
  ...f.values.slice(0, 1).map(show),
  ' peaks; full scale is ',
  figure('0 dBFS'),
  '. It clips ahead of the converter, so no slider in the app can save it.',
];

const sayHarm = (rig: Rig, f: Finding): Sentence => [
  `${capital(nameOf(rig, f.other))} gets `,
  ...f.values.map(show),
  ' of direct voltage and bears ',
  limitFigure(f),
  '. Before plugging anything: fader down, phantom off.',
];

/** Both outputs of a stereo source in one balanced input, or one source on both sides, with opposite polarity. */
const sayCancels = (rig: Rig, f: Finding): Sentence => [
  f.values[0]?.name === PAIR_SUM
    ? `Both outputs of ${noun(rig, f.source)} meet in one input with opposite polarity. What they have in common falls by `
    : `Left and right carry ${noun(rig, f.source)} with opposite polarity. Summed to mono it falls by `,
  ...f.values.map((m) => figure(formatQuantity(-m.value, m.unit))),
  f.values[0]?.name === PAIR_SUM
    ? '. A stereo pair wants two inputs, or a lead that sums.'
    : ', and phones and calls sum. It takes one leg of the output for both sides.',
];

const sayStage = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.source))} drives an output of ${nameOf(rig, f.other)} to `,
  ...f.values.map(show),
  ' peaks; it gives at most ',
  ...(f.limit ? [figure(formatQuantity(f.limit.value, f.limit.unit))] : []),
  '.',
];

const REASONS: Record<FindingCode, (rig: Rig, finding: Finding) => Sentence> = {
  'nothing-intended': () => ['Choose which part is the source and which one records.'],
  'voltage-harms': sayHarm,
  'does-not-fit': sayMisfit,
  'usb-no-data': sayNoData,
  'accessory-unauthenticated': sayUnauthenticated,
  starved: sayStarved,
  'usb-too-deep': sayCount,
  'two-sound-devices': sayCount,
  'no-analogue-mode': sayNoAnalogueMode,
  'brown-out': sayBrownOut,
  'isochronous-exceeded': sayBytes,
  'usb-lead-long': sayLongLead,
  'not-noticed': sayNotNoticed,
  'app-does-not-take': sayApp,
  'own-microphone-chosen': sayOwnChosen,
  'page-not-reloaded': sayNotReloaded,
  'switched-off': saySwitchedOff,
  'part-unpowered': sayUnpoweredPart,
  'wrong-input-number': sayInputNumber,
  'track-not-armed': sayNotArmed,
  'shares-track': saySharesTrack,
  'playback-returns': sayReturns,
  'guests-not-heard': sayGuests,
  'playback-moved': sayMoved,
  'monitor-off': sayMonitorOff,
  'cancels-in-mono': sayCancels,
  'stage-clips': sayStage,
  'no-path': sayNoPath,
  'contacts-swapped': saySwapped,
  'mic-line-shorted': sayShort,
  'mic-line-loaded': sayShort,
  'mic-contact-open': sayOpen,
  'capsule-unpowered': sayUnpowered,
  'output-into-output': sayOutputs,
  'too-quiet': sayTooQuiet,
  'one-side-only': saySides,
  clips: sayClips,
  'uncertain-contact': sayUncertain,
};

/** Why: with the measured value beside its limit. */
export const sayReason = (rig: Rig, finding: Finding): Sentence => REASONS[finding.code](rig, finding);

/** The heading: what the joint looks like if a joint is at fault, else the finding's title. */
export function sayTitle(rig: Rig, finding: Finding): string {
  const ends = connectorsOf(rig, finding);
  const bridged = finding.code === 'mic-line-shorted' && (finding.where.jack?.length ?? 0) > 1;
  if (ends && bridged) {
    const [plug, jack] = [contactsOf(ends.plug.connector).length, contactsOf(ends.jack.connector).length];
    return `${capital(numberWord(plug))} contacts into ${numberWord(jack)}`;
  }
  return FINDING_LIST[finding.code].title;
}

/** Three or four words beside the contacts at fault. */
export function sayBracket(rig: Rig, finding: Finding): string {
  const [plug] = finding.where.plug ?? [];
  switch (finding.code) {
    case 'mic-line-shorted':
      return plug && (finding.where.jack?.length ?? 0) > 1
        ? `joined by the ${contactName(plug)}`
        : 'pulled to ground';
    case 'usb-no-data':
      return 'no data line';
    case 'starved':
      return 'too little current';
    case 'accessory-unauthenticated':
      return 'no authentication';
    case 'mic-line-loaded':
      return 'too low for a microphone';
    case 'mic-contact-open':
      return 'nothing on this contact';
    case 'contacts-swapped':
      return 'microphone and ground exchanged';
    case 'output-into-output':
      return 'both give, none takes';
    case 'does-not-fit': {
      const ends = connectorsOf(rig, finding);
      const mating = ends && mate(ends.plug, ends.jack);
      return mating && !mating.fits ? MISFIT[mating.misfit] : 'does not fit';
    }
    case 'uncertain-contact':
      return 'depends on the jack';
    default:
      return FINDING_LIST[finding.code].title.toLowerCase();
  }
}

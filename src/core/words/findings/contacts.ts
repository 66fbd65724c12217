import type { Finding } from '../../checks';
import { connectorName, contactName, contactsOf, mate, type Misfit } from '../../plugs';
import { portOf, type Joint, type Rig } from '../../rig';
import type { FindingWords } from '../finding-words';
import { limitFigure, show } from '../measured';
import type { Sentence } from '../sentence';
import { capital, is, list, nameOf, noun, numberWord, socketName, who, withArticle } from '../words';

const MISFIT: Record<Misfit, string> = {
  'two-plugs': 'both are plugs',
  'two-jacks': 'both are sockets',
  size: 'they differ in size',
  family: 'they are of different kinds',
  opening: 'one plug at a time',
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

const isBridge = (f: Finding): boolean => (f.where.jack?.length ?? 0) > 1;

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
  if (mating.fits) {
    const box = noun(rig, jointOf(rig, finding)?.jack.part);
    return [`Another plug fills this opening of ${box} already; it takes one plug at a time.`];
  }
  const why = MISFIT[mating.misfit];
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

/** Three contacts into four, where one band of the plug lies on both springs. */
function shortTitle(rig: Rig, finding: Finding): string | undefined {
  const ends = connectorsOf(rig, finding);
  if (!ends || !isBridge(finding)) return undefined;
  const [plug, jack] = [contactsOf(ends.plug.connector).length, contactsOf(ends.jack.connector).length];
  return `${capital(numberWord(plug))} contacts into ${numberWord(jack)}`;
}

const shortBracket = (_: Rig, f: Finding): string => {
  const [plug] = f.where.plug ?? [];
  return plug && isBridge(f) ? `joined by the ${contactName(plug)}` : 'pulled to ground';
};

const contactList = (f: Finding): string => {
  const names = (f.where.jack ?? []).map(contactName);
  return names.length > 0 ? ` (${list(names)})` : '';
};

const saySwapped = (rig: Rig, f: Finding): Sentence => [
  `${capital(who(rig, f))} and the jack put microphone and ground on each other’s contacts${contactList(f)}: `,
  ...f.values.slice(0, 1).map(show),
  ' across the capsule, which wants ',
  limitFigure(f),
  '.',
];

const sayExchanged = (rig: Rig, f: Finding): Sentence => [
  `Microphone and ground lie on each other’s contacts${contactList(f)}, and it works all the same: ${who(rig, f)} ${is(f)} joined to nothing else. With anything earthed in the rig it would not.`,
];

const sayUnpowered = (rig: Rig, f: Finding): Sentence => [
  `${capital(who(rig, f))} ${is(f)} fed `,
  ...f.values.slice(0, 1).map(show),
  ' and want',
  (f.sources?.length ?? 1) > 1 ? ' ' : 's ',
  limitFigure(f),
  ' (plug-in power or phantom).',
];

function sayOutputs(rig: Rig, f: Finding): Sentence {
  const port = jointOf(rig, f)?.jack;
  return [
    `${capital(who(rig, f))} ${(f.sources?.length ?? 1) > 1 ? 'give' : 'gives'} sound out, and so does the ${socketName(rig, port)} of ${nameOf(rig, port?.part)}. Nothing listens there.`,
  ];
}

function saySocket(rig: Rig, f: Finding): Sentence {
  const joint = jointOf(rig, f);
  const taken = joint && (joint.jack.part === f.where.part ? joint.jack : joint.plug);
  const better = { part: f.where.part ?? '', port: f.where.port ?? '' };
  return [
    `The plug is in the ${socketName(rig, taken)} of ${nameOf(rig, f.where.part)}, and nothing listens there. The ${socketName(rig, better)} beside it takes the same plug, and listens.`,
  ];
}

const sayVolts = (rig: Rig, f: Finding): Sentence => [
  `${capital(nameOf(rig, f.other))} gets `,
  ...f.values.map(show),
  ' of direct voltage and bears ',
  limitFigure(f),
  '. Before plugging anything: fader down, phantom off.',
];

const sayCurrent = (rig: Rig, f: Finding): Sentence => [
  `Phantom power drives `,
  ...f.values.map(show),
  ` into ${nameOf(rig, f.other)}, for as long as it is on; such a contact bears `,
  limitFigure(f),
  '. Before plugging anything: fader down, phantom off.',
];

const sayOneSided = (rig: Rig, f: Finding): Sentence => [
  'Phantom stands on one leg alone at ',
  nameOf(rig, f.other),
  ': ',
  ...f.values.map(show),
  ' between the two, where what is made for phantom lets ',
  limitFigure(f),
  '. Something there shorts the other leg. Phantom off, or a thing between that is made for it.',
];

const sayUnsure = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.recorder))} reads `,
  ...f.values.map(show),
  ' at its microphone contact: more than any button, and less than ',
  limitFigure(f),
  ', from which on it is sure of a microphone. Most take it for one; test it.',
];

const sayTied = (rig: Rig, f: Finding): Sentence => [
  `Copper joins left and right of ${noun(rig, f.source)}: each side works into the other’s `,
  ...f.values.map(show),
  ', where ',
  limitFigure(f),
  ' is wanted. Where the sides differ they pull against each other.',
];

const sayShortedSide = (rig: Rig, f: Finding): Sentence => [
  `One side of ${noun(rig, f.source)} lies on its ground by the plug: it works into `,
  ...f.values.map(show),
  ', where ',
  limitFigure(f),
  ' is wanted, and is not recorded.',
];

export const CONTACT_WORDS = {
  'side-shorted': {
    title: 'One side shorted by the plug',
    says: sayShortedSide,
  },
  'sides-tied': {
    title: 'Left and right tied together',
    says: sayTied,
  },
  'mic-line-unsure': {
    title: 'May not be taken for a microphone',
    says: sayUnsure,
  },
  'phantom-one-sided': {
    title: 'Phantom on one leg alone',
    says: sayOneSided,
  },
  'voltage-harms': {
    title: 'Voltage where it does harm',
    says: sayVolts,
  },
  'current-harms': {
    title: 'Current where it does harm',
    says: sayCurrent,
  },
  'does-not-fit': {
    title: 'Does not fit',
    says: sayMisfit,
    bracket: (rig, f) => {
      const ends = connectorsOf(rig, f);
      const mating = ends && mate(ends.plug, ends.jack);
      if (!mating) return 'does not fit';
      return mating.fits ? MISFIT.opening : MISFIT[mating.misfit];
    },
  },
  'no-path': {
    title: 'Not joined',
    says: (rig, f) => [`No lead joins ${who(rig, f)} to ${noun(rig, f.recorder)}.`],
  },
  'contacts-swapped': {
    title: 'Microphone and ground exchanged',
    says: saySwapped,
    bracket: () => 'microphone and ground exchanged',
  },
  'contacts-exchanged': {
    title: 'Works with microphone and ground exchanged',
    says: sayExchanged,
    bracket: () => 'exchanged, and works',
  },
  'mic-line-shorted': {
    title: 'Microphone line shorted',
    says: sayShort,
    heading: shortTitle,
    bracket: shortBracket,
  },
  'mic-line-loaded': {
    title: 'Not taken for a microphone',
    says: sayShort,
    bracket: () => 'too low for a microphone',
  },
  'mic-contact-open': {
    title: 'Microphone contact touches nothing',
    says: sayOpen,
    bracket: () => 'nothing on this contact',
  },
  'capsule-unpowered': {
    title: 'Microphone without power',
    says: sayUnpowered,
  },
  'output-into-output': {
    title: 'Output into output',
    says: sayOutputs,
    bracket: () => 'both give, none takes',
  },
  'wrong-socket': {
    title: 'Wrong socket of the same box',
    says: saySocket,
    bracket: () => 'the wrong socket',
  },
  'uncertain-contact': {
    title: 'Depends on the jack',
    says: sayUncertain,
    bracket: () => 'depends on the jack',
  },
} satisfies Readonly<Record<string, FindingWords>>;

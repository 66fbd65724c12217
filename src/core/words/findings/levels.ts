import type { Finding } from '../../checks';
import type { Rig } from '../../rig';
import { formatQuantity } from '../../units';
import type { FindingWords } from '../finding-words';
import { limitFigure, show } from '../measured';
import { figure, type Sentence } from '../sentence';
import { settingName } from '../setting-name';
import { are, capital, isSpokenInto, nameOf, noun, who } from '../words';

const sayTooQuiet = (rig: Rig, f: Finding): Sentence => {
  const [peaks] = f.values;
  return peaks && Number.isFinite(peaks.value)
    ? [
        `${capital(who(rig, f))} ${are(f, 'arrives', 'arrive')} at ${noun(rig, f.recorder)} with peaks at `,
        show(peaks),
        '; it takes ',
        limitFigure(f),
        ' to stand out of the noise.',
      ]
    : [
        `Nothing of ${who(rig, f)} comes to ${noun(rig, f.recorder)}, though every joint looks right: what leads there carries something else.`,
      ];
};

const sayFaint = (rig: Rig, f: Finding): Sentence => [
  `${capital(who(rig, f))} ${are(f, 'peaks', 'peak')} at `,
  ...f.values.slice(0, 1).map(show),
  ` in ${noun(rig, f.recorder)}, where `,
  limitFigure(f),
  ' is the least. ',
  ...(f.setting === undefined
    ? ['No knob on the way is left to turn up: it needs an input with more gain, or a louder source.']
    : [
        `Turn up “${settingName(rig, f)}” of ${nameOf(rig, f.where.part)}: the knobs on the way have `,
        ...f.values.slice(1, 2).map(show),
        ' left.',
      ]),
];

const saySides = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.recorder))} records two sides, and ${who(rig, f)} ${are(f, 'is', 'are')} on one of them: `,
  ...f.values.flatMap((m, index) => [`${index > 0 ? ', ' : ''}the ${m.name} has `, show(m)]),
  '; it takes ',
  limitFigure(f),
  ' to count as carried. Harmless if you copy it over later, wrong in a live stream.',
];

const sayExchangedSides = (rig: Rig, f: Finding): Sentence => [
  `The left output of ${who(rig, f)} is recorded on the right in ${noun(rig, f.recorder)}, and the right one on the left`,
  ...f.values.flatMap((m) => [', ', show(m), ' stronger than on its own side']),
  '; ',
  limitFigure(f),
  ' would be let pass. Exchange the two plugs.',
];

const sayClips = (rig: Rig, f: Finding): Sentence => [
  `${capital(who(rig, f))} ${are(f, 'reaches', 'reach')} the input of ${nameOf(rig, f.where.part)} with peaks at `,
  ...f.values.slice(0, 1).map(show),
  '; full scale is ',
  figure('0 dBFS'),
  '. It clips ahead of the converter, so no slider in the app can save it.',
];

const sayHiss = (rig: Rig, f: Finding): Sentence => [
  `${capital(who(rig, f))} ${are(f, 'stand', 'stands')} `,
  ...f.values.slice(0, 1).map(show),
  ' over the noise of ',
  ...f.values.slice(1, 2).map(show),
  `, and hisses in ${noun(rig, f.recorder)}; `,
  limitFigure(f),
  ' keeps the hiss out of the pauses. Gain as early as it goes; a microphone nearer, or one that gives more.',
];

const sayHot = (rig: Rig, f: Finding): Sentence => [
  `${capital(who(rig, f))} ${are(f, 'peaks', 'peak')} at `,
  ...f.values.slice(0, 1).map(show),
  ` in ${nameOf(rig, f.where.part)}; `,
  limitFigure(f),
  isSpokenInto(rig, f.source)
    ? ' leaves room for a laugh or a louder word.'
    : ' leaves room for a harder stroke.',
];

const fallsBy = (f: Finding) => f.values.map((m) => figure(formatQuantity(-m.value, m.unit)));

/** One source on both sides with opposite polarity. */
const sayCancels = (rig: Rig, f: Finding): Sentence => [
  `Left and right carry ${who(rig, f)} with opposite polarity. Summed to mono it falls by `,
  ...fallsBy(f),
  f.severity === 'blocks'
    ? `, and the app on ${noun(rig, f.recorder)} sums. It takes one leg of the output for both sides.`
    : ', and phones and calls sum. It takes one leg of the output for both sides.',
];

/** Both outputs of a stereo source in one balanced input. */
const sayPair = (rig: Rig, f: Finding): Sentence => [
  `Both outputs of ${who(rig, f)} meet in one input with opposite polarity. What they have in common falls by `,
  ...fallsBy(f),
  '. A stereo pair wants two inputs, or a lead that sums.',
];

const sayStage = (rig: Rig, f: Finding): Sentence => [
  `${capital(who(rig, f))} ${are(f, 'drives', 'drive')} an output of ${nameOf(rig, f.other)} to peaks of `,
  ...f.values.map(show),
  '; it clips at ',
  ...(f.limit ? [figure(formatQuantity(f.limit.value, f.limit.unit))] : []),
  '.',
];

const sayDull = (rig: Rig, f: Finding): Sentence => [
  `On the way to ${noun(rig, f.recorder)} ${who(rig, f)} ${are(f, 'loses', 'lose')} `,
  ...f.values.slice(0, 1).map(show),
  ' at ',
  ...f.values.slice(1, 2).map(show),
  ': what it runs into loads it too much, or the lead is too long for it. It wants an input of higher impedance, or a shorter lead.',
];

const sayUnbalancedRun = (rig: Rig, f: Finding): Sentence => [
  ...f.values.slice(0, 1).map(show),
  ` of unbalanced lead carry ${who(rig, f)} to ${noun(rig, f.recorder)}: what they pick up stays about `,
  ...f.values.slice(2, 3).map(show),
  ' under the peaks in a quiet room, about ',
  ...f.values.slice(1, 2).map(show),
  ' on a stage with dimmers. A DI box or transformer where the sound begins, and a balanced lead from there, end it.',
];

const sayFeedsBack = (rig: Rig, f: Finding): Sentence => [
  `What ${nameOf(rig, f.where.part)} gives comes back into itself${f.other === undefined ? '' : ` by way of ${nameOf(rig, f.other)}`} with a gain of `,
  ...f.values.map(show),
  ' a turn: it howls, whatever is put in. Take the return out of the send that feeds it.',
];

export const LEVEL_WORDS = {
  'too-quiet': {
    title: 'Lost in the noise',
    says: sayTooQuiet,
  },
  faint: {
    title: 'Far too low',
    says: sayFaint,
  },
  'cancels-in-mono': {
    title: 'Gone in mono',
    says: sayCancels,
  },
  'pair-cancels': {
    title: 'Two outputs cancel',
    says: sayPair,
  },
  'one-side-only': {
    title: 'On one side only',
    says: saySides,
  },
  'sides-exchanged': {
    title: 'Left and right exchanged',
    says: sayExchangedSides,
    bracket: () => 'left and right exchanged',
  },
  clips: {
    title: 'Too loud for the input',
    says: sayClips,
  },
  hisses: {
    title: 'Hiss',
    says: sayHiss,
  },
  hot: {
    title: 'Little room above',
    says: sayHot,
  },
  'stage-clips': {
    title: 'A stage clips',
    says: sayStage,
  },
  dull: {
    title: 'Loses part of its sound',
    says: sayDull,
  },
  'unbalanced-run': {
    title: 'A long unbalanced lead',
    says: sayUnbalancedRun,
  },
  'feeds-back': {
    title: 'Feeds back on itself',
    says: sayFeedsBack,
  },
} satisfies Readonly<Record<string, FindingWords>>;

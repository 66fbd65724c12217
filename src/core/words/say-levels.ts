import { DBU_OVER_DBV, formatDb, sayKnob } from '../units';
import { partOf, type Rig } from '../rig';
import type { Add, LevelKnob, PlannedSetting, PresetId } from '../search/levels';
import type { ProvedAdd } from '../search/fixes';
import type { LevelWay, PlanView, ShareOfNoise } from '../search/levels/view';
import { sayEdit } from './say-edit';
import { figure, type Sentence } from './sentence';
import { capital, nameOf, noun } from './words';

/** The schools of setting levels, and what speaks for each. */
export const PRESET_WORDS: Readonly<Record<PresetId, { readonly name: string; readonly why: string }>> = {
  usual: { name: 'Peaks at −12 dBFS', why: 'Room for a laugh, clear of the noise: common practice.' },
  room: { name: 'Peaks at −18 dBFS', why: 'More room for surprises: the alignment level of EBU R 68.' },
  'hot-source': {
    name: 'Hot at the source, recorder low',
    why: 'The recorder’s own gain as low as can be: best where its input hisses.',
  },
  'quiet-source': {
    name: 'Quiet at the source',
    why: 'The source’s output as low as can be, the rest made up behind it: nothing is overloaded by a jump.',
  },
};

/** A setting's name within its part: "Microphone 1, Gain". */
function settingName(rig: Rig, part: string, id: string): string {
  const setting = partOf(rig, part)?.settings?.find((one) => one.id === id);
  if (!setting) return id;
  return setting.within ? `${setting.within.group}, ${setting.within.name}` : setting.name;
}

/** A place as it is read off: "54 dB (2 o’clock, 68 %)", "low". */
export function sayPlace(rig: Rig, part: string, id: string, option: number | string): string {
  const setting = partOf(rig, part)?.settings?.find((one) => one.id === id);
  if (setting?.kind === 'switch')
    return setting.options.find((one) => one.id === option)?.name ?? String(option);
  const value = Number(option);
  const reading = setting ? sayKnob(setting, value) : '';
  const read = reading === '' ? '' : ` (${reading})`;
  return `${formatDb(value)}${read}`;
}

/** "Mixer: Microphone 1, Gain to 54 dB (2 o’clock, 68 %)". */
export const sayPlanned = (rig: Rig, { part, setting, option }: PlannedSetting): string =>
  `${capital(nameOf(rig, part))}: ${settingName(rig, part, setting)} to ${sayPlace(rig, part, setting, option)}`;

/** Where a part's knobs stand, in short: "gain 54 dB, fader 0 dB". */
export function sayKnobs(
  rig: Rig,
  placed: string,
  knobs: readonly Pick<LevelKnob, 'part' | 'setting' | 'stands'>[],
): string {
  const settings = partOf(rig, placed)?.settings ?? [];
  return knobs
    .flatMap(({ part, setting, stands }) => {
      const found = part === placed ? settings.find(({ id }) => id === setting) : undefined;
      return found ? [`${found.within?.name ?? found.name} ${formatDb(stands)}`] : [];
    })
    .join(', ')
    .toLowerCase()
    .replaceAll(' db', ' dB');
}

const STAGE: Readonly<Record<string, string>> = {
  source: 'source',
  input: 'input',
  output: 'output',
  converter: 'input',
};

const dbu = (dbv: number): string => formatDb(dbv + DBU_OVER_DBV, 'dBu');

/** What clips first, and by how much it does or does not. */
export function sayFirst(rig: Rig, { first, steps }: LevelWay): Sentence {
  if (!first) return ['Nothing here has a clip level that is known.'];
  const stage = steps.find(({ placed, is }) => placed === first.placed && is === first.is);
  const at = figure(dbu(stage?.clipLevel ?? 0));
  const where = `the ${STAGE[first.is]} of ${noun(rig, first.placed)}`;
  return first.room < 0
    ? [`${capital(where)} clips: peaks lie `, figure(formatDb(-first.room)), ' over its ', at, '.']
    : [`First to clip would be ${where}: `, figure(formatDb(first.room)), ' under its ', at, '.'];
}

const percent = (share: number): string => `${share < 0.01 ? '<1' : Math.round(share * 100)} %`;

const BRINGS: Readonly<Record<ShareOfNoise['is'], (name: string) => string>> = {
  source: (name) => `${name} itself`,
  stage: (name) => `the amplifier in ${name}`,
  heat: (name) => `resistances ahead of ${name}`,
  converter: (name) => `the input of ${name}`,
};

export const sayShare = (rig: Rig, { is, placed }: ShareOfNoise): string => BRINGS[is](noun(rig, placed));

/** "Noise comes from: the amplifier in the mixer 60 %, …", the three that bring most. */
export function sayNoise(rig: Rig, { shares, peak, noise }: LevelWay): Sentence {
  const most = shares.slice(0, 3).map((one) => `${sayShare(rig, one)} ${percent(one.share)}`);
  if (most.length === 0 || !Number.isFinite(peak)) return ['Nothing of it comes to be heard over the noise.'];
  return [
    'Peaks stand ',
    figure(formatDb(peak - noise)),
    ` over the noise, which comes from ${most.join(', ')}.`,
  ];
}

const WHY: Readonly<Record<Add['why'], string>> = {
  over: 'no setting keeps it from clipping',
  'far-down': 'knobs would stand so far down that a touch too much clips',
  'too-low': 'with every knob up it stays under the target',
  noisy: 'the input hisses',
};

/** What to add where no setting can do it. */
export function sayAdd(rig: Rig, { is, at, decibels, source, why }: Add): string {
  switch (is) {
    case 'pad':
      return `A pad of about ${decibels} dB ahead of ${noun(rig, at)}: ${WHY[why]}.`;
    case 'booster':
      return `An inline booster, about ${decibels} dB, between ${noun(rig, source)} and ${noun(rig, at)}: ${WHY[why]}. It needs phantom power.`;
    case 'closer': {
      const share = Math.round(10 ** (-decibels / 20) * 100);
      return `The mouth closer to ${noun(rig, source)}, ${share} % of the distance for ${decibels} dB: ${WHY[why]}. Half the distance brings 6 dB.`;
    }
  }
}

/** What was proved for an add: the part or distance, what it costs, and what then comes. */
export function sayProved(
  rig: Rig,
  { edits, cost, enough, peak, overNoise }: ProvedAdd,
  price: (amount: number) => string = String,
): string {
  const [first, ...rest] = edits;
  if (!first) return '';
  const put = sayEdit(rig, first);
  const set =
    rest.length > 0
      ? `, and set ${rest.length === 1 ? 'one knob or switch' : `${rest.length} knobs and switches`}`
      : '';
  const have =
    cost.part === undefined
      ? ''
      : cost.owned
        ? ' It is in the drawer.'
        : ` To buy, about ${price(cost.price)}.`;
  const short = enough ? '' : ' It helps, and is not enough.';
  return `${put}${set}: peaks ${formatDb(peak, 'dBFS')}, ${formatDb(overNoise)} over the noise.${have}${short}`;
}

/** What a plan comes to: "peaks −12.0 dBFS, 58.0 dB over the noise", the worst of its arrivals. */
export function sayPlanOutcome({ arrives }: PlanView): Sentence {
  const heard = arrives.filter(({ state, peak }) => state === 'recorded' && Number.isFinite(peak));
  if (heard.length === 0) return ['Nothing arrives: levels cannot cure that.'];
  const over = Math.min(...heard.map(({ peak, noise }) => peak - noise));
  const peaks = heard.map(({ peak }) => peak);
  const [low, high] = [Math.min(...peaks), Math.max(...peaks)];
  return [
    'Peaks ',
    figure(formatDb(high, 'dBFS')),
    ...(high - low > 0.1 ? [' to ', figure(formatDb(low, 'dBFS'))] : []),
    ', ',
    figure(formatDb(over)),
    ' over the noise.',
  ];
}

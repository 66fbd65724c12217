import { appOf } from '../../engine/flow';
import { laidParts, type LaidPart, type Rig, type SettingValue } from '../../rig';
import { formatDb } from '../../units';
import type { Part, PartSetting } from '../../parts';
import { nameOf } from '../words';

/** A setting that is turned from its place, in words. */
export interface Turned {
  readonly placed: string;
  readonly setting: string;
  readonly says: string;
  /** The same in short, without the part: "Gain 39.0 dB". */
  readonly short: string;
  readonly is: 'phantom' | 'power' | 'switch' | 'level';
}

const placeOf = (setting: PartSetting, value: SettingValue): string =>
  setting.kind === 'knob'
    ? formatDb(Number(value))
    : (setting.options.find(({ id }) => id === value)?.name ?? String(value));

/** The switches by which a part gives current to a microphone. */
export const phantomOf = (part: Part): string[] =>
  part.circuit.flatMap((e) =>
    e.kind === 'supply' && typeof e.volts === 'object' && 'setting' in e.volts ? [e.volts.setting] : [],
  );

/** The switches by which a part itself is powered. */
const powerOf = (part: Part): string[] =>
  [...(part.power ?? []), ...(part.hub?.supplied ?? [])].flatMap((source) =>
    'setting' in source ? [source.setting] : [],
  );

function turnedAt(rig: Rig, { placed, part }: LaidPart): Turned[] {
  const [phantom, power] = [phantomOf(part), powerOf(part)];
  return Object.entries(placed.settings ?? {}).flatMap(([id, value]): Turned[] => {
    const setting = part.settings?.find((one) => one.id === id);
    if (!setting || setting.initial === value) return [];
    const is = phantom.includes(id)
      ? 'phantom'
      : power.includes(id)
        ? 'power'
        : setting.kind === 'knob'
          ? 'level'
          : 'switch';
    const group = setting.within ? `${setting.within.group}, ${setting.within.name}` : setting.name;
    return [
      {
        placed: placed.id,
        setting: id,
        is,
        says: `${nameOf(rig, placed.id)}: ${group} to ${placeOf(setting, value)}`,
        short: `${setting.name} ${placeOf(setting, value)}`,
      },
    ];
  });
}

/** Everything that is turned from where it is delivered. */
export const turnedIn = (rig: Rig): Turned[] => laidParts(rig).flatMap((laid) => turnedAt(rig, laid));

/** What is chosen in the apps, where it is not their usual. */
export const chosenIn = (rig: Rig): string[] =>
  laidParts(rig).flatMap(({ placed, part }) => {
    const app = appOf({ placed, part });
    return Object.entries(placed.choices ?? {}).flatMap(([id, value]) => {
      const choice = app?.choices.find((one) => one.id === id);
      return choice && choice.initial !== value ? [`${choice.name}: ${placeOf(choice, value)}`] : [];
    });
  });

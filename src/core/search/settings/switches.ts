import type { Finding, FindingCode } from '../../checks';
import { appOf } from '../../engine/flow';
import type { Part, PartSetting, PowerSource, Quantity } from '../../parts';
import { choiceOf, laidParts, settingOf, type LaidPart, type Rig, type RigEdit } from '../../rig';

/** Findings for which a part lacks current or voltage, which a switch somewhere may give. */
const WANTS_POWER: readonly FindingCode[] = ['capsule-unpowered', 'part-unpowered', 'starved', 'brown-out'];

/** Findings that no switch changes: the wires themselves are wrong. */
export const WIRED_WRONG: readonly FindingCode[] = [
  'does-not-fit',
  'no-path',
  'usb-no-data',
  'no-analogue-mode',
  'accessory-unauthenticated',
  'usb-too-deep',
  'app-does-not-take',
  'contacts-swapped',
  'mic-line-shorted',
  'output-into-output',
];

const settingsOf = (quantity: Quantity | undefined): string[] =>
  typeof quantity === 'object' && 'setting' in quantity ? [quantity.setting] : [];
const switchOf = (source: PowerSource): string[] => ('setting' in source ? [source.setting] : []);

/** Switches of a part that feed something: its phantom supply, its own power, the sockets of a hub. */
function feedingSwitches(part: Part): string[] {
  return [
    ...part.circuit.flatMap((e) => (e.kind === 'supply' ? settingsOf(e.volts) : [])),
    ...(part.power ?? []).flatMap(switchOf),
    ...(part.hub?.supplied ?? []).flatMap(switchOf),
  ];
}

const placesOf = (setting: PartSetting): readonly string[] =>
  setting.kind === 'switch' ? setting.options.map((option) => option.id) : [];

/** Every other place of some switches of a part. */
function turned(laid: LaidPart, wanted: (id: string) => boolean): RigEdit[] {
  return (laid.part.settings ?? [])
    .filter((setting) => wanted(setting.id))
    .flatMap((setting) =>
      placesOf(setting)
        .filter((place) => place !== settingOf(laid, setting.id))
        .map((option) => ({ kind: 'set', part: laid.placed.id, setting: setting.id, option }) as const),
    );
}

function chosen(laid: LaidPart, wanted: (id: string) => boolean): RigEdit[] {
  return (appOf(laid)?.choices ?? [])
    .filter((choice) => wanted(choice.id))
    .flatMap((choice) =>
      placesOf(choice)
        .filter((place) => place !== choiceOf(laid.placed, choice.id))
        .map((option) => ({ kind: 'choose', part: laid.placed.id, choice: choice.id, option }) as const),
    );
}

/** Findings that hang on how a switch leads the sound, or how loud. */
const ROUTED: readonly FindingCode[] = [
  'switched-off',
  'too-quiet',
  'clips',
  'stage-clips',
  'one-side-only',
  'shares-track',
  'cancels-in-mono',
  'playback-returns',
  'voltage-harms',
  'wrong-input-number',
  'track-not-armed',
  'own-microphone-chosen',
  'page-not-reloaded',
];

/** Switches that might cure a finding, the one that it names first; the same edit only once. */
export function switchesFor(rig: Rig, finding: Finding): RigEdit[] {
  const laid = laidParts(rig);
  const named = laid
    .filter(({ placed }) => placed.id === finding.where.part)
    .flatMap((l) => {
      const isNamed = (id: string) => id === finding.setting;
      return [...turned(l, isNamed), ...chosen(l, isNamed)];
    });
  const feeding = laid.flatMap((l) => {
    const feeds = feedingSwitches(l.part);
    return turned(l, (id) => feeds.includes(id));
  });
  if (WANTS_POWER.includes(finding.code)) return unique([...named, ...feeding]);
  if (named.length > 0 || !ROUTED.includes(finding.code)) return named;
  return unique(laid.flatMap((l) => turned(l, (id) => !feedingSwitches(l.part).includes(id))));
}

const unique = (edits: readonly RigEdit[]): RigEdit[] => [
  ...new Map(edits.map((edit) => [JSON.stringify(edit), edit])).values(),
];

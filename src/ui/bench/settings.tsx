'use client';
import { Slider } from 'radix-ui';
import { useState } from 'react';
import type { KnobSetting, PartSetting, SwitchSetting } from '../../core/parts';
import { settingOf, type LaidPart, type SettingValue } from '../../core/rig';
import { formatDb } from '../../core/units';
import type { Editing } from './bench';

interface FieldProps<Setting> {
  readonly setting: Setting;
  /** What it is called here, where a group's heading says the rest. */
  readonly name: string;
  readonly value: SettingValue | undefined;
  readonly change: (value: SettingValue) => void;
}

export function SwitchField({ setting, name, value, change }: FieldProps<SwitchSetting>) {
  return (
    <label className="flex items-center gap-1.5">
      {name}
      <select
        className="field max-w-56"
        aria-label={setting.name}
        value={value}
        onChange={(event) => change(event.target.value)}
      >
        {setting.options.map((option) => (
          <option key={option.id} value={option.id}>
            {option.name}
          </option>
        ))}
      </select>
    </label>
  );
}

/** While it is dragged the verdict follows; the rig keeps where it is let go. */
function KnobField({
  setting,
  name,
  value,
  change,
  turn,
}: FieldProps<KnobSetting> & { turn: (value: number) => void }) {
  const stands = typeof value === 'number' ? value : setting.initial;
  const [dragged, setDragged] = useState<number>();
  const shown = dragged ?? stands;
  return (
    <div className="flex min-h-11 items-center gap-2 lg:min-h-8">
      <span aria-hidden>{name}</span>
      <Slider.Root
        className="relative flex h-8 w-32 touch-none items-center"
        min={setting.from}
        max={setting.to}
        step={setting.step}
        value={[shown]}
        onValueChange={([next]) => {
          setDragged(next);
          if (next !== undefined) turn(next);
        }}
        onValueCommit={([next]) => {
          setDragged(undefined);
          if (next !== undefined) change(next);
        }}
      >
        <Slider.Track className="bg-line h-1.5 w-full rounded-full">
          <Slider.Range className="bg-sea absolute h-1.5 rounded-full" />
        </Slider.Track>
        <Slider.Thumb
          aria-label={setting.name}
          aria-valuetext={formatDb(shown)}
          className="border-sea bg-card block size-6 rounded-full border-[3px]"
        />
      </Slider.Root>
      <span className="w-20 font-mono text-xs">{formatDb(shown)}</span>
    </div>
  );
}

interface SettingsProps extends Pick<Editing, 'edit' | 'preview'> {
  readonly laid: LaidPart;
}

function SettingField({
  laid,
  setting,
  name,
  edit,
  preview,
}: SettingsProps & { setting: PartSetting; name: string }) {
  const value = settingOf(laid, setting.id);
  const to = (option: SettingValue) =>
    ({ kind: 'set', part: laid.placed.id, setting: setting.id, option }) as const;
  const change = (option: SettingValue) => edit(to(option));
  return setting.kind === 'switch' ? (
    <SwitchField setting={setting} name={name} value={value} change={change} />
  ) : (
    <KnobField
      setting={setting}
      name={name}
      value={value}
      change={change}
      turn={(next) => preview(to(next))}
    />
  );
}

/** Beyond this many, knobs and switches are folded away under the groups that their names begin with. */
const SHOWN_AT_ONCE = 5;

const groupOf = (setting: PartSetting): string =>
  setting.name.includes(': ') ? setting.name.slice(0, setting.name.indexOf(': ')) : '';
const ownName = (setting: PartSetting): string =>
  setting.name.includes(': ') ? setting.name.slice(setting.name.indexOf(': ') + 2) : setting.name;

/** Every switch and knob of a part; those of a large mixer channel by channel. */
export function Settings({ laid, edit, preview }: SettingsProps) {
  const all = laid.part.settings ?? [];
  const field = (setting: PartSetting, name: string) => (
    <SettingField key={setting.id} laid={laid} setting={setting} name={name} edit={edit} preview={preview} />
  );
  if (all.length <= SHOWN_AT_ONCE) return all.map((setting) => field(setting, setting.name));
  const groups = new Map<string, PartSetting[]>();
  for (const setting of all) groups.set(groupOf(setting), [...(groups.get(groupOf(setting)) ?? []), setting]);
  return (
    <details className="fold w-full">
      <summary className="font-semibold">Knobs and switches ({all.length})</summary>
      {[...groups].map(([group, settings]) => (
        <fieldset key={group} className="border-line mt-2 border-t pt-1">
          <legend className="text-soft pr-2 text-sm font-semibold">{group || 'Whole part'}</legend>
          <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
            {settings.map((setting) => field(setting, ownName(setting)))}
          </div>
        </fieldset>
      ))}
    </details>
  );
}

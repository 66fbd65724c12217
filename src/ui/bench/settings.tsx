'use client';
import { memo } from 'react';
import { standIns, stateSwitches, type PartSetting } from '../../core/parts';
import { settingOf, type LaidPart, type SettingValue } from '../../core/rig';
import type { Editing } from './editing';
import { FieldPlace } from './field-place';
import { lazily } from '../shared/lazily';
import { SwitchField } from './switch-field';

const KnobField = lazily(() => import('./knob-field').then((m) => m.KnobField), FieldPlace);

interface SettingsProps extends Pick<Editing, 'edit' | 'preview'> {
  readonly laid: LaidPart;
}

interface SettingFieldProps extends Pick<Editing, 'edit' | 'preview'> {
  readonly placed: string;
  readonly setting: PartSetting;
  readonly name: string;
  readonly value: SettingValue | undefined;
}

/** One knob or switch; drawn anew only when it is the one that was turned. */
const SettingField = memo(function SettingField(props: SettingFieldProps) {
  const { placed, setting, name, value, edit, preview } = props;
  const to = (option: SettingValue) => ({ kind: 'set', part: placed, setting: setting.id, option }) as const;
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
});

/** Beyond this many, knobs and switches are folded away under their groups. */
const SHOWN_AT_ONCE = 5;

const groupOf = ({ within }: PartSetting): string => within?.group ?? '';
const ownName = ({ within, name }: PartSetting): string => within?.name ?? name;

/** Every switch and knob of a part; those of a large mixer channel by channel. */
export function Settings({ laid, edit, preview }: SettingsProps) {
  const unoffered = standIns(laid.part);
  // One that an older file has turned can be turned back.
  const all = (laid.part.settings ?? []).filter(
    ({ id, initial }) => !unoffered.has(id) || settingOf(laid, id) !== initial,
  );
  const field = (setting: PartSetting, name: string) => (
    <SettingField
      key={setting.id}
      placed={laid.placed.id}
      setting={setting}
      name={name}
      value={settingOf(laid, setting.id)}
      edit={edit}
      preview={preview}
    />
  );
  const states = stateSwitches(laid.part);
  const isQuiet = (setting: PartSetting) =>
    states.has(setting.id) && settingOf(laid, setting.id) === setting.initial;
  const quiet = all.filter(isQuiet);
  if (all.length <= SHOWN_AT_ONCE) {
    return (
      <>
        {all.filter((setting) => !isQuiet(setting)).map((setting) => field(setting, setting.name))}
        {quiet.length > 0 && (
          <details className="fold">
            <summary>
              {quiet.map(({ name }, index) => (index > 0 ? name.toLowerCase() : name)).join(', ')}
            </summary>
            <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
              {quiet.map((setting) => field(setting, setting.name))}
            </div>
          </details>
        )}
      </>
    );
  }
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

'use client';
import { Slider } from 'radix-ui';
import { useState } from 'react';
import type { KnobSetting, SwitchSetting } from '../../core/parts';
import { settingOf, type LaidPart, type RigEdit, type SettingValue } from '../../core/rig';
import { formatDb } from '../../core/units';

interface FieldProps<Setting> {
  readonly setting: Setting;
  readonly value: SettingValue | undefined;
  readonly change: (value: SettingValue) => void;
}

function SwitchField({ setting, value, change }: FieldProps<SwitchSetting>) {
  return (
    <label className="flex items-center gap-1.5">
      {setting.name}
      <select className="field" value={value} onChange={(event) => change(event.target.value)}>
        {setting.options.map((option) => (
          <option key={option.id} value={option.id}>
            {option.name}
          </option>
        ))}
      </select>
    </label>
  );
}

/** While it is dragged the knob shows where it is; the rig follows when it is let go. */
function KnobField({ setting, value, change }: FieldProps<KnobSetting>) {
  const stands = typeof value === 'number' ? value : setting.initial;
  const [dragged, setDragged] = useState<number>();
  const shown = dragged ?? stands;
  return (
    <div className="flex min-h-11 items-center gap-2 lg:min-h-8">
      <span aria-hidden>{setting.name}</span>
      <Slider.Root
        className="relative flex h-8 w-32 touch-none items-center"
        min={setting.from}
        max={setting.to}
        step={setting.step}
        value={[shown]}
        onValueChange={([next]) => setDragged(next)}
        onValueCommit={([next]) => {
          setDragged(undefined);
          if (next !== undefined && next !== stands) change(next);
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

/** Every switch and knob of a part. */
export function Settings({ laid, edit }: { laid: LaidPart; edit: (change: RigEdit) => void }) {
  return laid.part.settings?.map((setting) => {
    const value = settingOf(laid, setting.id);
    const change = (option: SettingValue) =>
      edit({ kind: 'set', part: laid.placed.id, setting: setting.id, option });
    return setting.kind === 'switch' ? (
      <SwitchField key={setting.id} setting={setting} value={value} change={change} />
    ) : (
      <KnobField key={setting.id} setting={setting} value={value} change={change} />
    );
  });
}

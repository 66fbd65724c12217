'use client';
import type { SwitchSetting } from '../../core/parts';
import type { FieldProps } from './field-props';

/** A switch with its places. */
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

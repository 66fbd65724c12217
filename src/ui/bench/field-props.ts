import type { SettingValue } from '../../core/rig';

/** What every field of a setting is given. */
export interface FieldProps<Setting> {
  readonly setting: Setting;
  /** What it is called here, where a group's heading says the rest. */
  readonly name: string;
  readonly value: SettingValue | undefined;
  readonly change: (value: SettingValue) => void;
}

'use client';
import type { Rig, RigEdit, VoiceEffort } from '../../core/rig';

const VOICES: readonly { id: VoiceEffort; name: string }[] = [
  { id: 'normal', name: 'normal' },
  { id: 'raised', name: 'raised' },
  { id: 'loud', name: 'loud' },
  { id: 'shout', name: 'shouting' },
];

/** How loud the talker speaks; one voice for the whole rig. */
export function VoiceField({ rig, edit }: { rig: Rig; edit: (change: RigEdit) => void }) {
  return (
    <label className="flex items-center gap-1.5">
      Voice
      <select
        className="field"
        value={rig.surroundings.voice}
        onChange={(event) => {
          const voice = VOICES.find((v) => v.id === event.target.value);
          if (voice) edit({ kind: 'voice', voice: voice.id });
        }}
      >
        {VOICES.map((voice) => (
          <option key={voice.id} value={voice.id}>
            {voice.name}
          </option>
        ))}
      </select>
    </label>
  );
}

import { findPart } from '../src/core/parts';
import { type AppId } from '../src/core/apps';
import type { Joint, PortRef, Rig, SettingValue, VoiceEffort } from '../src/core/rig';

export interface RigSketch {
  /** Placed id → catalogue id. */
  readonly parts: Readonly<Record<string, string>>;
  /** "receiver.out lead.a": which end is the plug follows from the ports. */
  readonly joints: readonly string[];
  readonly source?: string;
  readonly recorder?: string;
  readonly settings?: Readonly<Record<string, Record<string, SettingValue>>>;
  readonly apps?: Readonly<Record<string, AppId>>;
  /** Choices in the app of a host. */
  readonly choices?: Readonly<Record<string, Record<string, SettingValue>>>;
  readonly voice?: VoiceEffort;
  /** Further sources beside the first. */
  readonly others?: readonly string[];
  readonly apart?: boolean;
  /** Mouth to microphone, metres. */
  readonly distances?: Readonly<Record<string, number>>;
}

function port(sketch: RigSketch, text: string): PortRef & { gender: string } {
  const [part = '', portId = ''] = text.split('.');
  const found = findPart(sketch.parts[part] ?? '')?.ports.find((p) => p.id === portId);
  if (!found) throw new Error(`rig sketch: no port "${text}"`);
  return { part, port: portId, gender: found.gender };
}

function joint(sketch: RigSketch, text: string, index: number): Joint {
  const [a, b] = text.split(' ').map((end) => port(sketch, end));
  if (!a || !b) throw new Error(`rig sketch: joint "${text}" needs two ends`);
  const [plug, jack] = a.gender === 'plug' ? [a, b] : [b, a];
  const bare = ({ part, port: id }: PortRef) => ({ part, port: id });
  return { id: `j${index + 1}`, plug: bare(plug), jack: bare(jack) };
}

/** A rig from a sketch; the first part is the source and the last the recorder unless named. */
export function layRig(sketch: RigSketch): Rig {
  const ids = Object.keys(sketch.parts);
  return {
    format: 'symplex-rig',
    version: 1,
    id: 'test',
    name: 'Test',
    parts: Object.entries(sketch.parts).map(([id, part]) => ({
      id,
      part,
      ...(sketch.settings?.[id] && { settings: sketch.settings[id] }),
      ...(sketch.apps?.[id] && { app: sketch.apps[id] }),
      ...(sketch.choices?.[id] && { choices: sketch.choices[id] }),
    })),
    joints: sketch.joints.map((text, index) => joint(sketch, text, index)),
    surroundings: {
      voice: sketch.voice ?? 'normal',
      ...(sketch.distances && { distances: sketch.distances }),
    },
    purpose: {
      sources: [sketch.source ?? ids[0] ?? '', ...(sketch.others ?? [])],
      recorders: [sketch.recorder ?? ids.at(-1) ?? ''],
      ...(sketch.apart && { tracks: 'apart' as const }),
    },
  };
}

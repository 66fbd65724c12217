import type { Rig } from '../core/rig';

/** A microphone, a mixer and the leads to a phone and to a camera: the most circuit that one chain brings. */
function group(index: number): Pick<Rig, 'parts' | 'joints'> & { source: string; recorder: string } {
  const id = (name: string) => `${name}-${index}`;
  const ref = (name: string, port: string) => ({ part: id(name), port });
  return {
    source: id('mic'),
    recorder: id('phone'),
    parts: [
      { id: id('mic'), part: 'dynamic-xlr' },
      { id: id('xlr'), part: 'lead-xlr' },
      { id: id('mixer'), part: 'mixer-one-mic', settings: { gain: 60 } },
      { id: id('pad'), part: 'lead-line-headset-pad' },
      { id: id('phone'), part: 'phone-ctia' },
      { id: id('line'), part: 'lead-line-mono-both' },
      { id: id('camera'), part: 'camera-trs' },
    ],
    joints: [
      { id: id('a'), plug: ref('mic', 'out'), jack: ref('xlr', 'holes') },
      { id: id('b'), plug: ref('xlr', 'pins'), jack: ref('mixer', 'mic') },
      { id: id('c'), plug: ref('pad', 'big'), jack: ref('mixer', 'left') },
      { id: id('d'), plug: ref('pad', 'trrs'), jack: ref('phone', 'jack') },
      { id: id('e'), plug: ref('line', 'big'), jack: ref('mixer', 'right') },
      { id: id('f'), plug: ref('line', 'small'), jack: ref('camera', 'mic') },
    ],
  };
}

/** A rig of so many groups of seven parts, each with a chain and a recorder of its own. */
export function grown(groups: number): Rig {
  const all = Array.from({ length: groups }, (_, index) => group(index));
  return {
    format: 'symplex-rig',
    version: 1,
    id: 'bench',
    name: 'Bench',
    parts: all.flatMap((g) => g.parts),
    joints: all.flatMap((g) => g.joints),
    surroundings: { voice: 'normal' },
    purpose: { sources: all.map((g) => g.source), recorders: all.map((g) => g.recorder) },
  };
}

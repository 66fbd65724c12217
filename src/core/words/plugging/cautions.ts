import { appOf } from '../../engine/flow';
import { isWornToListen } from '../../parts';
import { laidParts, type Rig } from '../../rig';
import { turnedIn } from './settings';

/** Somebody at a far end comes into what another device records. */
function recordsCallers(rig: Rig): boolean {
  const far = rig.purpose.recorders.map((id) => {
    const laid = laidParts(rig).find(({ placed }) => placed.id === id);
    return laid !== undefined && appOf(laid)?.farEnd === true;
  });
  return far.includes(true) && far.includes(false);
}

/** What hurts ears, gear or people in a rig, and who is to be asked. */
export function cautionsFor(rig: Rig): string[] {
  const parts = laidParts(rig).map(({ part }) => part);
  const phantom = turnedIn(rig).some(({ is }) => is === 'phantom');
  const mains = parts.some((part) => part.mains !== undefined || part.stands === 'wall');
  const wet = mains && rig.surroundings.mains?.wet === true;
  const radio = parts.some(
    ({ family, ports }) => family === 'receiver' || ports.some((p) => p.connector === 'radio'),
  );
  return [
    ...(phantom
      ? ['48 V phantom: levels down and phantom off before anything is plugged or pulled (common practice).']
      : []),
    ...(parts.some(isWornToListen)
      ? [
          'Headphones off the ears while plugging, level up from zero; 80 dBA for 40 h a week is the most (ITU-T H.870).',
        ]
      : []),
    ...(mains
      ? [
          'Mains: sound, earthed supplies only, never defeat an earth; outdoors or in the wet residual-current protection and a qualified person. Local rules come first.',
        ]
      : []),
    ...(wet
      ? [
          'Outdoors or in the wet: everything on the mains behind residual-current protection of 30 mA at the most (common practice), joints off the ground, and a qualified person to look at it before it is switched on.',
        ]
      : []),
    ...(recordsCallers(rig)
      ? [
          'Callers are recorded or go on the air: ask each of them first; what the law wants differs from place to place.',
        ]
      : []),
    ...(radio ? ['Radio: frequencies and power by the local rules.'] : []),
  ];
}

import type { Part } from '../model/types.generated';

type Place = NonNullable<Part['stands']>;

/** Where things stand that do not say so themselves. What is in no list hangs in the lead. Common practice. */
const PLACES: Readonly<Partial<Record<Place, readonly string[]>>> = {
  held: ['dynamic-xlr', 'condenser-xlr', 'shotgun-xlr', 'ribbon-xlr', 'guitar', 'bass-active'],
  carried: [
    'player-portable',
    'mobile-guitar',
    'mobile-voice',
    'mobile-preamp',
    'headphone-amplifier',
    'power-bank',
    'power-bank-usb-c',
  ],
  table: [
    'usb-mic-low',
    'usb-mic-low-phones',
    'usb-mic-big',
    'usb-mic-big-plain',
    'usb-mic-lights',
    'dual-mic',
    'keyboard',
    'midi-keyboard',
    'deck',
    'line-streamer',
    'interface-one-input',
    'interface-small',
  ],
};

/** Plugs that sit on a lead of their own, by part and port, metres. Typical. */
const OWN_LEADS: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  'clip-on-trrs': { plug: 1.2 },
  'clip-on-trs': { plug: 1.2 },
  'camera-top-pip': { plug: 0.3 },
  'camera-top-self': { plug: 0.3 },
  'headset-ctia': { plug: 1.2 },
  'headset-omtp': { plug: 1.2 },
  'headphones-trs': { plug: 1.5 },
  'headphones-big': { plug: 3 },
  'mouse-usb': { usb: 1.5 },
  'receiver-usb': { usb: 0.1 },
  'mobile-guitar': { plug: 1 },
  'mobile-voice': { plug: 1 },
  'mobile-preamp': { plug: 1 },
  'line-streamer': { usb: 1 },
  'interface-one-input': { usb: 1 },
  'interface-small': { usb: 1 },
  'hub-usb-a': { plug: 0.3 },
  'hub-usb-c': { plug: 0.2 },
  'hub-usb-c-phones': { plug: 0.2 },
  'hub-unpowered': { plug: 0.3 },
  'charger-usb-c': { out: 1.5 },
  'charger-8-pin': { out: 1.5 },
};

const placeOf = new Map(
  Object.entries(PLACES).flatMap(([place, ids]) => ids.map((id) => [id, place as Place] as const)),
);

/** A part with where it stands and which of its plugs are on leads of their own. */
export function placed(part: Part): Part {
  const [stands, leads] = [part.stands ?? placeOf.get(part.id), OWN_LEADS[part.id]];
  if (stands === part.stands && !leads) return part;
  const ports = part.ports.map((port) => {
    const ownLead = leads?.[port.id];
    return ownLead === undefined ? port : { ...port, ownLead };
  });
  return { ...part, ...(stands && { stands }), ...(leads && { ports }) };
}

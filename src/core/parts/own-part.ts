import { slug } from '../schema';
import { contactsOf, KEYED_CONNECTORS, PHONE_CONNECTORS, type Connector } from '../plugs';
import { findPart } from './catalogue';
import { figuresOf, withFigure } from './model/figures';
import type { Part } from './model/types.generated';

/** Where a part of one's own may begin: a shipped part, by its usual name, with figures that are asked for first. */
export interface Template {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  readonly base: string;
  /** By figure name: what the template's name promises. */
  readonly figures?: Readonly<Record<string, number>>;
}

export const TEMPLATES: readonly Template[] = [
  {
    id: 'electret',
    name: 'Electret with plug-in power',
    says: 'a clip-on or small microphone on a TRS plug',
    base: 'clip-on-trs',
  },
  {
    id: 'electret-headset',
    name: 'Electret on a headset plug',
    says: 'a microphone with three dark bands, for headset jacks',
    base: 'clip-on-trrs',
  },
  { id: 'dynamic', name: 'Dynamic microphone', says: 'XLR, no supply', base: 'dynamic-xlr' },
  { id: 'condenser', name: 'Condenser with phantom power', says: 'XLR, wants 48 V', base: 'condenser-xlr' },
  {
    id: 'line-output',
    name: 'Line output, 100 Ω',
    says: 'a player or box with a 3.5 mm line output',
    base: 'player-portable',
    figures: { Resistance: 100 },
  },
  {
    id: 'mic-input',
    name: 'Mic input with phantom',
    says: 'one XLR input into USB',
    base: 'interface-one-input',
  },
  {
    id: 'usb-device',
    name: 'USB device, 2 in, 250 mA',
    says: 'a sound device with two inputs on USB',
    base: 'interface-two-inputs',
    figures: { 'Declared USB draw': 250 },
  },
  { id: 'receiver', name: 'Wireless receiver', says: 'TRS output with a level switch', base: 'receiver-trs' },
  { id: 'lead', name: 'TRS lead', says: 'two dark bands at each end', base: 'lead-trs-trs' },
  { id: 'patch', name: 'Patch lead, TRS to TRRS', says: 'two dark bands to three', base: 'patch-trs-trrs' },
  { id: 'charger', name: 'USB charger', says: 'what a socket gives', base: 'charger-usb-a' },
];

const OWN = 'own-';

/** Whether an id is one that only parts of a user's own have. */
export const isOwnId = (id: string): boolean => id.startsWith(OWN);

/** "own-my-pack" for "My pack"; a number behind it where that is taken. */
export function ownId(name: string, taken: ReadonlySet<string>): string {
  const id = `${OWN}${slug(name, 'part')}`;
  if (!taken.has(id)) return id;
  for (let n = 2; ; n += 1) if (!taken.has(`${id}-${n}`)) return `${id}-${n}`;
}

/** A copy of a part under a name and id of its own, as a file would hold it: what is switched off is null there. */
export const ownCopy = (part: Part, name: string, taken: ReadonlySet<string>): Part => ({
  ...(JSON.parse(JSON.stringify(part)) as Part),
  id: ownId(name, taken),
  name,
});

/** The part that a template begins with, its promised figures set; undefined for a base that is not shipped. */
export function fromTemplate(template: Template): Part | undefined {
  const base = findPart(template.base);
  return (
    base &&
    Object.entries(template.figures ?? {}).reduce(
      (part, [name, value]) =>
        figuresOf(part)
          .filter((figure) => figure.name.startsWith(name))
          .reduce((changed, figure) => withFigure(changed, figure, value), part),
      { ...base, name: template.name },
    )
  );
}

/** Connectors with the same contacts: a socket may be of either kind without another circuit. */
export const connectorsLike = (connector: Connector): Connector[] =>
  [...PHONE_CONNECTORS, ...KEYED_CONNECTORS].filter(
    (other) => contactsOf(other).join() === contactsOf(connector).join(),
  );

/** A part whose port has another connector of the same contacts. */
export const withConnector = (part: Part, port: string, connector: Connector): Part => ({
  ...part,
  ports: part.ports.map((p) => (p.id === port ? { ...p, connector } : p)),
});

import { millimetres, type Millimetres } from '../units';
import type { PhoneConnector, PhoneContact } from './connectors';

/** A metal band of a plug: from and to, measured from the tip. */
export interface PlugBand {
  readonly contact: PhoneContact;
  readonly from: Millimetres;
  readonly to: Millimetres;
}

/**
 * A spring of a jack: the depth at which it meets a fully inserted plug, measured from the plug's tip, and how
 * far makers' jacks depart from it.
 */
export interface JackSpring {
  readonly contact: PhoneContact;
  readonly at: Millimetres;
  readonly nearest: Millimetres;
  readonly deepest: Millimetres;
}

const band = (contact: PhoneContact, from: number, to: number): PlugBand => ({
  contact,
  from: millimetres(from),
  to: millimetres(to),
});

const spring = (contact: PhoneContact, at: number, deepest: number, nearest: number): JackSpring => ({
  contact,
  at: millimetres(at),
  deepest: millimetres(deepest),
  nearest: millimetres(nearest),
});

/** Length of the inserted part of the plug. Nominal, IEC 60603-11 (from memory). */
export const PLUG_LENGTH: Record<'3.5' | '6.35', Millimetres> = {
  '3.5': millimetres(14),
  '6.35': millimetres(30.5),
};

/**
 * Bands by plug type. 3.5 mm two and three contacts and 6.35 mm: IEC 60603-11; 3.5 mm four contacts: JEITA RC-5325A.
 * Nominal figures, from memory. No standard is known to us for 6.35 mm with four contacts: pitch of the three-contact
 * plug carried on.
 */
export const PLUG_BANDS: Record<PhoneConnector, readonly PlugBand[]> = {
  'ts-3.5': [band('T', 0, 4.9), band('S', 5.6, 14)],
  'trs-3.5': [band('T', 0, 4.9), band('R', 5.6, 8.2), band('S', 9, 14)],
  'trrs-3.5': [band('T', 0, 4.1), band('R1', 4.9, 7.2), band('R2', 7.9, 10.2), band('S', 11, 14)],
  'ts-6.35': [band('T', 0, 10.5), band('S', 11.7, 30.5)],
  'trs-6.35': [band('T', 0, 10.5), band('R', 11.7, 17.5), band('S', 18.7, 30.5)],
  'trrs-6.35': [band('T', 0, 10.5), band('R1', 11.7, 16.3), band('R2', 17.5, 22.1), band('S', 23.3, 30.5)],
};

/**
 * Springs by jack type; typical figures, from memory. The sleeve spring of a 3.5 mm jack with two or three contacts is
 * the mouth's bush in some and a leaf further in, in others: hence its wide range.
 */
export const JACK_SPRINGS: Record<PhoneConnector, readonly JackSpring[]> = {
  'ts-3.5': [spring('T', 2.6, 2, 3.2), spring('S', 12.6, 9.6, 13.4)],
  'trs-3.5': [spring('T', 2.6, 2, 3.2), spring('R', 6.4, 5.9, 6.9), spring('S', 12.6, 9.6, 13.4)],
  'trrs-3.5': [
    spring('T', 2.6, 2, 3.2),
    spring('R1', 6.1, 5.7, 6.5),
    spring('R2', 9.6, 9.2, 10),
    spring('S', 12.4, 11.8, 13),
  ],
  'ts-6.35': [spring('T', 5.5, 4.5, 6.5), spring('S', 26.5, 24, 29)],
  'trs-6.35': [spring('T', 5.5, 4.5, 6.5), spring('R', 14, 13, 15), spring('S', 26.5, 24, 29)],
  'trrs-6.35': [
    spring('T', 5.5, 4.5, 6.5),
    spring('R1', 14, 13, 15),
    spring('R2', 20, 19, 21),
    spring('S', 26.5, 25, 28),
  ],
};

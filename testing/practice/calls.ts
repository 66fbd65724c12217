import { has, only, type PracticeCase } from './case';

/**
 * Call-ins: callers come back into a mixer that is there, and everyone hears everyone but themself. Into the phone goes a
 * padded lead by a splitter, or a breakout lead whose attenuator is its own (common practice).
 */
export const CALLS: readonly PracticeCase[] = [
  {
    name: 'one caller on a headset-jack phone, a mixer with two sends: a padded way in, a stereo lead back into a line pair',
    from: ['dynamic-xlr'],
    through: 'mixer-monitor-fx',
    to: [['phone-ctia', 'voice-room']],
    wishes: { callers: true },
    answers: [
      has('lead-line-headset-pad', 'splitter-trrs', 'lead-breakout-jacks', 'headphones-big'),
      has('lead-breakout-headset', 'lead-breakout-jacks', 'headphones-big'),
    ],
  },
  {
    name: 'one caller on an 8-pin phone: the same behind a headset dongle',
    from: ['dynamic-xlr'],
    through: 'mixer-aux-fx',
    to: [['phone-8-pin', 'voice-room']],
    wishes: { callers: true },
    answers: [
      has('lead-line-headset-pad|lead-breakout-headset', 'dongle-8-pin-headset', 'lead-breakout-jacks'),
    ],
  },
  {
    name: 'two callers on a mixer with two sends: a send and a line pair each',
    from: ['dynamic-xlr'],
    through: 'mixer-monitor-fx',
    to: [
      ['phone-ctia', 'voice-room'],
      ['phone-ctia', 'voice-room'],
    ],
    wishes: { callers: true },
    answers: [has('lead-line-headset-pad|lead-breakout-headset', 'lead-breakout-jacks')],
  },
  {
    name: 'one caller on a mixer with an FX send alone: by that',
    from: ['dynamic-xlr'],
    through: 'mixer-fx-usb',
    to: [['phone-ctia', 'voice-room']],
    wishes: { callers: true },
    answers: [has('lead-line-headset-pad|lead-breakout-headset', 'lead-breakout-jacks')],
  },
  {
    name: 'two callers on a mixer with one send: there is no way, a second send is missing',
    from: ['dynamic-xlr'],
    through: 'mixer-fx-usb',
    to: [
      ['phone-ctia', 'voice-room'],
      ['phone-ctia', 'voice-room'],
    ],
    wishes: { callers: true },
    answers: [],
    contradicts: 'callers',
  },
  {
    name: 'a mixer without any send: there is no way for a caller',
    from: ['dynamic-xlr'],
    through: 'mixer-rca-only',
    to: [['phone-ctia', 'voice-room']],
    wishes: { callers: true },
    answers: [],
    contradicts: 'callers',
  },
  {
    name: 'a portable mixer with a phone socket: one lead, which goes both ways',
    from: ['dynamic-xlr'],
    through: 'mixer-portable-phone',
    to: [['phone-ctia', 'voice-room']],
    wishes: { callers: true },
    answers: [only('lead-trrs-trrs', 'lead-xlr', 'headphones-big')],
  },
  {
    name: 'a caller on a laptop, a mixer with USB whose send leaves its own return out: one USB lead',
    from: ['dynamic-xlr'],
    through: 'mixer-fx-usb',
    to: [['laptop-combo', 'voice-room']],
    wishes: { callers: true },
    answers: [only('lead-xlr', 'lead-usb-a-b|lead-usb-c-b', 'headphones-big')],
  },
  {
    name: 'a caller on a tablet by a call app that takes no USB sound: the headset way behind a dongle',
    from: ['dynamic-xlr'],
    through: 'mixer-fx-usb',
    to: [['tablet-usb-c', 'voice-room']],
    wishes: { callers: true },
    answers: [has('dongle-usb-c-headset', 'lead-breakout-headset|lead-line-headset-pad')],
  },
  {
    name: 'a caller on a computer by a browser studio, a portable mixer with USB: by USB or by its phone socket',
    from: ['dynamic-xlr'],
    through: 'mixer-portable-phone',
    to: [['laptop-combo', 'browser-studio']],
    wishes: { callers: true },
    answers: [
      only('lead-xlr', 'lead-usb-c-c|lead-usb-a-c', 'headphones-big'),
      only('lead-xlr', 'lead-trrs-trrs', 'headphones-big'),
    ],
  },
  {
    name: 'callers, and no box that they could come back into: a contradiction',
    from: ['dynamic-xlr'],
    to: [['phone-ctia', 'voice-room']],
    wishes: { callers: true },
    answers: [],
    contradicts: 'callers',
  },
  {
    name: 'callers of a camera app, at whose far end nobody is: a contradiction',
    from: ['dynamic-xlr'],
    through: 'mixer-monitor-fx',
    to: [['phone-ctia', 'camera-app']],
    wishes: { callers: true },
    answers: [],
    contradicts: 'callers',
  },
];

import { has, type PracticeCase } from './case';

/** What a computer, phone or tablet plays into a box that is its sound device: by one USB lead, numbers all the way. Common practice; written before any answer was seen. */
export const PLAYED_BY_USB: readonly PracticeCase[] = [
  {
    name: 'what a laptop plays, over a mixer with USB that is there, into a camera: the mixer’s own USB lead',
    from: ['laptop-combo'],
    through: 'mixer-fx-usb',
    to: [['camera-trs']],
    answers: [has('lead-usb-a-b|lead-usb-c-b')],
  },
  {
    name: 'a USB-C tablet’s backing track and a voice over a mixer with USB that is there, into a camera: one USB lead',
    from: ['tablet-usb-c', 'dynamic-xlr'],
    through: 'mixer-fx-usb',
    to: [['camera-trs']],
    answers: [has('lead-usb-c-b|lead-usb-a-b', 'lead-xlr')],
  },
  {
    name: 'an 8-pin tablet’s backing track over a mixer with USB that is there, into a rack recorder: the adapter and the USB lead',
    from: ['tablet-8-pin'],
    through: 'mixer-fx-usb',
    to: [['recorder-line']],
    wishes: { channels: 'stereo' },
    answers: [has('adapter-8-pin-usb|adapter-8-pin-usb-bare', 'lead-usb-a-b')],
  },
  {
    name: 'what a laptop plays over that mixer, its USB socket broken: a lead from the headset jack',
    from: ['laptop-combo'],
    through: 'mixer-fx-usb',
    to: [['recorder-line']],
    wishes: { channels: 'stereo' },
    answers: [has('lead-breakout-jacks')],
    never: ['lead-usb-a-b'],
    more: { throughUnusable: ['usb'] },
  },
  {
    name: 'what a laptop plays over a mixer whose USB socket streams to a phone: by its jack, one socket takes one lead',
    from: ['laptop-combo'],
    through: 'mixer-fx-usb',
    to: [['phone-usb-c', 'recorder-app']],
    wishes: { channels: 'stereo' },
    answers: [has('lead-breakout-jacks', 'lead-usb-c-b|lead-usb-a-b')],
  },
  {
    name: 'what a laptop plays over a mixer 8 m off: by a voltage, a USB lead does not reach',
    from: ['laptop-combo'],
    through: 'mixer-fx-usb',
    to: [['camera-trs']],
    answers: [has('di-passive|di-active')],
    more: {
      sources: [{ part: 'laptop-combo', place: 'table' }],
      throughPlace: 'stage',
      destinations: [{ part: 'camera-trs', place: 'stage' }],
      distances: [{ from: 'table', to: 'stage', metres: 8 }],
    },
  },
  {
    name: 'a laptop with its USB lead owned, over the mixer into a rack recorder: that lead from the drawer',
    from: ['laptop-combo'],
    through: 'mixer-fx-usb',
    to: [['recorder-line']],
    drawer: { 'lead-usb-a-b': 1, 'lead-breakout-jacks': 1 },
    wishes: { channels: 'stereo' },
    answers: [has('lead-usb-a-b')],
  },
];

import { isAudible, isUsable } from '../engine/flow';
import { jointAt } from '../rig';
import { check } from './check';
import { failing } from './failing';
import { ONE_DEVICE_AN_APP } from './origins';

/** An app records from so many sound devices at a time. */
const MOST_DEVICES = 1;

/** A computer lists several sound devices, and what comes by another than the one that its app records from is not in it. */
export const recordsOtherDevice = check({
  code: 'records-other-device',
  means:
    'A computer lists several sound devices at a time, and an app records from one of them: what comes by another is not in it.',
  severity: ['blocks'],
  origin: ONE_DEVICE_AN_APP,
  limit: `${MOST_DEVICES} at a time (common practice).`,
  cures: ['plug', 'link', 'less'],
  find: (facts) =>
    failing(facts).flatMap(({ arrival: { source, recorder, state, records }, inputs }) => {
      if (state !== 'listed-silent') return [];
      const offered = inputs.filter(isUsable);
      const taken = offered.find((one) => `${one.placed}/${one.capture.id}` === records);
      const other = offered.find(
        (one) => one.placed !== taken?.placed && one.channels.some((channel) => isAudible(channel, source)),
      );
      if (!taken || !other) return [];
      const port = facts.laid.get(other.placed)?.part.bus?.port;
      const joint = port === undefined ? undefined : jointAt(facts.rig, { part: other.placed, port })?.id;
      const devices = new Set(offered.map(({ placed }) => placed));
      return [
        {
          where: { part: other.placed, ...(joint !== undefined && { joint }) },
          other: taken.placed,
          source,
          recorder,
          values: [{ name: 'sound devices', value: devices.size, unit: '' }],
          limit: { value: MOST_DEVICES, unit: '', is: 'at most' },
        },
      ];
    }),
});

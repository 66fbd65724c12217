import type { RouteRequest } from '../core/search/route';
import benchTwoPacks from '../../demo/requests/bench-two-packs.json';
import bothPhones from '../../demo/requests/both-phones.json';
import harbourTwoCallers from '../../demo/requests/harbour-two-callers.json';
import harbourVoiceRoom from '../../demo/requests/harbour-voice-room.json';
import launchDayMixer from '../../demo/requests/launch-day-mixer.json';
import loftCondenser from '../../demo/requests/loft-condenser.json';
import quayBoth from '../../demo/requests/quay-both.json';
import slipwayPackToPhone from '../../demo/requests/slipway-pack-to-phone.json';

/** What the yard asks, to begin from: the whole of `demo/requests`, the plainest first. */
export const DEMO_REQUESTS = [
  slipwayPackToPhone,
  loftCondenser,
  harbourVoiceRoom,
  harbourTwoCallers,
  benchTwoPacks,
  launchDayMixer,
  quayBoth,
  bothPhones,
] as readonly unknown[] as readonly RouteRequest[];

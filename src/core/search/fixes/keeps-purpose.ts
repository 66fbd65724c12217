import { FAINTEST, type Finding } from '../../checks';
import type { Arrival } from '../../engine/flow';
import { aspectOf, type Outcome } from '../../judge';

/** What an edit may take of a level that another fault holds down, dB: from one side to both costs up to 6. Ours. */
const AS_GOOD = 6.1;

const isLow = ({ state, peak }: Arrival): boolean => state === 'recorded' && peak < FAINTEST;

/** Whether a source that did not come before comes too low now. */
export const comesTooLow = (before: readonly Arrival[], after: readonly Arrival[]): boolean =>
  after.some(
    (arrival) =>
      isLow(arrival) &&
      !before.some(
        ({ source, recorder, state }) =>
          source === arrival.source && recorder === arrival.recorder && state === 'recorded',
      ),
  );

/** Whether a source is recorded as well as a recording has to be, or is not worse off than it was where another fault still holds it down. */
function isServed(before: Arrival, after: Arrival | undefined): boolean {
  if (!after) return false;
  if (before.state === 'recorded' && after.state !== 'recorded') return false;
  return !isLow(after) || (before.state === 'recorded' && after.peak >= before.peak - AS_GOOD);
}

/** Whether everybody still hears what they heard; of what is wrong with returns, to hear less of it may be the very cure. */
const hearAsMuch = (before: Outcome, after: Outcome): boolean =>
  before.listeners.every(({ listener, sources }) => {
    const then = after.listeners.find((one) => one.listener === listener);
    return sources.every(({ source }) => then?.sources.some((one) => one.source === source) ?? false);
  });

/**
 * Whether a rig still does what it is for once a finding is cured: each wanted source comes to each recorder, none so low that no
 * recording of it is wanted, and who heard it hears it.
 */
export function keepsPurpose(before: Outcome, after: Outcome, finding: Finding): boolean {
  const served = before.arrives.every((arrival) =>
    isServed(
      arrival,
      after.arrives.find((a) => a.source === arrival.source && a.recorder === arrival.recorder),
    ),
  );
  return served && (aspectOf(finding) === 'returns' || hearAsMuch(before, after));
}

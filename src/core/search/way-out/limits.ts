/** More than that is another rig. */
export const MOST_STEPS = 4;
/** So many rigs are judged at the most: whoever waits would not wait for more. */
export const MOST_JUDGED = 600;

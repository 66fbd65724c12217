/** The measured value where the two outputs of one source meet on a channel; by it the sentence is chosen. */
export const PAIR_SUM = 'both outputs of the pair against the louder';

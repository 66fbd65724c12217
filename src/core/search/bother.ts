/** What one thing more to buy, and one joint more to make, is worth in money. Ours, and the user's to change. */
export interface Bother {
  readonly piece: number;
  readonly joint: number;
}

export const USUAL_BOTHER: Bother = { piece: 5, joint: 1 };
/** Who wants few pieces pays for each that is spared. */
export const FEW_PIECES: Bother = { piece: 40, joint: 8 };

/** What a computation that failed means to the user. */
export function sayThreadTrouble(error: unknown): string {
  const detail = error instanceof Error ? error.message : String(error);
  return error instanceof Error && error.name === 'ThreadDied'
    ? `The engine broke off (${detail}). It is started again with the next question.`
    : `The engine could not work this out (${detail}).`;
}

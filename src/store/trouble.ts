/** What a failed write means to the user, and what they can do. */
export function sayStoreTrouble(error: unknown): string {
  const name = error instanceof Error ? error.name : '';
  const inner = (error as { inner?: { name?: string } } | undefined)?.inner?.name ?? '';
  if (name === 'QuotaExceededError' || inner === 'QuotaExceededError') {
    return 'The browser’s storage is full, so the last change was not kept. Export the rig, then free some space.';
  }
  if (name === 'DatabaseClosedError') {
    return 'Another tab has opened a newer Symplex, so the last change was not kept here. Export the rig if you need it, then reload this page.';
  }
  if (name === 'VersionError') {
    return 'A newer Symplex has used this storage. Reload the page to get it; nothing was changed.';
  }
  if (name === 'OpenFailedError' || name === 'MissingAPIError' || name === 'InvalidStateError') {
    return 'The browser does not let Symplex store anything here, perhaps in a private window. Export what you want to keep.';
  }
  return `The change was not kept: ${error instanceof Error ? error.message : String(error)}.`;
}

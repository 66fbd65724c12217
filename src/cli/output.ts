import { writeFile } from 'node:fs/promises';
import { causeOf, NotWritten } from './trouble';

/** Writes a file, or to standard output for `-`. Throws `NotWritten`. */
export async function put(path: string, content: string | Uint8Array): Promise<void> {
  if (path === '-') {
    process.stdout.write(content);
    return;
  }
  await writeFile(path, content).catch((error: unknown) => {
    throw new NotWritten(`${path}: cannot be written: ${causeOf(error)}`);
  });
}

/** The reader wants no more. */
const WENT_AWAY = new Set(['EPIPE']);

/** A reader that went away, such as `head`, or a full disk behind a redirection: the answer did not arrive, exit code 1. */
export function watchOutput(): void {
  process.stdout.on('error', (error: NodeJS.ErrnoException) => {
    if (!WENT_AWAY.has(error.code ?? ''))
      console.error(`symplex: the answer could not be written: ${error.message}`);
    process.exit(1);
  });
}

import type { Answer } from './jobs';

/** An answer as it goes out over HTTP. */
export const respond = ({ status, type, body }: Answer): Response =>
  new Response(body, {
    status,
    headers: { 'Content-Type': type, 'Cache-Control': 'no-store' },
  });

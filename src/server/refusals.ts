import { oneLine } from '../core/schema';
import { refusal } from './jobs';
import { respond } from './respond';

/** A method that an address does not take; what it takes is in `Allow`. */
export const notAllowed =
  (...allowed: readonly string[]) =>
  (request: Request): Response => {
    const says = `${request.method} is not allowed here; allowed: ${allowed.join(', ')}.`;
    const response = respond(refusal(says, 405));
    response.headers.set('Allow', allowed.join(', '));
    return response;
  };

/** An address that is none. */
export const notFound = (request: Request): Response =>
  respond(
    refusal(
      `There is no ${oneLine(new URL(request.url).pathname)}; /api/openapi.json says what there is.`,
      404,
    ),
  );

/** A body that is packed: it is read as it comes. Undefined where it is not. */
export function packed(request: Request): Response | undefined {
  const encoding = request.headers.get('content-encoding');
  if (encoding === null || encoding === 'identity') return undefined;
  return respond(refusal(`The body is packed as ${oneLine(encoding)}; send it as it is.`, 415));
}

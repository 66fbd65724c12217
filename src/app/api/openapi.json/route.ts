import { openApi } from '../../../server/openapi';
import { notAllowed } from '../../../server/refusals';

export const dynamic = 'force-dynamic';

/** This interface, described in OpenAPI 3.1. */
export const GET = (): Response => Response.json(openApi());

const refused = notAllowed('GET', 'HEAD');
export { refused as DELETE, refused as PATCH, refused as POST, refused as PUT };

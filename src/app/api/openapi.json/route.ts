import { openApi } from '../../../server/openapi';

export const dynamic = 'force-static';

/** This interface, described in OpenAPI 3.1. */
export const GET = (): Response => Response.json(openApi());

import { APPS } from '../../../core/apps';
import { CATALOGUE } from '../../../core/parts';
import { notAllowed } from '../../../server/refusals';

export const dynamic = 'force-dynamic';

/** Every shipped part and app class, as data. */
export const GET = (): Response => Response.json({ parts: CATALOGUE, apps: APPS });

const refused = notAllowed('GET', 'HEAD');
export { refused as DELETE, refused as PATCH, refused as POST, refused as PUT };

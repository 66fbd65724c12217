import { APPS } from '../../../core/apps';
import { CATALOGUE } from '../../../core/parts';

export const dynamic = 'force-static';

/** Every shipped part and app class, as data. */
export const GET = (): Response => Response.json({ parts: CATALOGUE, apps: APPS });

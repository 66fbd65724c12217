import { answer } from '../../../server/answer';
import { notAllowed } from '../../../server/refusals';

export const dynamic = 'force-dynamic';

export const POST = (request: Request): Promise<Response> => answer('plan', request);

const refused = notAllowed('POST');
export { refused as DELETE, refused as GET, refused as PATCH, refused as PUT };

import { notAllowed, packed } from '../../../server/refusals';
import { respond } from '../../../server/respond';
import { soundcheckBody } from '../../../server/soundcheck';

export const dynamic = 'force-dynamic';

export const POST = async (request: Request): Promise<Response> =>
  packed(request) ??
  respond(await soundcheckBody(request.body, Number(request.headers.get('content-length') ?? 0)));

const refused = notAllowed('POST');
export { refused as DELETE, refused as GET, refused as PATCH, refused as PUT };

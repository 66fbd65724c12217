import { respond } from '../../../server/answer';
import { soundcheckBody } from '../../../server/soundcheck';

export const dynamic = 'force-dynamic';

export const POST = async (request: Request): Promise<Response> =>
  respond(await soundcheckBody(request.body, Number(request.headers.get('content-length') ?? 0)));

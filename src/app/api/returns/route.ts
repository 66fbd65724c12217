import { answer } from '../../../server/answer';

export const dynamic = 'force-dynamic';

export const POST = (request: Request): Promise<Response> => answer('returns', request);

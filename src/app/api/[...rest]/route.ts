import { notFound } from '../../../server/refusals';

export const dynamic = 'force-dynamic';

export { notFound as DELETE, notFound as GET, notFound as PATCH, notFound as POST, notFound as PUT };

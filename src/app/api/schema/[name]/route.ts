import { oneLine } from '../../../../core/schema';
import { notAllowed } from '../../../../server/refusals';
import { isSchemaName, SCHEMAS } from '../../../../server/schemas';

interface Context {
  readonly params: Promise<{ readonly name: string }>;
}

/** The JSON schema of a document: rig, request or part. */
export async function GET(_: Request, { params }: Context): Promise<Response> {
  const { name } = await params;
  if (isSchemaName(name)) {
    return new Response(JSON.stringify(SCHEMAS[name]), {
      headers: { 'Content-Type': 'application/schema+json' },
    });
  }
  const known = Object.keys(SCHEMAS).join(', ');
  return Response.json(
    { error: `There is no schema "${oneLine(name)}"; there are ${known}.` },
    { status: 404 },
  );
}

const refused = notAllowed('GET', 'HEAD');
export { refused as DELETE, refused as PATCH, refused as POST, refused as PUT };

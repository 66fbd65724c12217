import { LARGEST_RIG_BYTES } from '../core/files';

export type Body =
  { readonly ok: true; readonly text: string } | { readonly ok: false; readonly bytes: number };

/** The body of a request as text; one that is larger than a file may be is not read to its end. */
export async function readBody(request: Request): Promise<Body> {
  const declared = Number(request.headers.get('content-length') ?? 0);
  if (declared > LARGEST_RIG_BYTES) return { ok: false, bytes: declared };
  const decoder = new TextDecoder();
  let [text, bytes] = ['', 0];
  const reader = request.body?.getReader();
  for (let part = await reader?.read(); part && !part.done; part = await reader?.read()) {
    bytes += part.value.byteLength;
    if (bytes > LARGEST_RIG_BYTES) {
      await reader?.cancel();
      return { ok: false, bytes };
    }
    text += decoder.decode(part.value, { stream: true });
  }
  return { ok: true, text: text + decoder.decode() };
}

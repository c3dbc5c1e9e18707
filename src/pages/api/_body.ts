import { fail, ok, type Result } from '../../core/codes/result'

/** Longest request read, bytes. */
export const MOST_BYTES = 1024 * 1024

/** Reads a body up to the limit and no further: what is longer is refused without being held in memory. */
export async function readJson(request: Request): Promise<Result<unknown>> {
  const tooLong = fail('too-long', {})
  if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES) return tooLong
  const chunks: Uint8Array[] = []
  let length = 0
  const reader = request.body?.getReader()
  for (;;) {
    const part = await reader?.read()
    if (!part || part.done) break
    length += part.value.byteLength
    if (length > MOST_BYTES) {
      await reader?.cancel()
      return tooLong
    }
    chunks.push(part.value)
  }
  try {
    return ok(JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(Buffer.concat(chunks))))
  } catch {
    return fail('not-json', {})
  }
}

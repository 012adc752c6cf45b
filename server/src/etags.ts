import type { Request } from 'express';

export const quoted = (etag: string): string => `"${etag}"`;

/**
 * The version a request names in If-Match (RFC 9110): a strong tag without its quotes, or `*`; null when none is named.
 */
export function versionIn(request: Request): string | null {
  const header = request.get('if-match')?.trim();
  return header === '*' ? '*' : (/^"([^"]+)"$/.exec(header ?? '')?.[1] ?? null);
}

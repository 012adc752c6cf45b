/**
 * A new id for a machine (b) or a stock entry (s). Made without `randomUUID`, which a page served over plain HTTP in a
 * household network does not have.
 */
export function freshId(kind: 'b' | 's' = 'b'): string {
  const bytes = crypto.getRandomValues(new Uint8Array(6));
  return `${kind}-${[...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('')}`;
}

import { stockClaims, type Build } from '@inch-tower/core';

/** What a build claims of stock, as JSON; null where it claims nothing. */
export function claimsOf(build: Build): string | null {
  const claims = stockClaims([build]);
  return claims.length ? JSON.stringify(claims) : null;
}

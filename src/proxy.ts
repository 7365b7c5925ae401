import { NextResponse, type NextRequest } from 'next/server';
import { isStranger } from './server/access/neighbours';
import { policyFor, STANDING_HEADERS } from './server/access/headers';
import { environment } from './server/env';

/**
 * What every request goes through first: one that came under a name that is not this program's, or from a page
 * elsewhere, gets nothing; every answer carries what browsers are asked to hold to.
 */
export function proxy(request: NextRequest): NextResponse {
  const stranger = isStranger(request.headers, request.method, environment());
  if (stranger) return answered(new NextResponse(stranger, { status: 403 }), policyFor(''));
  const nonce = btoa(crypto.randomUUID());
  const policy = policyFor(nonce);
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  return answered(NextResponse.next({ request: { headers } }), policy);
}

function answered(response: NextResponse, policy: string): NextResponse {
  response.headers.set('content-security-policy', policy);
  for (const [name, value] of Object.entries(STANDING_HEADERS)) response.headers.set(name, value);
  return response;
}

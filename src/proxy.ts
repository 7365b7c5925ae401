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
  const unfit = unfitRequest(request);
  if (unfit) return answered(unfit, policyFor(''));
  const nonce = btoa(crypto.randomUUID());
  const policy = policyFor(nonce);
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  return answered(NextResponse.next({ request: { headers } }), policy);
}

const METHODS = new Set(['GET', 'HEAD', 'POST', 'OPTIONS']);
/** Above what an action takes (`bodySizeLimit`), with room for what is sent around it. */
const BYTES_MOST = 2.5e6;

/** What is answered to a request that nothing here could do anything with. */
function unfitRequest({ method, headers, url }: NextRequest): NextResponse | undefined {
  if (!isReadable(url)) return new NextResponse('This address cannot be read.', { status: 400 });
  if (!METHODS.has(method))
    return new NextResponse(`${method} does nothing here.`, {
      status: 405,
      headers: { allow: [...METHODS].join(', ') },
    });
  if (Number(headers.get('content-length') ?? 0) > BYTES_MOST)
    return new NextResponse('What was sent is larger than 2 MB. Nothing of it was kept.', { status: 413 });
  return undefined;
}

/** An address may hold signs that stand for no letter in any language. */
function isReadable(url: string): boolean {
  try {
    decodeURIComponent(new URL(url).pathname);
    return true;
  } catch {
    return false;
  }
}

function answered(response: NextResponse, policy: string): NextResponse {
  response.headers.set('content-security-policy', policy);
  for (const [name, value] of Object.entries(STANDING_HEADERS)) response.headers.set(name, value);
  return response;
}

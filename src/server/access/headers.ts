/** What browsers are asked to hold to with every answer. */
export const STANDING_HEADERS: Readonly<Record<string, string>> = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'permissions-policy':
    'camera=(), microphone=(), geolocation=(), payment=(), usb=(), serial=(), browsing-topics=()',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
};

/**
 * The content security policy of one answer: scripts of this program only, those within the page by the nonce that
 * this answer alone carries; solvers compile WebAssembly in their workers; nobody may put the page in a frame.
 */
export function policyFor(nonce: string): string {
  const scripts = [
    "'self'",
    ...(nonce ? [`'nonce-${nonce}'`, "'strict-dynamic'"] : []),
    "'wasm-unsafe-eval'",
  ];
  return [
    "default-src 'self'",
    `script-src ${scripts.join(' ')}`,
    // Charts and boards place their marks by style attributes.
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "media-src 'self' blob:",
    "font-src 'self' data:",
    "connect-src 'self'",
    "worker-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

import { policyFor } from './headers';
import { isStranger } from './neighbours';

const house = { hosts: ['mivvet.school.test'], demo: false, behindProxy: false };
const asked = (headers: Readonly<Record<string, string>>, method = 'GET', more: Partial<typeof house> = {}) =>
  isStranger({ get: (name) => headers[name] ?? null }, method, { ...house, ...more });

describe('a request', () => {
  it('is let through under a name that is this program’s', () => {
    for (const host of [
      '127.0.0.1:4173',
      'localhost:4173',
      '[::1]:4173',
      '192.168.7.20:4173',
      'mivvet.school.test',
    ])
      expect(asked({ host })).toBeUndefined();
  });

  it('gets nothing under a name that somebody has pointed here', () => {
    expect(asked({ host: 'evil.example:4173' })).toContain('not known as “evil.example');
    expect(asked({ host: 'localhost.evil.example' })).toContain('not known');
    expect(asked({})).toContain('not known');
  });

  it('gets nothing from a page elsewhere, reading or writing', () => {
    const host = '127.0.0.1:4173';
    expect(asked({ host, origin: 'http://evil.example' }, 'POST')).toContain('from elsewhere');
    expect(asked({ host, origin: 'http://127.0.0.1:9999' }, 'POST')).toContain('from elsewhere');
    expect(asked({ host, origin: 'null' }, 'POST')).toContain('from elsewhere');
    expect(asked({ host, 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'no-cors' })).toContain(
      'from elsewhere',
    );
    expect(
      asked({ host, origin: 'http://127.0.0.1:4173', 'sec-fetch-site': 'same-origin' }, 'POST'),
    ).toBeUndefined();
    // A link from elsewhere is a visit by a person.
    expect(asked({ host, 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate' })).toBeUndefined();
    expect(asked({ host, 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate' }, 'POST')).toContain(
      'elsewhere',
    );
  });

  it('to the demo comes from this machine alone', () => {
    expect(asked({ host: '192.168.7.20:4173' }, 'GET', { demo: true })).toContain('not known');
    expect(asked({ host: 'localhost:4173' }, 'GET', { demo: true })).toBeUndefined();
  });

  it('through a proxy is told by what the proxy says, and only where one is', () => {
    const headers = { host: '127.0.0.1:4173', 'x-forwarded-host': 'evil.example' };
    expect(asked(headers)).toBeUndefined();
    expect(asked(headers, 'GET', { behindProxy: true })).toContain('evil.example');
    expect(
      asked({ ...headers, 'x-forwarded-host': 'mivvet.school.test' }, 'GET', { behindProxy: true }),
    ).toBeUndefined();
  });
});

describe('the content security policy', () => {
  it('lets in no script of a page’s own but by its nonce, and no frame', () => {
    const policy = policyFor('abc');
    expect(policy).toContain("script-src 'self' 'nonce-abc' 'strict-dynamic' 'wasm-unsafe-eval'");
    expect(/script-src[^;]*unsafe-inline/u.test(policy)).toBe(false);
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy).toContain("object-src 'none'");
  });
});

import { namesFrom, pagePolicy, refusalOf } from './border';

const asks = (method: string, headers: Record<string, string>) =>
  refusalOf({ method, headers: new Headers(headers) });

describe('who may ask', () => {
  it.each(['127.0.0.1:3100', 'localhost:3100', '[::1]:3100', 'LOCALHOST'])('%s is answered', (host) => {
    expect(asks('GET', { host })).toBeNull();
  });

  // DNS rebinding: a foreign name that leads to this machine.
  it.each(['attacker.invalid', 'evil.test:3100', '127.0.0.1.evil.test', ''])('%s is not', (host) => {
    expect(asks('GET', { host })).toMatch(/not reached under this name/);
  });

  it('further names are those of the environment', () => {
    const request = { method: 'GET', headers: new Headers({ host: 'orden.intern' }) };
    expect(refusalOf(request, namesFrom(' Orden.Intern, '))).toBeNull();
  });
});

describe('who may change something', () => {
  const host = '127.0.0.1:3100';

  it.each([
    ['its own pages', { 'sec-fetch-site': 'same-origin' }],
    ['a person', { 'sec-fetch-site': 'none' }],
    ['a program', {}],
    ['an older browser on its own page', { origin: 'http://127.0.0.1:3100' }],
  ])('%s', (_, headers) => {
    expect(asks('POST', { host, ...headers })).toBeNull();
  });

  it.each([
    ['a page of another site', { 'sec-fetch-site': 'cross-site', origin: 'http://evil.example' }],
    ['one at another port', { 'sec-fetch-site': 'same-site', origin: 'http://127.0.0.1:3199' }],
    ['an older browser on a foreign page', { origin: 'http://evil.example' }],
    ['a frame without an origin', { origin: 'null' }],
  ])('not %s', (_, headers) => {
    expect(asks('POST', { host, ...headers })).toMatch(/another site/);
    expect(asks('GET', { host, ...headers })).toBeNull();
  });
});

it('the policy of pages allows no script without the nonce, and nobody to frame them', () => {
  const policy = pagePolicy('abc');
  expect(policy).toContain("script-src 'self' 'nonce-abc';");
  expect(policy).toContain("frame-ancestors 'none'");
  expect(policy).not.toMatch(/script-src[^;]*unsafe/);
});

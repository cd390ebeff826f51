import { readSettings } from '../src/settings.js';

const BASE = { DATABASE_URL: 'postgres://x', SESSION_SECRET: 'y'.repeat(32) };

test('what is not said is the usual: this machine alone, no TLS, and the owner is whoever comes in', () => {
  expect(readSettings(BASE)).toMatchObject({
    host: '127.0.0.1',
    port: 4600,
    ownerUrl: 'postgres://x',
    readUrl: null,
    tls: null,
    proxies: 0,
  });
});

test.each<[string, NodeJS.ProcessEnv, RegExp]>([
  ['no database', { DATABASE_URL: '' }, /DATABASE_URL must name/],
  ['a short secret', { SESSION_SECRET: 'short' }, /SESSION_SECRET must be at least 16/],
  ['a port that is none', { PORT: 'x' }, /PORT must be a whole number from 0 to 65535, received x/],
  ['proxies that are no number', { TRUST_PROXY: 'yes' }, /TRUST_PROXY must be a whole number from 0 to 9/],
  ['a certificate without its key', { TLS_CERT: '/x' }, /go together/],
  [
    'a certificate that is not there',
    { TLS_CERT: '/no', TLS_KEY: '/no' },
    /must name files that can be read/,
  ],
  ['an address others reach, without TLS', { HOST: '0.0.0.0' }, /HOST 0\.0\.0\.0 is not this machine alone/],
])('%s is refused before anything starts', (_what, env, says) => {
  expect(() => readSettings({ ...BASE, ...env })).toThrow(says);
});

test('others may reach it through a proxy that speaks TLS', () => {
  expect(readSettings({ ...BASE, HOST: '0.0.0.0', TRUST_PROXY: '1' })).toMatchObject({
    host: '0.0.0.0',
    proxies: 1,
  });
});

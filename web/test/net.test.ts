import type { IncomingMessage } from 'node:http';
import { describe, expect, it, vi } from 'vitest';
import { ownPath } from '../src/server/http/own-path.ts';
import { passes } from '../src/server/http/problem.ts';
import { addressTeller } from '../src/server/net/address.ts';
import { addressesOf, hostIn, knownHosts, nameTeller, originOf } from '../src/server/net/hosts.ts';
import { kindOf } from '../src/server/net/metrics.ts';

describe('names of the server', () => {
  it('bound to itself it goes by its own name alone; in the network by its addresses too', () => {
    expect(knownHosts('127.0.0.1', null)).toEqual(new Set(['localhost', '127.0.0.1', '[::1]']));
    expect(knownHosts('127.0.0.1', 'https://splay.example:8443/x')).toContain('splay.example');
    expect(knownHosts('0.0.0.0', null).size).toBeGreaterThan(4);
  });

  it.each([
    ['localhost:4321', 'localhost'],
    ['LOCALHOST', 'localhost'],
    ['[::1]:80', '[::1]'],
    ['user@localhost', null],
    ['localhost/path', null],
    ['', null],
    [undefined, null],
    ['a b', null],
  ])('of the header %s: %s', (header, name) => {
    expect(hostIn(header)).toBe(name);
  });

  it('a name that the machine gets later is taken up, and not looked for at every request', () => {
    vi.useFakeTimers();
    let names = new Set(['localhost']);
    let looks = 0;
    const isOurs = nameTeller(() => {
      looks += 1;
      return names;
    });
    names = new Set(['localhost', '192.168.1.9']);
    expect([isOurs('localhost'), isOurs('192.168.1.9'), isOurs('evil.example')]).toEqual([true, false, false]);
    vi.advanceTimersByTime(5000);
    expect([isOurs('192.168.1.9'), isOurs('evil.example'), isOurs('evil.example')]).toEqual([true, false, false]);
    expect(looks).toBe(2);
    vi.useRealTimers();
  });

  it.each([
    ['localhost:4321', false, null, 'http://localhost:4321'],
    ['192.168.1.9:4322', true, null, 'https://192.168.1.9:4322'],
    // A proxy of ours forwards plainly what came encrypted.
    ['splay.example', false, 'https://splay.example', 'https://splay.example'],
    ['splay.example:4321', false, 'https://splay.example', 'https://splay.example'],
    ['localhost:4321', false, 'https://splay.example', 'http://localhost:4321'],
  ])('who asks for %s reaches it there', (host, encrypted, outside, origin) => {
    expect(originOf(host, encrypted, outside)).toBe(origin);
  });

  it('phones reach it where it listens to them', () => {
    const ports = { plain: 4321, secure: 4322 };
    const all = () => true;
    expect(addressesOf('127.0.0.1', ports, null, all)).toEqual([]);
    expect(addressesOf('0.0.0.0', ports, 'https://splay.example', all)).toEqual([
      { plain: null, secure: 'https://splay.example' },
    ]);
    expect(addressesOf('0.0.0.0', ports, 'http://splay.example', all)).toEqual([
      { plain: 'http://splay.example', secure: null },
    ]);
    for (const { plain, secure } of addressesOf('0.0.0.0', ports, null, all)) {
      expect(plain).toMatch(/^http:\/\/\d+\.\d+\.\d+\.\d+:4321$/);
      expect(secure).toMatch(/^https:\/\/\d+\.\d+\.\d+\.\d+:4322$/);
    }
    for (const { secure } of addressesOf('0.0.0.0', { plain: 4321, secure: null }, null, all))
      expect(secure).toBeNull();
    // No certificate speaks for an address that is of no private network.
    for (const { secure } of addressesOf('0.0.0.0', ports, null, () => false)) expect(secure).toBeNull();
  });
});

describe('who sends a request', () => {
  const from = (remoteAddress: string, forwarded?: string) =>
    ({
      socket: { remoteAddress },
      connection: { remoteAddress },
      headers: forwarded === undefined ? {} : { 'x-forwarded-for': forwarded },
    }) as unknown as IncomingMessage;

  it('is the other end of the socket, whatever it says', () => {
    const tell = addressTeller([]);
    expect(tell(from('203.0.113.5', '198.51.100.1'))).toBe('203.0.113.5');
    expect(tell(from('::ffff:203.0.113.5'))).toBe('203.0.113.5');
    expect(tell(from('::1'))).toBe('127.0.0.1');
  });

  it('is whom a proxy of ours forwards for, no farther than our own proxies reach', () => {
    const tell = addressTeller(['10.0.0.0/8']);
    expect(tell(from('10.1.2.3', '198.51.100.1'))).toBe('198.51.100.1');
    expect(tell(from('10.1.2.3', '1.2.3.4, 198.51.100.1'))).toBe('198.51.100.1');
    expect(tell(from('10.1.2.3', '1.2.3.4, 198.51.100.1, 10.9.9.9'))).toBe('198.51.100.1');
    expect(tell(from('203.0.113.5', '198.51.100.1'))).toBe('203.0.113.5');
    expect(() => addressTeller(['somewhere'])).toThrow(TypeError);
  });
});

it('a path out of an address stays here', () => {
  for (const out of ['//x', '/\\x', '/\t/x', '\t//x', 'https://x', 'x', '', null, '/%5C', '/a?b=1#c'])
    expect(new URL(ownPath(out), 'http://here').host).toBe('here');
  expect(ownPath('/jobs/1?x=2#y')).toBe('/jobs/1?x=2#y');
  expect(ownPath('//x')).toBe('/');
});

it('what passes by itself is told from what does not', () => {
  const coded = (code: string, cause?: unknown) => Object.assign(new Error('x', { cause }), { code });
  for (const code of ['ECONNREFUSED', '57P01', '57P03', '53300', '08006', '40001', 'ECONNRESET'])
    expect([code, passes(coded(code))]).toEqual([code, true]);
  for (const code of ['22021', '23505', '42P01', '42501', 'ENOENT'])
    expect([code, passes(coded(code))]).toEqual([code, false]);
  expect(passes(new Error('query failed', { cause: coded('57P01') }))).toBe(true);
  expect(passes(new Error('timeout exceeded when trying to connect'))).toBe(true);
  expect(passes(new AggregateError([coded('ECONNREFUSED')]))).toBe(true);
  expect(passes('57P01')).toBe(false);
});

it('what is measured names no job and no person', () => {
  expect(kindOf('/api/jobs/6c08b1fd-f411-4362-82f8-3878824784d6/export?x=1')).toBe('/api/jobs/_/export');
  expect(kindOf('/join/r0c1ofCxnN3LPPhmCUO6T0S5t826ZkP4')).toBe('/join/_');
  expect(kindOf('/_astro/app.js')).toBe('file');
  expect(kindOf('/')).toBe('/');
});

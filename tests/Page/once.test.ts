import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { api } from '@/api/client';

/** The names of the calls that came. What comes back is a status, or nothing at all: 0. */
function server(...answers: number[]) {
  const names: (string | null)[] = [];
  const fetch = (request: Request): Promise<Response> => {
    names.push(request.headers.get('Idempotency-Key'));
    const status = answers.shift();
    return status === 0
      ? Promise.reject(new TypeError('no network'))
      : Promise.resolve(new Response('{}', { status, headers: { 'Content-Type': 'application/json' } }));
  };
  return { names, fetch };
}

const at = { params: { path: { kind: 'places' as const } }, baseUrl: 'http://wren.example' };
const place = (name: string, fetch: (request: Request) => Promise<Response>, through = api) =>
  through.POST('/pieces/{kind}', { ...at, fetch, body: { name } as never }).catch(() => null);

beforeEach(() => {
  const kept = new Map<string, string>();
  vi.stubGlobal('document', { cookie: '' });
  vi.stubGlobal('sessionStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value),
  });
});

afterEach(() => vi.unstubAllGlobals());

describe('a call that makes something', () => {
  test('carries the same name until it is answered, and another one afterwards', async () => {
    const { names, fetch } = server(0, 503, 201, 201);
    for (let i = 0; i < 4; i++) {
      await place('Wren wharf', fetch);
    }
    expect(names[0]).toMatch(/^[0-9A-Z]{26}$/);
    expect(names.slice(1, 3)).toEqual([names[0], names[0]]);
    expect(names[3]).not.toBe(names[0]);
  });

  test('carries another name when it makes something else', async () => {
    const { names, fetch } = server(0, 0);
    await place('Wren wharf', fetch);
    await place('Tern quay', fetch);
    expect(names[1]).not.toBe(names[0]);
  });

  test('is known again after a reload; a refusal is an answer', async () => {
    const { names, fetch } = server(0, 422, 201);
    await place('Finch yard', fetch);
    vi.resetModules();
    const reloaded = (await import('@/api/client')).api;
    await place('Finch yard', fetch, reloaded);
    await place('Finch yard', fetch, reloaded);
    expect(names[1]).toBe(names[0]);
    expect(names[2]).not.toBe(names[0]);
  });

  test('what makes nothing carries no name', async () => {
    const { names, fetch } = server(200);
    await api.POST('/pieces/{kind}/check', { ...at, fetch, body: { name: 'x' } as never });
    expect(names).toEqual([null]);
  });
});

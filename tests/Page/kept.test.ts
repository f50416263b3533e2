import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { beforeEach, describe, expect, test } from 'vitest';
import { forgetDatabase } from '@/offline/db';
import { amend, asks, keep, recall } from '@/offline/answerStore';

interface List {
  count: number;
}

const PATH = '/api/sessions/01ARZ3NDEKTSV4RRFFQ69G5FAV/readings';
const question = () =>
  new Request(`http://wren.example${PATH}`, { headers: { 'X-Account': 'ida', 'X-Garage': 'yard' } });
const answer = (count: number) => new Response(JSON.stringify({ count }));
const oneMore = () => amend<List>('ida', 'yard', PATH, (list) => list && { count: list.count + 1 });

async function kept(): Promise<unknown> {
  const asked = question();
  asks(asked);
  return (await recall(asked))?.body;
}

beforeEach(() => {
  forgetDatabase();
  globalThis.indexedDB = new IDBFactory();
});

describe('an answer that is kept', () => {
  test('that was asked for before a change and comes after it knows of the change', async () => {
    const asked = question();
    asks(asked);
    await oneMore();
    await keep(asked, answer(0));
    expect(await kept()).toEqual({ count: 1 });
  });

  test('that was asked for after a change is unchanged given', async () => {
    await oneMore();
    const asked = question();
    asks(asked);
    await keep(asked, answer(5));
    expect(await kept()).toEqual({ count: 5 });
  });

  test('is changed with what happens, also while it is being written', async () => {
    const asked = question();
    asks(asked);
    await Promise.all([keep(asked, answer(3)), oneMore(), oneMore()]);
    expect(await kept()).toEqual({ count: 5 });
    await oneMore();
    expect(await kept()).toEqual({ count: 6 });
  });

  test('is there from the first change that knows the whole of it, and not before', async () => {
    await oneMore();
    expect(await kept()).toBeUndefined();
    await amend<List>('ida', 'yard', PATH, (list) => list ?? { count: 0 });
    await oneMore();
    await amend<List>('ida', 'yard', PATH, (list) => list ?? { count: 0 });
    expect(await kept()).toEqual({ count: 1 });
  });

  test('of somebody else is left alone', async () => {
    const asked = question();
    asks(asked);
    await amend<List>('bo', 'yard', PATH, () => ({ count: 9 }));
    await keep(asked, answer(0));
    expect(await kept()).toEqual({ count: 0 });
  });
});

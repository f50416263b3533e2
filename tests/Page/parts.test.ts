import { renderToString } from 'vue/server-renderer';
import { scaleLinear } from 'd3-scale';
import { createSSRApp, h, ref, type VNode } from 'vue';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { ApiError, ask } from '@/api/client';
import { useCursor } from '@/chart/useCursor';
import { useUndo } from '@/stores/undo';
import { valueAt, withValue } from '@/api/dotted';
import { useAttempt } from '@/ui/useAttempt';
import Said from '@/words/Said.vue';

// Parts that several screens are made of.

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

test('a sentence holds a part of the page where a figure stands', async () => {
  const rendered = (code: string, figures: object, slots: Record<string, () => VNode>) =>
    renderToString(createSSRApp({ render: () => h(Said, { code, figures } as never, slots) })).then((html) =>
      html.replace(/<!--.*?-->/g, ''),
    );

  expect(await rendered('forecast.pays', { sessions: 2, kwh: '58 kWh' }, { other: () => h('b', 'with it') })).toBe(
    '<b>with it</b>; membership pays off from 2 sessions like this a month (58 kWh).',
  );
  // What a person typed is text.
  expect(await rendered('forecast.pays', { other: '<i>', sessions: 1, kwh: '{n}' }, {})).toBe(
    '&lt;i&gt;; membership pays off with one session like this a month ({n}).',
  );
});

test('a cursor stays on its curve, by key and by pointer', () => {
  const at = ref<number | null>(null);
  const frame = ref({ getBoundingClientRect: () => ({ left: 100 }) } as HTMLElement);
  const minutes = scaleLinear([0, 10], [40, 440]);
  const { follow, step } = useCursor(frame, at, ref(minutes) as never, ref(600), (value) => value * 60);
  const press = (key: string, shiftKey = false) => {
    const event = { key, shiftKey, preventDefault: vi.fn(), stopPropagation: vi.fn() };
    step(event as unknown as KeyboardEvent);
    return event.preventDefault.mock.calls.length === 1;
  };

  follow({ clientX: 340 } as PointerEvent);
  expect(at.value).toBe(300);
  follow({ clientX: 0 } as PointerEvent);
  expect(at.value).toBe(0);
  follow({ clientX: 9000 } as PointerEvent);
  expect(at.value).toBe(600);

  expect([press('Home'), at.value, press('ArrowLeft'), at.value]).toEqual([true, 0, true, 0]);
  expect([press('ArrowRight'), at.value, press('ArrowUp', true), at.value]).toEqual([true, 6, true, 66]);
  expect([press('End'), at.value, press('ArrowDown', true), at.value]).toEqual([true, 600, true, 540]);
  expect([press('Tab'), at.value]).toEqual([false, 540]);
  expect([press('Escape'), at.value]).toEqual([true, null]);
});

test('the last thing done can be taken back, once, and for a while', async () => {
  const { offer, done, takeBack } = useUndo();
  const undone: string[] = [];
  done('first', () => void undone.push('first'));
  vi.advanceTimersByTime(14_000);
  done('second', () => void undone.push('second'));
  vi.advanceTimersByTime(14_000);
  expect(offer.value?.text).toBe('second');
  await takeBack();
  await takeBack();
  expect([undone, offer.value]).toEqual([['second'], null]);

  done('third', () => void undone.push('third'));
  vi.advanceTimersByTime(15_000);
  await takeBack();
  expect(undone).toEqual(['second']);
});

test('a refusal names its fields, and other failures are told in words', async () => {
  const response = (status: number) => ({ ok: status < 400, status }) as Response;
  const errors = { 'vehicle.inlets[0].dc.max_v': ['must lie within 1 … 2000 V'] };
  const refused = await ask(
    Promise.resolve({ error: { message: 'Two fields are wrong', errors }, response: response(422) }),
  ).catch((e: unknown) => e as ApiError);

  expect(refused).toBeInstanceOf(ApiError);
  expect((refused as ApiError).about('max_v')).toBe('must lie within 1 … 2000 V');
  expect((refused as ApiError).about('max_a')).toBeUndefined();
  expect(await ask(Promise.resolve({ data: 3, response: response(200) }))).toBe(3);
  await expect(ask(Promise.resolve({ error: '<html>', response: response(500) }))).rejects.toThrow('500');
  await expect(ask(Promise.resolve({ response: response(419) }))).rejects.toThrow(/signed out/i);
});

test('an attempt is busy while it lasts, and tells why it failed', async () => {
  const { isBusy, error, attempt } = useAttempt();
  const failing = attempt(() => Promise.reject(new Error('no room')));
  expect([isBusy.value, error.value]).toEqual([true, '']);
  await failing;
  expect([isBusy.value, error.value]).toEqual([false, 'no room']);
  await attempt(() => Promise.resolve());
  expect(error.value).toBe('');
});

test('a field is changed at its path, and what it was copied from stays as it is', () => {
  const plate = { inlets: [{ dc: { max_v: 500 } }], name: 'x' };
  const changed = withValue(plate, 'inlets.0.dc.max_v', 920);

  expect([valueAt(changed, 'inlets.0.dc.max_v'), valueAt(plate, 'inlets.0.dc.max_v')]).toEqual([920, 500]);
  expect(Array.isArray(changed.inlets)).toBe(true);
  expect(withValue({}, 'tariff.per_kwh', '0.40')).toEqual({ tariff: { per_kwh: '0.40' } });
  expect(valueAt(plate, 'name.first.letter')).toBeUndefined();
});

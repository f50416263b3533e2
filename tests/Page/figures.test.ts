import { expect, test } from 'vitest';
import type { ForecastPoint } from '@/api/client';
import { timeUnit } from '@/chart/timeUnit';
import { bandsOf, secondsAtSoc } from '@/forecast/points';
import { read, written } from '@/plates/entries';
import { clock, duration, kw, money, percent, promised, ranged, quantity, soc } from '@/ui/figures';
import { pointAt } from '@/ui/pointAt';
import { listed, say } from '@/words/say';

// What the page computes for show alone.

const point = (t_s: number, kwNow: number, binding: string, link: string | null = null): ForecastPoint => ({
  t_s,
  soc: 10 + t_s / 60,
  v: 300,
  a: (kwNow * 1000) / 300,
  kw: kwNow,
  car_kw: null,
  binding,
  binding_link: link,
  km_per_hour: kwNow * 5,
  pack_c: null,
  theta: { cable: t_s / 1000 },
});

test('bands meet at the point where the link that binds changes', () => {
  const points = [
    point(0, 0, 'handshake'),
    point(45, 0, 'ramp'),
    point(60, 150, 'adapter_current', 'a1'),
    point(90, 151, 'adapter_current', 'a1'),
    point(120, 150, 'vehicle_curve', 'pack'),
    point(150, 140, 'vehicle_curve', 'pack'),
  ];
  const bands = bandsOf(points);

  expect(bands.map((b) => b.binding)).toEqual(['handshake', 'ramp', 'adapter_current', 'vehicle_curve']);
  expect(bands.map((b) => [b.first.t_s, b.last.t_s])).toEqual([
    [0, 45],
    [45, 60],
    [60, 120],
    [120, 150],
  ]);
  expect(bandsOf([])).toEqual([]);
  // The same code on another link is another band.
  expect(
    bandsOf([
      point(0, 1, 'adapter_current', 'a1'),
      point(9, 1, 'adapter_current', 'a2'),
      point(18, 1, 'adapter_current', 'a2'),
    ]),
  ).toHaveLength(2);
});

test('between two points every value lies between, and words are those of the earlier', () => {
  const points = [point(60, 100, 'station_power', 'o1'), point(90, 130, 'vehicle_curve', 'pack')];
  const middle = pointAt(points, 75);

  expect([middle?.kw, middle?.t_s, middle?.soc, middle?.km_per_hour]).toEqual([115, 75, 11.25, 575]);
  expect(middle?.theta.cable).toBeCloseTo(0.075, 9);
  expect(middle?.binding).toBe('station_power');
  expect(pointAt(points, 0)?.kw).toBe(100);
  expect(pointAt(points, 500)?.kw).toBe(130);
  expect(pointAt([], 5)).toBeNull();
});

test('times, power and money as they are said', () => {
  expect([timeUnit(3600), timeUnit(4 * 3600)]).toEqual(['minutes', 'hours']);
  expect([duration(27.4), duration(119.6), duration(252.6), duration(null)]).toEqual([
    '27 min',
    '2 h 0 min',
    '4 h 13 min',
    '–',
  ]);
  expect([clock(65), clock(3725)]).toEqual(['1:05', '1:02:05']);
  expect([kw(6.64), kw(157.54), kw(null)]).toEqual(['6.6', '158', '?']);
  expect([money('26.61', 'USD'), money('9.33', 'EUR'), money('1234', 'JPY'), money('0.00', 'USD')]).toEqual([
    '$26.61',
    '€9.33',
    '¥1,234',
    '$0.00',
  ]);
  expect([money(null, 'USD'), money('5', null)]).toEqual(['price not read', 'price not read']);
  expect([percent(0.826), percent(null), soc(62.46), soc(62.46, 1)]).toEqual(['83 %', '–', '62 %', '62.5 %']);
  expect([quantity(399.6, 'v'), quantity(157.54, 'kw')]).toEqual(['400 V', '157.5 kW']);
});

test('what is typed on a plate is read unchanged written, and nothing is guessed', () => {
  expect(read('number', '350')).toBe(350);
  expect(read('number', '0,5')).toBe(0.5);
  expect(read('number', '')).toBeNull();
  expect(read('number', 'many')).toBe('many');
  expect([read('watts', '150'), read('watts', '150 kW'), read('watts', '90000 W')]).toEqual([150, 150, 90]);
  expect(read('names', 'none')).toEqual([]);
  expect(read('names', 'ostler, fernway')).toEqual(['ostler', 'fernway']);
  for (const [kind, value] of [
    [
      'curve',
      [
        [0, 310],
        [50, 352.5],
      ],
    ],
    [
      'bands',
      [
        { from_kw: 0, per_minute: '0.19' },
        { from_kw: 30, per_minute: '0.38' },
      ],
    ],
    ['names', ['ostler']],
    ['names', []],
    ['text', 'the latch sticks'],
  ] as const) {
    expect(read(kind, written(kind, value))).toEqual(value);
  }
  // A band without a price is passed on without one, for the core to refuse by its field.
  expect(read('bands', '30')).toEqual([{ from_kw: 30, per_minute: null }]);
});

test('over charge the cursor finds its moment', () => {
  const points = [point(0, 0, 'handshake'), point(60, 100, 'ramp'), point(120, 100, 'vehicle_curve')];

  expect(secondsAtSoc(points, 11.5)).toBeCloseTo(90, 9);
  expect(secondsAtSoc(points, 5)).toBe(0);
  expect(secondsAtSoc(points, 99)).toBe(120);
  expect(secondsAtSoc([], 50)).toBe(0);
});

test('several things are joined as the language does it', () => {
  expect([listed('and', []), listed('and', ['A1']), listed('and', ['A1', 'A2', 'A3'])]).toEqual([
    '',
    'A1',
    'A1, A2 and A3',
  ]);
  const read = (n: number, rejected: number) => say('look.count', { n, rejected });
  expect([read(5, 0), read(1, 1), read(5, 2)]).toEqual([
    '5 rows read.',
    '1 row read; 1 row left out.',
    '5 rows read; 2 rows left out.',
  ]);
  expect(say('forecast.pays', { other: 'x', sessions: 1, kwh: '58 kWh' })).toBe(
    'x; membership pays off with one session like this a month (58 kWh).',
  );
});

test('kW that rest on what nobody has read are a ceiling', () => {
  const read = { expected_peak_kw: 112.6 };
  expect(promised(read)).toBe('113 kW');
  expect(promised({ ...read, at_most: true })).toBe('at most 113 kW');
  expect(promised({ expected_peak_kw: 9.6 })).toBe('9.6 kW');
});

test('kW that rest on what is usual are a span', () => {
  const about = { expected_peak_kw: 150, about: true, band_kw: [92.2, 200.2] };
  expect(promised(about)).toBe('about 150 kW (92–200)');
  expect(ranged(about)).toBe('92–200');
  expect(promised({ ...about, at_most: true })).toBe('at most 200 kW');
  expect(ranged({ ...about, at_most: true })).toBe('up to 200');
  expect(ranged({ expected_peak_kw: 11.5, band_kw: [11.5, 11.5] })).toBe('about 11.5');
  expect(ranged({ expected_peak_kw: null, band_kw: [0, 120] })).toBe('up to 120');
  expect(promised({ expected_peak_kw: null, band_kw: [60, 120] })).toBe('60–120 kW');
  expect(ranged({ expected_peak_kw: null })).toBe('');
  expect(ranged({ expected_peak_kw: 42 })).toBe('42');
});

import { beforeEach, describe, expect, test, vi } from 'vitest';

vi.hoisted(() => {
  vi.stubGlobal('navigator', {});
  vi.stubGlobal('document', { documentElement: { dataset: {} } });
});

import { difference, fill, fromUnit, inUnit, number, percent, quantity, stepOf } from './quantity';
import { catalogue } from '../state/catalogue.svelte';
import { settings } from '../state/settings.svelte';
import type { Dimension, UnitSystem } from '../api/client';

type Unit = (typeof catalogue.units)[number];
const unit = (dimension: string, system: string, symbol: string, factor: number, rest: Partial<Unit> = {}) =>
  ({
    dimension,
    system,
    symbol,
    factor,
    offset: 0,
    digits: 0,
    smallBelow: 0,
    smallDigits: 2,
    step: 1,
    fraction: false,
    ...rest,
  }) as Unit;

const show = (system: UnitSystem, fractions = true) => ([settings.system, settings.fractions] = [system, fractions]);

beforeEach(() => {
  catalogue.units = [
    unit('length', 'metric', 'mm', 0.001, { smallBelow: 10 }),
    unit('length', 'inch', 'in', 0.0254, { fraction: true, digits: 2, smallBelow: 0.1, smallDigits: 3, step: 0.25 }),
    unit('speed', 'metric', 'km/h', 1 / 3.6),
    unit('speed', 'inch', 'mph', 0.44704),
    unit('force', 'metric', 'N', 1),
    unit('temperature', 'metric', '°C', 1, { offset: 273.15 }),
    unit('temperature', 'inch', '°F', 5 / 9, { offset: 459.67 }),
    unit('drill', 'metric', 'mm', 0.001, { digits: 1 }),
    unit('drill', 'inch', 'in', 0.0254, { digits: 3 }),
  ];
  catalogue.drills = [
    { name: 'No. 7', diameter: 0.0051054 },
    { name: '13/64 in', diameter: 0.0051594 },
  ] as typeof catalogue.drills;
});

describe('numbers', () => {
  test.each([
    [0.3, '300 mm'],
    [0.00075, '0.75 mm'],
    [-0.0005, '−0.5 mm'],
    [12.3456, '12\u202f346 mm'],
    [-12.3456, '−12\u202f346 mm'],
  ])('%d m in millimetres', (si, text) => {
    show('metric');
    expect(quantity(si, 'length')).toBe(text);
  });

  test.each([
    [0.0254 * 1.5, '1 1/2 in'],
    [0.0254 * 0.375, '3/8 in'],
    [0.0254 * 12, '12 in'],
    [-0.0254 * 0.25, '−1/4 in'],
    [0.00075, '0.030 in'],
    [0, '0 in'],
  ])('%d m in sixteenths', (si, text) => {
    show('inch');
    expect(quantity(si, 'length')).toBe(text);
  });

  test('decimal inches where fractions are off', () => {
    show('inch', false);
    expect(quantity(0.0381, 'length')).toBe('1.50 in');
  });

  test('a drill in inches has its name, the nearest there is', () => {
    show('inch');
    expect(quantity(0.0051, 'drill')).toBe('No. 7');
    show('metric');
    expect(quantity(0.0051, 'drill')).toBe('5.1 mm');
  });

  test('a scale with its own zero goes there and back', () => {
    show('inch');
    expect(inUnit(273.15, 'temperature')).toBeCloseTo(32, 9);
    expect(fromUnit(212, 'temperature')).toBeCloseTo(373.15, 9);
    for (const dimension of ['length', 'speed', 'temperature'] as Dimension[])
      for (const si of [-3, 0, 0.02, 412.7]) expect(fromUnit(inUnit(si, dimension), dimension)).toBeCloseTo(si, 9);
  });

  test('a difference of nothing has no minus', () => {
    show('metric');
    expect(difference(-0.2, 'force')).toBe('+0 N');
    expect(difference(-2, 'force')).toBe('−2 N');
  });

  test('small sizes step finer', () => {
    show('metric');
    expect([stepOf(0.3, 'length'), stepOf(0.001, 'length')]).toEqual([1, 0.1]);
  });

  test('a use beyond all measure', () => {
    expect([percent(0.804), percent(12), percent(0.995)]).toEqual(['80 %', '> 999 %', '100 %']);
  });
});

describe('texts of the server', () => {
  test('take the quantities in the shown unit, and leave what they do not know', () => {
    show('metric');
    const text = 'lifts at {speed:25} in {colour:3}, {force:1.2e2}';
    expect(fill(text)).toBe('lifts at 90 km/h in 3, 120 N');
    show('inch');
    expect(fill('{speed:26.8224}')).toBe('60 mph');
    expect(number(26.8224, 'speed')).toBe('60');
  });
});

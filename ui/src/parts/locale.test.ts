import { expect, test } from 'vitest';
import { localeOf, systemOf } from './locale';

test('days are written as the reader writes English', () => {
  expect(localeOf(['en-US', 'en'])).toBe('en-US');
  expect(localeOf(['de-DE', 'de', 'en-AU'])).toBe('en-AU');
  expect(localeOf(['de-DE'])).toBe('en-GB');
  expect(localeOf([])).toBe('en-GB');
  expect(localeOf(['enm'])).toBe('en-GB');
});

test('inches where the region has them, else millimetres', () => {
  expect(systemOf(['en-US'])).toBe('inch');
  expect(systemOf(['es-US', 'en'])).toBe('inch');
  expect(systemOf(['en'])).toBe('metric');
  expect(systemOf(['en-GB'])).toBe('metric');
  expect(systemOf([])).toBe('metric');
});

import { expect, test } from 'vitest';
import { localeOf, systemOf } from './locale';

test('days are written as the reader writes English', () => {
  expect(localeOf(['en-US', 'en'])).toBe('en-US');
  expect(localeOf(['de-DE', 'de', 'en-AU'])).toBe('en-AU');
  expect(localeOf(['de-DE'])).toBe('en-GB');
  expect(localeOf([])).toBe('en-GB');
  expect(localeOf(['enm'])).toBe('en-GB');
});

test('a name that is none is passed over', () => {
  expect(localeOf(['en-US@posix', 'en-NZ'])).toBe('en-NZ');
  expect(systemOf(['en-US@posix'])).toBe('metric');
  expect(systemOf(['c', 'en-US'])).toBe('inch');
});

test('inches where the region has them, else millimetres', () => {
  expect(systemOf(['en-US'])).toBe('inch');
  expect(systemOf(['es-US', 'en'])).toBe('inch');
  expect(systemOf(['en'])).toBe('metric');
  expect(systemOf(['en-GB'])).toBe('metric');
  expect(systemOf([])).toBe('metric');
});

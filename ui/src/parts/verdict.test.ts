import { expect, test, vi } from 'vitest';

vi.mock('./quantity', () => ({
  speedText: (si: number) => `${Math.round(si * 3.6)} km/h`,
  percent: (share: number) => `${Math.round(100 * share)} %`,
  words: { holds: 'holds', tight: 'tight', 'lets-go': 'lets go' },
}));

import type { Schemas } from '../api/client';
import { changeText, verdictRest } from './verdict';

type V = Schemas['VerdictReport'];
const v = (more: Partial<V>): V => ({
  word: 'holds',
  use: 0.5,
  limitSpeed: null,
  check: null,
  text: '',
  why: 'loads',
  lookedTo: 70,
  ...more,
});

test('a verdict has two numbers, the end of the green and the end of the amber', () => {
  expect(verdictRest(v({ tightSpeed: 29.1667, limitSpeed: 35.8333 }), 'estate')).toBe(
    ' to 105 km/h, lets go at\u00a0129',
  );
  expect(verdictRest(v({ word: 'tight', tightSpeed: 25, limitSpeed: 35.8333 }), 'estate')).toBe(
    ': holds to 90 km/h, lets go at\u00a0129',
  );
  expect(verdictRest(v({ word: 'lets-go', tightSpeed: 25, limitSpeed: 30 }), 'estate')).toBe(
    ' above 108 km/h, holds to 90 km/h',
  );
});

test('nothing is said beyond what was looked at', () => {
  expect(verdictRest(v({}), 'estate')).toBe(' as far as looked at, 252 km/h');
  expect(verdictRest(v({ tightSpeed: 25 }), 'estate')).toBe(' to 90 km/h, tight beyond');
  expect(verdictRest(v({ word: 'tight', tightSpeed: 0 }), 'estate')).toBe(', looked at up to 252 km/h');
});

test('of a rig with something gone only the end is known', () => {
  expect(verdictRest({ word: 'tight', limitSpeed: 25, why: 'loads' }, 'estate')).toBe(' up to 90 km/h');
});

test('too little keeps it is no share of a load', () => {
  expect(changeText({ verdict: 'lets-go', why: 'missing', use: 0.64 })).toBe('lets go: too little keeps it');
  expect(changeText({ verdict: 'tight', why: 'loads', use: 0.84 })).toBe('tight, 84 % used');
});

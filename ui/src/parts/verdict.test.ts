import { expect, test, vi } from 'vitest';

vi.mock('./quantity', () => ({
  speedText: (si: number) => `${Math.round(si * 3.6)} km/h`,
  percent: (share: number) => `${Math.round(100 * share)} %`,
  words: { holds: 'holds', tight: 'tight', 'lets-go': 'lets go' },
}));

import { changeText, goneRest, verdictRest } from './verdict';

test('the server words the headline; a second speed of the same unit says none', () => {
  expect(verdictRest({ rest: ' to {speed:29.1667}, lets go at {speed:35.8333}' }, 'estate')).toBe(
    ' to 105 km/h, lets go at\u00a0129',
  );
  expect(verdictRest({ rest: ' as far as looked at, {speed:70}' }, 'estate')).toBe(' as far as looked at, 252 km/h');
  expect(verdictRest({ rest: ': too little keeps it' }, 'estate')).toBe(': too little keeps it');
});

test('of a rig with something gone only the end is known', () => {
  expect(goneRest('tight', 25, 'estate')).toBe(' up to 90 km/h');
  expect(goneRest('lets-go', 25, 'estate')).toBe(' above 90 km/h');
  expect(goneRest('lets-go', 0, 'estate')).toBe(' standing still');
  expect(goneRest('holds', null, 'estate')).toBe('');
});

test('too little keeps it is no share of a load', () => {
  expect(changeText({ verdict: 'lets-go', why: 'missing', use: 0.64 })).toBe('lets go: too little keeps it');
  expect(changeText({ verdict: 'tight', why: 'loads', use: 0.84 })).toBe('tight, 84 % used');
});

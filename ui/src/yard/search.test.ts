import { describe, expect, it } from 'vitest';
import { finds } from './search';

const card = {
  name: 'Roof, road ahead',
  film: 'Long Way to Market',
  host: 'Hatchback',
  site: 'roof',
  verdict: 'holds',
  picture: 'sharp',
  next: 'due Prove it before the run',
};

describe('what a rig is found by', () => {
  it('is any word of its card, in any case', () => {
    expect(finds('ROOF', card)).toBe(true);
    expect(finds('hatch holds', card)).toBe(true);
    expect(finds('due', card)).toBe(true);
    expect(finds('', card)).toBe(true);
  });
  it('is all of the words', () => {
    expect(finds('roof lets', card)).toBe(false);
  });
});

import { expect, test } from 'vitest';
import { understood, underWay } from './pending';

const later = (taken: boolean, ms: number) => new Promise<boolean>((done) => setTimeout(() => done(taken), ms));

test('nothing under way is understood', async () => expect(await understood()).toBe(true));

test('it waits for the slowest, and one refused is said', async () => {
  void underWay(later(true, 5));
  void underWay(later(false, 20));
  expect(await understood()).toBe(false);
  expect(await understood()).toBe(true);
});

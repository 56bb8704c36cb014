import { flushSync } from 'svelte';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { ApiError, type RigDocument } from '../api/client';
import { Late } from './late.svelte';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

const rig = (name: string) => ({ name }) as unknown as RigDocument;

/** A screen that asks about a rig as it changes: the questions it asked, and when. */
function screen(call: (name: string, stop: AbortSignal) => Promise<string> = async (name) => `of ${name}`) {
  let doc = $state.raw(rig('first'));
  const late = new Late<string>('Nothing came.');
  const asked: string[] = [];
  const end = $effect.root(() => {
    $effect(() => {
      const now = doc;
      return late.ask(now, 60, (stop) => (asked.push(now.name as string), call(now.name as string, stop)), 0);
    });
  });
  flushSync();
  return {
    late,
    asked,
    end,
    change: (name: string) => ((doc = rig(name)), flushSync()),
    pass: async (ms: number) => (await vi.advanceTimersByTimeAsync(ms), flushSync()),
  };
}

test('a rig that stands still is asked about once', async () => {
  const s = screen();
  await s.pass(0);
  expect(s.late.value).toBe('of first');
  await s.pass(5000);
  expect(s.asked).toEqual(['first']);
  s.end();
});

test('the first is asked at once, what follows when the hands are still', async () => {
  const s = screen();
  await s.pass(0);
  s.change('second');
  await s.pass(59);
  s.change('third');
  await s.pass(59);
  expect(s.asked).toEqual(['first']);
  await s.pass(1);
  expect(s.asked).toEqual(['first', 'third']);
  expect(s.late.value).toBe('of third');
  expect(s.late.of?.name).toBe('third');
  s.end();
});

test('an answer to a rig that has changed meanwhile is dropped', async () => {
  const s = screen((name) => new Promise((done) => setTimeout(() => done(`of ${name}`), name === 'first' ? 500 : 10)));
  await s.pass(10);
  s.change('second');
  await s.pass(100);
  expect(s.late.value).toBe('of second');
  await s.pass(1000);
  expect(s.late.value).toBe('of second');
  s.end();
});

test('what failed is said, and the next answer takes it away', async () => {
  const s = screen(async (name) => {
    if (name === 'first') throw new ApiError('The bench is broken.', 500);
    if (name === 'second') throw new Error('no line');
    return name;
  });
  await s.pass(0);
  expect(s.late.problem).toBe('The bench is broken.');
  s.change('second');
  await s.pass(60);
  expect(s.late.problem).toBe('Nothing came.');
  s.change('third');
  await s.pass(60);
  expect([s.late.value, s.late.problem]).toEqual(['third', '']);
  s.end();
});

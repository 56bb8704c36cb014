import { describe, expect, test } from 'vitest';
import { alike, besideShelf, carried, newerOnShelf, ownId, today, valueAt, type OwnRow } from './document';
import type { RigDocument, Schemas } from '../api/client';

const row = (id: string, pull = 400): OwnRow => ({ id, name: id, source: 'scale', ratedPull: pull });
const onShelf = (r: OwnRow, fault: string | null = null) =>
  ({ list: 'magnets', id: r.id, version: 1, updatedAt: '', row: r, fault }) as unknown as Schemas['ShelfRow'];
const rig = (stock: string, more: object = {}) =>
  ({
    name: 'Roof',
    base: { kind: 'hold-plate', hold: { kind: 'magnet', stock } },
    braces: [],
    ...more,
  }) as unknown as RigDocument;

test('documents are alike by what they say, not by its order', () => {
  expect(alike({ a: [1, { b: 2 }], c: undefined }, { a: [1, { b: 2 }] })).toBe(true);
  expect(alike({ a: 1, b: 2 }, { b: 2, a: 1 })).toBe(true);
  for (const other of [{ a: [2, 1] }, { a: { 0: 1, 1: 2 } }, { a: [1, 2, 3] }, { a: [1, '2'] }, { a: null }, {}])
    expect(alike({ a: [1, 2] }, other)).toBe(false);
});

describe('own rows go with the rig', () => {
  test('a row that is named comes from the shelf', () => {
    const next = carried(rig('own-a'), [onShelf(row('own-a')), onShelf(row('own-b'))]);
    expect(next.stock).toEqual({ magnets: [row('own-a')] });
  });

  test('what the rig has stays as it was, whatever the shelf says by now', () => {
    const doc = rig('own-a', { stock: { magnets: [row('own-a', 300)] } });
    expect(carried(doc, [onShelf(row('own-a', 500))])).toBe(doc);
    expect(newerOnShelf(doc, [onShelf(row('own-a', 500))])).toEqual([row('own-a', 500)]);
    expect(newerOnShelf(doc, [onShelf(row('own-a', 300))])).toEqual([]);
  });

  test('a row that is not used any more stays behind, and the day of a value that is another', () => {
    const doc = rig('magnet-90', {
      stock: { magnets: [row('own-a')] },
      measured: { 'base.hold.measuredPull': { value: 210, on: '2026-05-12', how: '' } },
    });
    const next = carried(doc, []);
    expect(next.stock).toBeUndefined();
    expect(next.measured).toBeUndefined();
  });

  test('what came out at the bench and is no number of the document stays as long as what it is of', () => {
    const built = { value: 0.409, on: '2026-05-12', how: '', built: { planned: 0.412, usual: false } };
    const doc = rig('magnet-90', {
      braces: [{ kind: 'strut', id: 'left', site: 'bonnet', at: [0.1, 0.2] }],
      measured: { 'braces.[left].length': built, 'joints.head-screw.torque': built },
    } as never);
    expect(carried(doc, [])).toBe(doc);
    const without = carried({ ...doc, braces: [] } as typeof doc, []);
    expect(Object.keys(without.measured ?? {})).toEqual(['joints.head-screw.torque']);
  });

  test('a rig without any is left the very same', () => {
    const doc = rig('magnet-90');
    expect(carried(doc, [onShelf(row('own-a'))])).toBe(doc);
    expect(besideShelf(doc, [])).toBe(doc);
  });

  test('a row that cannot be used is neither carried nor tried', () => {
    const broken = [onShelf(row('own-a'), 'no longer known')];
    expect(carried(rig('own-a'), broken).stock).toBeUndefined();
    expect(besideShelf(rig('magnet-90'), broken).stock).toBeUndefined();
  });

  test('beside it lies all of the shelf, the rig keeping its own', () => {
    const doc = rig('own-a', { stock: { magnets: [row('own-a', 300)] } });
    const beside = besideShelf(doc, [onShelf(row('own-a', 500)), onShelf(row('own-b'))]);
    expect(beside.stock).toEqual({ magnets: [row('own-a', 300), row('own-b')] });
    expect(doc.stock).toEqual({ magnets: [row('own-a', 300)] });
  });
});

test('a path finds the strut of a name, and nothing where there is none', () => {
  const doc = { braces: [{ id: 'left', length: 0.6 }], at: [1, 2] };
  expect(valueAt(doc, 'braces.[left].length')).toBe(0.6);
  expect(valueAt(doc, 'braces.[right].length')).toBeUndefined();
  expect(valueAt(doc, 'at.1')).toBe(2);
});

test('an id is plain, and none that is taken', () => {
  expect(ownId('My pot magnet 90 mm', [])).toBe('own-my-pot-magnet-90-mm');
  expect(ownId('Größe!', ['own-gro-e'])).toBe('own-gro-e-2');
  expect(ownId('…', [])).toBe('own-row');
});

test('today is the day where the user is', () => expect(today(new Date(2026, 4, 9, 23, 59))).toBe('2026-05-09'));

import { describe, expect, test } from 'vitest';
import { drawFigure } from './project';
import type { Figure, Host } from '../api/client';

const flat = (x0: number, x1: number, z: number) => [x0, x1].map((x) => [-0.8, 0.8].map((y) => [x, y, z]));

/** A body of 4 m with four wheels. */
const car = {
  surfaces: [
    { id: 'bonnet', kind: 'paint', grid: flat(2, 4, 1) },
    { id: 'roof', kind: 'paint', grid: flat(0, 2, 1.5) },
    { id: 'glass', kind: 'glass', grid: flat(1.9, 2.2, 1.2) },
  ],
  wheels: [1, -1].map((side) => ({ centre: [3, 0.7 * side, 0.3], radius: 0.3, width: 0.2 })),
} as unknown as Host;

const camera = (x: number, z: number, size = [0.12, 0.1, 0.08]) => ({
  id: 'camera',
  type: 'camera',
  points: [{ p: [x, 0, z] }],
  axis: [1, 0, 0],
  side: [0, 1, 0],
  size,
});
const figure = (...shapes: object[]) => ({ panelId: '', panel: [], shapes }) as unknown as Figure;
const numbers = (d: string) => [...d.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map((m) => [+m[1]!, +m[2]!] as const);

describe('a card', () => {
  test.each([0.6, 1, 1.6, 3])('of aspect %d shows the whole rig and is not mostly empty', (aspect) => {
    for (const [x, z] of [
      [3, 1.2],
      [0.1, 1.7],
      [4.2, 0.4],
    ]) {
      const { box, outlines } = drawFigure(car, figure(camera(x!, z!)), aspect);
      const [left, top, wide, tall] = box;
      expect(wide / tall).toBeCloseTo(aspect, 9);
      const rig = outlines.filter((o) => o.kind === 'camera').flatMap((o) => numbers(o.d));
      expect(rig.length).toBeGreaterThan(0);
      for (const [u, v] of rig) {
        expect(u).toBeGreaterThanOrEqual(left);
        expect(u).toBeLessThanOrEqual(left + wide);
        expect(v).toBeGreaterThanOrEqual(top);
        expect(v).toBeLessThanOrEqual(top + tall);
      }
    }
  });

  test('of a small rig is a part of the car, of a rig over the whole car all of it', () => {
    const small = drawFigure(car, figure(camera(3, 1.2)), 1.6).box[2];
    const boom = { id: 'boom', type: 'tube', points: [{ p: [-1, 0, 2] }, { p: [5, 0, 2] }], size: [0.03] };
    const large = drawFigure(car, figure(camera(3, 1.2), boom), 1.6).box[2];
    expect(small).toBeLessThan(large / 2);
  });

  test('a wheel on the far side is hidden, near things are drawn after far ones', () => {
    const { outlines } = drawFigure(car, figure(camera(3, 1.2)), 1.6);
    expect(outlines.filter((o) => o.kind === 'tyre')).toHaveLength(1);
    expect(outlines.findLastIndex((o) => o.kind === 'camera')).toBe(outlines.length - 1);
    const depths = outlines.map((o) => o.depth);
    expect(depths).toEqual(depths.toSorted((a, b) => a - b));
  });

  test('a tether is not drawn, and does not widen the window', () => {
    const tether = { id: 't', type: 'tether', points: [{ p: [3, 0, 1] }, { p: [-9, 0, 1] }], size: [0.003] };
    expect(drawFigure(car, figure(camera(3, 1.2), tether), 1.6)).toEqual(drawFigure(car, figure(camera(3, 1.2)), 1.6));
  });

  test('holds finite numbers only', () => {
    const { outlines, box } = drawFigure(
      car,
      figure(camera(3, 1.2), { ...camera(3, 1), type: 'ball', size: [0.03] }),
      1,
    );
    expect(box.every(Number.isFinite)).toBe(true);
    expect(outlines.every((o) => !/NaN|Infinity/.test(o.d))).toBe(true);
  });
});

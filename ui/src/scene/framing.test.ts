import * as THREE from 'three';
import { describe, expect, test } from 'vitest';
import type { Figure } from '../api/client';
import { lensFrame, ownPoints, standBack, wayToLook } from './framing';
import { apart } from './labels';

const box = (at: number[], size: number[]) => ({
  type: 'camera',
  axis: [1, 0, 0],
  side: [0, 1, 0],
  size,
  points: [{ p: at, node: '' }],
});
const figure = (...shapes: object[]) => ({ shapes }) as unknown as Figure;

describe('framing', () => {
  test('a rig fills its share of the picture, however large it is, and is in its middle', () => {
    for (const size of [0.1, 1, 8])
      for (const outward of [new THREE.Vector3(0, 0, 1), new THREE.Vector3(0, 0, -1), new THREE.Vector3(-1, 0, 0)]) {
        const eye = new THREE.PerspectiveCamera(32, 1.5, 0.02, 1600);
        eye.up.set(0, 0, 1);
        const points = ownPoints(figure(box([3, 1, 1], [size, size / 2, size / 2])));
        const { middle, far } = standBack(eye, points, wayToLook(outward));
        expect(eye.position.distanceTo(middle)).toBeCloseTo(far, 0);
        const ys = points.map((q) => q.clone().project(eye).y);
        const tall = (Math.max(...ys) - Math.min(...ys)) / 2;
        const xs = points.map((q) => q.clone().project(eye).x);
        const wide = (Math.max(...xs) - Math.min(...xs)) / 2;
        // It comes nearer by steps: within a tenth it is near enough.
        const fills = Math.max(tall / 0.45, wide / 0.76);
        expect(fills > 0.9 && fills < 1.1).toBe(true);
        expect(Math.abs(Math.max(...xs) + Math.min(...xs)) / 2).toBeLessThan(0.1);
      }
  });

  test('lines that run to the host do not count', () => {
    const camera = box([3, 0, 1], [0.1, 0.1, 0.1]);
    const tether = { type: 'tether', size: [0.01], points: [{ p: [9, 0, 0], node: '' }] };
    expect(ownPoints(figure(camera, tether))).toEqual(ownPoints(figure(camera)));
  });

  test('from under a wing one looks up at it', () => {
    expect(wayToLook(new THREE.Vector3(0, 0, -1)).z).toBeLessThan(0);
    expect(wayToLook(new THREE.Vector3(0, 0, 1)).z).toBeGreaterThan(0);
  });

  test('the frame has the shape of the picture and stays inside the view', () => {
    const lens = { horizontalField: 1.2, verticalField: 0.8 } as Figure['lens'];
    for (const [w, h] of [
      [800, 600],
      [300, 900],
      [2000, 200],
    ] as const) {
      const frame = lensFrame(lens, w, h);
      expect(frame.width / frame.height).toBeCloseTo(Math.tan(0.6) / Math.tan(0.4), 9);
      expect(frame.width <= w && frame.height <= h).toBe(true);
      expect(Math.max(frame.width / w, frame.height / h)).toBeCloseTo(0.86, 9);
    }
  });
});

describe('labels', () => {
  test('those that would lie over each other are moved below each other, the others stay', () => {
    const at = (text: string, x: number, y: number) => ({ key: text, text, x, y, tone: 'load' as const });
    const placed = apart([at('weight and motion', 200, 100), at('wind', 210, 104), at('far away', 600, 101)]);
    const y = Object.fromEntries(placed.map((l) => [l.text, l.y]));
    expect(y['weight and motion']).toBe(100);
    expect(y['wind']! - 100).toBeGreaterThanOrEqual(18);
    expect(y['far away']).toBe(101);
  });
});

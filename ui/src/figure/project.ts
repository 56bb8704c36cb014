import type { Figure, Host } from '../api/client';

/** A filled outline of the card's drawing, far ones first. */
export interface Outline {
  d: string;
  kind:
    | 'paint'
    | 'glass'
    | 'trim'
    | 'cloth'
    | 'skin'
    | 'leaf'
    | 'tube'
    | 'sleeve'
    | 'hand'
    | 'limb'
    | 'tyre'
    | 'rim'
    | 'rig'
    | 'camera';
  width: number;
}

type Point = [number, number, number];

/** Seen from 62° left of ahead, 15° above. */
const [YAW, PITCH] = [(62 * Math.PI) / 180, (15 * Math.PI) / 180];
const [SY, CY, SP, CP] = [Math.sin(YAW), Math.cos(YAW), Math.sin(PITCH), Math.cos(PITCH)];

/** Parallel projection from ahead and to the left: right, down, depth (near is large). */
function project([x, y, z]: readonly number[]): Point {
  const near = x! * CY + y! * SY;
  return [y! * CY - x! * SY, near * SP - z! * CP, near * CP + z! * SP];
}

const path = (points: Point[], closed = true) =>
  'M' + points.map((p) => `${p[0].toFixed(4)} ${p[1].toFixed(4)}`).join('L') + (closed ? 'Z' : '');

/** Tubes come as rings of eleven points round a path. */
const isTube = (grid: number[][][]) => grid[0]!.length === 11;

const middle = (ring: number[][]) =>
  [0, 1, 2].map((i) => ring.slice(0, -1).reduce((s, p) => s + p[i]!, 0) / (ring.length - 1));

function across(ring: number[][]) {
  const m = middle(ring);
  return 2 * Math.hypot(...[0, 1, 2].map((i) => ring[0]![i]! - m[i]!));
}

/** Outline of points seen (gift wrapping by sorted sweep). */
function hull(points: Point[]): Point[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const turn = (o: Point, a: Point, b: Point) => (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);
  const half = (list: Point[]) => {
    const h: Point[] = [];
    for (const p of list) {
      while (h.length > 1 && turn(h.at(-2)!, h.at(-1)!, p) <= 0) h.pop();
      h.push(p);
    }
    return h.slice(0, -1);
  };
  return [...half(sorted), ...half(sorted.reverse())];
}

function circle(centre: readonly number[], radius: number): Point[] {
  return Array.from({ length: 24 }, (_, i) => {
    const a = (i / 24) * 2 * Math.PI;
    return project([centre[0]! + radius * Math.cos(a), centre[1]!, centre[2]! + radius * Math.sin(a)]);
  });
}

const span = (points: Point[], axis: 0 | 1) => {
  const all = points.map((p) => p[axis]);
  return [Math.min(...all), Math.max(...all)] as const;
};

/** How much larger than the rig the window on it is, and how much of the host it is at the least. */
const [AROUND, LEAST] = [2.1, 0.24];
/** The window on the drawing: the rig, and enough of its host to know where it stands. */
function window(rig: Point[], all: Point[], pad: number, aspect: number) {
  const [[x0, x1], [y0, y1]] = [span(all, 0), span(all, 1)];
  const [[u0, u1], [v0, v1]] = [span(rig, 0), span(rig, 1)];
  const whole = Math.max(x1 - x0, aspect * (y1 - y0)) + 2 * pad;
  const wide = Math.min(whole, Math.max(AROUND * Math.max(u1 - u0, aspect * (v1 - v0)), LEAST * whole));
  const tall = wide / aspect;
  // No emptier than it must be: it slides back over the host where it would look past its edge.
  const slide = (middle: number, size: number, low: number, high: number) =>
    high - low + 2 * pad <= size
      ? (low + high - size) / 2
      : Math.min(Math.max(middle - size / 2, low - pad), high + pad - size);
  return [slide((u0 + u1) / 2, wide, x0, x1), slide((v0 + v1) / 2, tall, y0, y1), wide, tall] as const;
}

/** A pull by hand: where, and which way (unit vector). */
export interface Pull {
  point: readonly number[];
  direction: readonly number[];
}

/** Length of its arrow against the rig's, at the least; and how long it is drawn where it comes straight at the eye. */
const [ARROW, FORESHORTENED] = [0.55, 0.3];

/** The arrow of a pull from where it is taken hold of, in the drawing's units: from, to, and half the width of its head. */
function arrowOf(pull: Pull, rig: Point[]) {
  const long = ARROW * Math.max(...[span(rig, 0), span(rig, 1)].map(([a, b]) => b - a), 0.05);
  const [x, y] = project(pull.point);
  const [u, v] = project([0, 1, 2].map((i) => pull.point[i]! + pull.direction[i]! * long));
  const seen = Math.hypot(u - x, v - y);
  // Straight at the eye or away from it there is no arrow to see: a short one says where, the words say which way.
  const stretch = seen > 1e-6 ? Math.max(1, (FORESHORTENED * long) / seen) : 1;
  const to: [number, number] =
    seen > 1e-6 ? [x + (u - x) * stretch, y + (v - y) * stretch] : [x, y - FORESHORTENED * long];
  return { from: [x, y] as [number, number], to, head: 0.14 * long };
}

/** The host and the rig on it as outlines, with the window that a card of an aspect (width over height) shows of them. */
export function drawFigure(host: Host, figure: Figure, aspect: number, pull?: Pull) {
  const outlines: (Outline & { depth: number })[] = [];
  const all: Point[] = [];
  const rig: Point[] = [];
  const xs0 = host.surfaces.flatMap((s) => s.grid.flat().map((p) => p[0]!));
  /** Lines are as thick as they would be on a car. */
  const size = Math.min(1, Math.max(0.1, (Math.max(...xs0) - Math.min(...xs0)) / 4.2));
  const add = (points: Point[], kind: Outline['kind'], width = 0.012 * size, closed = true, lift = 0) => {
    all.push(...points);
    outlines.push({
      d: path(points, closed),
      kind,
      width,
      depth: lift + points.reduce((s, p) => s + p[2], 0) / points.length,
    });
  };
  for (const s of host.surfaces) {
    const grid = s.id === figure.panelId && s.kind === s.id ? figure.panel : s.grid;
    const rim = [
      ...grid[0]!,
      ...grid.slice(1).map((r) => r.at(-1)!),
      ...[...grid.at(-1)!].reverse().slice(1),
      ...grid
        .slice(1, -1)
        .map((r) => r[0]!)
        .reverse(),
    ];
    if (isTube(grid)) {
      add(
        grid.map((r) => project(middle(r))),
        s.kind === 'cloth' ? 'sleeve' : s.kind === 'skin' ? 'hand' : s.kind === 'bark' ? 'limb' : 'tube',
        Math.max(0.014 * size, across(grid[0]!)),
        false,
      );
      continue;
    }
    const kind = ['glass', 'trim', 'cloth', 'skin', 'leaf'].includes(s.kind) ? (s.kind as Outline['kind']) : 'paint';
    if (grid[0]!.length > 15)
      // Round bodies: the hull of what is seen.
      add(hull(grid.flat().map(project)), kind);
    else add(rim.map(project), kind);
  }
  // The far wheels are hidden by the body.
  for (const w of host.wheels)
    if (w.width < 0.15) {
      add(circle(w.centre, w.radius - 0.03), 'rim', 0.06 * Math.max(0.5, size), true, w.centre[1]! < 0 ? -1 : 0);
    } else if (w.centre[1]! > 0) {
      const out = [w.centre[0]!, w.centre[1]! + 0.1, w.centre[2]!];
      add(circle(out, w.radius), 'tyre', 0.012, true, 1);
      add(circle(out, w.radius * 0.55), 'paint', 0.012, true, 1.01);
    }
  for (const s of figure.shapes) {
    if (s.type === 'tether') continue;
    const pts = s.points.map((p) => project(p.p));
    if (s.type === 'post') {
      add(pts, 'limb', Math.max(0.014 * size, s.size[0]!), false);
      continue;
    }
    if (s.type === 'strip') continue;
    if (s.type !== 'strap') rig.push(...pts);
    if (s.type === 'camera' || s.type === 'plate') {
      const [c, f] = [s.points[0]!.p, s.axis!];
      const l = s.side!;
      const up = [f[1]! * l[2]! - f[2]! * l[1]!, f[2]! * l[0]! - f[0]! * l[2]!, f[0]! * l[1]! - f[1]! * l[0]!];
      const [a, b, e] = s.type === 'camera' ? [f, l, up] : [up, l, f];
      const corner = (i: number, j: number, k: number) =>
        project(
          [0, 1, 2].map(
            (n) => c[n]! + (i * s.size[0]! * a[n]!) / 2 + (j * s.size[1]! * b[n]!) / 2 + (k * s.size[2]! * e[n]!) / 2,
          ),
        );
      for (const face of [
        [
          [1, 1, 1],
          [1, -1, 1],
          [-1, -1, 1],
          [-1, 1, 1],
        ],
        [
          [1, 1, 1],
          [1, -1, 1],
          [1, -1, -1],
          [1, 1, -1],
        ],
        [
          [1, 1, 1],
          [-1, 1, 1],
          [-1, 1, -1],
          [1, 1, -1],
        ],
        [
          [-1, 1, 1],
          [-1, -1, 1],
          [-1, -1, -1],
          [-1, 1, -1],
        ],
      ])
        add(
          face.map((q) => corner(q[0]!, q[1]!, q[2]!)),
          'camera',
          0.01 * size,
          true,
          5,
        );
    } else if (pts.length === 1)
      add(
        [pts[0]!, [pts[0]![0] + 0.001, pts[0]![1], pts[0]![2]]],
        'rig',
        Math.max(0.05 * size, s.size[0]! * 0.8),
        false,
        4,
      );
    else add(pts, 'rig', Math.max(0.022 * size, s.size[0]! * 0.9), false, 4);
  }
  outlines.sort((a, b) => a.depth - b.depth);
  const arrow = pull && rig.length ? arrowOf(pull, rig) : null;
  if (arrow) rig.push([...arrow.to, 0], [...arrow.from, 0]);
  return { outlines, size, arrow, box: window(rig, all, 0.1 * size, aspect) };
}

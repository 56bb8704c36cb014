import * as THREE from 'three';
import type { Host, Shape, Verdict } from '../api/client';

/** Colours of the scene, read from the theme. */
export interface Palette {
  ink: THREE.Color;
  paint: THREE.Color;
  glass: THREE.Color;
  ground: THREE.Color;
  sky: THREE.Color;
  accent: THREE.Color;
  holds: THREE.Color;
  tight: THREE.Color;
  'lets-go': THREE.Color;
}

export function palette(): Palette {
  const style = getComputedStyle(document.documentElement);
  const read = (name: string) => new THREE.Color().setStyle(style.getPropertyValue(name).trim());
  return {
    ink: read('--color-base-content'),
    paint: read('--paint'),
    glass: read('--glass'),
    ground: read('--ground'),
    sky: read('--sky'),
    accent: read('--color-accent'),
    holds: read('--holds'),
    tight: read('--tight'),
    'lets-go': read('--lets-go'),
  };
}

export const vec = (p: readonly number[]) => new THREE.Vector3(p[0], p[1], p[2]);

/** A mesh through a grid of points (rows × columns × xyz). */
export function gridMesh(grid: number[][][], material: THREE.Material) {
  const columns = grid[0]!.length;
  const geometry = new THREE.BufferGeometry();
  geometry.setAttribute('position', new THREE.Float32BufferAttribute(grid.flat(2), 3));
  const index: number[] = [];
  for (let i = 0; i + 1 < grid.length; i++)
    for (let j = 0; j + 1 < columns; j++) {
      const a = i * columns + j;
      index.push(a, a + 1, a + columns, a + 1, a + columns + 1, a + columns);
    }
  geometry.setIndex(index);
  geometry.computeVertexNormals();
  return new THREE.Mesh(geometry, material);
}

/** The rim of a grid as a closed line. */
export function gridRim(grid: number[][][], color: THREE.Color, opacity: number) {
  const rim = [
    ...grid[0]!,
    ...grid.map((r) => r.at(-1)!),
    ...[...grid.at(-1)!].reverse(),
    ...grid.map((r) => r[0]!).reverse(),
  ];
  const geometry = new THREE.BufferGeometry().setFromPoints(rim.map(vec));
  return new THREE.LineLoop(geometry, new THREE.LineBasicMaterial({ color, transparent: true, opacity }));
}

/** The car: surfaces, rims, wheels. Panels can be found again by their site's id. */
export function carGroup(host: Host, p: Palette, panel: { id: string; grid: number[][][] }) {
  const group = new THREE.Group();
  const paint = new THREE.MeshLambertMaterial({ color: p.paint, side: THREE.DoubleSide });
  const glass = new THREE.MeshLambertMaterial({
    color: p.glass,
    side: THREE.DoubleSide,
    transparent: true,
    opacity: 0.93,
  });
  for (const s of host.surfaces) {
    const grid = s.id === panel.id ? panel.grid : s.grid;
    const mesh = gridMesh(grid, s.kind === 'glass' ? glass : paint);
    mesh.name = 'panel:' + s.id;
    mesh.userData.site = host.sites.some((x) => x.id === s.id) ? s.id : undefined;
    group.add(mesh, gridRim(grid, p.ink, s.kind === 'glass' ? 0.45 : 0.3));
  }
  const tyre = new THREE.MeshLambertMaterial({ color: 0x26302c });
  const rim = new THREE.MeshLambertMaterial({ color: p.paint.clone().offsetHSL(0, -0.02, 0.08) });
  for (const w of host.wheels) {
    const out = Math.sign(w.centre[1]!);
    const wheel = new THREE.Mesh(new THREE.CylinderGeometry(w.radius, w.radius, w.width, 40), tyre);
    wheel.position.copy(vec(w.centre));
    const arch = new THREE.Mesh(new THREE.CylinderGeometry(w.radius + 0.05, w.radius + 0.05, 0.02, 40), tyre);
    arch.position.copy(vec(w.centre)).setY(w.centre[1]! + out * 0.096);
    const hub = new THREE.Mesh(new THREE.CylinderGeometry(w.radius * 0.62, w.radius * 0.62, 0.02, 32), rim);
    hub.position.copy(vec(w.centre)).setY(w.centre[1]! + out * 0.115);
    group.add(wheel, arch, hub);
  }
  return group;
}

/** Ground with a soft contact shadow. */
export function groundGroup(p: Palette) {
  const group = new THREE.Group();
  const ground = new THREE.Mesh(new THREE.CircleGeometry(60, 64), new THREE.MeshBasicMaterial({ color: p.ground }));
  const shadow = new THREE.Mesh(
    new THREE.CircleGeometry(1, 48),
    new THREE.MeshBasicMaterial({ color: p.ink, transparent: true, opacity: 0.13, depthWrite: false }),
  );
  shadow.scale.set(2.75, 1.15, 1);
  shadow.position.z = 0.004;
  group.add(ground, shadow);
  return group;
}

/** A round bar between two points. */
export function bar(a: THREE.Vector3, b: THREE.Vector3, diameter: number, material: THREE.Material, end = diameter) {
  const length = a.distanceTo(b);
  const mesh = new THREE.Mesh(new THREE.CylinderGeometry(end / 2, diameter / 2, length, 20), material);
  mesh.position.copy(a).add(b).multiplyScalar(0.5);
  mesh.quaternion.setFromUnitVectors(new THREE.Vector3(0, 1, 0), b.clone().sub(a).normalize());
  return mesh;
}

function box(size: number[], x: THREE.Vector3, y: THREE.Vector3, centre: THREE.Vector3, material: THREE.Material) {
  const mesh = new THREE.Mesh(new THREE.BoxGeometry(size[0], size[1], size[2]), material);
  mesh.quaternion.setFromRotationMatrix(new THREE.Matrix4().makeBasis(x, y, x.clone().cross(y)));
  mesh.position.copy(centre);
  return mesh;
}

/** One shape of the rig's figure. Heavier when used more. */
export function shapeMesh(
  shape: Shape,
  at: THREE.Vector3[],
  use: number,
  verdict: Verdict,
  selected: boolean,
  p: Palette,
): THREE.Object3D {
  const weight = 1 + 0.9 * Math.min(1.2, Math.max(0, use - 0.2));
  const color = verdict === 'holds' ? p.ink.clone().lerp(p.holds, 0.35) : p[verdict].clone();
  if (selected) color.lerp(p.accent, 0.35);
  const material = new THREE.MeshLambertMaterial({
    color,
    emissive: selected ? p.accent : new THREE.Color(0),
    emissiveIntensity: 0.35,
  });
  const size = shape.size;
  const axis = shape.axis ? vec(shape.axis) : new THREE.Vector3(0, 0, 1);
  const first = at[0]!;
  switch (shape.type) {
    case 'cup':
      return bar(first, first.clone().addScaledVector(axis, size[1]!), size[0]!, material, size[0]! * 0.55);
    case 'magnet':
    case 'pad':
      return bar(first, first.clone().addScaledVector(axis, size[1]!), size[0]!, material);
    case 'joint':
      return bar(
        first.clone().addScaledVector(axis, -0.016),
        first.clone().addScaledVector(axis, 0.016),
        size[0]! * weight,
        material,
      );
    case 'plate': {
      const side = vec(shape.side!);
      return box(size, side.clone().cross(axis), side, first, material);
    }
    case 'head': {
      const group = new THREE.Group();
      group.add(bar(at[0]!, at[1]!, size[0]! * 0.7, material), bar(at[1]!, at[2]!, size[0]!, material, size[0]! * 0.6));
      return group;
    }
    case 'camera': {
      const view = axis.clone().normalize();
      const left = vec(shape.side!).normalize();
      const body = new THREE.MeshLambertMaterial({ color: selected ? color : new THREE.Color(0x222b28) });
      const mesh = box(size, view, left, first, body);
      mesh.add(
        new THREE.LineSegments(new THREE.EdgesGeometry(mesh.geometry), new THREE.LineBasicMaterial({ color: p.paint })),
      );
      return mesh;
    }
    case 'lens':
      return bar(at[0]!, at[1]!, size[0]!, new THREE.MeshLambertMaterial({ color: 0x37433f }));
    case 'strap':
      return bar(
        at[0]!,
        at[1]!,
        Math.max(0.009, size[0]! * 0.45) * weight,
        new THREE.MeshLambertMaterial({ color: verdict === 'holds' ? p.accent : p[verdict] }),
      );
    case 'tether': {
      const sag = at[0]!
        .clone()
        .add(at[1]!)
        .multiplyScalar(0.5)
        .add(new THREE.Vector3(0, 0, -0.12));
      const curve = new THREE.QuadraticBezierCurve3(at[0], sag, at[1]);
      const line = new THREE.Line(
        new THREE.BufferGeometry().setFromPoints(curve.getPoints(24)),
        new THREE.LineDashedMaterial({ color: p.ink, dashSize: 0.03, gapSize: 0.02 }),
      );
      line.computeLineDistances();
      return line;
    }
    default:
      return bar(at[0]!, at[1]!, size[0]! * weight, material);
  }
}

/** An arrow for a force, ending at the point it acts on. */
export function arrow(at: THREE.Vector3, force: THREE.Vector3, length: number, color: THREE.Color) {
  const group = new THREE.Group();
  const direction = force.clone().normalize();
  const tail = at.clone().addScaledVector(direction, -length - 0.06);
  const neck = at.clone().addScaledVector(direction, -0.12);
  const material = new THREE.MeshBasicMaterial({ color });
  group.add(
    bar(tail, neck, 0.012, material),
    bar(neck, at.clone().addScaledVector(direction, -0.06), 0.05, material, 0.001),
  );
  return { group, tail };
}

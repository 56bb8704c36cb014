import * as THREE from 'three';
import type { Figure, Host, Shape, Verdict } from '../api/client';

/** Colours of the scene, read from the theme. */
export interface Palette {
  ink: THREE.Color;
  paint: THREE.Color;
  glass: THREE.Color;
  trim: THREE.Color;
  ground: THREE.Color;
  water: THREE.Color;
  road: THREE.Color;
  cloth: THREE.Color;
  skin: THREE.Color;
  bark: THREE.Color;
  leaf: THREE.Color;
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
    trim: read('--trim'),
    ground: read('--ground'),
    water: read('--water'),
    road: read('--road'),
    cloth: read('--cloth'),
    skin: read('--skin'),
    bark: read('--bark'),
    leaf: read('--leaf'),
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
    // Who sits behind it is seen.
    opacity: 0.4,
    depthWrite: false,
  });
  const cloth = new THREE.MeshLambertMaterial({ color: p.cloth, side: THREE.DoubleSide });
  const skin = new THREE.MeshLambertMaterial({ color: p.skin, side: THREE.DoubleSide });
  const trim = new THREE.MeshLambertMaterial({ color: p.trim, side: THREE.DoubleSide });
  const bark = new THREE.MeshLambertMaterial({ color: p.bark, side: THREE.DoubleSide });
  // A crown is looked through: the rig may hang in it.
  const leaf = new THREE.MeshLambertMaterial({
    color: p.leaf,
    side: THREE.DoubleSide,
    transparent: true,
    opacity: 0.35,
    depthWrite: false,
  });
  for (const s of host.surfaces) {
    const onPanel = s.id === panel.id && s.kind === s.id;
    const grid = onPanel ? panel.grid : s.grid;
    const materials: Partial<Record<string, THREE.Material>> = { glass, trim, cloth, skin, bark, leaf };
    const mesh = gridMesh(grid, materials[s.kind] ?? paint);
    mesh.name = 'panel:' + s.id;
    mesh.userData.site = host.sites.some((x) => x.id === s.id) ? s.id : undefined;
    group.add(mesh);
    if (!['trim', 'cloth', 'skin', 'bark', 'leaf'].includes(s.kind))
      group.add(gridRim(grid, p.ink, s.kind === 'glass' ? 0.45 : 0.3));
  }
  const tyre = new THREE.MeshLambertMaterial({ color: 0x26302c });
  const rim = new THREE.MeshLambertMaterial({ color: p.paint.clone().offsetHSL(0, -0.02, 0.08) });
  for (const w of host.wheels) {
    const out = Math.sign(w.centre[1]!);
    if (w.width < 0.15) {
      group.add(spokedWheel(w, tyre, rim));
      continue;
    }
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

/** A narrow wheel: tyre, hub and spokes. */
function spokedWheel(w: Host['wheels'][number], tyre: THREE.Material, rim: THREE.Material) {
  const wheel = new THREE.Group();
  const tread = Math.min(w.width / 2, 0.06);
  const ring = new THREE.Mesh(new THREE.TorusGeometry(w.radius - tread, tread, 12, 48), tyre);
  ring.rotation.x = Math.PI / 2;
  const hub = new THREE.Mesh(new THREE.CylinderGeometry(0.04, 0.04, w.width, 16), rim);
  wheel.add(ring, hub);
  for (let i = 0; i < 10; i++) {
    const a = (i / 10) * 2 * Math.PI;
    const end = new THREE.Vector3(Math.cos(a), 0, Math.sin(a)).multiplyScalar(w.radius - tread);
    wheel.add(bar(new THREE.Vector3(), end, 0.006, rim));
  }
  wheel.position.copy(vec(w.centre));
  return wheel;
}

/** How large a host is beside a car: what handles, arrows and distances are scaled by. */
export function hostScale(host: Host) {
  const points = [...host.surfaces.flatMap((s) => s.grid.flat()), ...host.wheels.map((w) => w.centre)];
  const extent = Math.max(...points.map((q) => q[0]!)) - Math.min(...points.map((q) => q[0]!));
  return Math.min(1, Math.max(0.12, extent / 4.2));
}

/** Boxes that must stay free, as edges with a faint filling. */
export function zoneGroup(zones: Figure['zones'], p: Palette) {
  const group = new THREE.Group();
  for (const z of zones) {
    const [low, high] = [vec(z.low), vec(z.high)];
    const geometry = new THREE.BoxGeometry(...high.clone().sub(low).toArray());
    const box = new THREE.Mesh(
      geometry,
      new THREE.MeshBasicMaterial({ color: p['lets-go'], transparent: true, opacity: 0.08, depthWrite: false }),
    );
    box.position.copy(low).add(high).multiplyScalar(0.5);
    const edges = new THREE.LineSegments(
      new THREE.EdgesGeometry(geometry),
      new THREE.LineDashedMaterial({ color: p['lets-go'], dashSize: 0.03, gapSize: 0.02 }),
    );
    edges.computeLineDistances();
    box.add(edges);
    group.add(box);
  }
  return group;
}

/** A repeatable scatter: the same meadow each time. */
function scatter(seed: number) {
  let state = seed;
  return () => (state = (state * 16807) % 2147483647) / 2147483647;
}

const flat = (color: THREE.Color, x: number, y: number, long: number, wide: number, z: number) => {
  const mesh = new THREE.Mesh(new THREE.PlaneGeometry(long, wide), new THREE.MeshBasicMaterial({ color }));
  mesh.position.set(x, y, z);
  return mesh;
};

/** Many small things on the ground, by which its level and its passing are seen. */
function specks(color: THREE.Color, count: number, reach: number, size: [number, number, number], keepOff = 0) {
  const random = scatter(7);
  const mesh = new THREE.InstancedMesh(
    new THREE.SphereGeometry(1, 7, 5),
    new THREE.MeshBasicMaterial({ color }),
    count,
  );
  const at = new THREE.Matrix4();
  for (let i = 0; i < count; i++) {
    const [r, a] = [reach * Math.sqrt(random()), random() * 2 * Math.PI];
    let y = r * Math.sin(a);
    if (Math.abs(y - 1.75) < keepOff) y = 1.75 + Math.sign(y - 1.75) * (keepOff + 3 * random());
    const grown = 0.6 + 0.8 * random();
    at.makeScale(size[0] * grown, size[1] * grown, size[2] * grown).setPosition(r * Math.cos(a), y, 0.01);
    mesh.setMatrixAt(i, at);
  }
  return mesh;
}

/** Half the width of a lane of traffic and where its middle lies, m: traffic on the right. */
const [LANE, OTHER] = [1.75, 3.5];

/** How far one sees under water, m: a clear river (drawn, not computed). */
export const VISIBLE = 6;

/** The colour of the water that one looks through when under it. */
export const deepWater = (p: Palette) => p.water.clone().lerp(p.holds, 0.16).lerp(p.ink, 0.06);

/** The surface of the water seen from below, bright over the eye, with its ripples; and what floats, by which one sees how fast the water goes past. */
function fromBelow(p: Palette, bright: THREE.Color) {
  const group = new THREE.Group();
  const under = new THREE.Mesh(
    new THREE.CircleGeometry(90, 64),
    new THREE.MeshBasicMaterial({ color: p.water.clone().lerp(p.sky, 0.25), side: THREE.BackSide }),
  );
  under.position.z = -0.004;
  const ripples = specks(bright.clone().lerp(p.sky, 0.6), 700, 9, [0.02, 0.3, 0.002]);
  ripples.position.z = -0.03;
  group.add(under, ripples);
  const random = scatter(23);
  const floats = new THREE.InstancedMesh(
    new THREE.SphereGeometry(0.004, 6, 5),
    new THREE.MeshBasicMaterial({ color: p.sky }),
    260,
  );
  const at = new THREE.Matrix4();
  for (let i = 0; i < 260; i++)
    floats.setMatrixAt(i, at.makeTranslation(8 * random() - 4, 8 * random() - 4, -0.15 - 2.2 * random()));
  group.add(floats);
  return group;
}

/** What lies round a host: by its lines, tufts, ripples or fields one sees how level and how fast the picture is. */
export function groundGroup(p: Palette, host: Host, scale = 1) {
  const group = new THREE.Group();
  const far = host.backdrop === 'air' ? 1500 : 90;
  const base = host.backdrop === 'water' ? p.water : p.ground;
  const darker = base.clone().lerp(p.ink, 0.14);
  group.add(new THREE.Mesh(new THREE.CircleGeometry(far, 64), new THREE.MeshBasicMaterial({ color: base })));
  if (host.backdrop === 'road') {
    const line = p.sky.clone().lerp(new THREE.Color(0xffffff), 0.4);
    group.add(flat(p.road, 0, LANE, 180, 2 * OTHER + 0.6, 0.002));
    for (const y of [-LANE + 0.1, LANE + OTHER - 0.1]) group.add(flat(line, 0, y, 180, 0.12, 0.004));
    for (let x = -81; x <= 81; x += 9) group.add(flat(line, x, LANE, 3, 0.12, 0.004));
    const post = new THREE.MeshLambertMaterial({ color: line });
    for (let x = -62; x <= 75; x += 25)
      for (const y of [-LANE - 0.9, LANE + OTHER + 0.9])
        group.add(bar(new THREE.Vector3(x, y, 0), new THREE.Vector3(x, y, 0.75), 0.07, post));
    group.add(specks(darker, 900, 70, [0.12, 0.09, 0.05], OTHER + 0.9));
  } else if (host.backdrop === 'water') {
    const bright = base.clone().lerp(p.sky, 0.55);
    group.add(specks(bright, 900, 60, [0.03, 0.4, 0.004]), fromBelow(p, bright));
  } else if (host.backdrop === 'air') {
    const random = scatter(11);
    for (let x = -12; x < 12; x++)
      for (let y = -12; y < 12; y++)
        group.add(
          flat(
            base.clone().lerp(random() < 0.5 ? p.paint : p.ink, 0.06 + 0.22 * random()),
            x * 60 + 30,
            y * 45 + 22,
            58,
            43,
            0.5,
          ),
        );
  } else group.add(specks(darker, 900, 50, [0.16, 0.12, 0.07]));
  if (host.groundHeight > -1) {
    const shadow = new THREE.Mesh(
      new THREE.CircleGeometry(1, 48),
      new THREE.MeshBasicMaterial({ color: p.ink, transparent: true, opacity: 0.16, depthWrite: false }),
    );
    shadow.scale.set(2.75 * scale, 1.15 * Math.max(scale, 0.35), 1);
    shadow.position.z = 0.008;
    group.add(shadow);
  }
  group.position.z = host.groundHeight;
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
    case 'clamp':
      return bar(
        first.clone().addScaledVector(axis, -size[1]! * 0.2),
        first.clone().addScaledVector(axis, size[1]!),
        size[0]!,
        material,
      );
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
    case 'post':
      return bar(at[0]!, at[1]!, size[0]!, new THREE.MeshLambertMaterial({ color: p.bark }));
    case 'strip': {
      // What stays clear below: hatched on the ground.
      const group = new THREE.Group();
      const along = at[1]!.clone().sub(at[0]!);
      const across = new THREE.Vector3(-along.y, along.x, 0).normalize().multiplyScalar(size[0]! / 2);
      const lines: THREE.Vector3[] = [];
      const low = (t: number, side: number) =>
        at[0]!
          .clone()
          .addScaledVector(along, Math.min(1, Math.max(0, t)))
          .addScaledVector(across, side)
          .setZ(at[0]!.z + 0.012);
      const steps = Math.max(4, Math.round(along.length() / 0.4));
      for (let i = 0; i < steps; i++) lines.push(low(i / steps, -1), low((i + 1) / steps, 1));
      for (const side of [-1, 1]) lines.push(low(0, side), low(1, side));
      group.add(
        new THREE.LineSegments(
          new THREE.BufferGeometry().setFromPoints(lines),
          new THREE.LineBasicMaterial({ color: p.accent, transparent: true, opacity: 0.7 }),
        ),
      );
      return group;
    }
    case 'strap': {
      // Piece by piece over the body that it lies on.
      const group = new THREE.Group();
      // Webbing lies flat: drawn as round as it looks. Ropes and cords are round.
      const thick = size[0]! < 0.015 ? Math.max(0.005, size[0]!) : Math.max(0.009, size[0]! * 0.45);
      const webbing = new THREE.MeshLambertMaterial({ color: verdict === 'holds' ? p.accent : p[verdict] });
      for (let i = 0; i + 1 < at.length; i++) group.add(bar(at[i]!, at[i + 1]!, thick * weight, webbing));
      return group;
    }
    case 'tether': {
      // It hangs a little where nothing is under it.
      const points =
        at.length > 2
          ? at
          : [
              at[0]!,
              at[0]!
                .clone()
                .add(at[1]!)
                .multiplyScalar(0.5)
                .add(new THREE.Vector3(0, 0, -0.06)),
              at[1]!,
            ];
      const curve = new THREE.CatmullRomCurve3(points, false, 'centripetal');
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

/** Where something that has let go comes to rest: a dashed way by what it hangs on, and a dashed box at its end. */
export function goesTo(way: THREE.Vector3[], p: Palette, scale = 1) {
  const group = new THREE.Group();
  const material = () => new THREE.LineDashedMaterial({ color: p['lets-go'], dashSize: 0.03, gapSize: 0.02 });
  const line = new THREE.Line(new THREE.BufferGeometry().setFromPoints(way), material());
  line.computeLineDistances();
  const side = 0.09 * scale;
  const box = new THREE.LineSegments(new THREE.EdgesGeometry(new THREE.BoxGeometry(side, side, side)), material());
  box.computeLineDistances();
  box.position.copy(way[way.length - 1]!);
  group.add(line, box);
  return group;
}

/** An arrow for a force, ending at the point it acts on. */
export function arrow(at: THREE.Vector3, force: THREE.Vector3, long: number, color: THREE.Color, scale = 1) {
  const length = long * scale;
  const group = new THREE.Group();
  const direction = force.clone().normalize();
  const tail = at.clone().addScaledVector(direction, -length - 0.06 * scale);
  const neck = at.clone().addScaledVector(direction, -0.12 * scale);
  const material = new THREE.MeshBasicMaterial({ color });
  group.add(
    bar(tail, neck, 0.012 * scale, material),
    bar(neck, at.clone().addScaledVector(direction, -0.06 * scale), 0.05 * scale, material, 0.001),
  );
  return { group, tail };
}

import * as THREE from 'three';
import type { Host } from '../api/client';
import type { Palette } from './palette';
import { bar } from './solids';

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

import * as THREE from 'three';
import type { Figure } from '../api/client';
import { vec } from './solids';

/** Share of the picture's height and width that the rig fills when it is opened. */
const [FILLS, FILLS_ACROSS] = [0.45, 0.76];
/** Share of the height that the frame takes through the lens, when that is the large picture. */
const FRAME = 0.86;

/** Points round the rig's own parts, straps and tethers left out: their middles and how far they reach to each side. */
export function ownPoints(f: Figure) {
  const axes = [new THREE.Vector3(1, 0, 0), new THREE.Vector3(0, 1, 0), new THREE.Vector3(0, 0, 1)];
  return f.shapes
    .filter((s) => !['tether', 'strap', 'post', 'strip'].includes(s.type))
    .flatMap((s) => {
      const [axis, side] = [s.axis && vec(s.axis), s.side && vec(s.side)];
      const box = (s.type === 'camera' || s.type === 'plate') && axis && side;
      const across = box ? side.clone().cross(axis) : null;
      const reaches = !box
        ? axes.map((a) => a.clone().multiplyScalar(s.size[0]! / 2))
        : (s.type === 'camera' ? [axis, side, across!] : [across!, side, axis]).map((a, i) =>
            a.clone().multiplyScalar(s.size[i]! / 2),
          );
      return s.points.flatMap((q) => reaches.flatMap((r) => [vec(q.p).add(r), vec(q.p).sub(r)]));
    });
}

/** From where a rig on a panel is looked at: from ahead and to the side, from below where it hangs. Unit vector. */
export function wayToLook(outward: THREE.Vector3): THREE.Vector3 {
  const from =
    outward.z > 0.5
      ? new THREE.Vector3(1.55, 3.1, 0.95)
      : outward.z < -0.5
        ? new THREE.Vector3(2.0, 2.6, -0.45)
        : outward.x < -0.5
          ? new THREE.Vector3(-3.1, 2.0, 1.0)
          : new THREE.Vector3(1.7, 3.2, 0.8);
  return from.normalize();
}

/** Puts an eye as near as fills a good part of the picture with the rig itself; straps and tethers may run out of it. */
export function standBack(eye: THREE.PerspectiveCamera, points: THREE.Vector3[], direction: THREE.Vector3) {
  const middle = new THREE.Box3().setFromPoints(points).getCenter(new THREE.Vector3());
  let far = 3 * Math.max(0.1, ...points.map((q) => q.distanceTo(middle)));
  for (let round = 0; round < 6; round++) {
    eye.position.copy(middle).addScaledVector(direction, far);
    eye.lookAt(middle);
    eye.updateMatrixWorld();
    const seen = points.map((q) => q.clone().project(eye));
    const span = (axis: 'x' | 'y') =>
      (Math.max(...seen.map((q) => q[axis])) - Math.min(...seen.map((q) => q[axis]))) / 2;
    far = Math.max(0.2, far * Math.max(span('y') / FILLS, span('x') / FILLS_ACROSS, 0.2));
  }
  return { middle, far };
}

/** The edge of the picture that a lens takes in a view of a given size, pixels. */
export function lensFrame(lens: Figure['lens'], width: number, height: number) {
  const aspect = Math.tan(lens.horizontalField / 2) / Math.tan(lens.verticalField / 2);
  const tall = Math.min(height * FRAME, (width * FRAME) / aspect);
  return { width: tall * aspect, height: tall };
}

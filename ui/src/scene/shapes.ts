import * as THREE from 'three';
import type { Shape, Verdict } from '../api/client';
import type { Palette } from './palette';
import { bar, vec } from './solids';

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

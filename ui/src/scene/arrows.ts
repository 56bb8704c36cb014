import * as THREE from 'three';
import type { Palette } from './palette';
import { bar } from './solids';

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

/** An arrow for a pull: it begins in a ring at the point where the cord is and goes the way of the hand. Nothing hides it. */
export function pullArrow(at: THREE.Vector3, way: THREE.Vector3, color: THREE.Color, scale = 1) {
  const group = new THREE.Group();
  const material = new THREE.MeshBasicMaterial({ color, depthTest: false });
  const neck = at.clone().addScaledVector(way, 0.3 * scale);
  const head = at.clone().addScaledVector(way, 0.38 * scale);
  group.add(bar(at, neck, 0.014 * scale, material), bar(head, neck, 0.001, material, 0.06 * scale));
  const ring = new THREE.Mesh(new THREE.TorusGeometry(0.045 * scale, 0.007 * scale, 10, 40), material);
  ring.position.copy(at);
  ring.quaternion.setFromUnitVectors(new THREE.Vector3(0, 0, 1), way);
  group.add(ring);
  group.traverse((o) => (o.renderOrder = 3));
  return { group, tip: at.clone().addScaledVector(way, 0.52 * scale) };
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

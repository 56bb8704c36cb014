import * as THREE from 'three';

/** A point of the core as one of the scene, m. */
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

/** A round bar between two points. */
export function bar(a: THREE.Vector3, b: THREE.Vector3, diameter: number, material: THREE.Material, end = diameter) {
  const length = a.distanceTo(b);
  const mesh = new THREE.Mesh(new THREE.CylinderGeometry(end / 2, diameter / 2, length, 20), material);
  mesh.position.copy(a).add(b).multiplyScalar(0.5);
  mesh.quaternion.setFromUnitVectors(new THREE.Vector3(0, 1, 0), b.clone().sub(a).normalize());
  return mesh;
}

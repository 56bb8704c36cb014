import * as THREE from 'three';
import type { Figure, Host } from '../api/client';
import type { Palette } from './palette';
import { bar, gridMesh, gridRim, vec } from './solids';

/** The host: surfaces, rims, wheels. Panels can be found again by their site's id. */
export function carGroup(host: Host, p: Palette, panel: { id: string; grid: number[][][] }) {
  const group = new THREE.Group();
  /** Seen from both sides; what is looked through leaves what is behind it. */
  const matt = (color: THREE.Color, opacity = 1) =>
    new THREE.MeshLambertMaterial({
      color,
      side: THREE.DoubleSide,
      transparent: opacity < 1,
      opacity,
      depthWrite: opacity === 1,
    });
  const paint = matt(p.paint);
  const materials: Partial<Record<string, THREE.Material>> = {
    // Who sits behind it is seen.
    glass: matt(p.glass, 0.4),
    trim: matt(p.trim),
    cloth: matt(p.cloth),
    skin: matt(p.skin),
    bark: matt(p.bark),
    // A crown is looked through: the rig may hang in it.
    leaf: matt(p.leaf, 0.35),
  };
  for (const s of host.surfaces) {
    const onPanel = s.id === panel.id && s.kind === s.id;
    const grid = onPanel ? panel.grid : s.grid;
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

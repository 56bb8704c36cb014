import * as THREE from 'three';

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

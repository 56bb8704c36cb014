import * as THREE from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import type { Host, LetGo } from '../api/client';
import type { Answer } from '../state/answer';
import { verdictOf } from '../parts/verdict';
import { Dragging, type DragTo } from './dragging';
import { lensFrame, ownPoints, standBack, wayToLook } from './framing';
import { apart, type Label } from './labels';
import { arrow, goesTo, pullArrow } from './arrows';
import { deepWater, groundGroup, VISIBLE } from './ground';
import { carGroup, hostScale, zoneGroup } from './hosts';
import { palette } from './palette';
import { shapeMesh } from './shapes';
import { vec } from './solids';

/** What the scene is asked to show. */
export interface SceneInput {
  host: Host;
  report: Answer;
  shown: LetGo;
  selected: string;
  deflected: boolean;
  lensLarge: boolean;
  /** A mode shape to swing through, by node. */
  movement?: Record<string, number[]>;
  /** A pull by hand in place of the case's own loads: where, which way (unit vector), and what is written at it. */
  pull?: { point: number[]; direction: number[]; text: string };
  forceText: (newton: number) => string;
}

/** A picture that takes longer than this, ms, waits for the answers. */
const SLOW = 30;

/** The three-dimensional scene, drawn only when something changed. */
export class SceneView {
  private readonly renderer: THREE.WebGLRenderer;
  private readonly scene = new THREE.Scene();
  private readonly eye = new THREE.PerspectiveCamera(32, 1, 0.05, 1600);
  private readonly lens = new THREE.PerspectiveCamera(40, 1.5, 0.02, 1600);
  private readonly controls: OrbitControls;
  private car: THREE.Group | null = null;
  private zones: THREE.Group | null = null;
  /** Where a swinging mode stands, rad. */
  private phase = Math.PI / 2;
  private swinging = 0;
  private delayed = 0;
  /** The last picture, ms. */
  private took = 0;
  /** True while what was shown is not drawn yet: for tests and scripts. */
  pending = false;
  /** Size of the host beside a car. */
  private scale = 1;
  private readonly rig = new THREE.Group();
  private readonly raycaster = new THREE.Raycaster();
  private input: SceneInput | null = null;
  private lastHost = '';
  private aimed = false;
  /** Size of what is drawn beside the rig (arrows, handles): 1 for a rig of about half a metre. */
  private near = 1;
  private frame = 0;
  private lensRect: DOMRect | null = null;
  /** What is looked through above the ground, and under water where there is any. */
  private above: { sky: THREE.Color; fog: THREE.Fog } | null = null;
  private underWater: { sky: THREE.Color; fog: THREE.Fog } | null = null;
  private arrows: { at: THREE.Vector3; text: string }[] = [];

  onlabels: (labels: Label[]) => void = () => {};
  /** Called whenever the view was drawn anew. */
  onview: () => void = () => {};
  ondrag: (to: DragTo) => void = () => {};
  /** A drag begins or ends. */
  onhold: (on: boolean) => void = () => {};
  onselect: (station: string) => void = () => {};
  private readonly dragging: Dragging;

  /** Grid that dragging snaps to, m. */
  set snap(grid: number) {
    this.dragging.snap = grid;
  }

  constructor(private readonly canvas: HTMLCanvasElement) {
    this.renderer = new THREE.WebGLRenderer({ canvas, antialias: true, preserveDrawingBuffer: true });
    this.renderer.setPixelRatio(Math.min(2, devicePixelRatio));
    this.eye.up.set(0, 0, 1);
    this.lens.up.set(0, 0, 1);
    this.controls = new OrbitControls(this.eye, canvas);
    this.controls.maxPolarAngle = Math.PI / 2 - 0.03;
    this.controls.minDistance = 0.5;
    this.controls.addEventListener('change', () => this.invalidate());
    this.dragging = new Dragging(canvas, {
      input: () => this.input,
      cast: (at) => this.cast(at),
      rowAt: () => this.rowAt(),
      panelAt: (may) => this.panelAt(may),
      ondrag: (to) => this.ondrag(to),
      onhold: (on) => ((this.controls.enabled = !on), this.onhold(on)),
      onselect: (row) => this.onselect(row),
    });
  }

  dispose() {
    clearTimeout(this.swinging);
    clearTimeout(this.delayed);
    cancelAnimationFrame(this.frame);
    this.controls.dispose();
    this.renderer.dispose();
  }

  show(input: SceneInput, theme: string) {
    const p = palette();
    const key = `${input.host.id}/${input.report.figure.panelId}/${theme}/${JSON.stringify([input.report.figure.frame, input.report.figure.zones])}`;
    // Words over another sky than their theme's cannot be read: a new one is drawn at once.
    const sky = key !== this.lastHost;
    if (sky) {
      this.lastHost = key;
      this.scene.clear();
      this.above = {
        sky: p.sky,
        fog: input.host.backdrop === 'air' ? new THREE.Fog(p.sky, 150, 900) : new THREE.Fog(p.sky, 18, 85),
      };
      const deep = deepWater(p);
      this.underWater = input.host.backdrop === 'water' ? { sky: deep, fog: new THREE.Fog(deep, 0.4, VISIBLE) } : null;
      const sun = new THREE.DirectionalLight(0xfff4e0, 1.7);
      sun.position.set(3, 4, 8);
      this.car = carGroup(input.host, p, { id: input.report.figure.panelId, grid: input.report.figure.panel });
      this.scale = hostScale(input.host);
      this.zones = zoneGroup(input.report.figure.zones, p);
      this.controls.minDistance = 0.15;
      this.eye.near = 0.02;
      this.scene.add(new THREE.HemisphereLight(0xffffff, p.ground, 2.1), sun, this.car, this.rig, this.zones);
      this.scene.add(groundGroup(p, input.host, this.scale));
    }
    if (this.input && this.input.host.id !== input.host.id) this.aimed = false;
    this.input = input;
    // Keep-clear places show while the site is looked at, or while something stands in one.
    this.zones!.visible = input.selected === 'site' || input.report.findings.some((f) => f.blocks);
    if (!this.aimed) this.aim();
    this.drawRig(p);
    this.invalidate(!sky);
    clearTimeout(this.swinging);
    if (input.movement && !matchMedia('(prefers-reduced-motion: reduce)').matches) this.swing(p);
  }

  /** Swings on when the last picture is out, so that a slow machine swings slower and stays free. */
  private swing(p: ReturnType<typeof palette>) {
    this.swinging = window.setTimeout(() => {
      this.phase += 0.5;
      this.drawRig(p);
      this.render();
      this.swing(p);
    }, 90);
  }

  /** Looks at the rig from ahead and to the side. */
  aim() {
    const f = this.input!.report.figure;
    const direction = wayToLook(vec(f.frame.normal));
    const { middle, far } = standBack(this.eye, ownPoints(f), direction);
    // A tall pole is stepped back from further than a bonnet.
    this.controls.maxDistance = Math.max(12, 2 * far);
    // The headline stands above and the let-go cases below: the rig sits a little under the middle.
    const up = new THREE.Vector3(0, 0, 1).addScaledVector(direction, -direction.z).normalize();
    middle.addScaledVector(up, 0.06 * far * Math.tan((this.eye.fov * Math.PI) / 360));
    this.controls.target.copy(middle);
    this.eye.position.copy(middle).addScaledVector(direction, far);
    this.near = Math.min(1.4, Math.max(0.12, far / 2.6));
    this.controls.update();
    this.aimed = true;
    this.invalidate();
  }

  /** Where the small view stands on the page. */
  setLensRect(rect: DOMRect | null) {
    const [a, b] = [this.lensRect, rect];
    if (a && b && a.x === b.x && a.y === b.y && a.width === b.width && a.height === b.height) return;
    this.lensRect = rect;
    this.invalidate();
  }

  resize(width: number, height: number) {
    this.renderer.setSize(width, height, false);
    this.eye.aspect = width / height;
    this.eye.updateProjectionMatrix();
    this.invalidate();
  }

  /**
   * Draws with the next frame. Without a graphics card a picture takes longer than an answer: what an answer changed is drawn after it then, so that
   * the next key is not kept waiting by it.
   */
  private invalidate(afterAnswer = false) {
    clearTimeout(this.delayed);
    this.pending = true;
    if (afterAnswer && this.took > SLOW) {
      this.delayed = window.setTimeout(() => this.invalidate(), this.took);
      return;
    }
    cancelAnimationFrame(this.frame);
    this.frame = requestAnimationFrame(() => {
      const began = performance.now();
      this.render();
      // Seen with the frame after: the work is done elsewhere meanwhile.
      requestAnimationFrame(() => (this.took = performance.now() - began));
      this.pending = false;
    });
  }

  private displacements(): [Record<string, number[]>, number] {
    const { report, deflected, movement } = this.input!;
    if (movement) return [movement, 0.06 * Math.max(0.2, this.scale) * Math.sin(this.phase)];
    const d = report.shape.displacements;
    if (!deflected) return [{}, 0];
    const most = Math.max(1e-9, ...Object.values(d).map((u) => Math.hypot(...u)));
    return [d, Math.min(5000, 0.07 / most)];
  }

  /** How many times the deflected shape is exaggerated. */
  get exaggeration() {
    return this.input ? this.displacements()[1] : 0;
  }

  private drawRig(p: ReturnType<typeof palette>) {
    const { report, shown, selected, forceText } = this.input!;
    const intact = shown.kind === 'intact';
    const [moved, scale] = this.displacements();
    this.rig.traverse((o) => {
      if (o instanceof THREE.Mesh || o instanceof THREE.Line) {
        (o.geometry as THREE.BufferGeometry).dispose();
        (o.material as THREE.Material).dispose();
      }
    });
    this.rig.clear();
    for (const shape of report.figure.shapes) {
      const row = report.stations.find((s) => s.id === shape.station);
      if (!intact && (shown.gone.includes(shape.id) || shown.gone.includes(row?.name ?? ''))) continue;
      const at = shape.points.map((q) => {
        const u = moved[q.node];
        return u ? vec(q.p).addScaledVector(vec(u), scale) : vec(q.p);
      });
      const use = intact ? (row?.use ?? 0) : (report.shape.uses[shape.station] ?? 0);
      const mesh = shapeMesh(shape, at, use, verdictOf(use), shape.station === selected, p);
      mesh.userData.station = shape.station;
      mesh.traverse((o) => (o.userData.own = shape.type === 'camera' || shape.type === 'lens'));
      this.rig.add(mesh);
    }
    if (report.shape.goes && !this.input!.movement && !this.input!.pull) {
      const fallen = goesTo(report.shape.goes.map(vec), p, this.near);
      fallen.traverse((o) => (o.userData.own = true));
      this.rig.add(fallen);
    }
    const { movement, pull } = this.input!;
    const loads = movement || pull ? [] : report.shape.arrows;
    const most = Math.max(1, ...loads.map((a) => Math.hypot(...a.force)));
    this.arrows = loads.map((a) => {
      const force = vec(a.force);
      const drawn = arrow(vec(a.at), force, 0.12 + 0.2 * (force.length() / most), p.accent, this.near);
      drawn.group.traverse((o) => (o.userData.own = true));
      this.rig.add(drawn.group);
      return { at: drawn.tail, text: `${a.label} ${forceText(force.length())}` };
    });
    if (pull) {
      const drawn = pullArrow(vec(pull.point), vec(pull.direction), p.accent, this.near);
      drawn.group.traverse((o) => (o.userData.own = true));
      this.rig.add(drawn.group);
      this.arrows.push({ at: drawn.tip, text: pull.text });
    }
    for (const h of movement || pull ? [] : report.figure.handles) {
      const chosen = h.station === selected || h.id === selected;
      const ball = new THREE.Mesh(
        new THREE.SphereGeometry((chosen ? 0.022 : 0.015) * this.near, 16, 12),
        new THREE.MeshBasicMaterial({
          color: chosen ? p.accent : p.paint,
          depthTest: false,
          transparent: true,
          opacity: chosen ? 0.95 : 0.75,
        }),
      );
      ball.renderOrder = 2;
      ball.position.copy(vec(h.p));
      ball.userData.own = true;
      this.rig.add(ball);
    }
  }

  private render() {
    if (!this.input) return;
    const { report, lensLarge } = this.input;
    const size = this.renderer.getSize(new THREE.Vector2());
    const l = report.figure.lens;
    this.lens.position.copy(vec(l.eye));
    this.lens.up.copy(vec(l.up));
    this.lens.lookAt(vec(l.eye).add(vec(l.view)));
    this.lens.fov = (l.verticalField * 180) / Math.PI;
    const box = this.canvas.getBoundingClientRect();
    const r = this.lensRect;
    const inset = r ? { x: r.left - box.left, y: box.bottom - r.bottom, w: r.width, h: r.height } : null;
    const full = { x: 0, y: 0, w: size.x, h: size.y };
    this.renderer.setScissorTest(true);
    if (lensLarge) {
      // All round the frame what lies beside it is seen, too.
      const frame = this.lensFrame(size.x, size.y);
      this.lens.fov = (2 * Math.atan((Math.tan(l.verticalField / 2) * size.y) / frame.height) * 180) / Math.PI;
    }
    this.draw(lensLarge ? this.lens : this.eye, full, lensLarge);
    if (inset) this.draw(lensLarge ? this.eye : this.lens, inset, !lensLarge);
    this.labels(size, lensLarge);
  }

  /** The edge of the picture in a view of a given size, pixels. */
  lensFrame(width: number, height: number) {
    return lensFrame(this.input!.report.figure.lens, width, height);
  }

  private draw(camera: THREE.PerspectiveCamera, r: { x: number; y: number; w: number; h: number }, through: boolean) {
    this.rig.traverse((o) => {
      if (o.userData.own) o.visible = !through;
    });
    const zones = this.zones!.visible;
    if (through) this.zones!.visible = false;
    // Whoever looks from under the water looks through it.
    const under = this.underWater && camera.position.z < this.input!.host.groundHeight ? this.underWater : this.above;
    this.scene.background = under!.sky;
    this.scene.fog = under!.fog;
    camera.aspect = r.w / r.h;
    camera.updateProjectionMatrix();
    this.renderer.setViewport(r.x, r.y, r.w, r.h);
    this.renderer.setScissor(r.x, r.y, r.w, r.h);
    this.renderer.render(this.scene, camera);
    this.zones!.visible = zones;
  }

  private labels(size: THREE.Vector2, hidden: boolean) {
    if (hidden) return this.onlabels([]);
    const labels: Label[] = this.arrows.map((a, i) => ({
      key: 'a' + i,
      text: a.text,
      ...this.below(this.toScreen(a.at, size)),
      tone: 'load' as const,
    }));
    this.onlabels(apart(labels));
    this.onview();
  }

  /** Load labels keep out of the headline and of the view through the lens. */
  private below(p: { x: number; y: number }) {
    const box = this.canvas.getBoundingClientRect();
    const r = this.lensRect;
    const headline = document.querySelector('[data-verdict]')?.getBoundingClientRect();
    const y = Math.max(p.y, headline && headline.top < box.bottom ? headline.bottom - box.top + 26 : 128);
    const beside = r ? r.left - box.left - 75 : Infinity;
    return { x: Math.min(Math.max(p.x, 75), r && y < r.bottom - box.top + 24 ? beside : box.width - 75), y };
  }

  /** Where the host's sites stand on the page, to pick one; without those that the headline or the view through the lens lies over. */
  placesOnPage() {
    if (!this.input) return [];
    const size = this.renderer.getSize(new THREE.Vector2());
    return this.input.host.frames
      .map((f) => ({ site: f.site, ...this.toScreen(vec(f.origin), size) }))
      .filter((p) => !this.covered(p));
  }

  /** True where a name would lie under the headline or the view through the lens. */
  private covered(p: { x: number; y: number }) {
    const box = this.canvas.getBoundingClientRect();
    const over = [document.querySelector('[data-verdict]')?.getBoundingClientRect(), this.lensRect];
    const [x, y] = [p.x + box.left, p.y + box.top];
    return over.some((r) => r && x > r.left - 75 && x < r.right + 75 && y > r.top - 14 && y < r.bottom + 14);
  }

  private toScreen(p: THREE.Vector3, size: THREE.Vector2) {
    this.eye.aspect = size.x / size.y;
    this.eye.updateProjectionMatrix();
    const v = p.clone().project(this.eye);
    return { x: ((v.x + 1) / 2) * size.x, y: ((1 - v.y) / 2) * size.y };
  }

  /** Pixel place of a handle, for keyboard users, tests and the number beside it. */
  handleAt(id: string) {
    const h = this.input?.report.figure.handles.find((x) => x.id === id);
    return h ? this.toScreen(vec(h.p), this.renderer.getSize(new THREE.Vector2())) : null;
  }

  /** Share of the picture's height that the rig takes, straps and tethers left out: for tests and scripts. */
  fills() {
    if (!this.input) return null;
    const ys = ownPoints(this.input.report.figure).map((q) => q.project(this.eye).y);
    return (Math.max(...ys) - Math.min(...ys)) / 2;
  }

  private cast(at: THREE.Vector2) {
    const size = this.renderer.getSize(new THREE.Vector2());
    this.eye.aspect = size.x / size.y;
    this.eye.updateProjectionMatrix();
    this.raycaster.setFromCamera(new THREE.Vector2((at.x / size.x) * 2 - 1, 1 - (at.y / size.y) * 2), this.eye);
    return (p: THREE.Vector3) => this.toScreen(p, size);
  }

  /** The row that is seen at a place that was cast at. */
  private rowAt(): string | null {
    let o: THREE.Object3D | null = this.raycaster.intersectObjects(this.rig.children, true)[0]?.object ?? null;
    while (o && !o.userData.station) o = o.parent;
    return (o?.userData.station as string | undefined) ?? null;
  }

  /** Where a panel of the host is hit, and which; only those that a handle may go to. */
  private panelAt(may: (site: string) => boolean): { site: string; point: THREE.Vector3 } | null {
    const panels = this.car!.children.filter((c) => c.userData.site && may(c.userData.site as string));
    const hit = this.raycaster.intersectObjects(panels, false)[0];
    return hit ? { site: hit.object.userData.site as string, point: hit.point } : null;
  }
}

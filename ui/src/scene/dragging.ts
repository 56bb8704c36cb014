import * as THREE from 'three';
import type { Handle } from '../api/client';
import { vec } from './solids';
import type { SceneInput } from './view';

/** What dragging a handle wants to change. */
export type DragTo =
  | { handle: Handle; site: string; at: [number, number] }
  | { handle: Handle; anchor: string; t: number }
  | { handle: Handle; value: number };

/** A handle is taken hold of within so many pixels of its middle; the selected one from a little farther. */
const [HANDLE_REACH, SELECTED_MORE] = [18, 6];

/** What dragging asks of the scene. */
export interface Draggable {
  input: () => SceneInput | null;
  /** Looks along a place of the canvas, px; answers where points are seen. */
  cast: (at: THREE.Vector2) => (p: THREE.Vector3) => { x: number; y: number };
  rowAt: () => string | null;
  panelAt: (may: (site: string) => boolean) => { site: string; point: THREE.Vector3 } | null;
  ondrag: (to: DragTo) => void;
  onhold: (on: boolean) => void;
  onselect: (row: string) => void;
}

/** Handles that are dragged over the host, and rows that are picked by a click. */
export class Dragging {
  /** Grid that dragging snaps to, m. */
  snap = 0.01;
  private dragged: Handle | null = null;
  private startValue = 0;
  private startPointer = new THREE.Vector2();

  constructor(
    private readonly canvas: HTMLCanvasElement,
    private readonly of: Draggable,
  ) {
    canvas.addEventListener('pointerdown', this.down);
    canvas.addEventListener('pointermove', this.move);
    canvas.addEventListener('pointerup', this.up);
    canvas.addEventListener('pointercancel', this.up);
  }

  private pointer(e: PointerEvent) {
    const box = this.canvas.getBoundingClientRect();
    return new THREE.Vector2(e.clientX - box.left, e.clientY - box.top);
  }

  private down = (e: PointerEvent) => {
    const input = this.of.input();
    if (!input || input.lensLarge) return;
    const at = this.pointer(e);
    const seen = this.of.cast(at);
    let nearest: [Handle, number] | null = null;
    for (const h of input.report.figure.handles) {
      const s = seen(vec(h.p));
      const d = Math.hypot(s.x - at.x, s.y - at.y) - (h.station === input.selected ? SELECTED_MORE : 0);
      if (d < HANDLE_REACH && (!nearest || d < nearest[1])) nearest = [h, d];
    }
    if (nearest) {
      this.dragged = nearest[0];
      this.startValue = nearest[0].value[0]!;
      this.startPointer = at;
      this.canvas.setPointerCapture(e.pointerId);
      this.of.onselect(nearest[0].station);
      this.of.onhold(true);
      return;
    }
    const row = this.of.rowAt();
    if (row) this.of.onselect(row);
  };

  private move = (e: PointerEvent) => {
    if (!this.dragged) return;
    const at = this.pointer(e);
    const seen = this.of.cast(at);
    const grid = (v: number) => (e.altKey ? v : Math.round(v / this.snap) * this.snap);
    const h = this.dragged;
    if (h.mode === 'panel' || h.mode === 'panels') this.onPanel(h, grid);
    else if (h.mode === 'anchor') this.toAnchor(h, at, seen);
    else {
      const [a, b] = [seen(vec(h.p)), seen(vec(h.p).addScaledVector(vec(h.axis!), 0.1))];
      const along = new THREE.Vector2(b.x - a.x, b.y - a.y);
      const by = (at.clone().sub(this.startPointer).dot(along) / along.lengthSq()) * 0.1;
      this.of.ondrag({ handle: h, value: Math.min(h.maximum, Math.max(h.minimum, grid(this.startValue + by))) });
    }
  };

  private onPanel(h: Handle, grid: (v: number) => number) {
    const { host, report } = this.of.input()!;
    const own = report.figure.frame;
    const hit = this.of.panelAt((site) => h.mode === 'panels' || site === h.site);
    if (!hit) return;
    const frame = hit.site === own.site ? own : host.frames.find((f) => f.site === hit.site)!;
    const d = hit.point.clone().sub(vec(frame.origin));
    const clamp = (v: number, half: number) => Math.min(half, Math.max(-half, grid(v)));
    this.of.ondrag({
      handle: h,
      site: hit.site,
      at: [clamp(d.dot(vec(frame.u)), frame.halfU), clamp(d.dot(vec(frame.v)), frame.halfV)],
    });
  }

  private toAnchor(h: Handle, at: THREE.Vector2, seen: (p: THREE.Vector3) => { x: number; y: number }) {
    let best = { d: Infinity, anchor: '', t: 0 };
    for (const a of this.of.input()!.host.anchors)
      for (let i = 0; i <= 40; i++) {
        const t = i / 40;
        const s = seen(vec(a.a).lerp(vec(a.b), t));
        const d = Math.hypot(s.x - at.x, s.y - at.y);
        if (d < best.d) best = { d, anchor: a.id, t };
      }
    this.of.ondrag({ handle: h, anchor: best.anchor, t: best.t });
  }

  private up = () => {
    if (this.dragged) this.of.onhold(false);
    this.dragged = null;
  };
}

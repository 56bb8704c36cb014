<script lang="ts">
  import type { Schemas } from '../api/client';

  /** A piece of a still test chart as a frame would show it, at true size: smeared, bent by the read-out, and jumping from frame to frame. */
  let { picture, rolling }: { picture: Schemas['PictureWords']; rolling: boolean } = $props();

  const [W, H] = [266, 132];
  let canvas: HTMLCanvasElement;
  let px = $derived(
    Object.fromEntries(picture.numbers.map((n) => [n.id, n.pixels])) as Record<'shake' | 'smear' | 'wobble', number>,
  );

  /** Lines from coarse to one pixel, and a word. */
  function chart() {
    const c = new OffscreenCanvas(W + 80, H + 80);
    const g = c.getContext('2d')!;
    g.fillStyle = '#f4f1e8';
    g.fillRect(0, 0, c.width, c.height);
    g.fillStyle = '#17231f';
    let x = 46;
    for (const w of [12, 8, 5, 3, 2, 1]) {
      for (let i = 0; i < 4; i++) g.fillRect(x + i * 2 * w, 46, w, 66);
      x += 8 * w + 12;
    }
    for (let i = 0, y = 126; i < 4; i++, y += 3 + 2 * i) g.fillRect(46, y, 120, 1 + i);
    g.font = '700 22px sans-serif';
    g.fillText('cider', 186, 150);
    g.strokeStyle = '#17231f';
    g.beginPath();
    g.arc(280, 142, 22, 0, 7);
    g.arc(280, 142, 11, 0, 7);
    g.stroke();
    return c;
  }

  $effect(() => {
    const source = chart();
    const g = canvas.getContext('2d')!;
    const still = matchMedia('(prefers-reduced-motion: reduce)').matches;
    const { shake, smear, wobble } = px;
    const bend = rolling ? wobble : 0;
    let frame = 0;
    function draw() {
      const jump = still ? [0, 0] : [Math.sin(frame * 2.4) * shake, Math.cos(frame * 1.7) * shake];
      g.globalAlpha = 1;
      g.fillStyle = '#f4f1e8';
      g.fillRect(0, 0, W, H);
      // The exposure: the picture laid over itself along its path, each share as faint as it is short.
      const steps = Math.max(1, Math.min(24, Math.ceil(smear * 1.5)));
      for (let s = 0; s < steps; s++) {
        g.globalAlpha = 1 / (s + 1);
        const along = steps === 1 ? 0 : (s / (steps - 1) - 0.5) * Math.min(40, smear * 1.4);
        for (let y = 0; y < H; y += 2) {
          const row = bend * Math.sin((y / H) * 2 * Math.PI * 1.3 + frame);
          g.drawImage(source, 40 - row - along - jump[0]!, 40 + y - along * 0.5 - jump[1]!, W, 2, 0, y, W, 2);
        }
      }
      frame++;
    }
    draw();
    if (still) return;
    const timer = setInterval(draw, 120);
    return () => clearInterval(timer);
  });
</script>

<canvas
  bind:this={canvas}
  width={W}
  height={H}
  class="border-rule border"
  aria-label="A test chart as this rig would film it, at true size"
></canvas>

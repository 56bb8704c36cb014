<script lang="ts">
  import type { Schemas } from '../api/client';
  import { fill, quantity } from '../parts/quantity';
  import { getSession } from '../state/session.svelte';
  import { sayTool } from './bench';
  import WhatItDid from './WhatItDid.svelte';

  /** What has to lie there, who has to be there, what can hurt and what to do when it goes wrong. */
  interface Props {
    step: Schemas['PlanStep'];
    report: Schemas['MakeReport'];
    onselect: (id: string) => void;
  }
  let { step, report, onselect }: Props = $props();
  const session = getSession();
  let parts = $derived(report.parts.filter((p) => step.parts.includes(p.id)));
  /** What came out here otherwise than drawn, or as drawn. */
  let came = $derived(step.built.filter((r) => r.value != null));
  let open = $derived(report.steps.filter((s) => step.after.includes(s.id) && !s.isDone));
</script>

<aside
  class="border-rule bg-base-100 min-h-0 overflow-y-auto border-l px-4 py-3 compact:border-l-0"
  aria-label="At hand for this step"
>
  <h2 class="text-base">At hand for this step</h2>
  {#if open.length && !step.isDone}
    <h3 class="text-quiet mt-3 text-xs font-normal">Before it</h3>
    <ul>
      {#each open.slice(-4) as s (s.id)}
        <li>
          <button class="min-h-6 text-left underline decoration-dotted" onclick={() => onselect(s.id)}
            >{fill(s.title)}</button
          >
        </li>
      {/each}
      {#if open.length > 4}<li class="text-quiet text-sm">and {open.length - 4} more</li>{/if}
    </ul>
  {/if}
  {#if step.tools.length}
    <h3 class="text-quiet mt-3 text-xs font-normal">Tools</h3>
    <ul>
      {#each step.tools as t (t.id)}
        <li class="flex items-center justify-between gap-2 py-0.5">
          <span>{t.name}</span>
          <select
            class="select select-xs hover:border-rule w-20 border-transparent bg-transparent flex-none {t.from === 'own'
              ? 'text-quiet'
              : 'word-tight font-semibold'}"
            aria-label="{t.name}: have, borrow or buy"
            value={t.from}
            onchange={(e) => sayTool(session, t.id, e.currentTarget.value as Schemas['ToolFrom'])}
          >
            {#each report.sources as s (s.id)}<option value={s.id}>{s.label}</option>{/each}
          </select>
        </li>
      {/each}
    </ul>
  {/if}
  {#if parts.length}
    <h3 class="text-quiet mt-3 text-xs font-normal">Parts that go in</h3>
    <ul>
      {#each parts as p (p.id)}{@const n = p.steps.find((s) => s.step === step.id)?.quantity ?? p.quantity}
        <li>{n > 1 ? `${n} × ` : ''}{fill(p.name)}</li>{/each}
    </ul>
  {/if}
  <h3 class="text-quiet mt-3 text-xs font-normal">You</h3>
  <p>
    {step.crew > 1 ? 'Two people' : 'One person'} · {step.place === 'host' ? 'at the host' : 'at the bench'} · camera {step.cameraIn
      ? 'in'
      : 'out'}
  </p>
  {#if step.beware.length}
    <div class="border-accent mt-3 border-l-4 pl-3" data-beware>
      {#each step.beware as b (b)}<p>{fill(b)}</p>{/each}
    </div>
  {/if}
  {#if came.length}
    <!-- What was said of another step is not said of this one. -->
    {#key step.id}
      <WhatItDid
        paths={came.map((r) => r.place ?? r.path)}
        what={came.length === 1
          ? `your ${quantity(came[0]!.value!, came[0]!.dimension)}`
          : `your ${came.length} values`}
      />
    {/key}
  {/if}
  {#if step.wrong}
    <h3 class="text-quiet mt-3 text-xs font-normal">If it goes wrong</h3>
    <p>{fill(step.wrong)}</p>
  {/if}
</aside>

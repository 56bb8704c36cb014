<script lang="ts">
  import type { Schemas } from '../api/client';
  import { fill, speedOf } from '../parts/quantity';

  interface Props {
    ladder: readonly Schemas['Rung'][];
    states: readonly Schemas['RungState'][];
    next: string | null | undefined;
    selected: string;
    host: string;
    onselect: (id: string) => void;
  }
  let { ladder, states, next, selected, host, onselect }: Props = $props();
  /** Highest rung on top, as a ladder stands. */
  let rungs = $derived([...ladder].reverse());
</script>

<ol class="flex flex-col" reversed aria-label="The ladder, highest rung first">
  {#each rungs as r (r.id)}
    {@const s = states.find((x) => x.id === r.id)}
    {@const state = r.barred ? 'barred' : (s?.state ?? 'open')}
    <li>
      <button
        class="grid w-full grid-cols-[4.5rem_minmax(0,1fr)] items-center gap-x-2 border-b-[3px] px-2 py-2 text-left {selected ===
        r.id
          ? 'bg-base-100 outline-base-content outline-2 -outline-offset-1'
          : 'hover:bg-base-300/60'} {state === 'passed'
          ? 'border-holds'
          : state === 'failed'
            ? 'border-lets-go border-double'
            : state === 'barred'
              ? 'border-rule border-dashed'
              : 'border-base-content'}"
        aria-current={selected === r.id ? 'step' : undefined}
        data-rung={r.id}
        data-state={state}
        onclick={() => onselect(r.id)}
      >
        <span class="leading-tight font-bold {state === 'barred' ? 'text-quiet' : ''}">
          {#if r.speed != null}{speedOf(r.speed, host)}{:else}{r.short}{/if}
        </span>
        <span class="min-w-0 text-sm leading-snug">
          <span class="block">{r.title}</span>
          <span
            class="block text-xs {state === 'failed'
              ? 'word-lets-go font-semibold'
              : state === 'short'
                ? 'word-tight font-semibold'
                : state === 'passed'
                  ? 'word-holds'
                  : 'text-quiet'}"
          >
            {#if r.barred}barred{:else}{[
                next === r.id && state === 'open' ? 'next' : state === 'open' ? '' : s?.word,
                fill(s?.says ?? '', host),
              ]
                .filter(Boolean)
                .join(': ')}{/if}
          </span>
        </span>
      </button>
    </li>
  {/each}
</ol>

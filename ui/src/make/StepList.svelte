<script lang="ts">
  import type { Schemas } from '../api/client';
  import { fill } from '../parts/quantity';
  import { spell } from './words';

  /** The build plan as a list: done, to do, and what must be right before anything goes on. */
  interface Props {
    steps: readonly Schemas['PlanStep'][];
    selected: string;
    onselect: (id: string) => void;
  }
  let { steps, selected, onselect }: Props = $props();
  let list = $state<HTMLElement>();

  $effect(() => {
    list?.querySelector(`[data-step="${CSS.escape(selected)}"]`)?.scrollIntoView({ block: 'nearest' });
  });
  const people = (s: Schemas['PlanStep']) => (s.crew > 1 ? ' · two people' : '') + (s.cameraIn ? ' · camera in' : '');
</script>

<ol bind:this={list}>
  {#each steps as s (s.id)}
    <li>
      <button
        class="grid w-full grid-cols-[20px_minmax(0,1fr)_auto] items-start gap-x-2 rounded-md border-2 px-2 py-1.5 text-left {s.id ===
        selected
          ? 'border-primary bg-base-100'
          : 'hover:bg-base-300/60 border-transparent'}"
        aria-current={s.id === selected ? 'step' : undefined}
        data-step={s.id}
        data-done={s.isDone}
        onclick={() => onselect(s.id)}
      >
        <svg width="16" height="16" viewBox="0 0 16 16" class="mt-1" aria-hidden="true">
          {#if s.holdPoint}
            <rect
              x="3"
              y="3"
              width="10"
              height="10"
              transform="rotate(45 8 8)"
              class={s.isDone ? 'fill-holds stroke-holds' : 'stroke-tight fill-none'}
              stroke-width="2"
            />
          {:else}
            <rect
              x="1.5"
              y="1.5"
              width="13"
              height="13"
              rx="2"
              class={s.isDone
                ? 'fill-holds stroke-holds'
                : s.isOutdated
                  ? 'stroke-tight fill-none'
                  : 'stroke-base-content fill-none'}
              stroke-width="2"
            />
          {/if}
          {#if s.isOutdated}<path
              d="M4 12 12 4M4 7 7 4M9 12 12 9"
              class="stroke-tight fill-none"
              stroke-width="1.5"
            />{/if}
          {#if s.isDone}<path d="M4.5 8.5 7 11l4.5-5.5" class="stroke-base-100 fill-none" stroke-width="1.8" />{/if}
        </svg>
        <span class="min-w-0">
          <span class="block text-xs {s.holdPoint ? 'word-tight font-semibold' : 'text-quiet'}"
            >{s.isDone ? 'done · ' : s.isOutdated ? 'made otherwise · ' : ''}{s.holdPoint
              ? 'hold point · '
              : ''}{s.called}{people(s)}</span
          >
          <span class="block leading-snug font-semibold">{fill(s.title)}</span>
        </span>
        <span class="text-quiet pt-px text-right text-xs whitespace-nowrap">
          {spell(s.minutes)}{#if s.wait}<span class="word-tight block">+ {spell(s.wait / 60)}</span>{/if}
        </span>
      </button>
    </li>
  {/each}
</ol>

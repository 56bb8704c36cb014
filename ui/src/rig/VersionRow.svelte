<script lang="ts">
  import { moment } from '../parts/dates';
  import { fill, quantity, words } from '../parts/quantity';
  import type { Version } from './versions';

  interface Props {
    version: Version;
    current: boolean;
    onname: (name: string) => void;
    onrestore: () => void;
  }
  let { version: v, current, onname, onrestore }: Props = $props();
</script>

<li class="border-rule border-b border-dotted py-1.5" data-version={v.number}>
  <div class="flex items-baseline justify-between gap-2">
    <span>
      <b>v{v.number}</b>
      <span class="text-quiet text-xs">{moment(v.savedAt)}</span>
    </span>
    {#if v.verdict}
      <span class="word-{v.verdict} text-sm font-semibold">
        {words[v.verdict]}{v.limitSpeed == null ? '' : ` · ${quantity(v.limitSpeed, 'speed')}`}
      </span>
    {:else}<span class="text-quiet text-sm">{v.judged ? 'cannot be read' : 'being worked out'}</span>{/if}
  </div>
  {#if v.changed.length}
    <p class="text-xs leading-snug">
      {v.changed
        .slice(0, 3)
        .map((c) => fill(c))
        .join(' · ')}{v.changed.length > 3 ? ` · and ${v.changed.length - 3} more` : ''}
    </p>
  {/if}
  <div class="mt-1 flex gap-1">
    <input
      class="input border-rule bg-base-100 h-7 min-w-0 flex-1 px-2 text-sm"
      placeholder="name this version"
      aria-label="Name of version {v.number}"
      value={v.name ?? ''}
      maxlength="120"
      onchange={(e) => onname(e.currentTarget.value)}
    />
    {#if !current}
      <button class="btn btn-xs border-rule h-7" onclick={onrestore}
        >Go back to it<span class="sr-only">, version {v.number}</span></button
      >
    {:else}
      <span class="text-quiet self-center px-1 text-xs">now</span>
    {/if}
  </div>
</li>

<script lang="ts">
  import { capital, fill } from './quantity';

  interface Props {
    label: string;
    hint?: string;
    value: string;
    choices: readonly { id: string; label: string }[];
    onchange: (id: string) => void;
    /** A small button beside the label. */
    action?: string;
    onaction?: () => void;
  }
  let { label, hint = '', value, choices, onchange, action = '', onaction }: Props = $props();
  const id = $props.id();
</script>

<div class="border-rule relative border-b border-dotted py-1.5">
  <label for={id} class="block leading-tight {action ? 'pr-24' : ''}">
    {label}
    {#if hint}<span class="text-quiet text-xs"> · {fill(hint)}</span>{/if}
  </label>
  {#if action}
    <button
      class="link text-quiet absolute top-0.5 right-0 min-h-6 text-xs"
      aria-label="{action} {label}"
      onclick={onaction}
    >
      {action}
    </button>
  {/if}
  <select
    {id}
    class="select border-rule bg-base-100 mt-1 h-7 w-full px-2 font-semibold"
    {value}
    onchange={(e) => onchange(e.currentTarget.value)}
  >
    {#each choices as c (c.id)}<option value={c.id}>{capital(c.label)}</option>{/each}
  </select>
</div>

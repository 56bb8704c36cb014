<script lang="ts">
  import { capital, fill } from './quantity';

  interface Props {
    label: string;
    hint?: string;
    value: string;
    choices: readonly { id: string; label: string }[];
    onchange: (id: string) => void;
  }
  let { label, hint = '', value, choices, onchange }: Props = $props();
  const id = $props.id();
</script>

<div class="border-rule border-b border-dotted py-1.5">
  <label for={id} class="block leading-tight">
    {label}
    {#if hint}<span class="text-quiet text-xs"> · {fill(hint)}</span>{/if}
  </label>
  <select
    {id}
    class="select border-rule bg-base-100 mt-1 h-7 w-full px-2 font-semibold"
    {value}
    onchange={(e) => onchange(e.currentTarget.value)}
  >
    {#each choices as c (c.id)}<option value={c.id}>{capital(c.label)}</option>{/each}
  </select>
</div>

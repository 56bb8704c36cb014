<script lang="ts">
  import type { Dimension } from '../api/client';
  import { fromUnit, inUnit, unitOf } from '../parts/quantity';

  interface Props {
    label: string;
    dimension: Dimension;
    /** SI; null while nothing that can be read stands there. */
    value: number | null;
    large?: boolean;
    oncommit?: () => void;
  }
  let { label, dimension, value = $bindable(), large = false, oncommit }: Props = $props();
  let text = $state('');
  let unit = $derived(unitOf(dimension));
  const id = $props.id();

  /** A number, with or without the unit that stands beside it. */
  function read(typed: string) {
    const plain = typed
      .trim()
      .replace(unit?.symbol ?? '', '')
      .trim()
      .replace(',', '.');
    const n = Number(plain);
    return plain === '' || !Number.isFinite(n) || n < 0 ? null : fromUnit(n, dimension);
  }
  let wrong = $derived(text.trim() !== '' && read(text) === null);

  // A value from elsewhere is written out; what is typed stays as typed.
  $effect(() => {
    if (value === null ? read(text) !== null : read(text) === null || Math.abs(read(text)! - value) > 1e-9 * value)
      text = value === null ? '' : inUnit(value, dimension).toFixed(unit?.digits ?? 1);
  });
</script>

<label for={id} class="flex items-center gap-2">
  <span class={large ? '' : 'text-sm'}>{label}</span>
  <span
    class="border-rule bg-base-100 flex items-baseline gap-1 rounded-md border px-2 {large
      ? 'h-12 text-2xl font-bold'
      : 'h-9 text-base'} {wrong ? 'border-lets-go' : ''}"
  >
    <input
      {id}
      class="{large ? 'w-24' : 'w-20'} bg-transparent text-right outline-none"
      inputmode="decimal"
      autocomplete="off"
      aria-invalid={wrong}
      value={text}
      oninput={(e) => ((text = e.currentTarget.value), (value = read(text)))}
      onkeydown={(e) => e.key === 'Enter' && value !== null && oncommit?.()}
    />
    <span class="text-quiet text-base font-normal">{unit?.symbol}</span>
  </span>
</label>

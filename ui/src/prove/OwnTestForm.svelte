<script lang="ts">
  import type { Schemas } from '../api/client';
  import { capital } from '../parts/quantity';
  import type { Logbook } from '../state/logbook.svelte';
  import ReadField from './ReadField.svelte';

  /** A test as people do them: a shove, a hung bag, a road. */
  let { tests, design, book }: { tests: readonly Schemas['OwnChoice'][]; design: string; book: Logbook } = $props();
  let test = $state<Schemas['OwnTest']>('two-hands');
  let choice = $derived(tests.find((t) => t.test === test)!);
  // A hand without a scale gives what hands give.
  // svelte-ignore state_referenced_locally
  let value = $state<number | null>(tests.find((t) => t.test === 'two-hands')?.usual ?? null);

  function choose(next: Schemas['OwnTest']) {
    test = next;
    value = tests.find((t) => t.test === next)?.usual ?? null;
  }
</script>

<div class="flex flex-wrap items-end gap-2">
  <label class="min-w-0 basis-full text-sm"
    >It was
    <select
      class="select border-rule bg-base-100 mt-0.5 w-full"
      value={test}
      onchange={(e) => choose(e.currentTarget.value as Schemas['OwnTest'])}
    >
      {#each tests as t (t.test)}<option value={t.test}>{capital(t.label)}</option>{/each}
    </select>
  </label>
  {#key test}
    <ReadField
      label={choice.reads === 'mass' ? 'vehicle' : choice.reads === 'speed' ? 'at' : 'with'}
      dimension={choice.reads}
      bind:value
    />
  {/key}
  <button
    class="btn btn-sm btn-primary h-9"
    disabled={value === null}
    onclick={() => book.add({ sort: 'own', of: 'own', test, value: value!, design })}>Enter it</button
  >
</div>

<script lang="ts">
  import type { Schemas } from '../api/client';
  import { day } from '../parts/dates';
  import { today } from '../state/document';

  /** When and with what a value was measured. */
  interface Props {
    taken: Schemas['Taken'] | null;
    onsaid: (said: { on?: string; how?: string }) => void;
  }
  let { taken, onsaid }: Props = $props();
  const id = $props.id();
</script>

<div class="text-quiet border-rule -mt-px flex items-center gap-2 border-b border-dotted pb-1.5 text-xs" data-taken>
  <span class="shrink-0">{taken ? `Yours, ${day(taken.on)}` : 'Yours, day not noted'}</span>
  <label class="sr-only" for="{id}-on">Day it was measured</label>
  <input
    id="{id}-on"
    type="date"
    class="border-rule bg-base-100 h-6 w-6 shrink-0 rounded-sm border px-1 [&::-webkit-datetime-edit]:hidden"
    max={today()}
    value={taken?.on ?? ''}
    onchange={(e) => e.currentTarget.value && onsaid({ on: e.currentTarget.value })}
  />
  <label class="sr-only" for="{id}-how">Measured with</label>
  <input
    id="{id}-how"
    class="border-rule bg-base-100 h-6 min-w-0 flex-1 rounded-sm border px-1.5"
    placeholder="with what"
    maxlength="100"
    value={taken?.how ?? ''}
    onchange={(e) => onsaid({ how: e.currentTarget.value.trim() })}
  />
</div>

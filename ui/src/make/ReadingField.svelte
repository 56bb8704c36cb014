<script lang="ts">
  import type { Schemas } from '../api/client';
  import QuantityField from '../parts/QuantityField.svelte';

  /** A value that is read off or said, as Core asks for it: its label, how to take it, its range. */
  interface Props {
    asked: Schemas['Reading'];
    /** What stands in the field while it is empty. */
    nothing?: string;
    onchange: (value: number | undefined, where: string) => void;
  }
  let { asked, nothing, onchange }: Props = $props();
</script>

<QuantityField
  label={asked.label}
  hint={asked.howTo}
  dimension={asked.dimension}
  minimum={asked.minimum}
  maximum={asked.maximum}
  usualFrom={asked.usualFrom}
  usualTo={asked.usualTo}
  value={asked.value}
  optional
  {nothing}
  where={asked.path}
  {onchange}
/>

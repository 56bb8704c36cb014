<script lang="ts">
  import { Tabs } from 'bits-ui';

  /** The tabs of a `Tabs.Root`, the one that is open filled. */
  let {
    label,
    names,
    open,
    class: own = '',
  }: { label: string; names: readonly string[]; open: string; class?: string } = $props();
</script>

<Tabs.List class="flex flex-wrap gap-1 {own}" aria-label={label}>
  {#each names as name (name)}
    <Tabs.Trigger value={name} class="btn btn-sm {name === open ? 'btn-primary' : 'btn-ghost border-rule'}"
      >{name}</Tabs.Trigger
    >
  {/each}
</Tabs.List>

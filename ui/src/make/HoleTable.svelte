<script lang="ts">
  import type { Schemas } from '../api/client';
  import { quantity } from '../parts/quantity';

  /** What is drilled and tapped, each layer a row. */
  let { holes }: { holes: readonly Schemas['HoleRow'][] } = $props();
</script>

<table class="w-full max-w-[46rem] text-sm" data-holes>
  <thead class="text-quiet text-xs">
    <tr>
      <th class="py-1 text-left font-normal">what</th>
      <th class="text-right font-normal">holes</th>
      <th class="pl-3 text-right font-normal">drill</th>
      <th class="pl-3 text-left font-normal">for</th>
      <th class="text-right font-normal">deep</th>
      <th class="text-right font-normal">to edge</th>
    </tr>
  </thead>
  <tbody>
    {#each holes as h, i (i)}
      <tr class="border-rule border-t border-dotted">
        <th class="py-1 text-left font-semibold"
          >{h.layer}<span class="text-quiet block text-xs font-normal">{h.title}</span></th
        >
        <td class="text-right align-top">{h.count}</td>
        <td class="pl-3 text-right align-top font-semibold whitespace-nowrap">{quantity(h.diameter, 'drill')}</td>
        <td class="pl-3 align-top"
          >{h.for}{#if h.countersink}<span class="block">countersunk {quantity(h.countersink, 'length')} deep</span
            >{/if}{#if h.recess}<span class="block"
              >recess {quantity(h.recessAcross, 'drill')} across, {quantity(h.recess, 'length')} deep</span
            >{/if}</td
        >
        <td class="text-right align-top whitespace-nowrap">{quantity(h.depth, 'length')}</td>
        <td class="text-right align-top whitespace-nowrap">{h.edge == null ? '' : quantity(h.edge, 'length')}</td>
      </tr>
    {/each}
  </tbody>
</table>

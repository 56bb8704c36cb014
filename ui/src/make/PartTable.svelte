<script lang="ts">
  import type { Schemas } from '../api/client';
  import { fill, price, quantity } from '../parts/quantity';

  /** Everything there is to buy, cut and bring, by where one finds it. */
  let { report }: { report: Schemas['MakeReport'] } = $props();

  const how = { bought: '', cut: 'cut', sheet: 'cut from sheet', own: 'your own' } as const;
  let groups = $derived(report.aisles.map((a) => ({ ...a, lines: report.parts.filter((p) => p.aisle === a.aisle) })));
</script>

<table class="w-full max-w-[46rem] text-sm" data-parts>
  <thead class="text-quiet text-xs">
    <tr>
      <th class="py-1 text-left font-normal">part</th>
      <th class="text-right font-normal">pieces</th>
      <th class="pl-4 text-right font-normal">mass</th>
      <th class="pl-4 text-right font-normal">price</th>
    </tr>
  </thead>
  {#each groups as g (g.aisle)}
    <tbody>
      <tr
        ><th colspan="2" class="pt-3 text-left">{g.label}</th><td></td><td class="pt-3 text-right font-semibold"
          >{price(g.cost)}</td
        ></tr
      >
      {#each g.lines as p (p.id)}
        <tr class="border-rule border-t border-dotted">
          <td class="py-0.5"
            >{fill(p.name)}{#if how[p.sort]}<span class="text-quiet text-xs">, {how[p.sort]}</span>{/if}</td
          >
          <td class="text-right">{p.quantity}</td>
          <td class="pl-4 text-right whitespace-nowrap">{quantity(p.mass, 'mass')}</td>
          <td class="pl-4 text-right whitespace-nowrap">{p.cost ? price(p.cost) : '–'}</td>
        </tr>
      {/each}
    </tbody>
  {/each}
  <tfoot class="border-base-content border-t-2">
    <tr class="font-semibold"
      ><th class="py-1 text-left" colspan="2">All of it, as used</th><td class="pl-4 text-right whitespace-nowrap"
        >{quantity(report.mass, 'mass')}</td
      ><td class="pl-4 text-right whitespace-nowrap">{price(report.cost)}</td></tr
    >
    <tr
      ><th class="py-1 text-left font-normal" colspan="3">Out of pocket, bars bought whole and nothing in the drawer</th
      ><td class="pl-4 text-right font-semibold whitespace-nowrap">{price(report.pay)}</td></tr
    >
  </tfoot>
</table>

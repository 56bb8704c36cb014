<script lang="ts">
  import type { Schemas } from '../api/client';
  import { fill, price, quantity } from '../parts/quantity';
  import { getSession } from '../state/session.svelte';
  import { sayAsked, sayLine } from './bench';
  import NumberCell from './NumberCell.svelte';
  import ReadingField from './ReadingField.svelte';

  /** Everything there is to buy, cut and bring, by where one finds it; what it costs by what lies in the drawer. */
  let { report }: { report: Schemas['MakeReport'] } = $props();
  const session = getSession();

  const how = { bought: '', cut: 'cut', sheet: 'cut from sheet', own: 'your own', caught: '' } as const;
  let groups = $derived(report.aisles.map((a) => ({ ...a, lines: report.parts.filter((p) => p.aisle === a.aisle) })));
  let [pack, priced, had] = $derived([report.lineAsks[0]!, report.lineAsks[1]!, report.lineAsks[2]!]);
  let bars = $derived(report.cuts.reduce((sum, c) => sum + (c.plan.cost ?? 0), 0));
  let instead = $derived(report.instead.filter((i) => i.value != null));
</script>

<table class="w-full max-w-[52rem] text-sm" data-parts>
  <thead class="text-quiet text-xs">
    <tr>
      <th class="py-1 text-left font-normal">part</th>
      <th class="text-right font-normal">pieces</th>
      <th class="pl-3 text-right font-normal max-sm:hidden">mass</th>
      <th class="pl-3 text-left font-normal">where it is</th>
      <th class="pl-3 text-right font-normal max-sm:hidden">sold by</th>
      <th class="pl-2 text-right font-normal max-sm:hidden">price</th>
      <th class="pl-3 text-right font-normal">to pay</th>
    </tr>
  </thead>
  {#each groups as g (g.aisle)}
    <tbody>
      <tr><th colspan="7" class="pt-3 text-left">{g.label}</th></tr>
      {#each g.lines as p (p.key)}
        <tr class="border-rule border-t border-dotted" data-part={p.key}>
          <td class="py-1"
            >{fill(p.name)}{#if how[p.sort]}<span class="text-quiet text-xs">, {how[p.sort]}</span>{/if}</td
          >
          <td class="text-right">{p.quantity}</td>
          <td class="pl-3 text-right whitespace-nowrap max-sm:hidden">{quantity(p.mass, 'mass')}</td>
          <td class="pl-3">
            {#if p.sort !== 'own'}
              <select
                class="select select-xs border-rule w-28 {p.is === 'to-buy' ? '' : 'font-semibold'}"
                aria-label="Where {fill(p.name)} is"
                value={p.is}
                onchange={(e) => sayLine(session, p.key, { is: e.currentTarget.value as Schemas['PartIs'] })}
              >
                {#each report.whereabouts as w (w.id)}<option value={w.id}>{w.label}</option>{/each}
              </select>
              {#if p.quantity > 1 && (p.is === 'in-drawer' || p.is === 'donor')}
                <span class="ml-1 inline-flex items-center gap-1 whitespace-nowrap">
                  <NumberCell
                    label="{fill(p.name)}: how many of them"
                    value={p.have}
                    asked={had}
                    whole
                    onsaid={(said) => sayLine(session, p.key, { have: said })}
                  />
                  of {p.quantity}
                </span>
              {/if}
            {/if}
          </td>
          <td class="pl-3 text-right max-sm:hidden">
            {#if !p.byTheBar && p.sort !== 'own'}
              <NumberCell
                label="{fill(p.name)}: sold by how many"
                value={p.pack}
                empty={p.pack === 1}
                asked={pack}
                whole
                onsaid={(said) => sayLine(session, p.key, { pack: said })}
              />
            {/if}
          </td>
          <td class="pl-2 text-right whitespace-nowrap max-sm:hidden">
            {#if p.byTheBar}
              <span class="text-quiet">by the bar</span>
            {:else if p.sort !== 'own'}
              <NumberCell
                label="{fill(p.name)}: price {p.pack > 1 ? 'of a pack' : 'of one'}"
                value={p.price}
                asked={priced}
                own={p.ownPrice}
                onsaid={(said) => sayLine(session, p.key, { price: said })}
              />
            {/if}
          </td>
          <td class="pl-3 text-right whitespace-nowrap">{p.pay ? price(p.pay) : '–'}</td>
        </tr>
      {/each}
    </tbody>
  {/each}
  {#if bars}
    <tbody>
      <tr class="border-rule border-t"
        ><th class="py-1 text-left font-normal" colspan="2">Bars and tubes, bought whole: see Cuts</th><td
          class="max-sm:hidden"
        ></td><td></td><td class="max-sm:hidden" colspan="2"></td><td class="pl-3 text-right whitespace-nowrap"
          >{price(bars)}</td
        ></tr
      >
    </tbody>
  {/if}
  <tfoot class="border-base-content border-t-2">
    <tr class="font-semibold"
      ><th class="py-1 text-left" colspan="2">Out of pocket</th><td
        class="pl-3 text-right whitespace-nowrap max-sm:hidden">{quantity(report.mass, 'mass')}</td
      ><td></td><td class="max-sm:hidden" colspan="2"></td><td class="pl-3 text-right whitespace-nowrap" data-pay
        >{price(report.pay)}</td
      ></tr
    >
    {#if report.toBuy < report.pay - 0.005}
      <tr
        ><th class="text-left font-normal" colspan="2">of that still to be bought</th><td class="max-sm:hidden"></td><td
        ></td><td class="max-sm:hidden" colspan="2"></td><td class="pl-3 text-right whitespace-nowrap" data-to-buy
          >{price(report.toBuy)}</td
        ></tr
      >
    {/if}
    <tr
      ><th class="text-left font-normal" colspan="2">used of it: no drawer, no rest of a pack or bar counted</th><td
        class="max-sm:hidden"
      ></td><td></td><td class="max-sm:hidden" colspan="2"></td><td class="pl-3 text-right whitespace-nowrap"
        >{price(report.cost)}</td
      ></tr
    >
    {#each instead as i (i.path)}
      <tr
        ><th class="text-left font-normal" colspan="2"
          >{i.label}: {price(i.value!)}, {i.value! >= report.pay ? 'more than this by' : 'less than this by'}</th
        ><td class="max-sm:hidden"></td><td></td><td class="max-sm:hidden" colspan="2"></td><td
          class="pl-3 text-right font-semibold whitespace-nowrap"
          data-instead>{price(Math.abs(i.value! - report.pay))}</td
        ></tr
      >
    {/each}
  </tfoot>
</table>
<div class="mt-4 max-w-[34rem]">
  {#each report.instead as i (i.path)}
    <ReadingField asked={i} nothing="not asked" onchange={(v, where) => sayAsked(session, where, v)} />
  {/each}
</div>

<script lang="ts">
  import type { Schemas } from '../api/client';
  import { number, percent, quantity } from './quantity';

  let {
    working,
    use,
    loads = [],
  }: { working: Schemas['Working']; use: number; loads?: readonly Schemas['LoadShare'][] } = $props();

  /** The formula cut at its symbols, so that it can be printed with letters and with numbers. */
  let pieces = $derived(
    working.formula.split(/\{([^}]+)\}/).map((text, i) => ({
      text,
      term: i % 2 ? working.terms.find((t) => t.symbol === text) : undefined,
    })),
  );
</script>

<div class="bg-base-300 mt-1 rounded-md p-2.5 text-sm leading-relaxed" data-working>
  <p>
    {#each pieces as p, i (i)}{#if i % 2}<i class="font-semibold">{p.text}</i>{:else}{p.text}{/if}{/each}
  </p>
  <p>
    = {#each pieces as p, i (i)}{#if p.term}<b
          >{p.term.dimension === 'factor'
            ? number(p.term.value, 'factor')
            : quantity(p.term.value, p.term.dimension)}</b
        >{:else}{p.text}{/if}{/each}
    = <b>{percent(use)}</b>
  </p>
  <dl class="mt-1.5 grid grid-cols-[auto_1fr_auto] gap-x-2 text-xs">
    {#each working.terms as t (t.symbol)}
      <dt class="font-semibold italic">{t.symbol}</dt>
      <dd>
        {t.name}{#if t.source}<span class="text-quiet block">{t.source}</span>{/if}
      </dd>
      <dd class="text-right font-semibold whitespace-nowrap">{quantity(t.value, t.dimension)}</dd>
    {/each}
  </dl>
  {#if loads.length}
    <table class="mt-1.5 w-full text-xs tabular-nums">
      <caption class="text-quiet text-left">What loads it in this case</caption>
      <thead class="sr-only"><tr><th>from</th><th>force</th><th>moment</th></tr></thead>
      <tbody>
        {#each loads as l (l.label)}
          <tr>
            <th class="text-left font-normal">{l.label}</th>
            <td class="text-right">{quantity(l.force, 'force')}</td>
            <td class="text-right">{quantity(l.moment, 'torque')}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
  <p class="text-quiet mt-1.5 text-xs">Method: {working.method}.</p>
  {#if working.notCovered}<p class="text-quiet text-xs">Not covered: {working.notCovered}</p>{/if}
</div>

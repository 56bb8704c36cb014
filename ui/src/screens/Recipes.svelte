<script lang="ts">
  import { Tabs } from 'bits-ui';
  import type { RigDocument, Schemas } from '../api/client';
  import FigureCard from '../figure/FigureCard.svelte';
  import Dialog from '../parts/Dialog.svelte';
  import TabRow from '../parts/TabRow.svelte';
  import { quantity } from '../parts/quantity';
  import { verdictRest, verdictWord } from '../parts/verdict';
  import { catalogue } from '../state/catalogue.svelte';

  interface Props {
    recipes: readonly { recipe: Schemas['Recipe']; card: Schemas['RigCard'] | null }[];
    /** The group that is looked at; the first where none is chosen yet. */
    group: string;
    onpick: (document: RigDocument) => void;
    onclose: () => void;
  }
  let { recipes, group = $bindable(), onpick, onclose }: Props = $props();

  let groups = $derived([...new Set(recipes.map((r) => r.recipe.group))]);
  /** None while the recipes are on their way. */
  let open = $derived(group || (groups[0] ?? ''));
  let shown = $derived(recipes.filter((r) => r.recipe.group === open));
</script>

<Dialog title="Start from a recipe" {onclose} wide>
  <p class="text-quiet text-sm">
    A recipe is a whole rig with sensible measurements. Take the nearest one, then measure and change it.
  </p>
  <Tabs.Root bind:value={() => open, (g) => (group = g)}>
    <TabRow label="Hosts" names={groups} {open} class="my-2" />
    <Tabs.Content value={open} tabindex={-1}>
      <ul class="grid gap-2 sm:grid-cols-2">
        {#each shown as { recipe, card } (recipe.id)}
          <li>
            <button
              class="border-rule hover:border-base-content grid h-full w-full grid-cols-[7rem_1fr] gap-2 rounded-md border p-2 text-left"
              data-recipe={recipe.id}
              onclick={() => onpick(recipe.document)}
            >
              <span class="bg-base-200 h-24 rounded-sm">
                {#if card}<FigureCard hostId={recipe.document.host} figure={card.figure} aspect={1.17} />{/if}
              </span>
              <span class="min-w-0 text-xs leading-snug">
                <b class="block text-base leading-tight">{recipe.name}</b>
                <!-- As many lines before the answer as after it: nothing moves away under a finger. -->
                <span class="block min-h-[2lh] text-sm">
                  {#if card}
                    <b class="word-{card.verdict.word}">{verdictWord(card.verdict)}</b>{verdictRest(
                      card.verdict,
                      recipe.document.host,
                    )} ·
                  {:else}
                    <span class="text-quiet">Being worked out</span> ·
                  {/if}
                  {recipe.minutes} min{#if card}&nbsp;·
                    <span class="whitespace-nowrap">{quantity(card.cost, 'money')}</span>{/if}
                </span>
                <span class="block"><b>Good:</b> {recipe.good}</span>
                <span class="block"><b>Bad:</b> {recipe.bad}</span>
                <span class="text-quiet block"><b>Measure:</b> {recipe.measure.join('; ')}.</span>
                <span class="text-quiet block"
                  >{catalogue.name(recipe.document.host)?.name}, {recipe.document.site.name.toLowerCase()}</span
                >
              </span>
            </button>
          </li>
        {:else}<li class="text-quiet" aria-busy="true">Fetching the recipes …</li>{/each}
      </ul>
    </Tabs.Content>
  </Tabs.Root>
</Dialog>

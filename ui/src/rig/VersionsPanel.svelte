<script lang="ts">
  import { onDestroy } from 'svelte';
  import { api, ApiError, ask } from '../api/client';
  import { moment } from '../parts/dates';
  import VersionRow from './VersionRow.svelte';
  import { fold, type Version } from './versions';
  import { focusOn } from '../state/focus';
  import { getSession } from '../state/session.svelte';

  const session = getSession();
  let versions = $state.raw<Version[] | null>(null);
  let again: ReturnType<typeof setTimeout> | undefined;
  onDestroy(() => clearTimeout(again));
  let problem = $state('');

  async function load() {
    try {
      versions = await ask(api.GET('/api/rigs/{id}/versions', { params: { path: { id: session.id } } }));
      problem = '';
      clearTimeout(again);
      if (versions.some((v) => !v.judged)) again = setTimeout(load, 200);
    } catch (e) {
      problem = e instanceof ApiError ? e.message : 'The versions could not be read.';
    }
  }

  async function name(number: number, text: string) {
    try {
      await ask(
        api.PUT('/api/rigs/{id}/versions/{number}/name', {
          params: { path: { id: session.id, number } },
          body: { name: text },
        }),
      );
      await load();
    } catch (e) {
      problem = e instanceof ApiError ? e.message : 'The name was not kept.';
    }
  }

  async function restore(number: number) {
    await session.restore(number);
    const made = session.saving.version;
    focusOn(`[data-version="${made}"] input`);
  }

  $effect(() => {
    void session.saving.version;
    void load();
  });
</script>

<h2 class="text-lg">Versions</h2>
<p class="text-quiet mt-0.5 text-sm">
  Every save is one, with what changed in it. Name those you want to find again; going back makes a new version.
</p>
{#if problem}<p class="text-lets-go text-sm" role="alert">{problem}</p>{/if}
{#if !versions}
  <p class="text-quiet mt-2 text-sm" aria-busy="true">Reading …</p>
{:else}
  <ul class="mt-2">
    {#each fold(versions) as line ('version' in line ? line.version.number : `to ${line.folded.at(-1)!.number}`)}
      {#if 'version' in line}
        {@render row(line.version)}
      {:else}
        <li class="border-rule border-b border-dotted">
          <details>
            <summary class="text-quiet hover:text-base-content cursor-pointer py-1.5 text-sm">
              {line.folded.length} unnamed versions, back to {moment(line.folded.at(-1)!.savedAt)}
            </summary>
            <ul class="border-rule ml-1 border-l-2 pl-2">
              {#each line.folded as v (v.number)}{@render row(v)}{/each}
            </ul>
          </details>
        </li>
      {/if}
    {/each}
  </ul>
{/if}

{#snippet row(v: Version)}
  <VersionRow
    version={v}
    current={v.number === session.saving.version}
    onname={(text) => name(v.number, text)}
    onrestore={() => restore(v.number)}
  />
{/snippet}

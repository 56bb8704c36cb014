<script lang="ts">
  import { api, ApiError, ask, type Schemas } from '../api/client';
  import { quantity, words } from '../parts/quantity';
  import type { RigSession } from '../state/session.svelte';

  let { session }: { session: RigSession } = $props();
  let versions = $state.raw<Schemas['VersionSummary'][] | null>(null);
  let problem = $state('');

  async function load() {
    try {
      versions = await ask(api.GET('/api/rigs/{id}/versions', { params: { path: { id: session.id } } }));
      problem = '';
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

  $effect(() => {
    void session.version;
    void load();
  });
</script>

<h2 class="text-lg">Versions</h2>
<p class="text-quiet mt-0.5 text-sm">
  Every save is one. Name those you want to find again; going back makes a new version.
</p>
{#if problem}<p class="text-lets-go text-sm" role="alert">{problem}</p>{/if}
{#if !versions}
  <p class="text-quiet mt-2 text-sm" aria-busy="true">Reading …</p>
{:else}
  <ul class="mt-2">
    {#each versions as v (v.number)}
      <li class="border-rule border-b border-dotted py-1.5">
        <div class="flex items-center justify-between gap-2">
          <span>
            <b>v{v.number}</b>
            <span class="text-quiet text-xs">{new Date(v.savedAt + 'Z').toLocaleString()}</span>
          </span>
          {#if v.verdict}
            <span class="word-{v.verdict} text-sm font-semibold">
              {words[v.verdict]}{v.limitSpeed == null ? '' : ` · ${quantity(v.limitSpeed, 'speed')}`}
            </span>
          {:else}<span class="text-quiet text-sm">cannot be read</span>{/if}
        </div>
        <div class="mt-1 flex gap-1">
          <input
            class="input border-rule bg-base-100 h-7 min-w-0 flex-1 px-2 text-sm"
            placeholder="name this version"
            aria-label="Name of version {v.number}"
            value={v.name ?? ''}
            maxlength="120"
            onchange={(e) => name(v.number, e.currentTarget.value)}
          />
          {#if v.number !== session.version}
            <button class="btn btn-xs border-rule h-7" onclick={() => session.restore(v.number)}>Go back to it</button>
          {:else}
            <span class="text-quiet self-center px-1 text-xs">now</span>
          {/if}
        </div>
      </li>
    {/each}
  </ul>
{/if}

<script lang="ts">
  import { api, ApiError, ask, type Schemas } from '../api/client';
  import Dialog from '../parts/Dialog.svelte';

  /** What was binned: brought back one by one, or gone for good. */
  let { onclose, onchanged }: { onclose: () => void; onchanged: () => void } = $props();
  let rigs = $state.raw<Schemas['BinnedRig'][] | null>(null);
  let problem = $state('');
  let sure = $state(false);

  async function guard(work: () => Promise<unknown>) {
    try {
      problem = '';
      await work();
      rigs = await ask(api.GET('/api/bin'));
    } catch (e) {
      problem = e instanceof ApiError ? e.message : 'That did not work.';
    }
  }
  void guard(async () => {});

  const bringBack = (rig: Schemas['BinnedRig']) =>
    guard(async () => {
      await ask(
        api.POST('/api/rigs/{id}/undelete', {
          params: { path: { id: rig.id } },
          headers: { 'If-Match': `"${rig.version}"` },
        }),
      );
      onchanged();
    });

  const empty = () =>
    guard(async () => {
      await ask(api.DELETE('/api/bin'));
      sure = false;
      onchanged();
    });
</script>

<Dialog title="Bin" {onclose}>
  {#if problem}<p class="text-lets-go mb-2" role="alert">{problem}</p>{/if}
  {#if !rigs}
    {#if !problem}<p class="text-quiet" aria-busy="true">Looking …</p>{/if}
  {:else if rigs.length === 0}
    <p class="text-quiet">It is empty.</p>
  {:else}
    <ul>
      {#each rigs as rig (rig.id)}
        <li class="border-rule flex items-center gap-3 border-b border-dotted py-1.5" data-binned={rig.id}>
          <span class="min-w-0 flex-1 leading-tight">
            <b>{rig.name}</b>
            <span class="text-quiet block text-xs">{rig.filmName} · v{rig.version}</span>
          </span>
          <button class="btn btn-sm border-rule" onclick={() => bringBack(rig)}
            >Bring back<span class="sr-only"> {rig.name}</span></button
          >
        </li>
      {/each}
    </ul>
    <p class="mt-4 flex items-center gap-2">
      {#if sure}
        <b class="flex-1"
          >{rigs.length === 1 ? 'This rig' : `These ${rigs.length} rigs`} and all versions go for good.</b
        >
        <button class="btn btn-sm btn-primary" onclick={empty}>Yes, empty it</button>
        <button class="btn btn-sm btn-ghost" onclick={() => (sure = false)}>Leave them</button>
      {:else}
        <button class="btn btn-sm border-rule ml-auto" onclick={() => (sure = true)}>Empty the bin</button>
      {/if}
    </p>
  {/if}
</Dialog>

<script lang="ts">
  import { getSession } from '../state/session.svelte';

  /** What stands in the way of an answer or a save, on whatever screen of the rig. */
  const session = getSession();
</script>

<div
  class="pointer-events-none fixed inset-x-0 bottom-40 z-10 grid place-items-center px-8 *:pointer-events-auto *:max-w-3xl"
>
  {#if session.saving.state === 'conflict'}
    <div class="bg-base-100 border-lets-go rounded-md border-2 p-3" role="alert">
      <b>This rig was changed in another window.</b> Your change is still here.
      <button class="btn btn-xs btn-primary ml-2" onclick={() => session.saving.keepMine()}
        >Save mine as the newest</button
      >
      <button class="btn btn-xs ml-1" onclick={() => session.takeTheirs()}>Take the other</button>
    </div>
  {:else if session.saving.unsaved ?? session.answers.problem}
    {@const trouble = (session.saving.unsaved ?? session.answers.problem)!}
    <div class="bg-base-100 rounded-md border-2 p-3 {trouble.again ? 'border-tight' : 'border-lets-go'}" role="alert">
      <b
        >{session.saving.unsaved
          ? 'Your change is not saved.'
          : trouble.again
            ? 'No answer from the server.'
            : 'This change cannot be used.'}</b
      >
      {trouble.text}
      {#if trouble.again}It is kept here and tried again by itself.{:else}<button
          class="btn btn-xs ml-2"
          onclick={() => session.undo()}>Undo it</button
        >{/if}
    </div>
  {/if}
</div>

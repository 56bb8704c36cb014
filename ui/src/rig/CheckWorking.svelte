<script lang="ts">
  import { api, ask, type Schemas } from '../api/client';
  import Working from '../parts/Working.svelte';
  import { Late } from '../state/late.svelte';
  import { getSession } from '../state/session.svelte';

  const session = getSession();
  let { check }: { check: string } = $props();
  const answer = new Late<Schemas['CheckWorking']>('This working could not be computed.');

  // Asked for when it is opened, and again for what the rig has become.
  $effect(() => {
    const [body, query] = [session.doc, { check }];
    return answer.ask(
      body,
      120,
      (signal) => ask(api.POST('/api/assess/working', { body, params: { query }, signal })),
      0,
    );
  });
</script>

{#if answer.problem}
  <p class="text-sm" role="alert">{answer.problem}</p>
{:else if answer.value}
  <div aria-busy={answer.of !== session.doc} class:opacity-60={answer.of !== session.doc}>
    <Working working={answer.value.working} use={answer.value.use} loads={answer.value.loads} />
  </div>
{:else}
  <p class="text-quiet text-sm" aria-busy="true">Working it out …</p>
{/if}

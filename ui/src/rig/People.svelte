<script lang="ts">
  import type { Schemas } from '../api/client';
  import { capital, quantity } from '../parts/quantity';
  import { catalogue } from '../state/catalogue.svelte';
  import { pathOf } from '../state/document';
  import { getSession } from '../state/session.svelte';

  interface Props {
    /** The camera's place in the document. */
    path: string;
    camera: Schemas['CameraChoice'];
  }
  const session = getSession();
  let { path, camera }: Props = $props();
  let figure = $derived(session.report!.figure);
  let people = $derived((pathOf(session.doc, path) === 0 ? figure.people : figure.secondPeople) ?? []);

  /** The camera turned to somebody, who is its subject from then on. */
  const film = (who: Schemas['PersonSeen']) =>
    session.setPath(path, { ...camera, pan: who.pan, tilt: who.tilt, who: who.id, subject: undefined }, 'who');
  const far = () => session.setPath(path, { ...camera, who: undefined }, 'who');
  /** A camera cannot look further up or down than its field goes. */
  let steepest = $derived(catalogue.kind('camera', 'camera')?.fields.find((f) => f.name === 'tilt')?.maximum ?? 0);
</script>

{#if people.length}
  <h3 class="mt-3">Who is on it</h3>
  <ul class="text-sm" data-people>
    {#each people as p (p.id)}
      <li class="border-rule flex items-center justify-between gap-2 border-b border-dotted py-1" data-person={p.id}>
        <span>
          <b class="font-semibold">{capital(p.name.replace(/^the /, ''))}</b>
          {#if camera.who === p.id}<b class="text-accent text-xs">the subject</b>{/if}
          <span class="text-quiet block text-xs"
            >{quantity(p.distance, 'length')} away, {p.seen ? 'in the picture' : 'not in the picture'}</span
          >
        </span>
        {#if camera.who === p.id}
          <button class="btn btn-xs" onclick={far}>Far away instead</button>
        {:else if Math.abs(p.tilt) <= steepest}
          <button class="btn btn-xs" onclick={() => film(p)}>Film {p.name}</button>
        {/if}
      </li>
    {/each}
  </ul>
  <p class="text-quiet mt-1 text-xs">
    Who is filmed stays as near as they are: a near subject sees the camera move. A distance you measured beats it.
  </p>
{/if}

<script lang="ts">
  import { ApiError, type RigDocument } from '../api/client';
  import Dialog from '../parts/Dialog.svelte';
  import type { OwnRow } from '../state/document';
  import { shelf } from '../state/shelf.svelte';
  import { RowDraft } from './editing.svelte';
  import RowForm from './RowForm.svelte';

  /** A row of one's own, made on the way from what is chosen. */
  interface Props {
    list: string;
    /** Id of the row it starts as. */
    from: string;
    /** Own rows that the rig carries. */
    carried: RigDocument['stock'];
    onmade: (id: string) => void;
    onclose: () => void;
  }
  let { list, from, carried, onmade, onclose }: Props = $props();
  let draft = $state.raw<RowDraft | null>(null);
  let problem = $state('');
  let fields = $derived(shelf.list(list)?.fields ?? []);

  async function open() {
    try {
      await shelf.load();
      const own = shelf.own.find((r) => r.list === list && r.id === from);
      const brought = ((carried ?? {}) as Record<string, OwnRow[]>)[list]?.find((r) => r.id === from);
      const shipped = (shelf.list(list)?.rows as OwnRow[] | undefined)?.find((r) => r.id === from);
      const row = (own?.row as OwnRow | undefined) ?? brought ?? shipped;
      if (row) draft = RowDraft.from(list, row);
      else problem = 'The row is not on the shelf.';
    } catch (e) {
      problem = e instanceof ApiError ? e.message : 'The shelf could not be opened.';
    }
  }
  void open();

  async function save() {
    const id = await draft!.save();
    if (id === null) return;
    onmade(id);
    onclose();
  }
</script>

<Dialog title="Your own {shelf.list(list)?.one ?? ''}" {onclose} wide>
  {#if problem}
    <p class="text-lets-go" role="alert">{problem}</p>
  {:else if !draft}
    <p class="text-quiet" aria-busy="true">Opening the shelf …</p>
  {:else}
    <p class="text-quiet mb-2 text-sm">
      It starts as a copy. Change what you measured; it goes on your shelf, into this rig, and along with its file.
    </p>
    <RowForm
      {fields}
      wide
      row={draft.row}
      onchange={(row) => (draft!.row = row)}
      onasks={(name, asks) => draft!.asks(name, asks)}
    />
    {#if draft.problem}<p class="text-lets-go mt-2" role="alert">{draft.problem}</p>{/if}
    <p class="mt-4 flex justify-end">
      <button class="btn btn-sm btn-primary" disabled={draft.busy} onclick={save}>Put it on the shelf and use it</button
      >
    </p>
  {/if}
</Dialog>

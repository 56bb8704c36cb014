<script lang="ts">
  import type { Schemas } from '../api/client';

  let { rig, onremove }: { rig: Schemas['UnreadableRig']; onremove: () => void } = $props();
</script>

<li class="border-lets-go bg-base-100 rounded-md border-2 border-dashed p-3" data-unreadable={rig.id}>
  <h3 class="leading-tight">{rig.name}</h3>
  <p class="word-lets-go mt-1 text-lg leading-tight font-bold">Cannot be read</p>
  <p class="text-sm">
    {rig.path ? `${rig.path}: ` : ''}{rig.reason}. Nothing of it is lost: save it as a file, mend it there, and open
    that.
  </p>
  <p class="mt-2 flex gap-1">
    <a class="btn btn-xs border-rule" href="/api/rigs/{rig.id}/file" download>
      Save as file<span class="sr-only">: {rig.name}</span>
    </a>
    <button class="btn btn-xs btn-ghost ml-auto" onclick={onremove}
      >Bin it<span class="sr-only"> {rig.name}</span></button
    >
  </p>
</li>

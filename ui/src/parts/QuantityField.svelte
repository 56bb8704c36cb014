<script lang="ts">
  import { onDestroy, onMount } from 'svelte';
  import { api, ask, ApiError, type Dimension } from '../api/client';
  import { notices } from '../state/notices.svelte';
  import { settings } from '../state/settings.svelte';
  import { leave, placeOf, takeUp } from '../state/unanswered';
  import { underWay } from './pending';
  import { fill, fromUnit, inUnit, quantity, stepOf } from './quantity';

  interface Props {
    label: string;
    /** Its letter in the drawing of where to measure. */
    letter?: string;
    hint?: string;
    value: number | null | undefined;
    dimension: Dimension;
    minimum: number;
    maximum: number;
    /** Smaller values are asked about before they are taken. */
    usualFrom?: number | null;
    /** Larger values are asked about before they are taken. */
    usualTo?: number | null;
    /** May be emptied: the catalogue's value is used then. */
    optional?: boolean;
    /** What stands in the field while it is empty. */
    nothing?: string;
    /** What the value belongs to, handed back with it: another part may be selected by the time that it is understood. */
    where?: string;
    onchange: (value: number | undefined, where: string) => void;
    /** Told when it asks or refuses what was typed, and when it does so no longer. */
    onasks?: (asks: boolean, where: string) => void;
  }
  let {
    label,
    letter = '',
    hint = '',
    value,
    dimension,
    minimum,
    maximum,
    usualFrom = null,
    usualTo = null,
    optional = false,
    nothing = 'not measured',
    where = '',
    onchange,
    onasks,
  }: Props = $props();

  const id = $props.id();
  let text = $state('');
  let editing = $state(false);
  /** Where it asks, and what it may be answered. */
  let asking = $state<HTMLElement>();
  let error = $state('');
  let suggestions = $state<string[]>([]);
  /** What was understood but is asked about. */
  let doubted = $state<{ value: number; where: string } | null>(null);
  let shown = $derived(value == null ? '' : quantity(value, dimension));

  let gone = false;
  const place = $derived(placeOf(where, label));
  onDestroy(() => {
    gone = true;
    // Left while it asks: it stands there again, and asks again, when the panel comes back.
    if (editing && error) leave(place, text);
  });
  onMount(() => {
    const typed = takeUp(place);
    if (typed === undefined) return;
    [editing, text] = [true, typed];
    void commit(typed);
  });

  $effect(() => onasks?.(error !== '', where));

  const commit = (typed: string) => underWay(understand(typed));

  /** True when it was taken. */
  async function understand(typed: string): Promise<boolean> {
    if (typed.trim() === shown.trim()) return stop();
    // As it is now: the field may stand for another part, or be gone, when the answer comes.
    const [take, belongs, name] = [onchange, where, label];
    if (typed.trim() === '' && optional) {
      take(undefined, belongs);
      return stop();
    }
    try {
      const r = await ask(
        api.POST('/api/quantities', {
          body: { text: typed, dimension, system: settings.system, minimum, maximum, usualFrom, usualTo },
        }),
      );
      error = r.error ?? r.question ?? '';
      suggestions = r.suggestions ?? [];
      doubted = r.question && r.value != null ? { value: r.value, where: belongs } : null;
      if (error || r.value == null) return lost(name, typed, belongs);
      take(r.value, belongs);
      return stop();
    } catch (e) {
      error = e instanceof ApiError ? e.message : 'That was not understood.';
      return lost(name, typed, belongs);
    }
  }

  /** A text that could not be taken is not lost without a word when its field is gone. */
  function lost(name: string, typed: string, belongs: string) {
    if (gone) {
      leave(placeOf(belongs, name), typed);
      notices.say(`${name}: “${typed}” was not taken. ${error}`);
    }
    return false;
  }

  function keep() {
    if (doubted) onchange(doubted.value, doubted.where);
    stop();
  }

  function stop() {
    // Its answers go: whoever had come to one of them is not left nowhere.
    if (asking?.contains(document.activeElement)) document.getElementById(id)?.focus();
    [editing, error, suggestions, doubted] = [false, '', [], null];
    return true;
  }

  function step(direction: number, large: boolean) {
    if (value == null) return;
    const next = fromUnit(
      inUnit(value, dimension) + direction * stepOf(value, dimension) * (large ? 10 : 1),
      dimension,
    );
    onchange(Math.min(maximum, Math.max(minimum, next)), where);
  }

  function keys(e: KeyboardEvent) {
    if (e.key === 'Enter') void commit(text);
    else if (e.key === 'Escape') stop();
    else if (e.key === 'ArrowUp' || e.key === 'ArrowDown') {
      stop();
      step(e.key === 'ArrowUp' ? 1 : -1, e.shiftKey);
    } else return;
    e.preventDefault();
    e.stopPropagation();
  }
</script>

<div class="border-rule border-b border-dotted py-1.5">
  <div class="flex items-center justify-between gap-2">
    <label for={id} class="min-w-0 leading-tight">
      {#if letter}<b class="text-accent mr-0.5">{letter}</b>{/if}
      {label}
      {#if hint}<span class="text-quiet block text-xs leading-snug">{fill(hint)}</span>{/if}
    </label>
    <input
      {id}
      class="input bg-base-100 h-7 w-28 shrink-0 px-2 text-right font-semibold {error
        ? 'border-lets-go'
        : 'border-rule'}"
      value={editing ? text : shown}
      placeholder={optional ? nothing : ''}
      autocomplete="off"
      aria-invalid={error !== ''}
      aria-describedby={error ? `${id}-e` : undefined}
      onfocus={(e) => e.currentTarget.select()}
      oninput={(e) => ([editing, text] = [true, e.currentTarget.value])}
      onblur={() => editing && commit(text)}
      onkeydown={keys}
    />
  </div>
  {#if error}
    <p id="{id}-e" class="{doubted ? 'text-tight' : 'text-lets-go'} mt-1 text-xs" role="alert">{error}</p>
    <div class="mt-1 flex flex-wrap gap-1" bind:this={asking}>
      {#if doubted}
        <button class="btn btn-xs border-base-content" onmousedown={(e) => e.preventDefault()} onclick={keep}
          >Yes, {quantity(doubted.value, dimension)}</button
        >
      {/if}
      {#each suggestions as s (s)}
        <button class="btn btn-xs border-rule" onmousedown={(e) => e.preventDefault()} onclick={() => commit(s)}
          >{s}</button
        >
      {/each}
      <button class="btn btn-xs btn-ghost" onclick={stop}>Leave it at {shown || 'the catalogue'}</button>
    </div>
  {/if}
</div>

<script lang="ts">
  import NotTried from '../parts/NotTried.svelte';
  import Waiting from '../parts/Waiting.svelte';
  import { capital, fill, percent, quantity, uncapital, words } from '../parts/quantity';
  import { getSession } from '../state/session.svelte';
  import { sharpWords } from '../shake/words';
  import ChangeRow from './ChangeRow.svelte';
  import GoalSeek from './GoalSeek.svelte';
  import Inverse from './Inverse.svelte';

  const session = getSession();
  let report = $derived(session.report!);
  const id = $props.id();

  /** As they lie in a shop; like parts stand in one line. */
  let aisles = $derived.by(() => {
    const lines: { aisle: string; name: string; count: number; mass: number; price: number }[] = [];
    for (const p of report.parts) {
      const same = lines.find((l) => l.name === p.name);
      const line = same ?? { aisle: p.aisle, name: p.name, count: 0, mass: 0, price: 0 };
      line.count += p.quantity;
      line.mass += p.mass * p.quantity;
      line.price += p.price * p.quantity;
      if (!same) lines.push(line);
    }
    const order = ['camera', 'rigging', 'metal', 'plumbing', 'screws', 'glue'];
    return order
      .map((aisle) => ({ aisle, parts: lines.filter((l) => l.aisle === aisle) }))
      .filter((a) => a.parts.length);
  });
</script>

<h2 class="text-lg leading-tight">What to change</h2>
<p class="text-quiet mt-0.5 text-sm">Single changes, tried on this rig. Click to take one; undo takes it back.</p>
{#if !session.answers.advice}
  <Waiting text="Trying changes" />
{:else}
  {#if session.answers.advice.length}
    <p class="text-quiet mt-1 flex justify-between text-xs"><span>Change</span><span>limit speed</span></p>
  {/if}
  <ul class="mt-1" class:stale={session.answers.adviceFor !== session.doc}>
    {#each session.answers.advice as c (c.id)}<ChangeRow
        change={c}
        stale={session.answers.adviceFor !== session.doc}
      />{:else}
      <li class="text-quiet text-sm">None of the usual changes gains anything.</li>
    {/each}
  </ul>
  <NotTried of={session.answers.advice} />
{/if}
{#if report.verdict.word !== 'holds' || !['sharp', 'none'].includes(report.sharpness.word)}<GoalSeek />{/if}

<h3 class="mt-4">Will the picture be sharp?</h3>
{#snippet pixels(picture: typeof report.sharpness)}
  <b class="word-{sharpWords[picture.word].state}">{sharpWords[picture.word].word}.</b>
  {#each picture.numbers as n, i (n.id)}{i ? ', ' : ''}{n.id}
    {n.pixels.toFixed(1)} px{n.id === 'shake'
      ? ` (${sharpWords[n.word].word.toLowerCase()})`
      : ''}{:else}{picture.text}{/each}.
{/snippet}
<p class="text-sm">
  {@render pixels(report.sharpness)}
  <a class="inline-block min-h-6 leading-6 font-semibold underline" href="#/rig/{session.id}/shake"
    >Why, and what to do</a
  >
</p>
{#if report.secondSharpness}
  <p class="mt-1 text-sm" data-second-picture>The second camera: {@render pixels(report.secondSharpness)}</p>
{/if}
<p class="mt-1 text-sm">{fill(report.picture.text)}</p>
<p class="text-quiet mt-1 text-xs">
  First frequencies: {report.frequencies.map((f) => f.toFixed(1)).join(' · ')} Hz
</p>

<h3 class="mt-4">If someone knocks it</h3>
<p class="text-sm">
  <b class="word-{report.knock.word}">{capital(words[report.knock.word])}, {percent(report.knock.use)}.</b>
  {fill(report.knock.text)}
</p>

<h3 class="mt-4">If it is jolted</h3>
<p class="text-sm">
  <b class="word-{report.shock.word}">{capital(words[report.shock.word])}, {percent(report.shock.use)}.</b>
  {fill(report.shock.text)}
</p>

<h3 class="mt-4">What keeps each piece</h3>
<ul class="text-sm">
  {#each report.retentions as r (r.piece)}
    <li>
      <b class={r.has < r.needs ? 'word-lets-go' : 'word-holds'}
        >{r.has < r.needs
          ? `${r.has} of the ${r.needs} needed`
          : r.has > r.needs
            ? `${r.has}, ${r.needs} needed`
            : `${r.has}, as needed`}</b
      >
      {r.piece}: {r.by.join(', ') || 'nothing'}{#if r.single && r.by.length}; <b>a single point</b>, caught by {r.caughtBy}{/if}
      {#each r.notCounted as why (why)}<span class="block">Not counted: {fill(why)}.</span>{/each}
      {#if r.has < r.needs && r.add}<span class="block font-semibold">{capital(fill(r.add))}.</span>{/if}
    </li>
  {/each}
</ul>

<Inverse />

{#if report.findings.length}
  <h3 class="mt-4">To know</h3>
  <ul class="list-disc pl-4 text-sm">
    {#each report.findings as f (f.text)}<li class={f.blocks ? 'text-lets-go font-semibold' : ''}>
        {fill(f.text)}
      </li>{/each}
  </ul>
{/if}

<h3 class="mt-4">Parts, {quantity(report.mass, 'mass')}, {quantity(report.cost, 'money')}</h3>
{#each aisles as a (a.aisle)}
  <h4 class="text-quiet mt-1 text-xs">{capital(a.aisle)}</h4>
  <ul class="text-sm">
    {#each a.parts as p (p.name)}
      <li class="flex justify-between gap-2">
        <span>{p.count > 1 ? `${p.count} × ` : ''}{p.count > 1 ? uncapital(fill(p.name)) : fill(p.name)}</span><span
          class="text-quiet whitespace-nowrap tabular-nums"
          >{p.mass > 0 ? quantity(p.mass, 'mass') + ' · ' : ''}{p.price > 0
            ? quantity(p.price, 'money')
            : 'yours'}</span
        >
      </li>
    {/each}
  </ul>
{/each}

<h3 class="mt-4">Cautions</h3>
<ul class="border-tight border-l-3 pl-2 text-sm">
  {#each report.cautions as c (c)}<li class="mb-1">{c}</li>{/each}
</ul>

<label class="text-quiet mt-4 block text-xs" for={id}>Notes</label>
<textarea
  {id}
  class="textarea border-rule bg-base-100 w-full text-sm"
  rows="3"
  maxlength="4000"
  value={session.doc.notes}
  onchange={(e) => session.setPath('notes', e.currentTarget.value)}></textarea>

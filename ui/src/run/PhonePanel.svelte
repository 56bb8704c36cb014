<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ApiError, ask, type Schemas } from '../api/client';

  /** Phones beside the vehicle: lets one in to this rig, and out again. */
  let { rig }: { rig: string } = $props();
  let state_ = $state.raw<Schemas['PhoneState'] | null>(null);
  let code = $state.raw<Schemas['PairingCode'] | null>(null);
  let problem = $state('');
  let link = $state(0);
  let mine = $derived((state_?.phones ?? []).filter((p) => p.rigs.includes(rig)));
  let square = $derived(code?.links[link] ?? code?.links[0]);

  async function guard(work: () => Promise<unknown>) {
    try {
      await work();
      problem = '';
    } catch (e) {
      problem = e instanceof ApiError ? e.message : 'That did not work.';
    }
  }
  const load = () => guard(async () => (state_ = await ask(api.GET('/api/phone'))));
  const pair = () =>
    guard(async () => {
      code = await ask(api.POST('/api/phone/pairings', { body: { rigs: [rig] } }));
    });
  const revoke = (phone: string) =>
    guard(async () => {
      await ask(api.DELETE('/api/phone/phones/{phone}', { params: { path: { phone } } }));
      await load();
    });
  onMount(() => {
    void load();
    // While a code is open it is looked whether somebody used it.
    const look = setInterval(() => code && void load(), 3000);
    return () => clearInterval(look);
  });
  const time = (t: string) => new Date(t).toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' });
</script>

{#if state_?.addresses == null}
  <p class="text-sm">
    To prove and run it on a phone beside the vehicle, start Ochema with <code>./ochema run --phone</code>.
  </p>
{:else if !state_.addresses.length}
  <p class="text-sm">
    This computer is on no local network: join the one that the phone is on, or open one on the phone.
  </p>
{:else if code && square && Date.parse(code.until) > Date.now()}
  <div class="flex flex-wrap items-start gap-4" data-pairing={code.code}>
    <svg
      viewBox="0 0 {square.square.side} {square.square.side}"
      class="h-44 w-44 rounded-sm bg-white"
      role="img"
      aria-label="Square to point the phone's camera at"
      shape-rendering="crispEdges"
    >
      <path d={square.square.path} fill="#000" />
    </svg>
    <div class="min-w-44 flex-1">
      <p class="text-sm">Point the phone's camera at the square, or open</p>
      <p class="font-semibold break-all">{square.address}pair</p>
      <p class="mt-2 text-sm">and type</p>
      <p class="text-3xl leading-tight font-bold tracking-wider whitespace-nowrap">
        {code.code.slice(0, 4)}
        {code.code.slice(4)}
      </p>
      <p class="text-quiet mt-1 text-sm">For one phone, until {time(code.until)}.</p>
      {#if code.links.length > 1}
        <label class="mt-2 block text-sm"
          >Address
          <select class="select select-sm border-rule bg-base-100" bind:value={link}>
            {#each code.links as l, i (l.address)}<option value={i}>{l.address}</option>{/each}
          </select></label
        >
      {/if}
    </div>
  </div>
{:else}
  <button class="btn border-rule bg-base-100" onclick={pair}>Let a phone in to this rig</button>
{/if}
{#if state_?.fingerprint && code}
  <p class="text-quiet mt-2 text-sm">
    First time on a phone: open <span class="break-all">{square?.address}pair/certificate</span> there and put it into
    its settings as an authority. Its fingerprint (SHA-256) is
    <span class="break-words tabular-nums">{state_.fingerprint}</span>.
  </p>
{/if}
{#if problem}<p class="mt-1 text-sm" role="alert">{problem}</p>{/if}
{#if mine.length}
  <ul class="mt-2" aria-label="Phones that are let in">
    {#each mine as p (p.id)}
      <li class="border-rule flex min-h-10 items-center justify-between gap-2 border-b border-dotted" data-phone={p.id}>
        <span
          ><b>{p.name}</b>
          <span class="text-quiet text-sm"
            >{p.seenAt ? `last here ${new Date(p.seenAt).toLocaleString()}` : 'not here yet'}</span
          ></span
        >
        <button class="btn btn-sm border-rule bg-base-100" onclick={() => revoke(p.id)}
          >Take away<span class="sr-only"> {p.name}</span></button
        >
      </li>
    {/each}
  </ul>
{/if}

<script lang="ts">
  import type { Snippet } from 'svelte';
  import { settings } from '../state/settings.svelte';

  let { title, tools }: { title: Snippet; tools?: Snippet } = $props();
</script>

<header
  class="border-rule bg-base-200 flex flex-wrap items-center gap-x-4 border-b px-4 max-md:px-2 max-md:py-1 compact:gap-x-2 compact:py-0.5"
>
  <a href="#/" class="text-xl font-extrabold tracking-tight compact:text-base" aria-label="Ochema, to the yard"
    >Oc<span class="text-accent">h</span>ema</a
  >
  <div class="flex min-w-0 flex-1 items-baseline gap-1.5 truncate max-md:flex-wrap compact:flex-nowrap">
    {@render title()}
  </div>
  <div
    class="flex max-w-full flex-wrap items-center short:flex-nowrap max-sm:w-full max-sm:justify-between compact:[&_.btn]:h-7 compact:[&_.btn]:min-h-7 compact:[&_.btn]:px-1.5"
  >
    {@render tools?.()}
    <button
      class="btn btn-ghost btn-sm px-2 font-medium"
      aria-label="Units: {settings.unitsLabel}. Change"
      onclick={() => settings.toggleUnits()}
    >
      {settings.unitsLabel}
    </button>
    <button class="btn btn-ghost btn-sm px-2 font-medium" onclick={() => settings.toggleTheme()}>
      {settings.theme === 'night' ? 'Night' : 'Day'}<span class="sr-only">, change the theme</span>
    </button>
  </div>
</header>

<script lang="ts">
  import type { Schemas } from '../api/client';

  /** A plain number in a table, taken when the cell is left; emptied, it is what the shelf says. */
  interface Props {
    label: string;
    value: number;
    /** Shown as nothing: there is nothing to say. */
    empty?: boolean;
    /** The user's own. */
    own?: boolean;
    /** Its range, and what it is called. */
    asked: Schemas['Reading'];
    whole?: boolean;
    onsaid: (value: number | undefined) => void;
  }
  let { label, value, asked, empty = false, own = false, whole = false, onsaid }: Props = $props();

  let shown = $derived(empty ? '' : whole ? `${value}` : value.toFixed(2));
  let wrong = $state(false);
  /** What is being typed: an answer that comes meanwhile does not write over it. */
  let typed = $state<string | null>(null);

  function take() {
    if (typed === null) return;
    const text = typed.trim().replace(',', '.');
    const said = Number(text);
    wrong = text !== '' && !(said >= asked.minimum && said <= asked.maximum && (!whole || Number.isInteger(said)));
    if (wrong) return;
    typed = null;
    if (text === '') onsaid(undefined);
    else if (text !== shown) onsaid(said);
  }
</script>

<input
  class="input input-xs hover:border-rule w-16 border-transparent bg-transparent px-1 text-right text-sm {own
    ? 'font-semibold'
    : ''} {wrong ? 'input-error' : ''}"
  inputmode="decimal"
  aria-label={label}
  aria-invalid={wrong}
  title={wrong ? `${asked.label}: ${asked.minimum} to ${asked.maximum}` : undefined}
  value={typed ?? shown}
  placeholder={empty ? `${value}` : ''}
  oninput={(e) => (typed = e.currentTarget.value)}
  onchange={take}
/>

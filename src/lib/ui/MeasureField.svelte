<script lang="ts">
  import { parseLength, parseNumber, formatLength, trim } from '$core/units/length.ts';
  import type { Range } from '$core/units/range.ts';
  import { show } from './figures.ts';

  interface Props {
    label: string;
    /** Unit of the property; lengths may be typed in mm or inches. */
    unit: string;
    value: Range | undefined;
    /** Unit of lengths typed bare. */
    lengths?: 'mm' | 'in';
    /** Largest figure that can be meant. */
    most?: number | undefined;
    /** Not measured: shown as its class's range, pencilled. */
    open?: boolean;
    compact?: boolean;
    /** A place may be nought; a size may not. */
    zero?: boolean;
    onmeasure: (value: number) => void;
    /** After Enter, so that the caliper moves on. */
    onnext?: () => void;
  }
  const {
    label,
    unit,
    value,
    lengths = 'mm',
    most,
    open = false,
    compact = false,
    zero = false,
    onmeasure,
    onnext,
  }: Props = $props();
  let typed = $state<string | undefined>(undefined);
  const id = $props.id();
  const shown = $derived(typed ?? (value && !open ? text(value) : ''));
  const fault = $derived.by(() => {
    if (typed === undefined || typed.trim() === '') return '';
    const parsed = parse(typed);
    if (parsed === undefined)
      return unit === 'mm' ? 'A length, like 158 or 6 1/4 in.' : 'A number.';
    if (most !== undefined && parsed > most)
      return `More than ${trim(most, 0)} ${unit} cannot be meant.`;
    if (parsed <= 0 && unit === 'mm' && !zero) return 'Zero is no length.';
    return '';
  });

  function text(range: Range): string {
    if (unit === 'mm') return range.lo === range.hi ? formatLength(range.lo, lengths) : '';
    return range.lo === range.hi ? trim(range.lo, 2) : '';
  }

  function parse(raw: string): number | undefined {
    return unit === 'mm' ? parseLength(raw, lengths)?.mm : parseNumber(raw);
  }

  /** Every keystroke that makes a figure counts at once: closing the page loses nothing. */
  function take(raw: string): void {
    typed = raw;
    const parsed = fault ? undefined : parse(raw);
    if (parsed !== undefined) onmeasure(parsed);
  }
</script>

<span class="measure" class:compact class:open>
  <label for={id}>{label}</label>
  <span class="box">
    <input
      {id}
      class="figure"
      inputmode="decimal"
      autocomplete="off"
      value={shown}
      placeholder={value ? show(value, unit, lengths) : '?'}
      aria-invalid={fault !== ''}
      aria-describedby={fault ? `${id}-fault` : undefined}
      oninput={(event) => take(event.currentTarget.value)}
      onblur={() => {
        if (!fault) typed = undefined;
      }}
      onkeydown={(event) => {
        if (event.key === 'Enter' && !fault) {
          event.preventDefault();
          typed = undefined;
          onnext?.();
        } else if (event.key === 'Escape') typed = undefined;
      }}
    />
    <small>{unit === 'mm' ? lengths : unit}</small>
  </span>
  {#if fault}<span class="fault" id="{id}-fault" role="alert">{fault}</span>{/if}
</span>

<style>
  .measure {
    display: inline-flex;
    flex-direction: column;
    gap: 2px;
  }
  label {
    font-size: 14px;
    color: var(--ink-soft);
  }
  .compact label {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
  .box {
    display: flex;
    align-items: baseline;
    gap: 4px;
    border-bottom: 2px solid var(--ink);
    background: var(--tape);
    padding: 0 6px;
  }
  .open .box {
    border-bottom-style: dashed;
    border-color: var(--watch);
  }
  input {
    width: 84px;
    height: 42px;
    border: 0;
    background: none;
    text-align: right;
    font-size: 18px;
  }
  .compact input {
    width: 62px;
    height: 30px;
    font-size: 15px;
  }
  input::placeholder {
    color: var(--ink-soft);
    opacity: 1;
    font-style: italic;
    font-size: 14px;
  }
  small {
    font-size: 12.5px;
    color: var(--ink-soft);
  }
  .fault {
    max-width: 200px;
    font-size: 13.5px;
    color: var(--stop);
  }
</style>

<script lang="ts">
  import { readFigure } from '$core/units/figure.ts';
  import { formatLength, trim } from '$core/units/length.ts';
  import type { Range } from '$core/units/range.ts';
  import { show } from './figures.ts';

  interface Props {
    label: string;
    /** Unit of the property; lengths may be typed in mm or inches, `count` is a whole number. */
    unit: string;
    value: Range | undefined;
    /** Unit of lengths typed bare. */
    lengths?: 'mm' | 'in';
    /** Largest figure that can be meant. */
    most?: number | undefined;
    /** Not measured: shown as its class's range, pencilled. */
    open?: boolean;
    compact?: boolean;
    /** A place may be zero; a size may not. */
    zero?: boolean;
    /** A whole figure, on Enter or on leaving the field; never a half-typed one. */
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
  /** Left with something that is no figure: what is wrong with it is said until it is mended. */
  let left = $state(false);
  const id = $props.id();
  const shown = $derived(typed ?? (value && !open ? text(value) : ''));
  const empty = $derived(typed === undefined || typed.trim() === '');
  const read = $derived(
    empty
      ? undefined
      : readFigure(typed ?? '', { unit, lengths, most, zero: zero || unit !== 'mm' }),
  );
  /** May become a figure with the next key: `0`, `12.`, `4 3/`, `6 1/4 i`. */
  const begun = (raw: string) => /^\s*\d[\d.,\s/]*[a-z]?$/i.test(raw);
  /** While a figure is being typed only what can no longer become one is named. */
  const fault = $derived(
    read && 'fault' in read && (left || read.why === 'most' || !begun(typed ?? ''))
      ? read.fault
      : '',
  );

  function text(range: Range): string {
    if (range.lo !== range.hi) return '';
    return unit === 'mm' ? formatLength(range.lo, lengths) : trim(range.lo, 2);
  }

  /** Takes what stands in the field; false when it is no figure, which stays with its fault. */
  function commit(): boolean {
    const whole = read;
    left = whole !== undefined && 'fault' in whole;
    if (left) return false;
    typed = undefined;
    if (whole && 'value' in whole) onmeasure(whole.value);
    return true;
  }

  function onkeydown(event: KeyboardEvent): void {
    if (event.key === 'Enter') {
      event.preventDefault();
      if (commit()) onnext?.();
    } else if (event.key === 'Escape') {
      typed = undefined;
      left = false;
    }
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
      placeholder={value ? show(value, unit === 'count' ? '' : unit, { unit: lengths }) : '?'}
      aria-invalid={fault !== ''}
      aria-describedby={fault ? `${id}-fault` : undefined}
      oninput={(event) => (typed = event.currentTarget.value)}
      onblur={commit}
      {onkeydown}
    />
    <small>{unit === 'mm' ? lengths : unit === 'count' ? '' : unit}</small>
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

<script lang="ts">
  import type { Account } from '$core/donors/index.ts';
  import { currencySign, formatMoney } from '$core/units/money.ts';

  interface Props {
    account: Account;
    small?: boolean;
  }
  const { account, small = false }: Props = $props();
  /** The slot is what it cost; what came back fills it, what is left over would. */
  const W = 660;
  const most = $derived(
    Math.max(account.costs, account.sales + account.leftoversWorth, 100) * 1.02,
  );
  const x = (minor: number) => 8 + (minor / most) * (W - 20);
  const f = (minor: number) =>
    `${formatMoney({ minor, currency: account.currency })} ${currencySign(account.currency)}`;
  const h = $derived(small ? 16 : 34);
  const missing = $derived(account.costs - account.sales);
</script>

<svg
  viewBox="0 0 {W} {h + 26}"
  class:small
  role="img"
  aria-label="Cost {f(account.costs)}, sold {f(account.sales)}, left over worth {f(
    account.leftoversWorth,
  )}"
>
  <path class="slot" d="M8 4V{h + 6}H{x(account.costs)}V4" />
  {#if account.sales > 0}
    <rect class="back" x="10" y="6" width={Math.max(1, x(account.sales) - 12)} height={h - 2} />
  {/if}
  {#if account.leftoversWorth > 0}
    <rect
      class="may"
      x={x(account.sales) + 1}
      y="6"
      width={Math.max(1, x(account.sales + account.leftoversWorth) - x(account.sales) - 2)}
      height={h - 2}
    />
  {/if}
  <text x="8" y={h + 21}>cost {f(account.costs)}</text>
  <text class="mid" x={W / 2} y={h + 21}
    >{account.sales > 0 ? `back ${f(account.sales)}` : ''}{account.leftoversWorth > 0
      ? `${account.sales > 0 ? ' · ' : ''}left over ${f(account.leftoversWorth)}`
      : ''}</text
  >
  <text class="end" x={W - 10} y={h + 21}
    >{missing > 0 ? `${f(missing)} open` : missing < 0 ? `${f(-missing)} over` : 'even'}</text
  >
</svg>

<style>
  svg {
    display: block;
    width: 100%;
    max-width: 800px;
  }
  .small {
    max-width: 620px;
  }
  .slot {
    fill: none;
    stroke: var(--ink);
    stroke-width: 3;
  }
  .back {
    fill: var(--part-comes);
    stroke: var(--ink);
  }
  .may {
    fill: none;
    stroke: var(--ink-soft);
    stroke-dasharray: 4 3;
  }
  text {
    font: 13px var(--face-figure);
    fill: var(--ink);
  }
  .mid {
    text-anchor: middle;
  }
  .end {
    text-anchor: end;
    font-weight: 700;
  }
</style>

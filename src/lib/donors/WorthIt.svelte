<script lang="ts">
  import { untrack } from 'svelte';
  import { staying, worth, WorthError, type Amount, type Worth } from '$core/donors/index.ts';
  import { editMachine, newOffer } from '$core/edits/edits.ts';
  import { setOffer, writeEntry } from '$core/edits/ledgerEdits.ts';
  import { seatName } from '$core/model/types/seats.ts';
  import { foundOf } from '$core/plan/planOf.ts';
  import { parseNumber } from '$core/units/length.ts';
  import { currencySign, formatMoney, parseMoney } from '$core/units/money.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import type { JobView } from '$lib/shop/jobView.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Fault from '$lib/ui/Fault.svelte';
  import TextArea from '$lib/ui/TextArea.svelte';

  interface Props {
    view: JobView;
  }
  const { view }: Props = $props();
  /** A machine that is offered, or `loose` for one nobody has written down. */
  const offered = $derived(shopStore.shop.machines.filter(({ state }) => state === 'offered'));
  /* Chosen once, then by hand. */
  let which = $state(untrack(() => offered[0]?.id ?? 'loose'));
  const machine = $derived(shopStore.shop.machines.find((each) => each.id === which));
  let value = $state('');
  let asked = $state('');
  let fixes = $state('');
  let hours = $state('');
  const plainMoney = (minor: number) =>
    minor % 100 === 0 ? String(minor / 100) : (minor / 100).toFixed(2);
  const spanText = ({ lo, hi }: Amount) =>
    lo === hi ? plainMoney(lo) : `${plainMoney(lo)} to ${plainMoney(hi)}`;

  const spanOf = ({ lo, hi }: Amount) => (lo === hi ? `${lo}` : `${lo} to ${hi}`);
  /** `3`, `2 to 4`: hours of hands. */
  function hoursOf(text: string): Amount | undefined {
    const ends = text.split(/\s*(?:to|-|–)\s*/).map((each) => parseNumber(each));
    const [lo, hi = lo] = ends;
    return ends.length <= 2 && lo !== undefined && hi !== undefined && lo <= hi
      ? { lo, hi }
      : undefined;
  }

  /** What was written down of an offer, back into the fields. */
  function recall(id: string): void {
    which = id;
    const offer = shopStore.shop.machines.find((each) => each.id === id)?.offer;
    value = offer?.value ? spanText(offer.value) : '';
    asked = offer?.asked === undefined ? '' : plainMoney(offer.asked);
    fixes = (offer?.fixes ?? [])
      .map(({ what, price }) => (price ? `${what} ${spanText(price)}` : what))
      .join('\n');
    hours = offer?.hours ? spanOf(offer.hours) : '';
  }
  untrack(() => recall(which));

  /** Kept with the machine as soon as it makes sense. */
  function keep(): void {
    if (!machine || answer.fault) return;
    const done = amountOf(value);
    const price = asked.trim() === '' ? undefined : parseMoney(asked, currency)?.minor;
    shopStore.edit(
      `offer of ${machine.id}`,
      setOffer(machine.id, {
        currency,
        ...(price === undefined ? {} : { asked: price }),
        ...(done ? { value: done } : {}),
        fixes: lines,
        ...(hoursOf(hours) ? { hours: hoursOf(hours) } : {}),
      }),
      `offer ${machine.id}`,
    );
  }

  /** Bought: it is a donor from now on, and the book has what was paid. */
  function buy(): void {
    const price = parseMoney(asked, currency);
    if (!machine || !price) return;
    const id = machine.id;
    shopStore.edit(`${id} bought`, (shop) =>
      editMachine(id, { state: 'donor', price })(
        writeEntry({
          at: shopStore.now,
          kind: 'cost',
          what: machine.name,
          money: price,
          machineId: id,
        })(shop),
      ),
    );
    toast(`${id} is a donor now, ${formatMoney(price)} in the book.`);
    recall('loose');
  }

  async function writeDown(): Promise<void> {
    const made = newOffer();
    await shopStore.edit('an offer', made.edit);
    which = made.tag();
    keep();
  }
  const settings = $derived(shopStore.shop.settings);
  const currency = $derived(settings.currency);
  /** `80` or `80 to 120`. */
  function amountOf(text: string): Amount | undefined {
    const ends = text.split(/\s*(?:to|-|–)\s*/).map((each) => parseMoney(each, currency)?.minor);
    const [lo, hi = lo] = ends;
    return ends.length <= 2 && lo !== undefined && hi !== undefined ? { lo, hi } : undefined;
  }
  /** Lines of `what price`; a line without one has none yet. */
  const lines = $derived(
    fixes
      .split('\n')
      .map((line) => line.trim())
      .filter((line) => line !== '')
      .map((line) => {
        const match = /^(.*?)\s+(\d[\d.,]*(?:\s*(?:to|-|–)\s*\d[\d.,]*)?)$/.exec(line);
        const price = match?.[2] ? amountOf(match[2]) : undefined;
        return price && match?.[1] ? { what: match[1], price } : { what: line };
      }),
  );
  const answer = $derived.by((): { worth?: Worth; fault?: string } => {
    if (value.trim() === '') return {};
    const done = amountOf(value);
    if (!done) return { fault: 'What is it worth when done? 180, or 150 to 200. Kept as typed.' };
    const price = asked.trim() === '' ? undefined : parseMoney(asked, currency)?.minor;
    if (asked.trim() !== '' && price === undefined)
      return { fault: 'The price asked is no amount: 60 or 59.90. Kept as typed.' };
    const hands = hours.trim() === '' ? undefined : hoursOf(hours);
    if (hours.trim() !== '' && !hands)
      return { fault: 'How many hours of hands? 3, or 2 to 4. Kept as typed.' };
    try {
      const anHour = settings.anHour?.currency === currency ? settings.anHour.minor : undefined;
      return { worth: worth({ value: done, fixes: lines, asked: price, hours: hands, anHour }) };
    } catch (error) {
      if (!(error instanceof WorthError)) throw error;
      return { fault: error.message };
    }
  });
  const price = $derived(parseMoney(asked, currency)?.minor);
  const f = (minor: number) => `${formatMoney({ minor, currency })} ${currencySign(currency)}`;
  const most = $derived(
    Math.max(100, price ?? 0, answer.worth?.breakEven.hi ?? 0, amountOf(value)?.hi ?? 0) * 1.08,
  );
  const x = (minor: number) => 8 + (Math.max(0, minor) / most) * 640;
  const parts = $derived(
    staying(foundOf(shopStore.shop, (machine ?? view.plan?.machine)?.seats ?? [])),
  );
</script>

<section>
  <p class="row offers">
    {#each offered as each (each.id)}
      <Button aria-pressed={which === each.id} onclick={() => recall(each.id)}
        >{each.id} · {each.name}</Button
      >
    {/each}
    <Button aria-pressed={which === 'loose'} onclick={() => recall('loose')}>Another</Button>
  </p>
  {#if machine}
    <p>
      <input
        class="name"
        aria-label="what is offered"
        value={machine.name}
        maxlength={120}
        oninput={(event) =>
          event.currentTarget.value.trim() &&
          shopStore.edit(
            'name of the offer',
            editMachine(machine.id, { name: event.currentTarget.value }),
            `name ${machine.id}`,
          )}
      />
    </p>
    <p class="told">{machine.origin ? `From ${machine.origin}. ` : ''}{machine.note ?? ''}</p>
  {/if}
  <p class="row" onchange={keep}>
    <TextField label="worth when done" bind:value inputmode="decimal" placeholder="180 to 220" />
    <TextField label="price asked" bind:value={asked} inputmode="decimal" placeholder="90" />
    <TextField label="hours of hands" bind:value={hours} inputmode="decimal" placeholder="2 to 4" />
    <TextArea
      label="to fix, a line each"
      wide
      bind:value={fixes}
      rows={5}
      placeholder="PSU 25 to 40&#10;case 20&#10;paste"
    />
  </p>
  <Fault text={answer.fault} />
  {#if answer.worth}
    {@const w = answer.worth}
    <svg
      viewBox="0 0 660 92"
      role="img"
      aria-label="Breaks even at {f(w.breakEven.lo)} to {f(w.breakEven.hi)}{price === undefined
        ? ''
        : `, asked ${f(price)}`}"
    >
      <path class="slot" d="M8 14V64H{x(w.breakEven.hi)}V14" />
      <rect
        class="open"
        x={x(w.breakEven.lo)}
        y="18"
        width={Math.max(1, x(w.breakEven.hi) - x(w.breakEven.lo))}
        height="44"
      />
      <path class="half" d="M{x(w.likely.half)} 14V66" />
      {#if price !== undefined}
        <rect
          class="asked"
          class:over={(w.pays ?? 0) < 0.5}
          x="10"
          y="24"
          width={Math.max(1, x(price) - 10)}
          height="34"
        />
        <text x="16" y="46">asked {f(price)}</text>
      {/if}
      <text class="mid" x={Math.min(600, Math.max(50, x(w.likely.half)))} y="82"
        >{f(w.likely.half)}</text
      >
    </svg>
    <p class="say">{w.say}</p>
    <p>
      Break-even <span class="figure">{f(w.breakEven.lo)}</span> to
      <span class="figure">{f(w.breakEven.hi)}</span>; eight of ten between
      <span class="figure">{f(w.likely.tenth)}</span> and
      <span class="figure">{f(w.likely.most)}</span>.
    </p>
  {/if}
  {#if answer.worth && machine && price !== undefined}
    <p class="row">
      <Button onclick={buy}>Bought for {f(price)}</Button>
      <Button
        onclick={() => {
          shopStore.edit(`${machine.id} let go`, editMachine(machine.id, { state: 'gone' }));
          recall('loose');
        }}>Let it go</Button
      >
    </p>
  {:else if answer.worth && !machine}
    <p class="row"><Button onclick={writeDown}>Write the offer down</Button></p>
  {/if}
  {#if parts.length > 0}
    <h2>What of {machine ? machine.name : 'the machine in hand'} can stay</h2>
    <ul>
      {#each parts as part (part.seat)}
        <li><b>{seatName(part.seat)}</b> {part.says}: {part.why}</li>
      {/each}
    </ul>
  {/if}
</section>

<style>
  input {
    border: 0;
    border-bottom: 2px solid var(--ink);
    background: var(--tape);
    color: var(--ink);
    font: 17px var(--face-figure);
    padding: 0 8px;
  }
  input {
    width: 160px;
  }
  svg {
    width: 100%;
    max-width: 760px;
  }
  .slot {
    fill: none;
    stroke: var(--ink);
    stroke-width: 3;
  }
  .open {
    fill: none;
    stroke: var(--ink-soft);
    stroke-dasharray: 4 3;
  }
  .half {
    stroke: var(--accent);
    stroke-width: 3;
  }
  .asked {
    fill: var(--part-comes);
    stroke: var(--ink);
  }
  .asked.over {
    fill: var(--stop-wash);
    stroke: var(--stop);
  }
  text {
    font: 13px var(--face-figure);
    fill: var(--ink);
  }
  .mid {
    text-anchor: middle;
  }
  .offers {
    gap: 8px;
    margin-bottom: 8px;
  }
  .told {
    margin: 4px 0 8px;
  }
  h2 {
    margin-top: 12px;
  }
  .name {
    width: 320px;
    font: 600 18px var(--face-head);
  }
  .say {
    font: 600 19px var(--face-head);
  }
  ul {
    margin: 4px 0;
    padding: 0;
    list-style: none;
  }
</style>

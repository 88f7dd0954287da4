<script lang="ts">
  import { usualOutside } from '$lib/draw/sizes.ts';
  import Front from '$lib/draw/Front.svelte';
  import { uiState } from '$lib/shop/uiState.svelte.ts';
  import Button from '$lib/ui/Button.svelte';

  /** Nothing stands on the bench yet: the three ways to begin, each with its picture. */
  const slim = usualOutside('slim');
  const printed = [
    'Base Board Information',
    'Product Name: Desk 40',
    'Memory Device',
    'Size: 8 GB',
    'Type: DDR4',
    '…',
  ];

  function type(): void {
    document.querySelector<HTMLInputElement>('[data-entry]')?.focus();
  }
</script>

<section aria-label="Begin">
  <h2>Will these parts go together in this case?</h2>
  <p>
    Millimetres, watts, plugs and money, each as a sum you can check. Begin with whichever you have:
  </p>
  <div class="ways">
    <div>
      <h3>Two numbers</h3>
      <svg viewBox="0 0 250 130" aria-hidden="true">
        <rect class="need" x="6" y="22" width="222" height="54" />
        <rect class="over" x="212" y="22" width="20" height="54" />
        <path class="room" d="M4 14v70h208v-70" />
        <text x="16" y="55">267</text>
        <text x="98" y="104" class="soft">247</text>
      </svg>
      <p><b class="figure stop">20 mm over</b><br />take the drive cage out, or a shorter card</p>
      <Button next onclick={type}>Type them</Button>
    </div>
    <div>
      <h3>A machine that starts</h3>
      <svg viewBox="0 0 250 130" aria-hidden="true">
        {#each printed as line, i (i)}<text class="print" x="0" y={16 + i * 18}>{line}</text>{/each}
        <path class="arrow" d="M158 62h28m-9 -7l9 7l-9 7" />
        <Front outside={slim} x={200} floor={112} scale={0.34} />
      </svg>
      <p>its parts and facts are read; what does not go together is said at once</p>
      <Button onclick={() => (uiState.dialog = 'paste')}>Paste or drop its inventory</Button>
    </div>
    <div>
      <h3>A machine that is dead</h3>
      <svg viewBox="0 0 250 130" aria-hidden="true">
        <Front outside={slim} x={6} floor={112} scale={0.34} planned />
        <text x="66" y="40" class="said">slim, its maker's own PSU</text>
        <text x="66" y="64" class="print">fans spin, no picture</text>
        <text x="66" y="84" class="print">next: one module</text>
      </svg>
      <p>three taps; the rest is typical until you measure it</p>
      <Button onclick={() => (uiState.dialog = 'dead')}>Say what you see</Button>
    </div>
  </div>
</section>

<style>
  h2 {
    font: 600 28px/1.2 var(--face-head);
  }
  section > p {
    font-size: 17px;
  }
  .ways {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
    gap: 20px 32px;
    margin: 22px 0 26px;
  }
  .ways > div {
    display: flex;
    flex-direction: column;
    align-items: flex-start;
    gap: 8px;
  }
  h3 {
    font: 600 19px var(--face-head);
  }
  svg {
    width: 250px;
    max-width: 100%;
  }
  .ways p {
    flex: 1;
  }
  text {
    font: 17px var(--face-figure);
    fill: var(--ink);
  }
  .print {
    font-size: 12px;
    fill: var(--ink-soft);
  }
  .said {
    font: 600 15px var(--face-head);
  }
  .soft {
    fill: var(--ink-soft);
  }
  .need {
    fill: var(--stop-wash);
  }
  .over {
    fill: var(--stop);
  }
  .stop {
    color: var(--stop);
    font-size: 18px;
  }
  .room {
    fill: none;
    stroke: var(--ink);
    stroke-width: 4;
  }
  .arrow {
    fill: none;
    stroke: var(--accent);
    stroke-width: 2.5;
  }
</style>

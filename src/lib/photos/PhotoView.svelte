<script lang="ts">
  import { dropPhoto, editPhoto } from '$core/edits/photoEdits.ts';
  import type { Photo, PhotoMark } from '$core/model/types/types.ts';
  import { photosOfJob } from '$core/shop/photos.ts';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import { dateText } from '$lib/ui/dates.ts';
  import Dialog from '$lib/ui/Dialog.svelte';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Picture from './Picture.svelte';

  interface Props {
    photoId: string;
    onclose: () => void;
  }
  const { photoId, onclose }: Props = $props();
  const photo = $derived(shopStore.shop.photos.find(({ id }) => id === photoId));
  /** Others of the same story, to stand beside it at one size. */
  const others = $derived(
    photo
      ? (photo.jobId
          ? photosOfJob(shopStore.shop, photo.jobId)
          : shopStore.shop.photos.filter(
              (each) => each.machineId === photo.machineId && each.partId === photo.partId,
            )
        ).filter(({ id }) => id !== photoId)
      : [],
  );
  let besideId = $state('');
  const beside = $derived(others.find(({ id }) => id === besideId));
  let tool = $state<PhotoMark['sort'] | undefined>(undefined);
  let words = $state('');
  let from = $state<{ x: number; y: number } | undefined>(undefined);
  const labelOf = (each: Photo) =>
    `${each.when ? `${each.when}, ` : ''}${each.note ?? each.id}, ${dateText(each.at, 'dayTime')}`;

  const set = (fields: Partial<Pick<Photo, 'when' | 'note' | 'marks'>>, key?: string) =>
    void shopStore.edit('photo', editPhoto(photoId, fields), key);

  function shareOf(event: PointerEvent): { x: number; y: number } {
    const box = (event.currentTarget as HTMLElement).getBoundingClientRect();
    const share = (at: number, size: number) => Math.min(1, Math.max(0, at / size));
    return {
      x: share(event.clientX - box.left, box.width),
      y: share(event.clientY - box.top, box.height),
    };
  }
  function add(mark: PhotoMark): void {
    if (!photo) return;
    const text = words.trim();
    if (mark.sort === 'words' && text === '') return;
    const toSpare = { ...mark, ...(text && { text }) };
    set({ marks: [...photo.marks, toSpare] });
    words = '';
    tool = undefined;
  }
  function down(event: PointerEvent): void {
    if (!tool) return;
    event.preventDefault();
    const at = shareOf(event);
    if (tool === 'words') add({ sort: 'words', ...at });
    else {
      from = at;
      (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
    }
  }
  function up(event: PointerEvent): void {
    if (!tool || !from) return;
    const at = shareOf(event);
    if (tool === 'ring') add({ sort: 'ring', ...from, toX: at.x, toY: at.y });
    /* Drawn towards what it shows. */
    if (tool === 'arrow') add({ sort: 'arrow', ...at, toX: from.x, toY: from.y });
    from = undefined;
  }
  /** By keyboard a mark comes to the middle. */
  function addInMiddle(sort: PhotoMark['sort']): void {
    add({
      sort,
      x: 0.5,
      y: 0.5,
      ...(sort === 'ring' && { toX: 0.6, toY: 0.5 }),
      ...(sort === 'arrow' && { toX: 0.3, toY: 0.3 }),
    });
  }
  const tools = [
    ['arrow', 'Arrow'],
    ['ring', 'Ring'],
    ['words', 'Words'],
  ] as const;
</script>

{#if photo}
  <Dialog title="Photo {photo.id}, {dateText(photo.at, 'dayTime')}" wide {onclose}>
    <div class="pair" class:two={beside}>
      <!-- svelte-ignore a11y_no_static_element_interactions (marks come by keyboard with the buttons below) -->
      <div
        class="frame"
        class:drawing={tool}
        style:--tall="{(photo.width / photo.height) * 56}vh"
        onpointerdown={down}
        onpointerup={up}
      >
        <Picture {photo} label={photo.note ?? `photo ${photo.id}`} />
      </div>
      {#if beside}
        <div class="frame" style:--tall="{(beside.width / beside.height) * 56}vh">
          <Picture photo={beside} label={labelOf(beside)} />
        </div>
      {/if}
    </div>
    <div class="row apart">
      <Select
        label="Before or after"
        options={[
          { value: 'before', words: 'before' },
          { value: 'after', words: 'after' },
        ]}
        none="neither"
        value={photo.when ?? ''}
        onchange={(event) =>
          set({ when: (event.currentTarget.value || undefined) as Photo['when'] })}
      />
      {#if others.length > 0}
        <Select
          label="Beside it"
          options={others.map((each) => ({ value: each.id, words: labelOf(each) }))}
          none="nothing"
          bind:value={besideId}
        />
      {/if}
      <TextField
        label="What it shows"
        value={photo.note ?? ''}
        maxlength={200}
        oninput={(event) =>
          set({ note: event.currentTarget.value || undefined }, `photo note ${photoId}`)}
      />
    </div>
    <div class="row apart">
      <TextField label="Words of the next mark" bind:value={words} maxlength={60} />
      {#each tools as [sort, name] (sort)}
        <Button
          aria-pressed={tool === sort}
          disabled={sort === 'words' && words.trim() === ''}
          onclick={() => (tool = tool === sort ? undefined : sort)}>{name}</Button
        >
      {/each}
      {#if tool}<Button quiet onclick={() => tool && addInMiddle(tool)}>Put in the middle</Button
        >{/if}
      {#if photo.marks.length > 0}
        <Button quiet onclick={() => set({ marks: photo.marks.slice(0, -1) })}
          >Take the last mark off</Button
        >
      {/if}
      <Button
        quiet
        onclick={() => {
          void shopStore.edit('photo taken off', dropPhoto(photoId));
          onclose();
        }}>Take the photo off</Button
      >
    </div>
    <p class="soft">
      {tool === 'arrow'
        ? 'Draw from where the arrow begins to what it shows.'
        : tool === 'ring'
          ? 'Draw from the middle outwards.'
          : tool === 'words'
            ? 'Tap where the words begin.'
            : `${photo.width} x ${photo.height} px, ${Math.round(photo.bytes / 1000)} kB. Marks lie over the picture; it stays as it was taken. Place and camera were left out when it was added.`}
    </p>
  </Dialog>
{/if}

<style>
  .pair {
    display: grid;
    gap: 10px;
    justify-items: center;
  }
  .two {
    grid-template-columns: 1fr 1fr;
  }
  .frame {
    width: min(100%, var(--tall) / var(--zoom, 1));
    touch-action: auto;
  }
  .drawing {
    cursor: crosshair;
    touch-action: none;
  }
</style>

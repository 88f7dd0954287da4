import { goto } from '$app/navigation';
import { resolve } from '$app/paths';
import { newJob } from '$core/edits/edits.ts';
import type { Destination } from '$core/quick/line/understood.ts';
import { exportShop } from '$lib/files/save.ts';
import type { JobView } from '$lib/shop/jobView.svelte.ts';
import { shopStore } from '$lib/shop/shopStore.svelte.ts';
import { toast } from '$lib/shop/toasts.svelte.ts';
import { uiState } from '$lib/shop/uiState.svelte.ts';
import { hasCamera } from './hasCamera.ts';

/** Opens a station of the open job, a page, or what a button opens too. */
export function goTo(to: Destination, view: JobView | undefined, jobId?: string): boolean {
  switch (to) {
    case 'bench':
      void goto(resolve('/'));
      return true;
    case 'book':
      void goto(resolve('/book'));
      return true;
    case 'shelf':
      void goto(resolve('/shelf'));
      return true;
    case 'week':
      void goto(resolve('/week'));
      return true;
    case 'labels':
      void goto(resolve('/labels'));
      return true;
    case 'scan sheet':
      if (hasCamera() && matchMedia('(pointer: coarse)').matches) uiState.scanning = true;
      else void goto(resolve('/scan-sheet'));
      return true;
    case 'settings':
      void goto(resolve('/settings'));
      return true;
    case 'new job':
      uiState.dialog = 'new job';
      return true;
    case 'help':
      uiState.dialog = 'keys';
      return true;
    case 'print':
      uiState.dialog = 'print';
      return true;
    case 'export':
      void exportShop();
      return true;
    case 'open file':
      pickShopFile();
      return true;
    default: {
      const id = jobId ?? view?.job?.id ?? uiState.lastJob ?? shopStore.shop.jobs.at(0)?.id;
      if (id === undefined) {
        toast('Start a job first: its stations are there then.');
        return false;
      }
      void goto(resolve('/job/[id]/[station]', { id, station: to }));
      return true;
    }
  }
}

/** The same as the button at the foot of the bench: the browser asks for the file. */
function pickShopFile(): void {
  const input = document.createElement('input');
  input.type = 'file';
  input.accept = '.json,.zip,application/json,application/zip';
  input.onchange = async () => {
    const [file] = input.files ?? [];
    if (!file) return;
    const { readFile } = await import('$lib/files/open.ts');
    await readFile(file);
  };
  input.click();
}

/** A new job needs a name; what it should become may follow. */
export async function startJob(name: string, becomes: string): Promise<void> {
  const made = newJob(name, becomes);
  await shopStore.edit(`new job: ${name}`, made.edit);
  await goto(resolve('/job/[id]/[station]', { id: made.tag(), station: 'take-in' }));
}

import type { Finding, Remedy, StationId } from '$core/findings/finding.ts';
import { applyRemedy } from '$core/edits/edits.ts';
import { remediesFor } from '$core/resolve/otherParts.ts';
import { shopStore } from '$lib/shop/shopStore.svelte.ts';
import type { JobView } from '$lib/shop/jobView.svelte.ts';
import { uiState } from '$lib/shop/uiState.svelte.ts';

/** The sum in hand at a station: the chosen one, else the worst, with its ways out. */
export class Chosen {
  here = $derived.by((): Finding[] =>
    this.view.found.filter((finding) => finding.station === this.station),
  );
  finding = $derived.by(
    (): Finding | undefined =>
      this.here.find((finding) => finding.id === uiState.chosen) ?? this.here[0],
  );
  remedies = $derived.by((): Remedy[] =>
    this.finding && this.view.job ? remediesFor(shopStore.shop, this.view.job, this.finding) : [],
  );

  constructor(
    readonly view: JobView,
    readonly station: StationId,
  ) {}

  take = (remedy: Remedy): void => {
    if (this.view.job) shopStore.edit(remedy.title, applyRemedy(this.view.job.id, remedy));
  };
}

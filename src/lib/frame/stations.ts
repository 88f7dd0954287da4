import { stationIds, type StationId } from '$core/findings/finding.ts';

const names: Record<StationId, string> = {
  'take-in': 'Intake',
  fit: 'Fit',
  make: 'Make',
  plugs: 'Plugs',
  watts: 'Watts',
  links: 'Links',
  donors: 'Donors',
  order: 'Work order',
  'power-up': 'Power-up',
  heat: 'Heat',
  'hand-over': 'Hand-over',
};

/** There are more stations than digits: this one has a letter. */
const letters: Partial<Record<StationId, string>> = { make: 'm' };

/** The stations in the order the work is done, each with its key: a digit in turn, or its letter. */
export const stations: readonly { id: StationId; name: string; digit: string }[] = stationIds.map(
  (id) => {
    const place = stationIds.filter((each) => !letters[each]).indexOf(id);
    return { id, name: names[id], digit: letters[id] ?? String((place + 1) % 10) };
  },
);

export const stationName = (id: StationId): string => names[id];

export const isStation = (text: string): text is StationId =>
  (stationIds as readonly string[]).includes(text);

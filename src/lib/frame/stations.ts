import { stationIds, type StationId } from '$core/findings/finding.ts';

const names: Record<StationId, string> = {
  'take-in': 'Intake',
  fit: 'Fit',
  plugs: 'Plugs',
  watts: 'Watts',
  links: 'Links',
  donors: 'Donors',
  order: 'Work order',
  'power-up': 'Power-up',
  heat: 'Heat',
  'hand-over': 'Hand-over',
};

/** The stations in the order the work is done, each with its key. */
export const stations: readonly { id: StationId; name: string; digit: string }[] = stationIds.map(
  (id, i) => ({ id, name: names[id], digit: String((i + 1) % 10) }),
);

export const stationName = (id: StationId): string => names[id];

export const isStation = (text: string): text is StationId =>
  (stationIds as readonly string[]).includes(text);

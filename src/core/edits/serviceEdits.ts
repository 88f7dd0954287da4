import { sameContent } from '../shop/items.ts';
import type { Edit } from '../model/types/edit.ts';
import type { Part, Service } from '../model/types/types.ts';

const inPart =
  (id: string, change: (service: readonly Service[]) => Service[]): Edit =>
  (shop) => ({
    ...shop,
    parts: shop.parts.map((part): Part => {
      if (part.id !== id) return part;
      const { service, ...rest } = part;
      const lines = change(service ?? []);
      return lines.length > 0 ? { ...rest, service: lines } : rest;
    }),
  });

/** A line more in the service record of a part; lines stand by day. */
export const addService = (partId: string, line: Service): Edit =>
  inPart(partId, (lines) =>
    [...lines, line].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0)),
  );

/** Strikes a line that was written by mistake. */
export const dropService = (partId: string, line: Service): Edit =>
  inPart(partId, (lines) => lines.filter((each) => !sameContent(each, line)));

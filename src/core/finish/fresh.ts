import type { Finish } from '../model/types/finishTypes.ts';

/** A new one of its sort, as most are done. */
export function freshFinish(sort: Finish['do'], id: string): Finish {
  switch (sort) {
    case 'paint':
      return {
        do: 'paint',
        id,
        piece: 'case',
        paint: 'acrylic',
        ground: 'over',
        coats: 'thin',
        clear: false,
        fill: false,
        bake: false,
      };
    case 'bath':
      return {
        do: 'bath',
        id,
        piece: 'front',
        school: 'bath',
        bottlePercent: 12,
        wantedPercent: 6,
        vesselMl: 10_000,
        light: 'sun',
      };
    case 'wash':
      return { do: 'wash', id, piece: 'front', what: 'panel' };
    case 'glue':
      return { do: 'glue', id, piece: 'bracket', which: 'slow epoxy' };
    case 'filler':
      return { do: 'filler', id, piece: 'case', which: 'two-part' };
    case 'metal':
      return { do: 'metal', id, piece: 'case', what: 'drill', minutes: 20 };
    case 'print':
      return { do: 'print', id, piece: 'bracket', material: 'PETG', hours: 6, unattended: false };
    case 'old shell':
      return { do: 'old shell', id, piece: 'case', shell: 'other old shell' };
  }
}

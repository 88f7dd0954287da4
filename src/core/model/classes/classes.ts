import { boardFormat } from '../../standards/boards.ts';
import {
  card,
  coolerHeights,
  drives,
  smallDriveHeightMm,
  supplyFormat,
} from '../../standards/room.ts';
import { moduleHeightMm } from '../../standards/memory.ts';
import { range, type Range } from '../../units/range.ts';
import type { ClassValue } from './classValue.ts';
import { placeClass } from './placeClasses.ts';
import type { Kind } from '../types/types.ts';
import { table } from '../../units/table.ts';

/**
 * What a part of its class usually measures when nobody measured it.
 * Sizes of cases, cards and draws: common practice, no source; outlines, cards and
 * supplies: the publications named in standards/.
 */

type TextOf = (key: string) => string | undefined;

const of = (value: ClassValue['value'], source: string): ClassValue => ({ value, source });

const caseRooms: Record<string, Record<string, Range>> = table({
  tower: {
    coolerRoom: range(150, 175),
    cardRoom: range(240, 400),
    supplyRoom: range(160, 250),
    cardHeightRoom: range(130, 160),
  },
  'mini tower': {
    coolerRoom: range(120, 165),
    cardRoom: range(190, 350),
    supplyRoom: range(140, 200),
    cardHeightRoom: range(115, 150),
  },
  slim: {
    coolerRoom: range(50, 80),
    cardRoom: range(160, 250),
    supplyRoom: range(150, 200),
    cardHeightRoom: range(68.9, 80),
  },
  micro: {
    coolerRoom: range(25, 50),
    cardRoom: range(0, 120),
    supplyRoom: range(0, 60),
    cardHeightRoom: range(0, 60),
  },
  /* One to four units high; cards stand in one of three or four, lie on a riser below (common practice, no source). */
  'rack server': {
    coolerRoom: range(25, 150),
    cardRoom: range(150, 400),
    supplyRoom: range(150, 400),
    cardHeightRoom: range(0, 160),
  },
  notebook: {
    coolerRoom: range(0, 20),
    cardRoom: range(0, 0),
    supplyRoom: range(0, 0),
    cardHeightRoom: range(0, 0),
  },
  'custom case': {
    coolerRoom: range(30, 200),
    cardRoom: range(100, 400),
    supplyRoom: range(100, 300),
    cardHeightRoom: range(60, 200),
  },
});

const anyCase: Record<string, Range> = table({
  coolerRoom: range(25, 200),
  cardRoom: range(0, 400),
  supplyRoom: range(0, 300),
  cardHeightRoom: range(0, 200),
  topRoom: range(15, 70),
});

const counts: Record<string, Range> = table({
  slots: range(0, 7),
  bays35: range(0, 6),
  bays25: range(0, 6),
});

/** What boards and CPUs of small machines draw, W, where nobody said (common practice, no source). */
const smallMachines: Record<string, Partial<Record<Kind, Range>>> = table({
  notebook: { processor: range(6, 55), board: range(3, 12) },
  micro: { processor: range(6, 90), board: range(4, 20) },
});

/** The watts usual in this sort of machine, where they are other than those of desktops. */
export const smallMachineWatts = (sort: string, kind: Kind): Range | undefined =>
  smallMachines[sort]?.[kind];

export function classValue(kind: Kind, key: string, textOf: TextOf): ClassValue | undefined {
  return sizeClass(kind, key, textOf) ?? placeClass(kind, key, textOf);
}

function sizeClass(kind: Kind, key: string, textOf: TextOf): ClassValue | undefined {
  switch (kind) {
    case 'case':
      return caseValue(key, textOf);
    case 'board':
      return boardValue(key, textOf);
    case 'cooler':
      return coolerValue(key, textOf);
    case 'supply':
      return supplyValue(key, textOf);
    case 'card':
      return cardValue(key);
    case 'memory':
      return memoryValue(key, textOf);
    case 'processor':
      return key === 'watts' ? of(range(35, 255), 'desktop CPUs, boost limit') : undefined;
    case 'drive':
      return driveValue(key, textOf);
    case 'fan':
      return key === 'amps' ? of(range(0.05, 0.6), 'fans of the trade') : undefined;
    case 'leads':
      return key === 'length' ? of(range(250, 450), 'front leads') : undefined;
    default:
      return undefined;
  }
}

function caseValue(key: string, textOf: TextOf): ClassValue | undefined {
  const name = textOf('class');
  const room = (name ? caseRooms[name] : undefined)?.[key] ?? anyCase[key] ?? counts[key];
  if (room) return of(room, name ?? 'any case');
  if (key === 'bracket' && name === 'slim') return of('low', 'slim');
  if (key === 'bracket' && (name === 'tower' || name === 'mini tower')) return of('full', name);
  return undefined;
}

function boardValue(key: string, textOf: TextOf): ClassValue | undefined {
  const format = boardFormat(textOf('format'));
  if (format) {
    if (key === 'width') return of(range(format.widthMm), format.name);
    if (key === 'depth') return of(range(format.depthMm), format.name);
    if (key === 'holes') return of([...format.holes], format.name);
  }
  if (key === 'width') return of(range(170, 305), 'any board');
  if (key === 'depth') return of(range(170, 245), 'any board');
  if (key === 'watts') return of(range(20, 40), 'desktop boards');
  return undefined;
}

function coolerValue(key: string, textOf: TextOf): ClassValue | undefined {
  if (key !== 'height') return undefined;
  const name = textOf('class');
  const height = name ? coolerHeights[name] : undefined;
  return height ? of(height, `${name} cooler`) : of(range(25, 170), 'any cooler');
}

function supplyValue(key: string, textOf: TextOf): ClassValue | undefined {
  const format = supplyFormat(textOf('format'));
  if (key === 'depth') {
    return format ? of(format.depthMm, format.name) : of(range(80, 230), 'any PSU');
  }
  if (key === 'watts') return of(range(120, 1200), 'any PSU');
  if (key === 'amps12') return of(range(8, 100), 'any PSU');
  return undefined;
}

function cardValue(key: string): ClassValue | undefined {
  if (key === 'length') return of(range(145, 330), 'any card');
  if (key === 'height') return of(range(card.lowHeightMm, 140), 'any card');
  if (key === 'slotsWide') return of(range(1, 3), 'any card');
  if (key === 'watts') return of(range(5, 600), 'any card');
  return undefined;
}

function memoryValue(key: string, textOf: TextOf): ClassValue | undefined {
  if (key === 'height') {
    const bare = moduleHeightMm[textOf('memoryForm') as 'DIMM' | 'SO-DIMM'] ?? 31.25;
    return of(
      bare === 30 ? range(30) : range(18.75, 57),
      'modules low, plain and with heat spreader',
    );
  }
  return undefined;
}

function driveValue(key: string, textOf: TextOf): ClassValue | undefined {
  if (key === 'height') return driveHeight(textOf('form'));
  if (key !== 'watts') return undefined;
  const form = textOf('form');
  if (form === '3.5') return of(range(6, 9), '3.5 in drives');
  if (form === '2.5') return of(range(2, 4), '2.5 in drives');
  if (form === 'M.2') return of(range(5, 12), 'M.2 drives');
  return of(range(2, 12), 'any drive');
}

function driveHeight(form: string | undefined): ClassValue | undefined {
  if (form === '3.5') return of(range(drives['3.5'].heightMm), '3.5 in drives');
  return form === '2.5' ? of(smallDriveHeightMm, '2.5 in drives') : undefined;
}

/** Watts one memory module draws (common practice, no source). */
export const moduleW: Range = range(3, 6);

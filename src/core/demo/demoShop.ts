import { emptyJob, emptyShop } from '../model/empty.ts';
import type { Job, Shop } from '../model/types.ts';
import { machineParts, machines } from './machines.ts';
import { models } from './models.ts';
import { shelf } from './shelf.ts';
import { euros } from './write.ts';

/**
 * The demo: the mountain-rescue post of Skarnhol was given a batch of retired office machines.
 * Everything in it is invented. `now` is an ISO time; waits and deliveries are laid round it.
 */
export function demoShop(now: string): Shop {
  return {
    ...emptyShop('Skarnhol post workshop'),
    models,
    machines,
    parts: [...shelf, ...machineParts],
    jobs: jobs(now),
  };
}

function job(id: string, name: string, becomes: string, more: Partial<Job>): Job {
  return { ...emptyJob(id, name, becomes), ...more };
}

function jobs(now: string): Job[] {
  const at = (hours: number) => new Date(Date.parse(now) + hours * 3_600_000).toISOString();
  return [
    job('14', 'Slim desk unit', 'low tower: map desk, four screens', {
      machineId: 'M14',
      budget: euros(120),
      changes: [
        { seat: 'case', partId: 'A01' },
        { seat: 'card1', partId: 'F01' },
        { seat: 'supply', partId: 'S01' },
        { seat: 'leads', partId: 'N09' },
        { seat: 'fan1', partId: 'H03' },
      ],
      readings: [
        { kind: 'temperatureC', value: 78, when: 'before', at: at(-3), load: 'flat out' },
        { kind: 'wallW', value: 96, when: 'before', at: at(-3), load: 'flat out' },
      ],
      ticks: [{ stepId: 'before-reading', at: at(-3) }],
      sums: [{ text: '267 in 247', at: at(-2) }],
    }),
    job('12', 'Micro unit', 'hut desk, two screens', {
      machineId: 'M12',
      budget: euros(45),
      changes: [
        { seat: 'memory1', partId: 'E10' },
        { seat: 'memory2', partId: 'E11' },
      ],
      ticks: [
        'before-reading',
        'discharge',
        'open',
        'out:memory1',
        'in:memory1',
        'in:memory2',
        'gate-picture',
        'gate-drives',
        'gate-stress',
      ].map((stepId, i) => ({ stepId, at: at(-2 + i / 10) })),
      waits: [{ why: 'running in', until: at(1.5) }],
    }),
    job('9', 'Cream tower', 'training room, one screen', {
      machineId: 'M9',
      budget: euros(50),
      changes: [
        { seat: 'memory1', partId: 'E07' },
        { seat: 'memory2', partId: 'E08' },
        { seat: 'drive2', partId: 'G06' },
      ],
      ticks: ['before-reading', 'discharge', 'open'].map((stepId) => ({ stepId, at: at(-20) })),
      waits: [{ why: 'second coat drying', until: at(4) }],
    }),
    job('11', 'Hut radio log', '12 V bench, long lead', {
      machineId: 'M11',
      budget: euros(60),
      changes: [{ seat: 'drive1', partId: 'W01' }],
      waits: [{ why: 'lead AWG 14, 6 m comes', until: at(27) }],
      wants: [{ what: 'wire AWG 14, 6 m', count: 1, price: euros(7.4) }],
      sums: [{ text: 'awg 14 6 m 6 A', at: at(-1) }],
    }),
    job('5', 'Low tower', 'valley office, 32 GB', {
      machineId: 'M5',
      budget: euros(100),
      changes: [
        { seat: 'case', partId: 'A02' },
        { seat: 'board', partId: 'B01' },
        { seat: 'memory1', partId: 'E05' },
        { seat: 'memory2', partId: 'E06' },
        { seat: 'supply', partId: 'S01' },
        { seat: 'cooler', partId: 'K02' },
        { seat: 'leads', partId: 'N10' },
      ],
      waits: [{ why: 'to be fetched', until: at(50) }],
      wants: [{ what: '6-32 screws, 12', count: 1, price: euros(1.8) }],
    }),
    job('17', 'Lamp tester', 'odd shell, 9 litres, one screen', {
      budget: euros(40),
      changes: [
        { seat: 'case', partId: 'A04' },
        { seat: 'board', partId: 'B02' },
        { seat: 'processor', partId: 'C06' },
        { seat: 'cooler', partId: 'K01' },
        { seat: 'memory1', partId: 'E01' },
      ],
      waits: [{ why: 'no supply found yet' }],
      wants: [{ what: 'rear plate, 1 mm sheet', count: 1 }],
    }),
    job('3', 'Slim desk unit', 'training room, two screens', {
      machineId: 'M3',
      budget: euros(30),
      readings: [
        { kind: 'temperatureC', value: 81, when: 'before', at: at(-50), load: 'until settled' },
        { kind: 'temperatureC', value: 69, when: 'after', at: at(-26), load: 'until settled' },
      ],
      clearings: [{ partId: 'M3-07', how: 'purge', at: at(-30) }],
      handedOver: at(-24),
    }),
  ];
}

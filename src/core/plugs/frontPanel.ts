import type { Finding } from '../findings/finding.ts';
import { plain, wordOf } from '../findings/terms.ts';
import { plugNameIn } from '../model/lookup/ownPlugs.ts';
import { listAt, partOfKind, textAt, type Placed, type Plan } from '../model/lookup/plan.ts';
import { plugsOf } from '../model/lookup/reads.ts';
import { commonPractice } from '../standards/source.ts';
import { offer } from '../remedies/offer.ts';
import { plugAdapter } from '../remedies/plugAdapter.ts';
import { pairFinding } from './pairs.ts';

/** The front block on the board's header; a block nobody named is a question once one side is new. */
export function frontBlock(plan: Plan): Finding[] {
  const [board, leads] = [partOfKind(plan, 'board'), partOfKind(plan, 'leads')];
  if (!board || !leads) return [];
  const take = textAt(plan, board, 'frontHeader');
  const give = textAt(plan, leads, 'frontPlug');
  if (take && give)
    return [
      pairFinding(plan, {
        id: 'front-block',
        title: 'front block',
        plug: { id: give.text, placed: leads, key: 'frontPlug', told: give },
        socket: { id: take.text, placed: board, key: 'frontHeader', told: take },
        undoMinutes: 20,
      }),
    ];
  if (board.state === 'stays' && leads.state === 'stays') return [];
  return blockBySort(plan, board, leads);
}

/** By the sort of the leads alone: single ones go onto every header pair by pair, a block only onto its own. */
function blockBySort(plan: Plan, board: Placed, leads: Placed): Finding[] {
  const sort = textAt(plan, leads, 'block');
  const take = textAt(plan, board, 'frontHeader');
  if (sort?.text === 'single') return [];
  const standard = sort?.text === 'standard 2x5';
  if (standard && take?.text === 'front10') return [];
  const maker = sort?.text === "maker's block";
  const name = (id: string) => plugNameIn(plugsOf(plan), id);
  return [
    {
      id: 'front-block',
      station: 'plugs',
      mark: maker && take?.text === 'front10' ? 'mend' : 'watch',
      title: 'front block',
      seats: [leads.seat, board.seat],
      about: { of: 'plugs', plug: standard ? 'front10' : undefined, socket: take?.text },
      unit: '',
      terms: [
        { ...wordOf(leads, 'block', 'front leads', sort), value: sort?.text ?? '?', sign: 0 },
        {
          ...wordOf(board, 'frontHeader', 'header', take),
          value: take ? name(take.text) : '?',
          sign: 0,
        },
      ],
      marginLabel: sort ? 'not the same' : 'not known',
      say: maker
        ? "A maker's block: find out its pins before it is pushed on; without it there is no power button."
        : standard
          ? 'The header of the board is not known: look for a 2x5 with one pin missing at its end.'
          : "Nobody said whether the front leads are single, the standard block or a maker's: without them there is no power button.",
      source: commonPractice,
      remedies: [],
      undoMinutes: 20,
    },
  ];
}

/** The USB leads of the front, each onto a header of its own kind; one without is Mend: an adapter, slower, or it hangs loose. */
export function frontUsb(plan: Plan): Finding[] {
  const [board, leads] = [partOfKind(plan, 'board'), partOfKind(plan, 'leads')];
  const wanted = leads && listAt(plan, leads, 'usb');
  const has = board && listAt(plan, board, 'usbKinds');
  if (!board || !leads || !wanted || !has) return [];
  const free = [...has.items];
  const name = (id: string) => plugNameIn(plugsOf(plan), id);
  return wanted.items.flatMap((id, i): Finding[] => {
    const at = free.indexOf(id);
    if (at >= 0) {
      free.splice(at, 1);
      return [];
    }
    const other = free[0];
    return [
      {
        id: `front-usb:${i + 1}`,
        station: 'plugs',
        mark: 'mend',
        title: 'USB at the front',
        seats: [leads.seat, board.seat],
        unit: '',
        terms: [
          plain('lead', name(id), 0),
          {
            ...wordOf(board, 'usbKinds', 'headers', undefined),
            value: has.items.map(name).join(', ') || 'none',
            sign: 0,
          },
        ],
        marginLabel: 'no header',
        say: `No ${name(id)} on this board: ${
          other === undefined
            ? 'the ports at the front stay dead, or a card with a header goes in.'
            : 'an adapter to another header makes the ports work, slower.'
        }`,
        source: commonPractice,
        remedies:
          other === undefined
            ? []
            : [
                offer(
                  plan,
                  plugAdapter({ pair: `front-usb:${i + 1}`, from: id, to: other }),
                  'watch',
                ),
              ],
        undoMinutes: 15,
      },
    ];
  });
}

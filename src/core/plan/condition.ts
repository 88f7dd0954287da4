import type { Finding, Mark, Remedy } from '../findings/finding.ts';
import { plain } from '../findings/terms.ts';
import { manyKinds } from '../model/types/types.ts';
import { conditionOf } from '../model/lookup/condition.ts';
import type { Placed, Plan } from '../model/lookup/plan.ts';
import { commonPractice } from '../standards/source.ts';

/** What was said of the parts of a plan: one that is dead, damaged, or mended and not tried since; one that left the house. */
export function condition(plan: Plan): Finding[] {
  return plan.seats.flatMap((placed) => [...gone(placed), ...state(plan, placed)]);
}

function gone(placed: Placed): Finding[] {
  if (placed.part.place !== 'gone') return [];
  return [
    word(placed, {
      id: 'gone',
      mark: 'stop',
      is: 'gone',
      say: `${placed.part.name} has left the house.`,
    }),
  ];
}

function state(plan: Plan, placed: Placed): Finding[] {
  const { condition: is, inherited, untested, what } = conditionOf(plan, placed);
  const name = placed.part.name;
  const tell = (mark: Mark, say: string): Finding[] => [
    word(placed, { id: 'condition', mark, is, say: what ? `${say} Damaged: ${what}.` : say }),
  ];
  switch (is) {
    case 'dead':
      return inherited
        ? tell(
            'watch',
            `Its machine is dead; whether ${name} is what died, nobody said. Test it first.`,
          )
        : tell('stop', `${name} is dead.`);
    case 'damaged':
      return inherited && placed.state === 'stays'
        ? []
        : tell('watch', `${name} is damaged: look at it, mend it and test it, or take another.`);
    case 'mended':
      return untested && !inherited
        ? tell('watch', `${name} was mended and not tested since.`)
        : [];
    default:
      return [];
  }
}

function word(placed: Placed, told: { id: string; mark: Mark; is: string; say: string }): Finding {
  return {
    id: `${told.id}:${placed.seat}`,
    station: 'donors',
    mark: told.mark,
    title: `${placed.part.id}, ${told.is}`,
    seats: [placed.seat],
    unit: '',
    terms: [plain(placed.part.name, told.is, 0)],
    marginLabel: told.is,
    say: told.say,
    source: commonPractice,
    remedies: told.mark === 'stop' && manyKinds.includes(placed.kind) ? [leaveOut(placed)] : [],
    undoMinutes: 30,
  };
}

const leaveOut = ({ seat, part }: Placed): Remedy => ({
  title: `Leave ${part.name} out`,
  mark: 'clear',
  minutes: 0,
  undoable: true,
  value: { do: 'put', seat, partId: null },
});

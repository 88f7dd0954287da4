import { seatName } from '../model/seats.ts';
import type { Plan } from '../model/plan.ts';
import { firmwareIds } from './firmwareSteps.ts';
import { cautions } from './cautions.ts';
import { table } from '../units/table.ts';
import { step } from './draft.ts';
import type { Step } from './step.ts';
import { remedyMinutes } from '../findings/remedyMinutes.ts';

/** What is done to the shell itself: remedies taken. */
export function shellSteps(plan: Plan): Step[] {
  const steps: Step[] = [];
  const firmware = firmwareIds(plan);
  for (const id of plan.taken) {
    if (firmware.includes(id)) continue;
    const [what, detail = '', place] = id.split(':');
    const cut = ['cut-front', 'drill', 'rear-cut', 'file-slots'].includes(what ?? '');
    const title =
      table({
        'cage-out': 'Take the drive cage out',
        'cut-front': 'Cut the wall in front of the card',
        drill: `Drill and set standoff ${[...detail].join(', ')}`,
        'standoffs-out': `Take standoff ${[...detail].join(', ')} out`,
        'lid-washers': "Lay washers under the lid's screws",
        'turn-supply': 'Turn the supply round: look where its fan blows',
        'drive-to': `Hang ${seatName(detail)} on the ${place ?? ''} mount`,
        'slot-far': `Put ${seatName(detail)} two slots further from the processor`,
        'fan-outside': `Screw ${seatName(detail)} to the outside of the front`,
        'rear-cut': 'Cut the rear openings as listed',
        'rear-open': 'Leave the rear plate out',
        'file-slots': "File the mounting plate's holes to slots",
        tilt: 'Tilt it in as tried',
        feed: `Hang ${seatName(detail)} on the ${leadName(plan, place ?? '')}`,
        limit: `Hold ${seatName(detail)} to ${place ?? '?'} W in the firmware`,
      })[what ?? ''] ?? `Get and fit: ${wanted(plan, id)}`;
    steps.push(
      step({
        id: `remedy:${id}`,
        phase: 'shell',
        title,
        minutes: remedyMinutes(id),
        tools: cut ? ['file', 'drill', 'goggles'] : ['driver'],
        cautions: cut ? [cautions.edges, cautions.chips] : [],
        undoable: !cut,
        why: cut ? 'metal is cut while the case is empty' : undefined,
      }),
    );
  }
  return steps;
}

/** A lead by the words of the supply's, or the hub or splitter that sits in a seat. */
const leadName = (plan: Plan, lead: string): string =>
  plan.seats.find((placed) => placed.seat === lead)?.part.name ??
  (lead === 'main' ? 'main lead' : lead.replace(/(\d+)$/, ' $1').replace(/ {2,}/, ' '));

const wanted = (plan: Plan, remedyId: string) =>
  plan.job?.wants.find((want) => want.remedyId === remedyId)?.what ?? remedyId;

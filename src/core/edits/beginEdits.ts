import type { Inventory } from '../intake/inventory.ts';
import { giveTag, type TagEdit } from '../shop/items.ts';
import { addDiagnosis } from './diagnosisEdits.ts';
import { addJob, editMachine, nextNumber, type Edit } from './edits.ts';
import { takeInAll } from './intakeEdits.ts';

/** Ways a job begins with a machine in the hands, each one step of undo. */

const freeMachine = (id: string): string => `M${id}`;

/** A new job for what an inventory says: named by the machine, everything in it taken in; other machines of the same paste get tags of their own. */
export const beginFrom = (inventories: readonly Inventory[], at: string): TagEdit =>
  giveTag(nextNumber, (id) =>
    together(
      addJob(id, inventories[0]?.name ?? 'machine', ''),
      takeInAll(freeMachine(id), inventories, at, id),
    ),
  );

/** A new job for a machine that does not start, with the search for its fault begun. */
export const beginDead = (inventory: Inventory, symptom: string, at: string): TagEdit =>
  giveTag(nextNumber, (id) =>
    together(
      addJob(id, inventory.name ?? 'dead machine', ''),
      takeInAll(freeMachine(id), [inventory], at, id),
      editMachine(freeMachine(id), { starts: false }),
      (shop) => addDiagnosis(id, { symptom, at, after: [], tried: [] }).edit(shop),
    ),
  );

const together =
  (...edits: Edit[]): Edit =>
  (shop) =>
    edits.reduce((now, edit) => edit(now), shop);

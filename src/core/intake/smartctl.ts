import { IntakeError, present, reader, type Inventory } from './inventory.ts';
import { isRow, numberIn, rowsIn, textIn, type Row } from './json.ts';
import { believable } from './junk.ts';
import { driveGb } from './words.ts';

const TOOL = 'smartctl';
const say = reader(TOOL);

const inner = (row: Row, ...keys: readonly string[]): unknown =>
  keys.reduce<unknown>((value, key) => (isRow(value) ? value[key] : undefined), row);

/** Attribute of a drive's record: sectors set aside (ATA attribute 5). */
const REALLOCATED = 5;

/**
 * Reads `smartctl -a -j` of one drive: its name, size, hours, what is worn, sectors set aside and whether
 * it passes its own test. Throws IntakeError when it names no drive.
 */
export function readSmartctl(row: Row): Inventory {
  const name = believable(row['model_name']) ?? believable(row['scsi_model_name']);
  if (!name) throw new IntakeError('This smartctl output names no drive: run it with -a -j.');
  const bytes = numberIn(inner(row, 'user_capacity', 'bytes'));
  const nvme = inner(row, 'device', 'protocol') === 'NVMe';
  const log = inner(row, 'nvme_smart_health_information_log');
  const passed = inner(row, 'smart_status', 'passed');
  const attributes = rowsIn(inner(row, 'ata_smart_attributes', 'table'));
  const raw = (id: number) =>
    numberIn(inner(attributes.find((each) => each['id'] === id) ?? {}, 'raw', 'value'));
  const form = /^(3\.5|2\.5|M\.2)/.exec(textIn(inner(row, 'form_factor', 'name')) ?? '')?.[1];
  const number = (value: number | undefined) =>
    value !== undefined && value >= 0 ? say.number(value) : undefined;
  const size = bytes ? driveGb(bytes) : undefined;
  return {
    tool: TOOL,
    facts: {},
    parts: [
      {
        kind: 'drive',
        name,
        facts: present({
          size: number(size),
          form: nvme ? say.text('M.2') : form ? say.text(form) : undefined,
          bus: nvme ? say.text('NVMe') : undefined,
          hours: number(numberIn(inner(row, 'power_on_time', 'hours'))),
          worn: number(isRow(log) ? numberIn(log['percentage_used']) : wornOf(row)),
          reallocated: number(isRow(log) ? numberIn(log['media_errors']) : raw(REALLOCATED)),
          selfTest:
            typeof passed === 'boolean' ? say.text(passed ? 'passed' : 'failed') : undefined,
        }),
      },
    ],
    ignored: [],
  };
}

/** Newer tools print the share used of a SATA SSD as well. */
const wornOf = (row: Row): number | undefined =>
  numberIn(inner(row, 'endurance_used', 'current_percent'));

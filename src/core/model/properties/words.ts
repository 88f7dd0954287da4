import { boardFormats } from '../../standards/boards.ts';
import { plugs } from '../../standards/plugs/index.ts';

/** Words several kinds choose from. */
export const boardFormatNames = [...boardFormats.map((format) => format.name), "maker's own"];
export const drivePlugs = ['sata', 'slimsata', 'drive4', 'small4'];
export const fanPlugs = ['fan2', 'fan3', 'fan4', 'fan5'];
export const frontPlugs = ['front10', 'frontMaker'];
export const usbHeaderIds = ['usb2', 'usb3', 'usbC20'];
export const lightPlugs = ['light12', 'light5'];
export const barrelIds = plugs.filter((each) => each.group === 'barrel').map((each) => each.id);
export const powerPlugs = [
  'card62',
  'card6',
  'card8',
  'card16',
  'cpu44',
  'cpu4',
  'cpu8',
  'sata',
  'drive4',
];

import { boardFormatNames } from './words.ts';
import { supplyFormats } from '../../standards/room.ts';
import { area, cuboid, driveMount, fanMount } from '../types/shapes.ts';
import { list, mm, num, shaped, text } from './property.ts';

export const caseClasses = [
  'tower',
  'mini tower',
  'slim',
  'micro',
  'rack server',
  'notebook',
  'custom case',
] as const;
/** Cases that have their PSU inside, whoever built them; any other may have it anywhere. */
export const houseSupply: readonly (typeof caseClasses)[number][] = ['tower', 'mini tower', 'slim'];
/** Where the supply sits, seen with the ports at the upper end of the rear wall. */
export const supplyPlaces = [
  'above the board',
  'below the board',
  'in front of the board',
  'over the board',
  'outside the case',
] as const;
/** Where drives are screwed down; each mount of a case is listed once. */
const vents = ['lid', 'top', 'rear', 'front', 'floor'];

export const caseProperties = [
  text('class', 'class', 'What sort of case is it?', caseClasses),
  mm('outerWidth', 'width outside', 'How wide is it outside, side to side?'),
  mm('outerHeight', 'height outside', 'How high is it outside, without feet?'),
  mm('outerDepth', 'depth outside', 'How deep is it outside, front to back?'),
  list('boards', 'boards it is made for', 'Which board sizes does it name?', boardFormatNames),
  list('standoffs', 'standoffs', 'Which standoff places are there, by letter?'),
  mm(
    'boardWidth',
    'room for the board, across',
    'How wide may a board be, along the rear wall?',
    40,
  ),
  mm(
    'boardDepth',
    'room for the board, from the rear',
    'How deep may a board be, from the rear wall to the first obstruction?',
    40,
  ),
  mm(
    'coolerRoom',
    'cooler height clearance',
    "How far is it from the CPU's top to the closed lid?",
    40,
  ),
  mm(
    'cardRoom',
    'room for the card',
    'How far is it from inside the rear wall, at the upper slot, to the first obstruction?',
    30,
  ),
  mm(
    'cardHeightRoom',
    'card height clearance',
    'How far is it from the slot seat to the closed lid, less the plug?',
    40,
  ),
  num('slots', 'card openings', 'count', 'How many card openings are in the rear wall?', 10, 5),
  text('bracket', 'card bracket', 'Full height or low card brackets?', ['full', 'low']),
  text(
    'supplyFormat',
    'PSU bay',
    'Which PSU format does the bay take?',
    supplyFormats.map((f) => f.name),
  ),
  mm(
    'supplyRoom',
    'depth for the PSU, plugs in',
    'How deep may the PSU be, with its plugs in?',
    30,
  ),
  num(
    'bays35',
    'mounts for 3.5 in drives',
    'count',
    'How many 3.5 in drives can be screwed down?',
    30,
    15,
  ),
  num(
    'bays25',
    'mounts for 2.5 in drives',
    'count',
    'How many 2.5 in drives can be screwed down?',
    30,
    15,
  ),
  mm(
    'cageGain',
    'room the drive cage gives when out',
    'How far back is the next obstruction once the drive cage is out?',
    40,
  ),
  shaped(
    'mounts',
    'drive mounts',
    'Where can drives be screwed down, each place once (cage 3.5, floor 2.5 130 deep)?',
    driveMount,
  ),
  shaped(
    'fanMounts',
    'fan mounts',
    'Which fan mounts are there, and how deep is it free behind (rear 92, front 120 55 deep)?',
    fanMount,
  ),
  mm('topRoom', 'room under the top', 'How far is it from the top mounts down to the board?', 20),
  text('supplyAt', 'place of the PSU', 'Where does the PSU sit?', supplyPlaces),
  mm('innerWidth', 'width inside', 'How far is it from the tray to the closed lid?', 30),
  mm('innerHeight', 'height inside', 'How far is it inside, along the rear wall?', 30),
  mm('innerDepth', 'depth inside', 'How far is it from inside the rear wall to the front?', 30),
  mm(
    'bracketDrop',
    'what the drive bracket takes',
    'How far does the bracket with its drive hang down from the lid?',
  ),
  list('onLid', 'on the lid', 'What with a lead is fixed to the lid?', [
    'fan',
    'drive',
    'lights',
    'radiator',
  ]),
  list('vents', 'vents', 'Which walls have holes for air?', vents),
  mm('feet', 'feet', 'How high do its feet lift it?', 5),
  num('coats', 'coats of paint', 'count', 'How many coats of paint will it get inside?', 20, 5),
  num('mass', 'mass', 'kg', 'What does it weigh, as it is lifted?', 200),
  text('portsFace', 'where the ports face', 'Where do the ports face as it stands?', [
    'rear',
    'up',
    'down',
  ]),
  mm(
    'portsSet',
    'ports set back',
    'How far back from the outside do the ports lie, where their plugs go in?',
    15,
  ),
  mm(
    'leadRoom',
    'room for leads',
    'How deep is the room where the leads lie, beside the PSU or behind the tray, to the closed panel?',
    20,
  ),
  mm(
    'leadOpening',
    'opening for leads from outside',
    'How wide is the opening the leads come in by, its smaller side?',
    15,
  ),
  shaped(
    'brickRoom',
    'free place for a brick',
    'How large is the free place a brick may lie in (160 x 70 x 40)?',
    cuboid,
  ),
  mm('lining', 'lining', 'How thick are tape, pads or felt under the lid?', 10),
  shaped(
    'openings',
    'cut-outs for ports',
    'Which cut-outs has the rear wall, from the port end and up from the board?',
    area,
  ),
] as const;

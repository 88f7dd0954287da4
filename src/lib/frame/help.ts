import type { StationId } from '$core/findings/finding.ts';

/** Help for what is on the stage: what it does, its words, its keys. */
export interface Help {
  says: readonly [string, string, string];
  words: readonly (readonly [word: string, meaning: string])[];
  /** Keys beside those that work everywhere. */
  keys?: readonly (readonly [keys: string, what: string])[];
}

const marks = [
  ['Stop', 'would not work, or would do harm'],
  ['Mend', 'does not fit as it is, and a way exists'],
  ['Watch', 'thin, or not known well enough'],
  ['Clear', 'the whole range says yes'],
] as const;

export const helpOf: Record<StationId | 'bench' | 'shelf' | 'week', Help> = {
  week: {
    says: [
      'All open steps of all jobs laid along the days: hands solid, leaving alone hatched, nights and days off as gaps.',
      'Worked out so that the jobs are as little late as can be; the tape says what is short and what would make it.',
      'Drag a step later, or move it with the arrow keys, and see what it pushes. Keep the plan, and later ones change as little of it as they can.',
    ],
    words: [
      ['Hands', 'somebody works on it, without a break, in opening hours'],
      ['Leave alone', 'it dries, prints or bathes; nights count'],
      ['To spare', 'from the end of the last step to the day it is promised for'],
    ],
    keys: [['← →', 'the chosen step half an hour earlier or later']],
  },
  shelf: {
    says: [
      'Every part of the house in one list: filter it, sort it by its headings, edit it in its line.',
      'Choose several with their boxes, a whole stretch with Shift: move, price, label, plan, sell or scrap them together.',
      'What could it become: the nearest complete machines from what nobody has promised, and what each lacks.',
    ],
    words: [
      ['Free', 'on the shelf or in a donor, whoever wants it'],
      ['Promised', 'planned in a job, kept for one, lent or borrowed'],
      ['Sell, give away, scrap', 'it leaves the house; the book has a line where money moves'],
    ],
    keys: [['Shift + click', 'chooses all between']],
  },
  bench: {
    says: [
      'Every machine in work stands where hands are next needed, all to one scale.',
      'Two numbers in the entry line are answered at once; a job needs no more than a name.',
      'The tape on the right has the next step of each job, what to buy, and what is lent.',
    ],
    words: [
      ['Tag', 'the number a machine, a part or a job goes by'],
      ['Entry line', 'the field at the top: sums, tags, questions, commands'],
      ...marks,
    ],
  },
  'take-in': {
    says: [
      'Paste what dmidecode, lshw or the like print, or say what you see: that is the machine as found.',
      'Below it the seats of the machine as it shall be: tap one to put another part in.',
      'Everything you do not mention is kept.',
    ],
    words: [
      ['Kept, removed, added', 'what becomes of a part'],
      ['From inventory', 'read out by the machine itself'],
      ['Typical', 'what parts of that sort usually are, until you measure'],
    ],
  },
  make: {
    says: [
      'What is cut, drilled or bent of sheet for this machine, drawn flat and to scale from the plan’s own measures.',
      'Change a figure and the picture follows; the tape says what would be too thin, too tight or too near a bend.',
      'Print it at true size, glue it on, punch the crosses and cut; DXF and SVG go to a cutter. Its minutes stand in the work order.',
    ],
    words: [
      ['Web', 'the metal left standing between two openings'],
      ['Flat', 'the piece before it is bent'],
      ['Punch', 'a dent where the drill begins'],
    ],
  },
  fit: {
    says: [
      'The case is drawn cut open, to scale; what is not measured yet is dashed.',
      'Each sum on the tape is room less part: tap one, and it is lit in the picture.',
      'Ways to make it fit are the cheapest sets of changes with which every sum holds.',
    ],
    words: [
      ['Clearance', 'from the datum to the first thing in the way'],
      ['Datum', 'where a length is measured from'],
      ['No visible cuts', 'nothing that shows on the outside'],
    ],
  },
  plugs: {
    says: [
      'Each plug is held against what it goes into, pin by pin.',
      'A plug nobody knows is found out with a meter: the next reading is always the one that tells most.',
      'An adapter is never a guess: it is a list of wires, checked before it is drawn.',
    ],
    words: [
      ['Pins', 'contacts, as in 8-pin'],
      ['Ground', '0 V of the outputs, found by continuity with everything unplugged'],
      ['EPS, PCIe', 'CPU power and card power: alike to look at, the other way round inside'],
    ],
  },
  watts: {
    says: [
      'The tree shows what feeds what, down to the amps of one contact.',
      'Every draw is a range: a label says the most, the machine decides.',
      'The headroom you keep is your own choice, in the settings.',
    ],
    words: [
      ['Rail', 'one voltage of a PSU, with a limit of its own'],
      ['Load spike', 'what a card draws for a millisecond or so'],
      ['Full load', 'everything busy at once'],
    ],
  },
  links: {
    says: [
      'From the CPU to each device: the narrowest place on the way decides.',
      'RAM is shown slot by slot, as the board wants it filled.',
      'What a machine says of its links can be pasted, and is held against the plan.',
    ],
    words: [
      ['x4, x16', 'lanes of a slot or card'],
      ['Generation', 'how fast a lane is'],
      ['Channel', 'a road to the RAM; two are faster than one'],
    ],
  },
  donors: {
    says: [
      'Which part goes to which job, out of which donor, and what it costs.',
      'Worth it puts what is spent and what hands cost against what it will fetch.',
      'A part two jobs want stands on the tape until somebody decides.',
    ],
    words: [
      ['Donor', 'a machine that is dismantled'],
      ['Value', 'what it would fetch by itself'],
      ['Lent, borrowed', 'out of the house, or in it and owed back'],
    ],
  },
  order: {
    says: [
      'The steps in an order that works: what must go in first comes first.',
      'Tick a step when it is done; the minutes left are at the top.',
      'Start-up checks stand between the steps: nothing goes on until they are passed.',
    ],
    words: [['Check', 'a point where the machine is started with what is in it']],
    keys: [['done', 'in the entry line: ticks the next step']],
  },
  'power-up': {
    says: [
      'The least parts first: each stair is started before the next part goes in.',
      'If it does not start, say what it does: the next test is the one that tells most for its minutes.',
      'Unplug before hands go in; a PSU is never opened here.',
    ],
    words: [
      ['Symptom', 'what it does instead of starting'],
      ['Beeps', 'codes of the firmware; the count narrows it down'],
    ],
  },
  heat: {
    says: [
      'Write down temperatures before and after, or load a log.',
      'A run that is still warming is read to its end: the settled figure comes with a span.',
      'Two runs are compared at equal load only.',
    ],
    words: [
      ['Settled', 'as warm as it will get at this load'],
      ['Above room', 'degrees over the air it draws, so that winter and summer compare'],
    ],
  },
  'hand-over': {
    says: [
      'What goes out with the machine: what came in, what was built, what was tested.',
      'Once handed over the record stands; corrections are added with their day.',
      'Print it, or keep it as a file.',
    ],
    words: [['Swap sheet', 'the paper that goes out with the machine']],
  },
};

/** Keys that work everywhere. */
export const keysEverywhere = [
  ['/', 'entry line'],
  ['g then 1 to 9, 0', 'station'],
  ['g b', 'bench'],
  ['g s', 'shelf'],
  ['g w', 'week'],
  ['[  ]', 'previous and next finding'],
  ['m', 'measure the next open thing'],
  ['t', 'the tape, on a narrow screen'],
  ['n', 'new job'],
  ['u  U', 'undo, redo'],
  ['p', 'print this station'],
  ['?', 'this help'],
] as const;

/** A stop of the tour: where it is, what to look at, and what is said of it. */
export interface TourStop {
  /** The station of the job it is shown on; undefined: the bench. */
  station?: StationId;
  /** What is ringed. */
  at: string;
  says: string;
}

/** Five stops on the demo's first job. */
export const tour: readonly TourStop[] = [
  {
    at: '.shelves li',
    says: 'Every machine stands where hands are next needed. The tag says what it becomes, what is next, and its tightest sum.',
  },
  {
    at: '.entry',
    says: 'The entry line takes what you would say aloud: 267 in 247, 12 V 20 A, fan 92, is 450 W enough.',
  },
  {
    station: 'fit',
    at: '#stage svg',
    says: 'A case cut open, to scale. Dashed is not measured yet. Tap a part and it says what it meets.',
  },
  {
    station: 'fit',
    at: '.tape .roll',
    says: 'The tape: room less part leaves so much. Stop and Mend stand open with what cures them; tap a remedy to take it.',
  },
  {
    station: 'power-up',
    at: '#stage',
    says: 'Power it up stair by stair, or say what a dead machine does. That is all: start a shop of your own from the bench.',
  },
];

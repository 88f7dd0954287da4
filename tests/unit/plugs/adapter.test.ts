import { expect } from 'chai';
import fc from 'fast-check';
import {
  needOf,
  ampacity,
  route,
  continuity,
  crossings,
  endName,
  adapterRecipe,
  AdapterError,
  layOut,
  live,
  ratedA,
  shopping,
  wireLine,
  type AdapterSpec,
  type Recipe,
} from '../../../src/core/plugs/adapter/index.ts';
import { readAdapterSpec } from '../../../src/core/plugs/adapter/schema.ts';
import { isReturn } from '../../../src/core/plugs/mate/index.ts';
import { plug, type Plug } from '../../../src/core/standards/plugs/index.ts';

const of = (id: string, pins?: string[]): Plug => {
  const found = plug(id);
  if (!found) throw new Error(`no plug: ${id}`);
  return pins ? { ...found, id: `${id}-own`, pins, ways: pins.length } : found;
};
const joined = (gives: string[], takes: string[], more: Partial<AdapterSpec> = {}): Recipe =>
  adapterRecipe({ gives: gives.map((id) => of(id)), takes: takes.map((id) => of(id)), ...more });

const signalAt = (recipe: Recipe, end: Recipe['wires'][number]['from']): string | undefined =>
  end.side === 'converter' || end.side === 'sense'
    ? undefined
    : (end.side === 'give' ? recipe.gives : recipe.takes)[end.plug]?.pins[end.pin - 1];

describe('plugs/join, whatever is joined', () => {
  const ids = [
    'main24',
    'main20',
    'main10',
    'cpu4',
    'cpu8',
    'card6',
    'card8',
    'drive4',
    'sata',
    'fan4',
  ];
  const specs = fc.record({
    gives: fc.array(fc.constantFrom(...ids), { minLength: 1, maxLength: 2 }),
    takes: fc.array(fc.constantFrom(...ids), { minLength: 1, maxLength: 2 }),
    fill: fc.constantFrom('all' as const, 'enough' as const),
  });
  const check = (judge: (recipe: Recipe) => void) =>
    fc.assert(
      fc.property(specs, ({ gives, takes, fill }) => judge(joined(gives, takes, { fill }))),
      { numRuns: 40 },
    );
  it('joins like to like only', () => {
    check((recipe) => {
      for (const wire of recipe.wires) {
        for (const end of [wire.from, wire.to]) {
          const name = signalAt(recipe, end);
          if (name === undefined) continue;
          expect(name === wire.signal || (wire.signal === 'COM' && isReturn(name))).to.equal(true);
        }
      }
    });
  }).timeout(60_000);
  it('gives every wanted pin a wire, a tie, a reason to stay open, or says that it cannot', () => {
    check((recipe) => {
      if (recipe.impossible.length > 0 || recipe.notes.some((each) => each.startsWith('Only')))
        return;
      recipe.takes.forEach((own, k) =>
        own.pins.forEach((name, i) => {
          if (['open', 'key', 'reserved', '-5V'].includes(name)) return;
          const at = endName({ side: 'take', plug: k, pin: i + 1 });
          const met = [
            ...recipe.wires.map((wire) => endName(wire.to)),
            ...recipe.ties.map((tie) => endName(tie.end)),
            ...recipe.open.map((open) => endName(open.end)),
          ];
          expect(met, `${own.id} ${at} ${name}`).to.include(at);
        }),
      );
    });
  }).timeout(60_000);
  it('never costs less than its bound, and loads no contact over its amps', () => {
    check((recipe) => {
      if (recipe.impossible.length > 0) return;
      expect(recipe.cost).to.be.at.least(recipe.bound - 1e-9);
      for (const wire of recipe.wires) {
        /* At a splice the wire's amps are not the contact's. */
        const alone = (end: (typeof wire)['from']) =>
          recipe.wires.filter((each) =>
            [each.from, each.to].some((other) => endName(other) === endName(end)),
          ).length === 1;
        if (wire.mostA === undefined || !alone(wire.from) || !alone(wire.to)) continue;
        for (const end of [wire.from, wire.to]) {
          if (end.side === 'converter') continue;
          const own = (end.side === 'give' ? recipe.gives : recipe.takes)[end.plug] as Plug;
          expect(wire.mostA).to.be.at.most(ratedA(own, wire.awg) * 1.001);
        }
      }
    });
  }).timeout(60_000);
});

/** A CPU that was measured, instead of the most one may take. */
const small = { needs: [{}, { '+12V': 6.5 }] };

describe('plugs/join, known adapters', () => {
  it('lays a straight lead pin to pin without a crossing', () => {
    const recipe = joined(['main24'], ['main24']);
    expect(recipe.impossible).to.be.empty;
    expect(recipe.splices).to.equal(0);
    expect(recipe.bound).to.be.closeTo(recipe.cost, 1e-9);
    expect(crossings(recipe.wires, layOut(recipe.gives, recipe.takes, 0))).to.equal(0);
    expect(recipe.wires).to.have.length(23);
  });
  it('fills a CPU plug from two drive plugs', () => {
    const recipe = joined(['drive4', 'drive4'], ['cpu4']);
    expect(recipe.wires).to.have.length(4);
    expect(new Set(recipe.wires.map((wire) => wire.from.plug)).size).to.equal(2);
    expect(recipe.open.map((each) => each.signal)).to.deep.equal(['+5V', '+5V']);
  });
  it('turns a card plug round: feeds to feeds though the housings agree', () => {
    const recipe = joined(['cpu8'], ['card8']);
    expect(recipe.impossible).to.be.empty;
    const feeds = recipe.wires.filter((wire) => wire.signal === '+12V');
    expect(feeds.map((wire) => wire.to.pin).sort()).to.deep.equal([1, 2, 3]);
    for (const wire of feeds) expect(wire.from.pin).to.be.within(5, 8);
  });
  it('makes the missing rails, standby from standby, and names what is lost', () => {
    const recipe = joined(['main10'], ['main24', 'cpu4'], small);
    expect(recipe.impossible).to.be.empty;
    expect(recipe.converters.map((each) => `${each.from}>${each.to}`).sort()).to.deep.equal([
      '+12V>+3.3V',
      '+12V>+5V',
      '+12VSB>+5VSB',
    ]);
    expect(recipe.open.map((each) => each.signal)).to.include('-12V');
  });
  it('keeps power and return balanced through a converter', () => {
    const [each] = joined(['main24'], ['main10']).converters;
    expect(each).to.include({ from: '+5VSB', to: '+12VSB' });
    /* 0.5 A x 12 V / (5 V x 0.8), the worst efficiency. */
    expect(each?.inA).to.be.closeTo(1.5, 1e-9);
  });
  it('says what little standby can give', () => {
    const recipe = joined(['main10'], ['main24'], { needs: [{ '+5VSB': 4 }] });
    expect(recipe.impossible.map((each) => each.say).join(' ')).to.contain('+12VSB');
  });
  it('names the pin that cannot be fed', () => {
    const recipe = joined(['cpu4'], ['main24'], { converters: false });
    const says = recipe.impossible.map((each) => each.say).join(' ');
    expect(says).to.contain('wants +5V').and.contain('Pin 9 wants +5VSB');
    expect(live(recipe)).to.be.empty;
  });
  it('refuses more amps than the contacts carry, with the figures', () => {
    const [fault] = joined(['cpu4'], ['card6'], { needs: [{ '+12V': 40 }] }).impossible;
    expect(fault?.say).to.contain('40.0 A').and.contain('+12V');
  });
  it('ties what a board watches for, or leaves it open and says what that loses', () => {
    const header = of('front10', [
      'HD+',
      'PLED+',
      'HD-',
      'PLED-',
      'COM',
      'PWR_SW',
      'RESET',
      'COM',
      'PRESENT#',
      'LID#',
    ]);
    const block = of('front10');
    const satisfy = adapterRecipe({ gives: [block], takes: [header] });
    expect(satisfy.ties.map((tie) => [tie.signal, tie.to])).to.deep.equal([
      ['PRESENT#', 'COM'],
      ['LID#', 'COM'],
    ]);
    const silence = adapterRecipe({ gives: [block], takes: [header], alarms: 'silence' });
    expect(silence.ties).to.be.empty;
    expect(silence.open.map((each) => each.say).join(' ')).to.contain('no longer tells');
  });
  it('starts a PSU without its machine by its enable', () => {
    const [tie] = joined(['main24'], ['cpu4']).ties;
    expect(tie).to.include({ signal: 'PS_ON#', to: 'COM', through: 'switch' });
  });
  it('turns the enable round where the PSU starts on high', () => {
    const supply = of('cpu8', ['COM', 'COM', '+12V', '+12V', '+12VSB', 'PS_ON', 'COM', 'PWR_OK']);
    const recipe = adapterRecipe({ gives: [supply], takes: [of('main10')] });
    const tie = recipe.ties.find((each) => each.signal === 'PS_ON#');
    expect(tie?.through).to.contain('transistor');
  });
  it('turns the enable round the other way too: a board that drives high on a PSU that starts on low', () => {
    const board = of('cpu8', ['COM', 'COM', '+12V', '+12V', 'open', 'PS_ON', 'COM', 'open']);
    const recipe = adapterRecipe({ gives: [of('main24')], takes: [board] });
    const tie = recipe.ties.find((each) => each.signal === 'PS_ON');
    expect(tie?.to).to.equal('PS_ON#');
    expect(tie?.through).to.contain('transistor');
    expect(recipe.ties.filter((each) => each.through === 'switch')).to.deep.equal([]);
  });
  it('refuses a plug that has rails and no ground, at its place; colours of a light go back by themselves', () => {
    const bare = of('drive4', ['+12V', '+5V', 'open', 'open']);
    const recipe = adapterRecipe({ gives: [of('drive4')], takes: [bare] });
    const fault = recipe.impossible.find((each) => each.say.includes('no ground contact'));
    expect(fault?.end).to.include({ side: 'take', pin: 1 });
    const light = { ...bare, pins: ['+12V', 'G', 'R', 'B'] };
    const says = adapterRecipe({ gives: [of('drive4')], takes: [light] }).impossible.map(
      (each) => each.say,
    );
    expect(says.join()).to.not.contain('no ground contact');
  });
  it('feeds no card and no CPU from SATA plugs, however many (54 W each, SATA-IO)', () => {
    for (const takes of ['card6', 'card8', 'cpu4', 'cpu8', 'card16']) {
      const recipe = joined(['sata', 'sata'], [takes]);
      expect(recipe.impossible.map((each) => each.say).join(), takes).to.contain('54 W');
    }
    const drives = joined(['sata'], ['sata', 'sata'], {
      needs: [
        { '+12V': 1, '+5V': 1, '+3.3V': 0 },
        { '+12V': 1, '+5V': 1, '+3.3V': 0 },
      ],
    });
    expect(drives.impossible).to.deep.equal([]);
  });
  it('makes the small adapters of the trade without being told amps, and says which it took', () => {
    const pairs: [string, string][] = [
      ['drive4', 'sata'],
      ['sata', 'slimsata'],
      ['sata', 'small4'],
      ['sata', 'drive4'],
      ['drive4', 'usb2'],
    ];
    for (const [from, to] of pairs) {
      const made = joined([from], [to]);
      expect(made.impossible, `${from} to ${to}`).to.eql([]);
      expect(made.converters, `${from} to ${to}`).to.eql([]);
      expect(made.notes.join(' ')).to.match(/taken as usual: .*[+]5V \d[.]\d A/);
    }
  });
  it('leaves the 3.3 V pins of a drive open, and only those nobody spoke of', () => {
    const made = joined(['drive4'], ['sata']);
    expect(made.open.filter((each) => each.signal === '+3.3V')).to.have.length(2);
    expect(joined(['main24'], ['sata']).wires.map((wire) => wire.signal)).to.include('+3.3V');
    const asked = joined(['drive4'], ['sata'], { needs: [{ '+3.3V': 0.5 }] });
    expect(asked.converters.map((each) => each.to)).to.eql(['+3.3V']);
    expect(asked.impossible).to.eql([]);
  });
  it('counts said amps against the same contacts: a SATA plug of 4.4 A shares unevenly', () => {
    expect(
      joined(['drive4'], ['sata'], { needs: [{ '+12V': 4.4 }] }).impossible[0]?.say,
    ).to.contain('+12V');
    expect(joined(['drive4'], ['sata'], { needs: [{ '+12V': 4.4 }] }).notes.join(' ')).not.to.match(
      /usual: .*12V/,
    );
  });
  describe('the side contacts of a 12V-2x6 (PCI Express CEM 5.1, from memory)', () => {
    /* SENSE0, SENSE1 to ground or open, by what feeds it: 75 W a 6-pin, 150 W an 8-pin. */
    const table: [gives: string[], watts: number, sense0: string, sense1: string][] = [
      [['card8', 'card8', 'card8', 'card8'], 600, 'COM', 'COM'],
      [['card8', 'card8', 'card8'], 450, 'open', 'COM'],
      [['card8', 'card8'], 300, 'COM', 'open'],
      [['card8', 'card8', 'card6'], 300, 'COM', 'open'],
    ];
    for (const [gives, watts, sense0, sense1] of table)
      it(`${gives.join(', ')}: ${watts} W`, () => {
        const made = joined(gives, ['card16']);
        const [how, other] = (['S3', 'S4'] as const).map((pin) =>
          made.open.some((open) => open.end.pin === pin)
            ? 'open'
            : made.ties.find((tie) => tie.end.pin === pin)?.to,
        );
        expect([how, other]).to.eql([sense0, sense1]);
        /* Of the amps it may then draw, one contact of six may get too many: said, not coded away. */
        const faults = made.impossible
          .map((each) => each.say)
          .filter((say) => !/share unevenly/.test(say));
        expect(faults).to.eql([]);
        expect(made.impossible.length > 0).to.equal(watts > 300);
        expect(needOf({ gives: made.gives, takes: made.takes }, 0, '+12V')).to.equal(watts / 12);
        expect(made.ties.find((tie) => tie.end.side === 'sense')?.say).to.contain(`${watts} W`);
      });
    it('codes 150 W by joining the two, or by leaving them open on the older plug', () => {
      const made = joined(['card8'], ['card16']);
      expect(made.ties.map((tie) => [endName(tie.end), tie.to, tie.at && endName(tie.at)])).to.eql([
        ['PS4', 'SENSE0', 'PS3'],
      ]);
      expect(joined(['card8'], ['card16old']).ties).to.eql([]);
    });
    it('refuses what cannot be coded, and more than is coded', () => {
      expect(
        joined(['card6'], ['card16'])
          .impossible.map((each) => each.say)
          .join(),
      ).to.contain('75 W feed it');
      expect(
        joined(['card8', 'card8'], ['card16'], { needs: [{ '+12V': 30 }] })
          .impossible.map((each) => each.say)
          .join(),
      ).to.contain('allows 300 W to be coded, 360 W are wanted');
    });
    it('bears 9.2 A on AWG 16 only', () => {
      expect(ratedA(of('card16'), 16)).to.equal(9.2);
      expect(ratedA(of('card16'), 18)).to.be.within(6, 8);
    });
  });
  it('sets the limit of the first power over the test load, on the DC side', () => {
    const rows = live(joined(['main24'], ['card8'], { needs: [{ '+12V': 9 }] }));
    const limit = Number(/set to ([\d.]+) A/.exec(rows[0]?.do ?? '')?.[1]);
    const lamp = Number(/12 V lamp of (\d+) W/.exec(rows[0]?.do ?? '')?.[1]);
    const ohm = Number(/with ([\d.]+) Ω/.exec(rows[1]?.say ?? '')?.[1]);
    expect(limit / (12 / ohm)).to.be.closeTo(1.5, 0.05);
    expect(lamp / 12).to.be.at.least(limit);
    expect(rows[0]?.do).to.contain('Never a lamp in the mains');
  });
  it('asks 16 and 20 A for a CPU nobody spoke of', () => {
    const spec = { gives: [of('main24')], takes: [of('cpu4'), of('cpu8')] };
    expect([needOf(spec, 0, '+12V'), needOf(spec, 1, '+12V')]).to.deep.equal([16, 20]);
    expect(needOf({ ...spec, needs: [{ '+12V': 6 }] }, 0, '+12V')).to.equal(6);
  });
  it('makes power-good from 5 V where nothing gives it, and says what that loses', () => {
    const supply = of('cpu8', ['COM', 'COM', '+12V', '+5V', '+3.3V', '+5VSB', 'PS_ON#', '+12V']);
    const recipe = adapterRecipe({ gives: [supply], takes: [of('main20')] });
    const tie = recipe.ties.find((each) => each.signal === 'PWR_OK');
    expect(tie?.givesUp).to.contain('not told');
  });
  it('will not feed a socket whose pins nobody knows', () => {
    const recipe = joined(['main24'], ['maker10']);
    expect(recipe.impossible[0]?.say).to.contain('measure it first');
  });
  it('wires more contacts when sharing is uneven', () => {
    const lean = joined(['main10'], ['main24', 'cpu4'], small);
    expect(lean.rounds).to.be.greaterThan(0);
  });
  it('refuses a spec without sense, in words', () => {
    const both = { gives: [of('main24')], takes: [of('main24')] };
    expect(() => adapterRecipe({ gives: [], takes: [of('cpu4')] })).to.throw(
      AdapterError,
      'giving plug',
    );
    expect(() => adapterRecipe({ gives: [of('cpu4')], takes: [] })).to.throw(
      AdapterError,
      'taking plug',
    );
    expect(() => adapterRecipe({ ...both, lengthMm: 5 })).to.throw(AdapterError, '5 mm');
    expect(() => adapterRecipe({ ...both, needs: [{ '+5V': -1 }] })).to.throw(AdapterError, '-1 A');
    expect(() => adapterRecipe({ ...both, giveTags: ['S01'], takeTags: ['S01'] })).to.throw(
      AdapterError,
      'S01 cannot be joined to itself',
    );
    expect(() => adapterRecipe({ ...both, awgs: [] })).to.throw(AdapterError, 'gauge');
  });
});

describe('plugs/join, the parts of it', () => {
  it('carries less on thinner wire and in a thicker bundle', () => {
    const kind = { ends: [], plug: of('main24'), need: 0, all: true };
    expect(ampacity(kind, 20, 3)).to.be.below(ampacity(kind, 18, 3));
    expect(ampacity(kind, 22, 25)).to.be.below(ampacity(kind, 22, 3));
  });
  it('uses no more contacts than carry it when only enough are wanted', () => {
    const all = route([{ count: 4, amps: 6 }], [{ count: 4, amps: 6, need: 5, all: true }], {
      wire: 3,
      splice: 4,
    });
    const enough = route([{ count: 4, amps: 6 }], [{ count: 4, amps: 6, need: 5, all: false }], {
      wire: 3,
      splice: 4,
    });
    expect(all?.cost).to.equal(12);
    expect(enough?.cost).to.equal(3);
  });
  it('finds no wiring where the sums say no', () => {
    expect(
      route([{ count: 1, amps: 6 }], [{ count: 2, amps: 6, need: 7, all: false }], {
        wire: 3,
        splice: 4,
      }),
    ).to.equal(undefined);
  });
});

/** Which ends hang together, by a number for each group. */
function groups(wires: Recipe['wires']): Map<string, number> {
  const of_ = new Map<string, number>();
  wires.forEach((wire, i) => {
    const [a, b] = [endName(wire.from), endName(wire.to)];
    const [p, q] = [of_.get(a) ?? i, of_.get(b) ?? i];
    of_.set(a, p).set(b, p);
    for (const [name, group] of of_) if (group === q) of_.set(name, p);
  });
  return of_;
}

describe('plugs/join, sheets', () => {
  const recipe = joined(['main10'], ['main24', 'cpu4'], small);
  it('asks for every wire to beep and for no neighbour of another signal to', () => {
    const rows = continuity(recipe);
    expect(rows.filter((row) => row.connect)).to.have.length(recipe.wires.length);
    const not = rows.filter((row) => !row.connect);
    expect(not.length).to.be.greaterThan(20);
    for (const row of not) expect(endName(row.a)).to.not.equal(endName(row.b));
  });
  it("finds every pair of swapped crimps on the board's end", () => {
    const rows = continuity(recipe);
    const board = recipe.wires.filter((wire) => wire.to.side === 'take' && wire.to.plug === 0);
    for (const one of board)
      for (const two of board) {
        if (one.signal === two.signal) continue;
        const built = recipe.wires.map((wire) =>
          wire === one ? { ...wire, to: two.to } : wire === two ? { ...wire, to: one.to } : wire,
        );
        const joinedIn = groups(built);
        const caught = rows.some(
          (row) =>
            row.connect !==
            (joinedIn.get(endName(row.a)) === joinedIn.get(endName(row.b)) &&
              joinedIn.has(endName(row.a))),
        );
        expect(caught, `${endName(one.to)} with ${endName(two.to)}`).to.equal(true);
      }
  });
  it('takes standby before running, through a limit, within what the guide allows', () => {
    const rows = live(recipe);
    expect(rows[0]?.do).to.contain('Limit the current');
    const says = rows.map((row) => row.say);
    const at = (text: string) => says.findIndex((say) => say.startsWith(text));
    expect(at('+5VSB')).to.be.below(at('+12V'));
    const twelve = rows[at('+12V')]?.volts;
    expect(twelve?.hi).to.be.closeTo(12.6, 1e-9);
    expect(twelve?.lo).to.be.within(11, 11.4);
  });
  it('lists what to have at hand', () => {
    const lines = shopping(recipe);
    const count = (what: string) => lines.find((line) => line.what.startsWith(what))?.count;
    expect(count('housing ATX 24-pin')).to.equal(1);
    expect(count('shrink sleeve')).to.equal(recipe.splices);
    const black = recipe.wires.filter((wire) => wire.colour === 'black').length;
    expect(count('wire black')).to.equal(black * 150);
  });
  it('writes a wire as one line', () => {
    const [wire] = joined(['cpu4'], ['cpu4'], { needs: [{ '+12V': 6.5 }] }).wires;
    expect(wire && wireLine(wire)).to.match(/^A\d > P\d \+12V yellow AWG 20 150 mm$/);
  });
});

describe('plugs/join/schema', () => {
  const faults: [string, unknown, RegExp][] = [
    ['a plug nobody knows', { gives: ['x'], takes: ['main24'] }, /gives\[0\].*x/],
    ['no plug', { gives: [], takes: ['main24'] }, /gives/],
    ['a need negative', { gives: ['cpu4'], takes: ['cpu4'], needs: [{ '+12V': -1 }] }, /\+12V/],
    ['a body that is no object', 5, /no object/],
    [
      'a signal nobody knows',
      {
        gives: [{ id: 'a', name: 'a', rows: 2, ways: 2, pitchMm: 4.2, pins: ['COM', 'zap'] }],
        takes: ['cpu4'],
      },
      /pins\[1\].*zap/,
    ],
    [
      'pins that do not fill the housing',
      {
        gives: [{ id: 'a', name: 'a', rows: 2, ways: 4, pitchMm: 4.2, pins: ['COM', 'COM'] }],
        takes: ['cpu4'],
      },
      /do not fill/,
    ],
    [
      '200 pins',
      {
        gives: [
          {
            id: 'a',
            name: 'a',
            rows: 2,
            ways: 200,
            pitchMm: 4.2,
            pins: new Array(200).fill('COM'),
          },
        ],
        takes: ['cpu4'],
      },
      /48/,
    ],
  ];
  for (const [what, body, message] of faults)
    it(`refuses ${what}, at its place`, () =>
      expect(() => readAdapterSpec(body)).to.throw(message));
  it('takes plugs by name and written out', () => {
    const spec = readAdapterSpec({
      gives: [
        {
          id: 'a',
          name: 'own',
          rows: 2,
          ways: 4,
          pitchMm: 4.2,
          pins: ['COM', '+12V', 'COM', '+12V'],
        },
      ],
      takes: ['cpu4'],
      needs: [{ '+12V': 10 }],
    });
    expect(adapterRecipe(spec).impossible).to.be.empty;
  });
});

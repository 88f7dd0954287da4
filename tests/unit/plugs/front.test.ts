import { expect } from 'chai';
import fc from 'fast-check';
import { fanLayout, HEADER_A } from '../../../src/core/plugs/fanLayout.ts';
import {
  blockPins,
  fanRoles,
  frontRoles,
  suited,
  tappedTwice,
} from '../../../src/core/plugs/front.ts';
import { adapterRecipe } from '../../../src/core/plugs/adapter/index.ts';
import { knownSignal, plug, type Plug } from '../../../src/core/standards/plugs/index.ts';

const front10 = plug('front10') as Plug;
const block = (pins: string[]): Plug => ({
  ...(plug('frontMaker') as Plug),
  id: 'block',
  ways: pins.length,
  pins,
});

describe('plugs/front', () => {
  it('knows a signal for everything it asks for', () => {
    for (const role of frontRoles)
      for (const name of role.signals) expect(knownSignal(name), name).to.equal(true);
    for (const role of fanRoles) expect(knownSignal(role.signal), role.signal).to.equal(true);
  });
  it('writes down what was tapped and leaves the rest open, or unknown while nobody looked', () => {
    const found = [{ signals: ['PWR_SW', 'COM'], pins: [3, 4] }];
    expect(blockPins(4, found, true)).to.deep.equal(['open', 'open', 'PWR_SW', 'COM']);
    expect(blockPins(2, [], false)).to.deep.equal(['?', '?']);
  });
  it('says which pin was tapped for two things, and lets return be shared', () => {
    const role = (name: string, signals: string[], pins: number[]) => ({ name, signals, pins });
    const power = role('power button', ['PWR_SW', 'COM'], [3, 4]);
    expect(tappedTwice([power, role('reset button', ['RESET', 'COM'], [5, 4])])).to.equal(
      undefined,
    );
    expect(tappedTwice([power, role('reset button', ['RESET', 'COM'], [3, 4])])).to.contain(
      'Pin 3 is PWR_SW of the power button and RESET of the reset button',
    );
    expect(tappedTwice([power, role('other', ['PWR_SW'], [3])])).to.contain(
      'Pin 3 is PWR_SW twice',
    );
  });
  it('uses the reset button as power button where there is no other', () => {
    const { plug: made, notes } = suited(block(['RESET', 'COM']), front10);
    expect(made.pins).to.deep.equal(['PWR_SW', 'COM']);
    expect(notes[0]).to.contain('no reset');
  });
  it('shows one colour of a two-coloured light', () => {
    const { plug: made, notes } = suited(block(['PWR_SW', 'COM', 'LED_A', 'LED_B']), front10);
    expect(made.pins).to.include('PLED+').and.include('PLED-');
    expect(notes).to.have.length(1);
  });
  it('changes nothing where both ask for the same', () => {
    expect(suited(front10, front10)).to.deep.equal({ plug: front10, notes: [] });
  });
  it("joins a maker's block pin to pin with the board's header, and says what stays dark", () => {
    const made = suited(block(['COM', 'PWR_SW', 'PRESENT#', 'COM', 'LED_A', 'LED_B']), front10);
    const recipe = adapterRecipe({ gives: [made.plug], takes: [front10] });
    expect(recipe.impossible).to.be.empty;
    const met = recipe.wires.map((wire) => [wire.signal, wire.from.pin, wire.to.pin]);
    expect(met).to.deep.include(['PWR_SW', 2, 6]);
    expect(met).to.deep.include(['PLED+', 5, 2]);
    expect(recipe.open.map((each) => each.signal))
      .to.include('HD+')
      .and.include('PRESENT#');
  });
  it('joins a five-way fan to a four-pin header and leaves its identity open', () => {
    const fan = { ...(plug('fan5') as Plug), pins: ['COM', '+12V', 'tach', 'pwm', 'FAN_ID'] };
    const recipe = adapterRecipe({ gives: [fan], takes: [plug('fan4') as Plug] });
    expect(recipe.impossible).to.be.empty;
    expect(recipe.wires).to.have.length(4);
    expect(recipe.open.map((each) => each.signal)).to.deep.equal(['FAN_ID']);
  });
  it("ties a board's fan identity when a standard fan goes on, or says what silence loses", () => {
    const header = { ...(plug('fan5') as Plug), pins: ['COM', '+12V', 'tach', 'pwm', 'FAN_ID'] };
    const fan = plug('fan4') as Plug;
    expect(adapterRecipe({ gives: [fan], takes: [header] }).ties[0]?.to).to.equal('COM');
    const silent = adapterRecipe({ gives: [fan], takes: [header], alarms: 'silence' });
    expect(silent.open[0]?.say).to.contain('stands still');
  });
});

describe('plugs/fanLayout', () => {
  const fan = (name: string, amps: number) => ({ name, amps: { lo: amps, hi: amps } });
  it('gives every fan a header while they last', () => {
    const uses = fanLayout(3, [fan('a', 0.2), fan('b', 0.3)]);
    expect(uses.map((each) => [each.fans, each.by])).to.deep.equal([
      [['b'], 'directly'],
      [['a'], 'directly'],
    ]);
  });
  it('shares what is left, names the fan that reports, and takes a hub over an ampere', () => {
    const [use] = fanLayout(1, [fan('a', 0.6), fan('b', 0.6)]);
    expect(use?.by).to.equal('a hub');
    expect(use?.say).to.contain('Only a reports');
    expect(fanLayout(1, [fan('a', 0.2), fan('b', 0.2)])[0]?.by).to.equal('a splitter');
  });
  it('places every fan once and never passes an ampere without a hub', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 6 }),
        fc.array(fc.double({ min: 0.05, max: 1.2, noNaN: true }), { maxLength: 10 }),
        (headers, amps) => {
          const uses = fanLayout(
            headers,
            amps.map((each, i) => fan(`f${i}`, each)),
          );
          const placed = uses.flatMap((each) => each.fans).sort();
          expect(placed).to.deep.equal(amps.map((_, i) => `f${i}`).sort());
          for (const use of uses) if (use.amps.hi > HEADER_A) expect(use.by).to.equal('a hub');
        },
      ),
    );
  });
  it('refuses fewer than no headers', () => {
    expect(() => fanLayout(-1, [])).to.throw(RangeError);
  });
});

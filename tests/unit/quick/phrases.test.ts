import { expect } from 'chai';
import fc from 'fast-check';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { planOf } from '../../../src/core/plan/planOf.ts';
import { understand } from '../../../src/core/quick/understand.ts';
import { tokens } from '../../../src/core/quick/line/tokens.ts';
import { emptyShop } from '../../../src/core/model/types/empty.ts';
import { phrases } from './phrases.ts';

const shop = demoShop('2026-11-25T09:00:00.000Z');
const job = shop.jobs.find(({ id }) => id === '5');
const plan = job && planOf(shop, job);
const read = (line: string) => understand(shop, line, { plan });

describe('what people type', () => {
  it('is understood, line by line of more than 200', () => {
    const wrong = phrases.flatMap(([line, kind, says]) => {
      const answer = read(line);
      const right = answer.kind === kind && answer.say.toLowerCase().includes(says.toLowerCase());
      return right ? [] : [`${line} → ${answer.kind}: ${answer.say}`];
    });
    expect(wrong).to.deep.equal([]);
    expect(phrases.length).to.be.at.least(200);
  });
  it('says the same in capitals, with spaces to spare and a question mark', () => {
    const changed = phrases.flatMap(([line, kind]) => {
      /* A tag that is asked for, and `?` itself, are lines of their own. */
      if (kind === 'nothing' || line === '?' || /^note|^job|^new job|^add/i.test(line)) return [];
      const loud = read(`  ${line.toUpperCase().replace(/ /g, '  ')} `);
      return loud.kind === kind ? [] : [`${line} → ${loud.kind}: ${loud.say}`];
    });
    expect(changed).to.deep.equal([]);
  });
  it('guesses at most two lines, each of which it understands', () => {
    for (const line of ['fnas 92', 'coolr 158 in 160', 'card 267 cooler 158', 'whre is F04']) {
      const answer = read(line);
      expect(answer.kind, line).to.equal('nothing');
      const guesses = answer.kind === 'nothing' ? (answer.guesses ?? []) : [];
      expect(guesses.length, line).to.be.within(1, 2);
      for (const guess of guesses) expect(read(guess).kind, guess).to.not.equal('nothing');
    }
    const slip = read('fnas 92');
    expect(slip.kind === 'nothing' && slip.guesses?.[0]).to.equal('fans 92');
  });
  it('asks for a job where only a job can answer', () => {
    for (const line of ['is 450w enough', 'does a 267 mm card fit', 'what psu do i need'])
      expect(understand(emptyShop(), line).say, line).to.match(/open a job/i);
  });
  it('answers of the open job with its own figures', () => {
    const enough = read('is 450w enough');
    expect(enough.kind).to.equal('checked');
    if (enough.kind !== 'checked') return;
    const [label, ...draws] = enough.finding.terms;
    expect(label?.value).to.deep.equal({ lo: 450, hi: 450 });
    expect(draws.length).to.be.at.least(3);
    expect(read('is 90w enough')).to.have.nested.property('finding.mark', 'stop');
  });
  it('leaves no figure unread: a line with one more is another line', () => {
    /* Whatever sum takes a line must use every figure in it. */
    for (const line of ['267 in 247 in 230', '12 V 20 A 5 V', 'awg 18 2 m 6 A 3 A', '100 C 3'])
      expect(read(line).kind, line).to.not.equal('sum');
  });
  it('never throws and never says NaN, whatever is typed', () => {
    const piece = fc.constantFrom(
      ...new Set(phrases.flatMap(([line]) => line.split(' '))),
      '1/0',
      '-',
      'x',
      '0',
    );
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 6 }), (words) => {
        const answer = read(words.join(' '));
        expect(answer.say).to.not.match(/NaN|Infinity|undefined/);
        if (answer.kind === 'sum' || answer.kind === 'checked')
          expect(JSON.stringify(answer.finding)).to.not.match(/null|NaN/);
      }),
      { numRuns: 3000 },
    );
  });
});

describe('tokens', () => {
  const units = (line: string) =>
    tokens(line).map((token) =>
      token.is === 'figure' ? `${Math.round(token.value * 100) / 100} ${token.unit}` : token.word,
    );
  it('reads figures with their units however they are spelt', () => {
    expect(units('5v 3a 22awg 30cm')).to.deep.equal(['5 V', '3 A', '22 awg', '300 mm']);
    expect(units('19.5V/3,34A')).to.deep.equal(['19.5 V', '3.34 A']);
    expect(units('awg 22, 8-pin, 2 slots')).to.deep.equal(['22 awg', '8 pins', '2 slots']);
    expect(units('6 1/4 in')).to.deep.equal(['158.75 mm']);
  });
  it('tells the way into a room from inches', () => {
    expect(units('267 in 247')).to.deep.equal(['267 bare', 'in', '247 bare']);
    expect(units('10.5 in in 247')).to.deep.equal(['266.7 mm', 'in', '247 bare']);
    expect(units('10.5" card in 11"')).to.deep.equal(['266.7 mm', 'card', 'in', '279.4 mm']);
    expect(units('10 in')).to.deep.equal(['254 mm']);
    expect(units('267 in the case')).to.deep.equal(['267 bare', 'in', 'the', 'case']);
  });
  it('keeps names with figures in them whole', () => {
    expect(units('12v-2x6 ddr4 m.2 am4')).to.deep.equal(['12v-2x6', 'ddr4', 'm.2', 'am4']);
    expect(units('pcie 3.0 x4')).to.deep.equal(['pcie', '3 gen', '4 lanes']);
  });
});

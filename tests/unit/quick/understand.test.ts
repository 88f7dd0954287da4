import { expect } from 'chai';
import fc from 'fast-check';
import { demoShop } from '../../../src/core/demo/demoShop.ts';
import { property } from '../../../src/core/model/properties/index.ts';
import type { Kind } from '../../../src/core/model/types/types.ts';
import { scanWords } from '../../../src/core/quick/line/understood.ts';
import { quickSum } from '../../../src/core/quick/sums.ts';
import { understand } from '../../../src/core/quick/understand.ts';
import { leadLimit } from '../../../src/core/quick/readings/wireLimit.ts';

const shop = demoShop('2026-11-25T09:00:00.000Z');

describe('what is scanned', () => {
  for (const word of scanWords)
    it(`“${word}” is the word, whatever is asked`, () => {
      for (const asked of [undefined, { property: property('card', 'length')! }])
        expect(understand(shop, word.toUpperCase(), asked)).to.include({ kind: 'word', word });
    });
  it('every tag of the shop is its part, in capitals or not, also under a question', () => {
    expect(shop.parts.length).to.be.greaterThan(100);
    for (const { id } of shop.parts)
      for (const typed of [id, id.toLowerCase(), ` ${id} `])
        for (const asked of [undefined, { property: property('card', 'length')! }])
          expect(understand(shop, typed, asked), typed).to.include({ kind: 'part', partId: id });
  });
  it('every number of a job is the job, a length under a question of lengths', () => {
    for (const { id } of shop.jobs) {
      expect(understand(shop, id)).to.include({ kind: 'job', jobId: id });
      expect(understand(shop, `job ${id}`)).to.include({ kind: 'job', jobId: id });
      expect(understand(shop, id, { property: property('card', 'length')! }).kind).to.equal(
        'answer',
      );
    }
  });
  it('every place of the shelf is that place', () => {
    const places = new Set(shop.parts.flatMap((part) => part.where ?? []));
    expect(places.size).to.be.greaterThan(10);
    for (const where of places)
      expect(understand(shop, `@${where}`)).to.include({ kind: 'place', where });
  });
  it('every figure a caliper sends answers a question of lengths, to the hundredth', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 30000 }), fc.boolean(), (hundredths, inches) => {
        const figure = (hundredths / 100).toFixed(2);
        const asked = { property: property('card', 'length')! };
        const typed = inches ? `${(hundredths / 2540).toFixed(3)} in` : figure;
        const answer = understand(shop, typed, asked);
        expect(answer.kind, typed).to.equal(
          hundredths / 2540 < 0.0005 && inches ? 'nothing' : 'answer',
        );
        if (answer.kind === 'answer' && 'lo' in answer.value)
          expect(answer.value.lo).to.be.closeTo(hundredths / 100, inches ? 0.013 : 1e-9);
      }),
    );
  });
});

describe('quick/sums', () => {
  it('a part in its room: two numbers are enough', () => {
    const sum = quickSum('267 in 247');
    expect(sum?.finding.mark).to.equal('stop');
    expect(sum?.finding.margin).to.deep.equal({ lo: -20, hi: -20 });
  });
  it('takes units on either side, and inches where the shop counts in them', () => {
    expect(quickSum('10.5 in in 247 mm')?.say).to.equal('19.7 mm over');
    expect(quickSum('26.7 cm into 11 in')?.say).to.equal('12.4 mm spare');
    expect(quickSum('10 in 11', 'in')?.say).to.equal('1 in spare');
  });
  it('watches a fit with no air', () =>
    expect(quickSum('246 in 247')?.finding.mark).to.equal('watch'));
  it('gives watts from volts and amps, amps from watts and volts', () => {
    expect(quickSum('12 V 20 A')?.say).to.equal('240 W');
    expect(quickSum('12v 20a')?.say).to.equal('240 W');
    expect(quickSum('65 W at 19 V')?.say).to.equal('3.42 A');
  });
  it('gives drop and heat of a lead, and stops one that would burn', () => {
    expect(quickSum('awg 18 2 m 6 A')?.say).to.equal('0.5 V lost there and back, 3 W heat');
    expect(quickSum('18 awg 2 m 6 A')?.say).to.equal('0.5 V lost there and back, 3 W heat');
    expect(quickSum('awg 18 2 m 6 A')?.finding.mark).to.equal('clear');
    expect(quickSum('awg 14 6 m 10 A')?.finding.mark).to.equal('watch');
    expect(quickSum('awg 24 1 m 9 A')?.finding.mark).to.equal('stop');
    expect(quickSum('awg 28 0.2 m 2 A')?.finding.mark).to.equal('stop');
    expect(quickSum('awg 30 0.1 m 0.5 A')?.finding.mark).to.equal('clear');
    expect(quickSum('awg 32 0.01 m 0.1 A')?.finding.say).to.contain('No table here');
    expect(quickSum('awg 32 0.01 m 0.1 A')?.finding.mark).to.equal('watch');
    expect(quickSum('awg 32 1 m 2 A')?.finding.mark).to.equal('stop');
    expect(quickSum('awg 18 2 m 6 A 5 V')?.finding.marginLabel).to.contain('of 5 V');
  });
  it('says when a small case breathes by itself', () => {
    expect(quickSum('8 x 3.2 x 6.3 in')?.finding.say).to.contain('leaves by itself');
    expect(quickSum('190 x 430 x 440')?.finding.say).to.contain('fans');
  });
  for (const bad of [
    '',
    'hello',
    '267 inn 247',
    '12 V',
    'awg 99 1 m 1 A',
    '5 W 0 V',
    '0 l to 0 l',
    '1 x 2',
    'in in in',
  ]) {
    it(`makes no sum of "${bad}"`, () => expect(quickSum(bad)).to.equal(undefined));
  }
  it('never answers with a figure that is no number', () => {
    const word = fc.constantFrom(
      'in',
      'V',
      'A',
      'W',
      'mm',
      'x',
      'awg',
      'm',
      'to',
      'l',
      'C',
      '0',
      '12',
      '247.5',
      '1/4',
      '.',
      ',',
    );
    fc.assert(
      fc.property(fc.array(word, { maxLength: 8 }), (words) => {
        expect(quickSum(words.join(' '))?.say ?? '').to.not.match(/NaN|Infinity|undefined/);
      }),
      { numRuns: 2000 },
    );
  });
});

describe('quick/wireLimit', () => {
  it('falls with thinner wire and says nothing beyond its table', () => {
    expect(leadLimit(18)).to.deep.equal({ amps: 9, of: 'contact' });
    expect(leadLimit(16)).to.deep.equal({ amps: 9, of: 'contact' });
    let last = Infinity;
    for (let awg = 6; awg <= 30; awg += 1) {
      const limit = leadLimit(awg)?.amps ?? NaN;
      expect(limit, String(awg)).to.be.at.most(last);
      last = limit;
    }
    expect(leadLimit(30)).to.deep.equal({ amps: 0.86, of: 'wire' });
    expect(leadLimit(31)).to.equal(undefined);
  });
});

describe('quick/understand', () => {
  it('finds on the shelf by kind and size', () => {
    const found = understand(shop, 'fan 92');
    expect(found.kind).to.equal('find');
    if (found.kind === 'find')
      expect(found.parts.map((part) => part.id)).to.deep.equal(['H01', 'H02']);
  });
  it('says so when there is none of a kind', () => {
    expect(understand(shop, 'fan 200')).to.deep.include({
      kind: 'find',
      say: 'no fan 200 on the shelf',
    });
  });
  it("knows a scanned tag, in either case, and a job's number", () => {
    expect(understand(shop, 'h03')).to.deep.include({ kind: 'part', partId: 'H03' });
    expect(understand(shop, '14')).to.deep.include({ kind: 'job', jobId: '14' });
    expect(understand(shop, 'job 14')).to.deep.include({ kind: 'job', jobId: '14' });
  });
  it('starts a job from one line', () => {
    expect(understand(shop, 'job Grey box becomes a router')).to.deep.include({
      kind: 'newJob',
      name: 'Grey box',
      becomes: 'a router',
    });
  });
  const asked = (kind: Kind, key: string) => {
    const found = property(kind, key);
    if (!found) throw new Error(`${kind} has no ${key}`);
    return { property: found };
  };
  it("takes a caliper's number for a measure only while something is lit", () => {
    const height = asked('cooler', 'height');
    expect(understand(shop, '158.2', height)).to.deep.include({
      kind: 'answer',
      value: { lo: 158.2, hi: 158.2 },
    });
    expect(understand(shop, '158.2').kind).to.not.equal('answer');
    expect(understand(shop, '4 3/8 in', height)).to.deep.include({
      kind: 'answer',
      value: { lo: 111.125, hi: 111.125 },
    });
    expect(understand(shop, '267 in 247', height).kind, 'a sum stays a sum').to.equal('sum');
    expect(understand(shop, 'H03', height).kind, 'a tag stays a tag').to.equal('part');
  });
  it('refuses a figure that cannot answer what is lit', () => {
    expect(understand(shop, '244', asked('supply', 'mainPlug'))).to.include({ kind: 'nothing' });
    expect(understand(shop, '5000', asked('cooler', 'height')).say).to.contain('cannot be meant');
    expect(understand(shop, '158 mm', asked('case', 'slots')).say).to.contain('A number.');
    expect(understand(shop, '2.5', asked('case', 'slots')).say).to.contain('A whole number.');
  });
  it('takes an option by its name, or by words that only one of them has', () => {
    expect(understand(shop, 'Low', asked('case', 'bracket'))).to.deep.include({
      kind: 'answer',
      value: { text: 'low' },
    });
    expect(understand(shop, 'behind', asked('case', 'supplyAt')).kind).to.not.equal('answer');
    expect(understand(shop, 'in front', asked('case', 'supplyAt'))).to.deep.include({
      value: { text: 'in front of the board' },
    });
    expect(
      understand(shop, 'board', asked('case', 'supplyAt')).kind,
      'many have that',
    ).to.not.equal('answer');
  });
  it('knows the words of the scan sheet', () => {
    for (const word of ['yes', 'no', 'next', 'undo', 'done', 'Not Measured']) {
      expect(understand(shop, word).kind).to.equal('word');
    }
  });
  it('says what it does not understand', () => {
    expect(understand(shop, 'qwertz')).to.deep.include({ kind: 'nothing' });
    expect(understand(shop, '   ').say).to.equal('');
  });
  it('answers something for any text', () => {
    fc.assert(
      fc.property(fc.string(), fc.boolean(), (text, lit) => {
        expect(understand(shop, text, lit ? asked('case', 'cardRoom') : undefined).kind).to.be.a(
          'string',
        );
      }),
    );
  });
});

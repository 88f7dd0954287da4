import { expect } from 'chai';
import { brokenJson } from '../../../src/core/units/brokenJson.ts';
import { demoShop } from '../../../src/core/demo/demoShop.ts';

describe('units/brokenJson', () => {
  const whole = JSON.stringify(demoShop('2026-11-25T09:00:00.000Z'), null, 2);
  it('knows a file that was cut off, wherever it was', () => {
    for (let at = 1; at < whole.length - 1; at += Math.floor(whole.length / 97))
      expect(brokenJson(whole.slice(0, at)), String(at)).to.equal(
        'This file is cut off: its end is missing.',
      );
  });
  it('says at which line it is damaged', () => {
    const lines = whole.split('\n');
    for (let at = 3; at < lines.length - 3; at += Math.floor(lines.length / 61)) {
      if (!/^ *"[^"]*": /.test(lines[at]!)) continue;
      for (const [found, put] of [
        ['": ', '"  '],
        ['": ', '": x'],
      ] as const) {
        const bent = lines.with(at, lines[at]!.replace(found, put));
        expect(brokenJson(bent.join('\n')), bent[at]).to.equal(
          `This file is damaged at line ${at + 1}.`,
        );
      }
    }
  });
  it('says what else it is: nothing, a page, a program, a picture', () => {
    expect(brokenJson('  \n')).to.equal('This file is empty.');
    expect(brokenJson('<!doctype html><html>')).to.equal(
      'This file is no JSON: it begins with “<!doctype html><html>”.',
    );
    expect(brokenJson('PK\u0003\u0004')).to.equal('This file is no JSON: it begins with “PK”.');
    expect(brokenJson('hello', 'text')).to.contain('This text is no JSON');
  });
});

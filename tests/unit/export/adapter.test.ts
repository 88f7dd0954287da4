import { expect } from 'chai';
import { adapterJson, adapterSvg, wiringTable } from '../../../src/core/export/adapter.ts';
import { PlugFileError, readPlugs, writePlugs } from '../../../src/core/export/ownPlugs.ts';
import { adapterRecipe } from '../../../src/core/plugs/adapter/index.ts';
import { plug, type Plug } from '../../../src/core/standards/plugs/index.ts';

const recipe = adapterRecipe({
  gives: [plug('main10') as Plug],
  takes: [plug('main24') as Plug],
});

describe('export/adapter', () => {
  it('writes one row for each wire, and no cell a spreadsheet would run', () => {
    const [header, ...rows] = wiringTable(recipe);
    expect(rows).to.have.length(recipe.wires.length);
    for (const row of rows) {
      expect(row).to.have.length(header?.length ?? 0);
      for (const cell of row) expect(cell).to.not.match(/^[=+\-@]/);
    }
  });
  it('writes JSON that says the same', () => {
    const read = JSON.parse(adapterJson(recipe)) as {
      format: string;
      wires: { from: string; to: string }[];
      live: unknown[];
    };
    expect(read.format).to.equal('nutshell-swap-adapter');
    expect(read.wires).to.have.length(recipe.wires.length);
    expect(read.wires[0]?.to).to.match(/^(P\d+|X\d (in|return))$/);
    expect(read.live.length).to.be.greaterThan(4);
  });
  it('draws every wire and every pin to scale, with nothing that is no number', () => {
    const svg = adapterSvg(recipe);
    expect(svg.match(/<path /g)).to.have.length(recipe.wires.length + recipe.ties.length);
    expect(svg).to.not.match(/NaN|undefined|Infinity/);
    expect(svg).to.match(/width="[\d.]+mm"/);
  });
});

describe('export/ownPlugs', () => {
  const own = {
    id: 'desk-main',
    name: 'main of the slim desk unit',
    rows: 2,
    ways: 4,
    pitchMm: 4.2,
    pins: ['COM', '+12V', '?', 'PS_ON#'],
  };
  it('reads what it writes', () => {
    expect(readPlugs(writePlugs([own]))).to.deep.equal([own]);
  });
  const refused = (text: string) => expect(() => readPlugs(text)).to.throw(PlugFileError);
  it('refuses another file, a newer one, half a one', () => {
    refused('{');
    refused('{}');
    refused(JSON.stringify({ format: 'nutshell-swap-plugs', version: 9, plugs: [] }));
  });
  it('refuses an unknown signal and two of one name, by their place', () => {
    expect(() => readPlugs(writePlugs([{ ...own, pins: ['COM', 'zap', '?', '?'] }]))).to.throw(
      /plugs\[0\]\.pins\[1\].*zap/,
    );
    expect(() => readPlugs(writePlugs([own, own]))).to.throw(/desk-main/);
  });
});

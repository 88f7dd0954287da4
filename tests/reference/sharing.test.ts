import { expect } from 'chai';
import {
  amps,
  assign,
  route,
  layOut,
  netsOf,
  sharingNet,
  type SharingNet,
} from '../../src/core/plugs/adapter/index.ts';
import { plug, type Plug } from '../../src/core/standards/plugs/index.ts';
import { random } from '../helpers/boards.ts';
import { spice } from '../helpers/spice.ts';

/** Currents through contacts and wires against ngspice, a general circuit simulator. */

const of = (id: string) => plug(id) as Plug;

/** Amps of every resistor as ngspice has them; a source of 0 V in line with each tells its current. */
function bySpice(net: SharingNet, ohms: readonly number[]): number[] {
  const lines = net.resistors.flatMap(({ a, b }, i) => [
    `v${i} n${a} m${i} 0`,
    `r${i} m${i} n${b} ${ohms[i]}`,
  ]);
  net.pushedA.forEach((push, node) => {
    if (node > 0 && push !== 0) lines.push(`i${node} 0 n${node} ${push}`);
  });
  return spice(
    [...lines, 'vref n0 0 0'],
    net.resistors.map((_, i) => `abs(v${i}#branch)`),
  );
}

function netsFor(gives: string[], takes: string[]): SharingNet[] {
  /* A CPU of 65 W, measured. */
  const needs = takes.map((id) => (id.startsWith('cpu') ? { '+12V': 6.5 } : {}));
  const spec = { gives: gives.map(of), takes: takes.map(of), needs };
  const laid = layOut(spec.gives, spec.takes, 0);
  return netsOf(spec, []).flatMap((net) => {
    if (!net.loaded) return [];
    const carried = route(
      net.gives.map((kind) => ({ count: kind.ends.length, amps: 6 })),
      net.takes.map((kind) => ({ count: kind.ends.length, amps: 6, need: kind.need, all: true })),
      { wire: 3, splice: 4 },
    );
    if (!carried) return [];
    return [sharingNet(net, assign([{ net, trees: carried.trees }], laid), 20, 150)];
  });
}

describe('reference: sharing between contacts, against ngspice', function () {
  this.timeout(60_000);
  const cases: [string[], string[]][] = [
    [['main24'], ['main24']],
    [['main10'], ['main10', 'cpu4']],
    [['drive4', 'drive4'], ['cpu4']],
    [['cpu8'], ['card6']],
    [['cpu4'], ['card6']],
  ];
  for (const [gives, takes] of cases) {
    it(`${gives.join(' + ')} to ${takes.join(' + ')}, with contacts new and aged at random`, () => {
      const dice = random(3);
      const nets = netsFor(gives, takes);
      expect(nets.length).to.be.greaterThan(1);
      for (const net of nets) {
        const ohms = net.resistors.map((each) => each.ohm * (0.4 + dice()));
        const own = amps(
          net,
          net.resistors.map((each, i) => ({ ...each, ohm: ohms[i] as number })),
        );
        const outside = bySpice(net, ohms);
        expect(outside).to.have.length(own.length);
        own.forEach((each, i) => expect(each).to.be.closeTo(outside[i] as number, 1e-5));
      }
    });
  }
});

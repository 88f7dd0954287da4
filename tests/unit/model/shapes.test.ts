import { expect } from 'chai';
import fc from 'fast-check';
import * as shapes from '../../../src/core/model/types/shapes.ts';
import { properties, shapeOf } from '../../../src/core/model/properties/index.ts';
import { factFault } from '../../../src/core/document/factFields.ts';

const pin = fc.integer({ min: 1, max: 60 });
const figure = (min: number, max: number) =>
  fc
    .double({ min, max, noNaN: true, noDefaultInfinity: true })
    .map((n) => Number(n.toFixed(3)) + 0);
const side = fc.integer({ min: -50, max: 50 });
const more = fc.integer({ min: 1, max: 40 });

/** Items of every shape there is. */
const items: Record<string, fc.Arbitrary<unknown>> = {
  driveMount: fc.record({
    at: fc.constantFrom(...shapes.drivePlaces),
    form: fc.constantFrom('3.5', '2.5'),
  }),
  fanMount: fc.record({
    at: fc.constantFrom(...shapes.walls),
    mm: fc.integer({ min: 20, max: 400 }),
  }),
  area: fc
    .tuple(fc.constantFrom('HDMI', 'LAN 1', 'USB 3'), side, more, side, more)
    .map(([name, x0, w, y0, h]) => ({ name, x0, x1: x0 + w, y0, y1: y0 + h })),
  place: fc.oneof(
    fc.record({ x: figure(-500, 500), y: figure(-500, 500) }),
    fc.record({ x: figure(-500, 500) }),
    fc.record({ y: figure(-500, 500) }),
  ),
  curvePoint: fc.record({ load: figure(0, 200), percent: figure(5, 99) }),
  buzzedWire: fc.record({ from: pin, to: fc.array(pin, { maxLength: 5 }) }),
  plugReading: fc.oneof(
    fc.record({ kind: fc.constant('grid'), rows: fc.integer({ min: 1, max: 4 }), columns: pin }),
    fc.record({ kind: fc.constant('colour'), pin, colour: fc.constantFrom('black', 'red') }),
    fc.record({ kind: fc.constant('gauge'), pin, awg: fc.integer({ min: 0, max: 40 }) }),
    fc.record({ kind: fc.constant('empty'), pin }),
    fc.record({ kind: fc.constant('chassis'), pin, beeps: fc.boolean() }),
    fc.record({ kind: fc.constant('common'), pin, with: pin, beeps: fc.boolean() }),
    fc.record({ kind: fc.constant('ohms'), pin, ohms: figure(0, 5000) }),
    fc.record({ kind: fc.constantFrom('standby', 'running'), pin, volts: figure(-20, 20) }),
  ),
  cuboid: fc.record({ sides: fc.array(figure(1, 1000), { minLength: 3, maxLength: 3 }) }),
  railAmps: fc.record(
    { amps: figure(1, 200), feeds: fc.constantFrom('CPU', 'card', 'rest') },
    { requiredKeys: ['amps'] },
  ),
};

const every = [
  ...new Map(
    Object.values(properties)
      .flat()
      .flatMap(({ key }) => {
        const shape = shapeOf(key);
        return shape ? [[shape.name, { key, shape }] as const] : [];
      }),
  ).values(),
];

describe('model/shapes, items of lists', () => {
  it('are all tried here', () =>
    expect(every.map(({ shape }) => shape.name).sort()).to.deep.equal(Object.keys(items).sort()));
  for (const { key, shape } of every) {
    it(`${shape.name}: is read as it is written, and a file may hold it`, () => {
      fc.assert(
        fc.property(items[shape.name]!, (item) => {
          expect(shape.holds(item)).to.equal(true);
          expect(shape.read(shape.write(item))).to.deep.equal(item);
          expect(factFault({ items: [item], how: 'said' }, key)).to.equal(undefined);
        }),
      );
    });
    it(`${shape.name}: takes what it shows as an example, and nothing half`, () => {
      expect(shape.write(shape.read(shape.like))).to.equal(shape.like);
      /* A rail's amps are enough: what it feeds may be unsaid. */
      const half = shape.name === 'railAmps' ? ['18 cpus'] : ['3', shape.like.split(/[ >]/)[0]!];
      for (const text of ['', 'rubbish', ...half])
        expect(shape.read(text), text).to.equal(undefined);
      for (const value of [null, 3, 'cage 3.5', [], {}, { what: 1 }])
        expect(shape.holds(value), JSON.stringify(value)).to.equal(false);
      const item = shape.read(shape.like) as Record<string, unknown>;
      expect(shape.holds({ ...item, more: 1 })).to.equal(false);
      for (const name of Object.keys(item)) {
        if (shape.name !== 'place' && !(shape.name === 'railAmps' && name === 'feeds')) {
          const { [name]: _gone, ...less } = item;
          expect(shape.holds(less), `without ${name}`).to.equal(false);
        }
        expect(shape.holds({ ...item, [name]: null }), `${name} null`).to.equal(false);
        expect(shape.holds({ ...item, [name]: Infinity }), `${name} infinite`).to.equal(false);
      }
      expect(factFault({ items: [shape.like], how: 'said' }, key)).to.be.a('string');
    });
  }
  for (const [shape, text] of [
    [shapes.driveMount, 'roof 3.5'],
    [shapes.driveMount, 'cage 5.25'],
    [shapes.fanMount, 'rear 9000'],
    [shapes.fanMount, 'below 92'],
    [shapes.area, 'HDMI 20-10 2-8'],
    [shapes.area, 'HDMI 20-900 2-8'],
    [shapes.place, '? ?'],
    [shapes.curvePoint, '50 101'],
    [shapes.curvePoint, '30 0'],
    [shapes.buzzedWire, 'one>two'],
    [shapes.plugReading, 'ohms 3 many'],
    [shapes.plugReading, 'chassis 3 maybe'],
    [shapes.plugReading, 'standby 3 much'],
  ] as const)
    it(`${shape.name}: “${text}” is none`, () => expect(shape.read(text)).to.equal(undefined));
  it('are typed with commas for points and percent signs too', () => {
    expect(shapes.curvePoint.read('20:82,5')).to.deep.equal({ load: 20, percent: 82.5 });
    expect(shapes.curvePoint.read('100 % 85 %')).to.deep.equal({ load: 100, percent: 85 });
    expect(shapes.driveMount.read('Behind the tray 2.5')).to.deep.equal({
      at: 'behind the tray',
      form: '2.5',
    });
  });
});

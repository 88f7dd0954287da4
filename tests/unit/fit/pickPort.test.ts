import { expect } from 'chai';
import { nextPort, shifted, standardOpening } from '../../../src/core/fit/pickPort.ts';
import { portViews } from '../../../src/core/model/lookup/portViews.ts';
import { area, type Area } from '../../../src/core/model/types/shapes.ts';
import { ioOpening, portKinds } from '../../../src/core/standards/ports.ts';

describe('fit/pickPort', () => {
  const row = portKinds.reduce<Area[]>((have, kind) => [...have, nextPort(have, kind)], []);
  it('lays picked ports side by side, none over another, each with a name that can be typed', () => {
    row.slice(1).forEach((port, i) => expect(port.x0).to.be.above(row[i]?.x1 ?? Infinity));
    for (const port of row) expect(area.read(area.write(port)), port.name).to.deep.equal(port);
  });
  it('fits a usual row of ports through the standard opening', () => {
    const usual = ['PS/2', 'USB x2', 'HDMI', 'DP', 'USB x2', 'LAN+USB', 'audio x3'].flatMap(
      (name) => portKinds.find((kind) => kind.name === name) ?? [],
    );
    const ports = usual.reduce<Area[]>((have, kind) => [...have, nextPort(have, kind)], []);
    expect(portViews(ports, [standardOpening()]).map((each) => each.blockedMm)).to.deep.equal(
      ports.map(() => 0),
    );
  });
  /* ATX 2.2: the aperture is 6.25 x 1.75 in. */
  it('has the size of the standard', () => {
    expect(ioOpening.widthMm).to.be.closeTo(6.25 * 25.4, 1e-9);
    expect(ioOpening.heightMm).to.be.closeTo(1.75 * 25.4, 1e-9);
    const opening = standardOpening();
    expect(opening.x1 - opening.x0).to.be.closeTo(158.75, 0.06);
  });
  it('moves along the rear and stops at the edge of the board', () => {
    const port = { name: 'a', x0: 3, x1: 13, y0: 0, y1: 5 };
    expect(shifted(port, 5)).to.include({ x0: 8, x1: 18 });
    expect(shifted(port, -5)).to.include({ x0: 0, x1: 10 });
  });
});

import { expect } from 'chai';
import { radiators } from '../../../src/core/fit/radiator.ts';
import { spaceOf } from '../../../src/core/fit/space/space.ts';
import { hangRadiator } from '../../../src/core/remedies/hangRadiator.ts';
import { radiatorSizes } from '../../../src/core/standards/room.ts';
import { planWith, the, type Seats } from '../../helpers/build.ts';

describe('fit/radiator', () => {
  const shell = { fanMounts: ['rear 92', 'front 120', 'front 120', 'top 140', 'top 140'] };
  const found = (size: string | undefined, more: Seats[string] = {}, body: Seats[string] = shell) =>
    radiators(
      planWith({
        case: body,
        cooler: { class: 'radiator', ...(size && { radiator: size }), ...more },
      }),
    );
  const mark = (...args: Parameters<typeof found>) => the(found(...args), 'radiator-mount').mark;
  it('wants all its mounts on one wall: 240 where one 92 is, 280 on 120, 360 on two', () => {
    expect(mark('240')).to.equal('clear');
    expect(mark('280')).to.equal('clear');
    expect(mark('360')).to.equal('stop');
    expect(mark('420')).to.equal('stop');
    expect(mark('240', {}, { fanMounts: ['rear 92'] })).to.equal('stop');
    expect(mark('280', {}, { fanMounts: ['front 120', 'front 120'] })).to.equal('stop');
    expect(mark('240', {}, { fanMounts: ['front 120', 'top 120'] })).to.equal('stop');
    expect(mark('120', {}, { fanMounts: ['rear 120'] })).to.equal('clear');
  });
  it('a wall that was said is held against its own mounts, and another is offered', () => {
    const stop = the(found('240', { wall: 'top' }), 'radiator-mount');
    expect(stop.mark).to.equal('stop');
    expect(stop.remedies.map(({ value }) => value)).to.deep.equal([
      hangRadiator({ seat: 'cooler', to: 'front' }),
    ]);
    const moved = planWith(
      { case: shell, cooler: { class: 'radiator', radiator: '240', wall: 'top' } },
      { applied: [hangRadiator({ seat: 'cooler', to: 'front' })] },
    );
    expect(the(radiators(moved), 'radiator-mount').mark).to.equal('clear');
  });
  it('unsaid mounts or length are a question, an empty list is an answer', () => {
    expect(mark('240', {}, {})).to.equal('watch');
    expect(mark(undefined)).to.equal('watch');
    expect(mark('240', {}, { fanMounts: [] })).to.equal('stop');
  });
  it('sums its thickness under the top against the board', () => {
    const under = (topRoom: number, more: Seats[string] = {}) =>
      the(found('280', more, { ...shell, topRoom }), 'radiator-top');
    const one = { fansOn: 'one side' };
    expect(under(60, one).mark).to.equal('clear');
    expect(under(54, one).mark).to.equal('watch');
    expect(under(40, one).mark).to.equal('stop');
    /* Fans on both sides: 25 more; unsaid, either. */
    expect(under(60, { fansOn: 'both sides' }).mark).to.equal('stop');
    expect(under(60).margin).to.deep.equal({ lo: 60 - 30 - 50, hi: 60 - 27 - 25 });
    expect(under(85).mark).to.equal('clear');
    expect(under(54, { thickness: 52 }).margin).to.deep.equal({ lo: 2, hi: 2 });
    expect(found('240').map(({ id }) => id)).to.deep.equal(['radiator-mount']);
  });
  it('takes from the card only where it surely hangs at the front', () => {
    const box = (more: Seats[string], fanMounts = shell.fanMounts) =>
      spaceOf(
        planWith({
          case: {
            ...shell,
            fanMounts,
            innerWidth: 200,
            innerHeight: 400,
            innerDepth: 420,
            cardRoom: 300,
          },
          board: { format: 'microATX', socket: 'AM4' },
          cooler: { class: 'radiator', radiator: '240', ...more },
        }),
      )?.boxes.find(({ name }) => name === 'radiator')?.what;
    expect(box({})).to.equal('furniture');
    expect(box({}, [...shell.fanMounts, 'top 120', 'top 120'])).to.equal('guess');
    expect(box({ wall: 'top' })).to.equal(undefined);
  });
});

/* Common practice, no source: n x 120 + 37 long, n x 140 + 35, as wide as its fans. */
describe('standards/room, radiators', () => {
  it('are as long as their fans and tanks', () => {
    expect(radiatorSizes['280']).to.include({ lengthMm: 315, widthMm: 140, fans: 2 });
    expect(radiatorSizes['240']).to.include({ lengthMm: 277, widthMm: 120, fans: 2 });
    expect(radiatorSizes['360']).to.include({ lengthMm: 397, fans: 3 });
  });
});

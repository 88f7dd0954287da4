import { expect } from 'chai';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { Matrix, pseudoInverse } from 'ml-matrix';
import { attribute, runFit, sensorsJson, settle } from '../../src/core/heat/index.ts';
import { seededNoise, madeRun } from '../../src/core/heat/simulate.ts';
import { settle as fit } from '../../src/core/heat/settle.ts';
import type { HeatRun } from '../../src/core/model/types/types.ts';

describe('reference: settled values against a general least-squares library', () => {
  it('40 made-up runs, end within a twentieth of a kelvin of ml-levenberg-marquardt', function () {
    this.timeout(60_000);
    for (let seed = 1; seed <= 40; seed += 1) {
      const { s, v, tauS } = madeRun({ seed, taus: 5, everyS: 6 });
      /* As few points as are fitted without means: both see the same figures. */
      const every = Math.max(1, Math.ceil(s.length / 48));
      const [x, y] = [s.filter((_, i) => i % every === 0), v.filter((_, i) => i % every === 0)];
      const own = settle({ s: x, v: y });
      const outside = levenbergMarquardt(
        { x, y },
        ([end = 0, start = 0, tau = 1]) =>
          (t: number) =>
            end - (end - start) * Math.exp(-t / tau),
        {
          initialValues: [y.at(-1) ?? 0, y[0] ?? 0, tauS * 0.7],
          damping: 1,
          maxIterations: 400,
          gradientDifference: 1e-4,
          errorTolerance: 1e-9,
        },
      );
      const [end = 0, , tau = 0] = outside.parameterValues;
      expect(own.end, `seed ${seed}`).to.be.closeTo(end, 0.05);
      expect(own.tauS).to.be.closeTo(tau, tau * 0.02);
    }
  });
  it('20 made-up runs of two parts, end within a tenth of a kelvin of ml-levenberg-marquardt', function () {
    this.timeout(60_000);
    let asOne = 0;
    for (let seed = 1; seed <= 20; seed += 1) {
      const { s, v, tauS, endC } = madeRun({
        seed,
        taus: 4,
        everyS: 6,
        slow: { share: 0.3, times: 6 },
      });
      const every = Math.max(1, Math.ceil(s.length / 48));
      const [x, y] = [s.filter((_, i) => i % every === 0), v.filter((_, i) => i % every === 0)];
      const outside = levenbergMarquardt(
        { x, y },
        ([end = 0, a = 0, b = 0, one = 1, two = 1]) =>
          (t: number) =>
            end - a * Math.exp(-t / one) - b * Math.exp(-t / two),
        {
          initialValues: [endC, 25, 12, tauS, tauS * 6],
          damping: 1,
          maxIterations: 2000,
          gradientDifference: 1e-4,
          errorTolerance: 1e-9,
        },
      );
      const own = settle({ s: x, v: y });
      if (own.parts.length < 2) {
        asOne += 1;
        continue;
      }
      expect(own.end, `seed ${seed}`).to.be.closeTo(outside.parameterValues[0] ?? 0, 0.1);
    }
    /* 48 bare points are few: the second part may drown in the noise. */
    expect(asOne).to.be.at.most(3);
  });
  it('closed form: three points a step apart give the end by (y1² - y0 y2) / (2 y1 - y0 - y2)', () => {
    /* Exact for an exponential without noise (Aitken, 1926). */
    const [end, start, tau] = [71.5, 24, 210];
    const at = (t: number) => end - (end - start) * Math.exp(-t / tau);
    const [y0, y1, y2] = [at(0), at(200), at(400)] as [number, number, number];
    const aitken = (y1 ** 2 - y0 * y2) / (2 * y1 - y0 - y2);
    const s = Array.from({ length: 40 }, (_, i) => i * 15);
    expect(fit({ s, v: s.map(at) }).end).to.be.closeTo(aitken, 0.02);
    expect(aitken).to.be.closeTo(end, 1e-9);
  });
});

describe('reference: what each change does, against a pseudo-inverse', () => {
  it('agrees with weighted least squares by ml-matrix on twelve made-up designs', () => {
    const { random, normal } = seededNoise(31);
    let compared = 0;
    for (let i = 0; i < 12; i += 1) {
      const names = ['a', 'b', 'c'].slice(0, 2 + (i % 2));
      const lists = Array.from({ length: 6 }, () => names.filter(() => random() < 0.5));
      const said = [[], ...names.map((name) => [name]), ...lists].map((changed, k) => {
        const end = 80 - 3 * changed.length + normal();
        const s = Array.from({ length: 150 }, (_, j) => j * 6);
        const run: HeatRun = {
          id: `r${k}`,
          name: `r${k}`,
          at: '2026-11-25',
          load: 'full load',
          roomC: 22,
          panel: 'on',
          changed,
          courses: [
            {
              what: 'temperature',
              name: 't',
              s,
              v: s.map((t) => end - (end - 30) * Math.exp(-t / 100) + 0.1 * normal()),
            },
          ],
        };
        return runFit(run);
      });
      const found = attribute(said);
      const used = said.filter((each) => each.settling.settled);
      const weights = used.map((each) => 1 / Math.max(0.05, each.riseDev));
      const A = new Matrix(
        used.map((each, k) =>
          [1, ...names.map((name) => (each.run.changed.includes(name) ? 1 : 0))].map(
            (one) => one * (weights[k] ?? 0),
          ),
        ),
      );
      const b = Matrix.columnVector(used.map((each, k) => (each.riseK ?? 0) * (weights[k] ?? 0)));
      const x = pseudoInverse(A).mmul(b);
      for (const { change, dropK } of found.effects) {
        expect(dropK).to.be.closeTo(-x.get(names.indexOf(change) + 1, 0), 1e-6);
        compared += 1;
      }
    }
    expect(compared).to.be.at.least(20);
  });
});

describe('reference: sensors -j on a made-up machine', () => {
  it('what lm-sensors prints over umockdev is read as it is', function () {
    this.timeout(30_000);
    const folder = mkdtempSync(join(tmpdir(), 'sensors-'));
    try {
      const device = join(folder, 'hwmon.umockdev');
      writeFileSync(
        device,
        [
          'P: /devices/platform/coretemp.0/hwmon/hwmon0',
          'E: SUBSYSTEM=hwmon',
          'A: name=coretemp\\n',
          'A: temp1_label=Package id 0\\n',
          'A: temp1_input=64000\\n',
          'A: temp1_max=100000\\n',
          'A: fan1_input=1180\\n',
          'A: power1_input=61500000\\n',
          '',
        ].join('\n'),
      );
      const text = execFileSync('umockdev-run', ['-d', device, '--', 'sensors', '-j'], {
        encoding: 'utf8',
        stdio: ['ignore', 'pipe', 'ignore'],
      });
      const log = sensorsJson([JSON.parse(text)], 1);
      const one = (kind: string) => log.columns.find((each) => each.kind === kind)?.values[0];
      expect(one('temperature')).to.equal(64);
      expect(one('fan')).to.equal(1180);
      expect(one('watts')).to.equal(61.5);
    } finally {
      rmSync(folder, { recursive: true });
    }
  });
});

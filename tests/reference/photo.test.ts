import { createRequire } from 'node:module';
import { expect } from 'chai';
import {
  axisOf,
  meet,
  project,
  straight,
  turnOf,
  type Lens,
  type Pose,
} from '../../src/core/photo/camera.ts';
import { codesIn } from '../../src/core/photo/codes.ts';
import { codesOf, cornersOf } from '../../src/core/photo/mat.ts';
import { lightOf } from '../../src/core/photo/picture.ts';
import { solve, type View } from '../../src/core/photo/solve.ts';
import { pixelOf, randomScene, rendered, seeded } from '../helpers/rendered.ts';

/* OpenCV compiled for scripts, a general library of computer vision: only tests hold anything against it. */
/* eslint-disable-next-line @typescript-eslint/no-explicit-any -- its own types are of another build. */
type Cv = any;

const lens: Lens = { f: 1500, cx: 760, cy: 1010, k1: -0.09, k2: 0.03 };
const roll = seeded(5);
const pose = (): Pose => ({
  turn: [roll.even(-0.5, 0.5), roll.even(-0.5, 0.5), roll.even(-3, 3)],
  shift: [roll.even(-90, 10), roll.even(-120, 10), roll.even(260, 400)],
});
const inside = (p: { u: number; v: number } | undefined) =>
  p !== undefined && p.u > 0 && p.u < 1520 && p.v > 0 && p.v < 2020;

describe('reference: camera against OpenCV', function () {
  this.timeout(120_000);
  let cv: Cv;
  before(async () => {
    cv = createRequire(import.meta.url)('@techstark/opencv-js');
    if (!cv.Mat) await new Promise<void>((ready) => (cv.onRuntimeInitialized = () => ready()));
  });
  const mat = (rows: number, columns: number, values: number[]) =>
    cv.matFromArray(rows, columns, cv.CV_64F, values);
  const matrixOf = ({ f, cx, cy }: Lens) => mat(3, 3, [f, 0, cx, 0, f, cy, 0, 0, 1]);
  const points = () => {
    const out: { x: number; y: number; z: number }[] = [];
    for (let i = 0; i < 40; i += 1)
      out.push({ x: roll.even(0, 210), y: roll.even(0, 297), z: roll.even(0, 30) });
    return out;
  };

  it('turns are those of Rodrigues, both ways', () => {
    for (let i = 0; i < 40; i += 1) {
      const { turn } = pose();
      const out = new cv.Mat();
      cv.Rodrigues(mat(3, 1, [...turn]), out);
      turnOf(turn).forEach((value, k) => expect(value).to.be.closeTo(out.data64F[k], 1e-12));
      const angle = Math.hypot(...turn);
      const back = axisOf(turnOf(turn));
      const by = angle > Math.PI ? 1 - (2 * Math.PI) / angle : 1;
      back.forEach((value, k) => expect(value).to.be.closeTo(turn[k]! * by, 1e-6));
    }
  });

  it('points land where projectPoints puts them, and come back', () => {
    for (let i = 0; i < 12; i += 1) {
      const stand = pose();
      const list = points();
      const out = new cv.Mat();
      cv.projectPoints(
        mat(
          list.length,
          3,
          list.flatMap(({ x, y, z }) => [x, y, -z]),
        ),
        mat(3, 1, [...stand.turn]),
        mat(3, 1, [...stand.shift]),
        matrixOf(lens),
        mat(1, 4, [lens.k1, lens.k2, 0, 0]),
        out,
      );
      list.forEach((at, k) => {
        const pixel = project(lens, turnOf(stand.turn), stand, at);
        if (!inside(pixel) || !pixel) return;
        expect(pixel.u).to.be.closeTo(out.data64F[2 * k], 1e-6);
        expect(pixel.v).to.be.closeTo(out.data64F[2 * k + 1], 1e-6);
        const back = meet(lens, turnOf(stand.turn), stand, pixel, at.z);
        expect(back?.x).to.be.closeTo(at.x, 1e-6);
        expect(back?.y).to.be.closeTo(at.y, 1e-6);
      });
    }
  });

  it('what is undistorted lies on the mat where findHomography says', () => {
    const stand: Pose = { turn: [0.4, -0.2, 0.1], shift: [-90, -140, 330] };
    const turn = turnOf(stand.turn);
    const corners = codesOf('A4').flatMap(cornersOf);
    const flat = corners.map(({ x, y }) =>
      straight(lens, project(lens, turn, stand, { x, y, z: 0 })!),
    );
    const H = cv.findHomography(
      cv.matFromArray(
        flat.length,
        1,
        cv.CV_64FC2,
        flat.flatMap(({ x, y }) => [x, y]),
      ),
      cv.matFromArray(
        corners.length,
        1,
        cv.CV_64FC2,
        corners.flatMap(({ x, y }) => [x, y]),
      ),
    ).data64F as number[];
    let held = 0;
    for (const pixel of [
      { u: 700, v: 900 },
      { u: 400, v: 1300 },
      { u: 1000, v: 700 },
    ]) {
      const { x, y } = straight(lens, pixel);
      const w = H[6]! * x + H[7]! * y + H[8]!;
      const at = meet(lens, turn, stand, pixel, 0)!;
      expect(at.x).to.be.closeTo((H[0]! * x + H[1]! * y + H[2]!) / w, 1e-4);
      expect(at.y).to.be.closeTo((H[3]! * x + H[4]! * y + H[5]!) / w, 1e-4);
      held += 1;
    }
    expect(held).to.equal(3);
  });

  it('lens and stand of four noisy views agree with calibrateCamera', () => {
    const stands: Pose[] = [
      { turn: [0.5, 0.1, 0.05], shift: [-90, -120, 340] },
      { turn: [-0.45, 0.2, 0], shift: [-100, -150, 360] },
      { turn: [0.1, 0.55, -0.1], shift: [-110, -140, 350] },
      { turn: [0.05, -0.5, 0.15], shift: [-80, -150, 330] },
    ];
    const corners = codesOf('A4').flatMap((code) =>
      cornersOf(code).map((at) => ({ ...at, of: code.id })),
    );
    const views = stands.map((stand): View => ({
      width: 1520,
      height: 2020,
      corners: corners.flatMap(({ x, y, of }) => {
        const p = project(lens, turnOf(stand.turn), stand, { x, y, z: 0 });
        return inside(p) && p
          ? [{ x, y, of, u: p.u + 0.05 * roll.normal(), v: p.v + 0.05 * roll.normal(), off: 0.05 }]
          : [];
      }),
    }));
    const own = solve(views).views[0]!.lens;
    const [objects, images] = [new cv.MatVector(), new cv.MatVector()];
    for (const { corners: list } of views) {
      objects.push_back(
        cv.matFromArray(
          list.length,
          1,
          cv.CV_32FC3,
          list.flatMap(({ x, y }) => [x, y, 0]),
        ),
      );
      images.push_back(
        cv.matFromArray(
          list.length,
          1,
          cv.CV_32FC2,
          list.flatMap(({ u, v }) => [u, v]),
        ),
      );
    }
    const [matrix, bend] = [
      matrixOf({ ...lens, f: 1360, cx: 759.5, cy: 1009.5 }),
      mat(1, 5, [0, 0, 0, 0, 0]),
    ];
    cv.calibrateCameraExtended(
      objects,
      images,
      new cv.Size(1520, 2020),
      matrix,
      bend,
      new cv.MatVector(),
      new cv.MatVector(),
      new cv.Mat(),
      new cv.Mat(),
      new cv.Mat(),
      cv.CALIB_USE_INTRINSIC_GUESS +
        cv.CALIB_FIX_ASPECT_RATIO +
        cv.CALIB_ZERO_TANGENT_DIST +
        cv.CALIB_FIX_K3,
    );
    expect(own.f).to.be.closeTo(matrix.data64F[0], 1.5);
    expect(own.cx).to.be.closeTo(matrix.data64F[2], 1.5);
    expect(own.cy).to.be.closeTo(matrix.data64F[5], 1.5);
    expect(own.k1).to.be.closeTo(bend.data64F[0], 0.004);
    expect(own.f).to.be.closeTo(1500, 3);
  });

  it('codes of a drawn picture are those its detector finds, corners beside its own', () => {
    const scene = { ...randomScene(31, 1400), noise: 1, blur: 0.7 };
    const pixels = rendered(scene);
    const light = lightOf(pixels);
    const { seen } = codesIn(pixels, light);
    /* In light, not in a file's figures: those move every edge half a pixel toward the dark. */
    const grey = cv.matFromArray(
      pixels.height,
      pixels.width,
      cv.CV_8UC1,
      Array.from(light.at, (value) => Math.round(255 * value)),
    );
    const dictionary = cv.getPredefinedDictionary(cv.DICT_ARUCO_MIP_36h12);
    const params = new cv.aruco_DetectorParameters();
    params.cornerRefinementMethod = 1;
    const detector = new cv.aruco_ArucoDetector(
      dictionary,
      params,
      new cv.aruco_RefineParameters(10, 3, true),
    );
    const [corners, ids] = [new cv.MatVector(), new cv.Mat()];
    detector.detectMarkers(grey, corners, ids);
    const theirs = new Map<number, number[]>();
    for (let i = 0; i < ids.rows; i += 1) theirs.set(ids.data32S[i], [...corners.get(i).data32F]);
    expect(seen.length).to.be.at.least(8);
    let compared = 0;
    const apart: number[] = [];
    const off = { own: [] as number[], theirs: [] as number[] };
    for (const { id, corners: own } of seen) {
      const other = theirs.get(id);
      const code = codesOf('A4').find((each) => each.id === id);
      if (!other || !code) continue;
      compared += 1;
      const truth = cornersOf(code).map(({ x, y }) => pixelOf(scene, x, y, 0));
      own.forEach(({ u, v }, i) => {
        const [p, q] = [other[2 * i]!, other[2 * i + 1]!];
        apart.push(Math.hypot(u - p, v - q));
        off.own.push(Math.hypot(u - truth[i]!.u, v - truth[i]!.v));
        off.theirs.push(Math.hypot(p - truth[i]!.u, q - truth[i]!.v));
      });
    }
    expect(compared).to.be.at.least(8);
    const median = (list: number[]) => list.sort((a, b) => a - b)[Math.floor(list.length / 2)]!;
    expect(median(apart)).to.be.below(0.45);
    /* Its corners are drawn inward where the picture is smeared. */
    expect(median(off.own)).to.be.below(0.12);
    expect(median(off.own)).to.be.below(median(off.theirs));
  });
});

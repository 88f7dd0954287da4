import { expect } from 'chai';
import { unzipSync, zipSync } from 'fflate';
import { createHash } from 'node:crypto';
import { addPhotos, dropPhoto, editPhoto } from '../../src/core/edits/photoEdits.ts';
import { demoShop } from '../../src/core/demo/demoShop.ts';
import { jobShop } from '../../src/core/export/jobShop.ts';
import { writeShop } from '../../src/core/export/json.ts';
import { checkShop, readShop } from '../../src/core/document/read.ts';
import { photosAt, photosOfJob, picturesWanted } from '../../src/core/shop/photos.ts';
import type { Photo, Shop } from '../../src/core/model/types/types.ts';
import { hashOf, readZip, writeZip, ZipError } from '../../src/workers/zipFile.ts';

const shop = demoShop('2026-01-01T12:00:00.000Z');
const jpeg = (n: number) => Uint8Array.from([0xff, 0xd8, 0xff, 0xe0, n, n >> 8, 7, 7, 7]);
const photo = (n: number, more: Partial<Photo> = {}): Omit<Photo, 'id'> => ({
  hash: hashOf(jpeg(n)),
  at: `2026-01-0${(n % 9) + 1}T08:00:00.000Z`,
  width: 1600,
  height: 1200,
  bytes: 9,
  marks: [],
  ...more,
});
const withPhotos = (photos: readonly Omit<Photo, 'id'>[], of: Shop = shop) => addPhotos(photos)(of);

describe('photographs', () => {
  const jobId = shop.jobs[0]?.id ?? '';

  it('get tags of their own, and the same picture at the same place stands once', () => {
    const twice = withPhotos([photo(1, { jobId }), photo(1, { jobId }), photo(2, { jobId })]);
    expect(twice.photos.map(({ id }) => id)).to.deep.equal(['F001', 'F002']);
    expect(withPhotos([photo(1, { jobId })], twice)).to.equal(twice);
    const elsewhere = withPhotos([photo(1, { partId: 'F04' })], twice);
    expect(elsewhere.photos.map(({ id }) => id)).to.deep.equal(['F001', 'F002', 'F003']);
    expect(picturesWanted(elsewhere)).to.have.length(2);
  });

  it('hang where they were taken: a step is not the job itself', () => {
    const about = { of: 'step', key: 'open' } as const;
    const hung = withPhotos([photo(5, { jobId }), photo(1, { jobId, about }), photo(2, { jobId })]);
    const ids = (photos: readonly Photo[]) => photos.map(({ id }) => id);
    expect(ids(photosAt(hung, { jobId }))).to.deep.equal(['F003', 'F001']);
    expect(ids(photosAt(hung, { jobId, about }))).to.deep.equal(['F002']);
    expect(ids(photosOfJob(hung, jobId))).to.deep.equal(['F001', 'F002', 'F003']);
  });

  it('are changed and taken off without touching the others', () => {
    const hung = withPhotos([photo(1, { jobId }), photo(2, { jobId })]);
    const marked = editPhoto('F001', {
      marks: [{ sort: 'ring', x: 0.5, y: 0.5, toX: 0.6, toY: 0.5 }],
    })(hung);
    expect(marked.photos[0]?.marks).to.have.length(1);
    expect(marked.photos[1]).to.equal(hung.photos[1]);
    expect(dropPhoto('F001')(marked).photos.map(({ id }) => id)).to.deep.equal(['F002']);
  });

  it('are read back from the file, and refused where they make no sense', () => {
    const hung = withPhotos([photo(1, { jobId, when: 'before' })]);
    expect(readShop(writeShop(hung)).photos).to.deep.equal(hung.photos);
    const refused = (more: object) => () =>
      checkShop({ ...hung, photos: [{ ...hung.photos[0], ...more }] });
    expect(refused({ hash: '../../etc' })).to.throw(/no hash/);
    expect(refused({ marks: [{ sort: 'ring', x: 1.5, y: 0 }] })).to.throw(/marks/);
    expect(refused({ width: 0 })).to.throw(/width/);
  });

  it("leave with the job's file only where they are the job's", () => {
    const [job] = shop.jobs;
    if (!job) throw new Error('the demo has no job');
    const foreign = shop.jobs.find(({ id }) => id !== job.id)?.id;
    const hung = withPhotos([
      photo(1, { jobId }),
      photo(2, { jobId: foreign }),
      photo(3, { machineId: job.machineId }),
    ]);
    expect(jobShop(hung, job).photos.map(({ id }) => id)).to.deep.equal(['F001', 'F003']);
  });
});

describe('the zip', () => {
  const pictures = [3, 1, 2].map((n) => ({ hash: hashOf(jpeg(n)), bytes: jpeg(n) }));

  it('names a picture by the SHA-256 of its bytes, as Node reckons it', () => {
    expect(hashOf(jpeg(300))).to.equal(createHash('sha256').update(jpeg(300)).digest('hex'));
  });

  it('goes there and back, and is the same bytes whatever the order', () => {
    const bytes = writeZip('{"format":"x"}', pictures);
    expect(writeZip('{"format":"x"}', [...pictures].reverse())).to.deep.equal(bytes);
    const read = readZip(bytes);
    expect(read.document).to.equal('{"format":"x"}');
    expect(read.spoilt).to.deep.equal([]);
    expect(read.pictures.map(({ hash }) => hash).sort()).to.deep.equal(
      pictures.map(({ hash }) => hash).sort(),
    );
    expect(read.pictures.every(({ hash, bytes: own }) => hashOf(own) === hash)).to.equal(true);
  });

  it('leaves out a picture that is not what its name says, and says so', () => {
    const files = unzipSync(writeZip('{}', pictures));
    const [first] = Object.keys(files).filter((name) => name.startsWith('photos/'));
    const spoilt = zipSync({ ...files, [first ?? '']: jpeg(99) });
    const read = readZip(spoilt);
    expect(read.spoilt).to.deep.equal([first]);
    expect(read.pictures).to.have.length(2);
    /* No script dressed up as a picture, though its name be its hash. */
    const page = new TextEncoder().encode('<script>1</script>');
    const dressed = readZip(zipSync({ ...files, [`photos/${hashOf(page)}.jpg`]: page }));
    expect(dressed.spoilt).to.deep.equal([`photos/${hashOf(page)}.jpg`]);
  });

  it('reads nothing else that lies in it', () => {
    const files = unzipSync(writeZip('{}', []));
    const more = zipSync({ ...files, '../evil.sh': jpeg(1), 'photos/../a.jpg': jpeg(2) });
    expect(readZip(more)).to.deep.equal({ document: '{}', pictures: [], spoilt: [] });
  });

  it('is refused where it is cut off, no zip, or without a document', () => {
    const bytes = writeZip('{}', pictures);
    for (const bad of [bytes.slice(0, 60), jpeg(1), zipSync({ 'readme.txt': jpeg(1) })])
      expect(() => readZip(bad)).to.throw(ZipError);
  });

  it('does not unpack a document too large to be meant', () => {
    const bomb = zipSync({ 'shop.nutshell.json': new Uint8Array(26_000_000) });
    expect(bomb.length).to.be.lessThan(100_000);
    expect(() => readZip(bomb)).to.throw(/too large/);
  });
});

import { expect } from 'chai';
import { demoShop } from '../../src/core/demo/demoShop.ts';
import { writeShop } from '../../src/core/export/json.ts';
import { jobShop } from '../../src/core/export/jobShop.ts';
import { published } from '../../src/api/published.ts';
import type { Finding } from '../../src/core/findings/finding.ts';
import type { Job, Part } from '../../src/core/model/types/types.ts';
import { planOf } from '../../src/core/plan/planOf.ts';
import { runChecks } from '../../src/core/plan/run.ts';
import { openShop, origin, stored } from './helpers/app.ts';

const shop = demoShop('2026-11-25T09:00:00.000Z');
const text = writeShop(shop);

async function post(
  body: string,
  query = '',
): Promise<{ status: number; body: Record<string, unknown> }> {
  const answer = await fetch(`${await origin()}/api/v1/check${query}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body,
  });
  return {
    status: answer.status,
    body: (await answer.json().catch(() => ({}))) as Record<string, unknown>,
  };
}

describe('api/v1/check', () => {
  it('answers the findings of every job, the same as the core', async () => {
    const { status, body } = await post(text);
    expect(status).to.equal(200);
    const jobs = body['jobs'] as { id: string; findings: Finding[] }[];
    expect(jobs.map((job) => job.id).sort()).to.deep.equal(shop.jobs.map((job) => job.id).sort());
    for (const { id, findings } of jobs) {
      const job = shop.jobs.find((each) => each.id === id) as Job;
      const own = runChecks(planOf(shop, job)).map(published);
      expect(findings).to.deep.equal(JSON.parse(JSON.stringify(own)));
    }
  });
  it('names each remedy by one word, and says what it does, as since version 1', async () => {
    const { body } = await post(text);
    const jobs = body['jobs'] as { findings: { remedies: Record<string, unknown>[] }[] }[];
    const offered = jobs.flatMap((job) => job.findings.flatMap((finding) => finding.remedies));
    expect(offered.length).to.be.above(30);
    for (const remedy of offered) {
      expect(remedy['id']).to.match(/^[a-z]+(?:-[a-z]+)*(?::.+)?$/);
      expect((remedy['action'] as { do: string }).do).to.be.oneOf(['take', 'put', 'want']);
    }
    const cage = offered.find(({ id }) => id === 'cage-out');
    expect(cage).to.deep.include({ action: { do: 'take' }, minutes: 20, undoable: true });
    const angled = offered.find(({ id }) => String(id).startsWith('angled-lead:card'));
    expect(angled?.['action']).to.deep.equal({ do: 'want', what: 'angled card plug', count: 1 });
  });
  it('answers one job of it, or one job alone', async () => {
    const one = await post(text, '?job=14');
    expect((one.body['jobs'] as unknown[]).length).to.equal(1);
    const alone = await post(writeShop(jobShop(shop, shop.jobs[0] as Job)));
    expect(alone.status).to.equal(200);
  });
  it('gives the marks the tape shows', async () => {
    const { body } = await post(text, '?job=14');
    const findings = (body['jobs'] as { findings: Finding[] }[])[0]?.findings ?? [];
    const open = findings
      .filter((finding) => finding.mark !== 'clear')
      .map((finding) => finding.id);
    const page = await openShop('/job/14/take-in');
    for (const id of open) await page.page.locator(`[id="sum-${id}"]`).waitFor();
    /* What is clear is folded; the rest stands open, a Watch as one line. */
    expect(await page.page.locator('.roll .sum:not(details.clear .sum)').count()).to.equal(
      open.length,
    );
    await page.context.close();
  });
  it('answers 404 for a job that is not in it', async () => {
    expect((await post(text, '?job=99')).status).to.equal(404);
  });
  it('answers 400 with the path of the fault', async () => {
    const broken = await post(text.replace('"kind": "fan"', '"kind": "fun"'));
    expect(broken.status).to.equal(400);
    expect(broken.body['path']).to.match(/^parts\[\d+\]\.kind$/);
    expect((await post('{"half":')).status).to.equal(400);
    expect((await post('[]')).body['path']).to.equal('format');
  });
  it('answers 413 over 5 MB', async () => {
    const { status } = await post(
      JSON.stringify({ format: 'nutshell-swap', filler: 'x'.repeat(5_000_001) }),
    );
    expect(status).to.equal(413);
  });
});

describe('api/v1/schema and demo', () => {
  it('publishes the schema', async () => {
    const schema = (await (await fetch(`${await origin()}/api/v1/schema`)).json()) as Record<
      string,
      unknown
    >;
    expect(schema['title']).to.equal('Nutshell Swap shop');
    expect(schema).to.have.property('properties');
  });
  it('gives the demo shop', async () => {
    const demo = (await (await fetch(`${await origin()}/api/v1/demo`)).json()) as {
      jobs: unknown[];
    };
    expect(demo.jobs.length).to.equal(shop.jobs.length);
  });
});

describe('api/v1/fit/holes', () => {
  const ask = async (body: unknown) => {
    const answer = await fetch(`${await origin()}/api/v1/fit/holes`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    return { status: answer.status, body: (await answer.json()) as Record<string, unknown> };
  };
  const four = [
    { x: 163.83, y: 10.16 },
    { x: 6.35, y: 33.02 },
    { x: 163.83, y: 165.1 },
    { x: 6.35, y: 165.1 },
  ];
  it('cannot tell from four holes, and can when they are all', async () => {
    expect((await ask({ points: four })).body['verdict']).to.equal('cannot tell');
    const all = await ask({ points: four, all: true });
    expect((all.body['candidates'] as { pattern: string }[])[0]?.pattern).to.equal('Mini-ITX');
  });
  it('says which holes cannot be', async () => {
    const twice = await ask({ points: [...four, four[0]] });
    expect(twice.status).to.equal(400);
    expect(twice.body['holes']).to.deep.equal([1, 5]);
    expect((await ask({ points: [{ x: 'far', y: 1 }] })).status).to.equal(400);
  });
});

describe('fit, whose board', () => {
  it('takes holes from a caliper, names the board and writes it down', async () => {
    const shop = await openShop('/job/5/fit');
    const { page } = shop;
    await page.getByRole('button', { name: 'Holes', exact: true }).click();
    await page.getByLabel('hole 1, across').focus();
    for (const [x, y] of [
      [163.83, 10.16],
      [6.35, 33.02],
      [163.83, 165.1],
      [6.35, 165.1],
      [209.55, 165.1],
      [209.55, 237.49],
    ]) {
      await page.keyboard.type(String(x));
      await page.keyboard.press('Enter');
      await page.keyboard.type(String(y));
      await page.keyboard.press('Enter');
    }
    await page.getByText(/microATX, off by 0.00 mm/).waitFor();
    await page.getByRole('button', { name: 'Write it on the board' }).click();
    await stored<Part>(page, 'parts', 'B01', (part) =>
      JSON.stringify(part?.facts['holes'] ?? '').includes('"R"'),
    );
    expect(shop.complaints).to.deep.equal([]);
    await shop.context.close();
  });
});

import { connect } from 'node:net';
import { expect } from 'chai';
import { demoShop } from '../../src/core/demo/demoShop.ts';
import { jobShop } from '../../src/core/export/jobShop.ts';
import { writeShop } from '../../src/core/export/json.ts';
import { VERSION, type Job, type Shop } from '../../src/core/model/types/types.ts';
import { origin } from './helpers/app.ts';

const demo = demoShop('2026-11-25T09:00:00.000Z');

async function post(path: string, body: BodyInit, headers: Record<string, string> = {}) {
  const answer = await fetch(`${await origin()}${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...headers },
    body,
  });
  const text = await answer.text();
  return {
    status: answer.status,
    text,
    json: JSON.parse(text) as { message?: string; path?: string | null },
  };
}

/** Own plugs whose wiring has very many ways: all contacts alike, all needed. */
function manyWays(ways: number) {
  const plug = (id: string) => ({
    id,
    name: id,
    rows: 2,
    ways,
    pitchMm: 4.2,
    pins: Array.from({ length: ways }, (_, i) => (i % 2 ? 'COM' : '+12V')),
  });
  return {
    gives: [plug('a'), plug('b'), plug('c'), plug('d')],
    takes: [plug('e'), plug('f'), plug('g'), plug('h')],
    needs: Array.from({ length: 4 }, () => ({ '+12V': 150 })),
    awgs: [14, 16, 18, 20, 22, 24],
  };
}

/** The whole demo many times over, under other tags, in one document of about 4 MB. */
function hugeShop(): Shop {
  const copies = Array.from({ length: 22 }, (_, n) => n);
  const tag = (id: string, n: number) => (n === 0 ? id : `${id}x${n}`);
  return {
    ...demo,
    parts: copies.flatMap((n) => demo.parts.map((part) => ({ ...part, id: tag(part.id, n) }))),
    machines: copies.flatMap((n) =>
      demo.machines.map((each) => ({
        ...each,
        id: tag(each.id, n),
        seats: each.seats.map((seat) => ({ ...seat, partId: tag(seat.partId, n) })),
      })),
    ),
    jobs: copies.flatMap((n) =>
      demo.jobs.map((job): Job => ({
        ...job,
        id: tag(job.id, n),
        ...(job.machineId ? { machineId: tag(job.machineId, n) } : {}),
        changes: job.changes.map((change) => ({
          ...change,
          partId: change.partId === null ? null : tag(change.partId, n),
        })),
      })),
    ),
  };
}

describe('the server under attack', function () {
  this.timeout(120_000);
  let seconds: string | undefined;
  before('the time a request has at home: the other tests have more of it', async () => {
    await origin();
    seconds = process.env['NUTSHELL_REQUEST_SECONDS'];
    process.env['NUTSHELL_REQUEST_SECONDS'] = '5';
  });
  after(() => {
    process.env['NUTSHELL_REQUEST_SECONDS'] = seconds;
  });

  it('ends every request in its time with an answer in JSON, and serves others meanwhile', async () => {
    const heavy: [string, string][] = [
      ['/api/v1/plugs/join', JSON.stringify(manyWays(24))],
      ['/api/v1/check', writeShop(hugeShop())],
      ['/api/v1/links/check', JSON.stringify({ lspci: `00:00.0 ${'a:'.repeat(1_500_000)}\n` })],
      [
        '/api/v1/links/check',
        JSON.stringify({ lspci: `01:00.0 VGA: x\n\tLnkCap: ${'Speed 8GT/s '.repeat(200_000)}\n` }),
      ],
      [
        '/api/v1/links/check',
        JSON.stringify({
          memory: {
            modules: Array.from({ length: 12 }, (_, i) => ({ gb: 2 ** (i % 6), mts: 2133 + i })),
            channels: 8,
          },
        }),
      ],
      [
        '/api/v1/watts/solve',
        JSON.stringify({
          held: Object.fromEntries(Array.from({ length: 150_000 }, (_, i) => [`n${i}`, 12])),
          resistors: [],
          loads: [],
        }),
      ],
      [
        '/api/v1/heat/fit',
        JSON.stringify({
          runs: Array.from({ length: 20 }, () => ({
            temperature: {
              s: Array.from({ length: 5000 }, (_, i) => i),
              v: Array.from({ length: 5000 }, (_, i) => 30 + (i % 40)),
            },
          })),
        }),
      ],
    ];
    let served = 0;
    let stop = false;
    const others = (async () => {
      while (!stop) {
        const answer = await fetch(`${await origin()}/icon.svg`);
        await answer.arrayBuffer();
        expect(answer.status).to.equal(200);
        served += 1;
        await new Promise((resolve) => setTimeout(resolve, 20));
      }
    })();
    const answers = await Promise.all(heavy.map(([path, body]) => post(path, body)));
    stop = true;
    await others;
    for (const [i, { status, json }] of answers.entries()) {
      expect([200, 400, 503], `${heavy[i]?.[0]}: ${status}`).to.include(status);
      if (status !== 200) expect(json.message, heavy[i]?.[0]).to.be.a('string');
    }
    expect(served, 'others were served meanwhile').to.be.above(5);
  });

  it('refuses names that mean nothing, in place', async () => {
    const join = { gives: ['main24'], takes: ['sata'], nedes: [{ '+12V': 1 }] };
    expect((await post('/api/v1/plugs/join', JSON.stringify(join))).status).to.equal(400);
    const polluted = '{"gives":["main24"],"takes":["sata"],"needs":[{"__proto__":5}]}';
    expect((await post('/api/v1/plugs/join', polluted)).status).to.equal(400);
    const rails = { gives: ['main24'], takes: ['sata'], needs: [{ '+99V': 1 }] };
    const answer = await post('/api/v1/plugs/join', JSON.stringify(rails));
    expect(answer.status).to.equal(400);
    expect(answer.json.path).to.contain('needs');
  });

  it('answers 413, 415, 400, 404 and 405 in JSON or not at all as a page', async () => {
    const large = await post('/api/v1/check', `"${'x'.repeat(5_200_000)}"`);
    expect(large.status).to.equal(413);
    const larger = await post('/api/v1/check', `"${'x'.repeat(7_000_000)}"`).catch(
      (error: Error) => error,
    );
    if (!(larger instanceof Error)) expect(larger.status).to.equal(413);
    const type = await post('/api/v1/check', '{}', { 'content-type': 'text/plain' });
    expect(type.status).to.equal(415);
    expect(type.json.message).to.contain('JSON');
    expect((await post('/api/v1/check', '{"a":')).json.message).to.contain('Broken JSON');
    expect((await post('/api/v1/check', new Uint8Array([0xff, 0xfe, 0x00]))).status).to.equal(400);
    expect((await post('/api/v1/check', '['.repeat(100_000))).status).to.equal(400);
    const deep = `{"format":"nutshell-swap","version":${VERSION},"x":${'['.repeat(20_000)}${']'.repeat(20_000)}}`;
    expect((await post('/api/v1/check', deep)).status).to.equal(400);
  });

  it('talks to nobody who calls it by another name', async () => {
    const { port } = new URL(await origin());
    const head = await new Promise<string>((resolve, reject) => {
      const socket = connect(Number(port), '127.0.0.1', () =>
        socket.write('GET / HTTP/1.1\r\nHost: evil.example\r\nConnection: close\r\n\r\n'),
      );
      let text = '';
      socket.on('data', (data) => (text += String(data)));
      socket.on('end', () => resolve(text));
      socket.on('error', reject);
    });
    expect(head).to.match(/^HTTP\/1.1 421 /);
  });

  it('sends its headers with pages, and a policy with the first one', async () => {
    const page = await fetch(await origin());
    expect(page.headers.get('cache-control')).to.equal('no-cache');
    expect(page.headers.get('cross-origin-opener-policy')).to.equal('same-origin');
    expect(page.headers.get('cross-origin-resource-policy')).to.equal('same-origin');
    expect(page.headers.get('permissions-policy')).to.contain('microphone=()');
    const policy = page.headers.get('content-security-policy') ?? '';
    expect(policy).to.contain("default-src 'none'").and.contain("frame-ancestors 'none'");
    expect(policy).to.match(/script-src [^;]*'sha256-/);
  });

  it('ships the licence of itself and of everything in it, fonts too', async () => {
    const answer = await fetch(`${await origin()}/licences.txt`);
    expect(answer.status).to.equal(200);
    const text = await answer.text();
    for (const name of ['svelte', 'idb', 'yup', 'piscina', 'barlow-semi-condensed'])
      expect(text).to.match(new RegExp(`^(?:@[\\w-]+/)?${name} \\d`, 'm'));
    expect(text).to.contain('SIL OPEN FONT LICENSE');
  });

  it('bounds what a stream is asked for', async () => {
    for (const every of ['1e12', '-5', 'NaN', '0']) {
      const control = new AbortController();
      const answer = await fetch(`${await origin()}/api/v1/watts/meter?about=60&every=${every}`, {
        signal: control.signal,
      });
      expect(answer.status).to.equal(200);
      const reader = answer.body!.getReader();
      await reader.read();
      control.abort();
    }
  });

  it('checks one job as before', async () => {
    const one = writeShop(jobShop(demo, demo.jobs[0] as Job));
    expect((await post('/api/v1/check', one)).status).to.equal(200);
  });
});

import { readFileSync } from 'node:fs';
import Ajv from 'ajv';
import { expect } from 'chai';
import { demoShop } from '../../src/core/demo/demoShop.ts';
import { writeShop } from '../../src/core/export/json.ts';
import { jsonSchema } from '../../src/core/document/jsonSchema.ts';

/** The published JSON Schema (draft-07, json-schema.org) judged by Ajv 8, an independent validator. */
describe('reference: the JSON Schema by Ajv', () => {
  const validate = new Ajv({ strict: false, allErrors: true }).compile(jsonSchema());
  const demo = () => JSON.parse(writeShop(demoShop('2026-11-25T09:00:00.000Z')));

  it('takes the demo shop', () => {
    expect(validate(demo()), JSON.stringify(validate.errors?.slice(0, 3))).to.equal(true);
  });
  const spoil: [string, (shop: ReturnType<typeof demo>) => void][] = [
    ['a part without a name', (shop) => delete shop.parts[0].name],
    ['a kind there is not', (shop) => (shop.parts[0].kind = 'engine')],
    [
      'a fact of two shapes',
      (shop) => (shop.parts[0].facts = { height: { lo: 1, hi: 1, text: 'x', how: 'said' } }),
    ],
    [
      'a property there is not',
      (shop) => (shop.parts[0].facts = { nonsense: { text: 'x', how: 'said' } }),
    ],
    ['another format', (shop) => (shop.format = 'other')],
    ['no jobs', (shop) => delete shop.jobs],
  ];
  for (const [what, change] of spoil) {
    it(`refuses ${what}`, () => {
      const shop = demo();
      change(shop);
      expect(validate(shop)).to.equal(false);
    });
  }
  it('stands in docs/schema.json as the API answers it', () => {
    const written = JSON.parse(
      readFileSync(new URL('../../docs/schema.json', import.meta.url), 'utf8'),
    );
    expect(written).to.deep.equal(JSON.parse(JSON.stringify(jsonSchema())));
  });
});

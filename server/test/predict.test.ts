import { expect } from 'chai';
import fc from 'fast-check';
import request from 'supertest';
import { openLidoServer, type LidoServer } from './lidoServer.ts';

const BATCH = {
  dose: { massG: 1000 },
  water: { massG: 5000 },
  grind: 'coarse',
  steep: [{ hours: 14, tempC: 4 }],
};
const DRINK = {
  cupMl: 350,
  concentrate: { strengthFrac: 0.035, tempC: 4, caffeineMgPerG: 2.1 },
  ice: { massG: 150, tempC: -2, coffeeFrac: 0, kind: 'cubes' },
  additions: [{ ingredient: 'simple-syrup', volumeMl: 15, tempC: 4 }],
  fillWith: { ingredient: 'water', tempC: 4 },
  target: { strengthFrac: 0.014, atMinutes: 4 },
  roomC: 22,
  stirredDown: false,
};

describe('the prediction endpoints', () => {
  let server: LidoServer;
  before(async () => (server = await openLidoServer()));
  after(() => server.close());
  const post = (path: string, body: object) => request(server.app).post(path).send(body);

  it('turn what goes in into what comes out', async () => {
    const { status, body } = await post('/api/predict/batch', { ...BATCH, agitationHours: [2, 8] });
    expect(status).to.equal(200);
    expect(body).to.include({
      doseG: 1000,
      waterG: 5000,
      ratio: 5,
      strengthName: 'concentrate',
      retainedG: 2000,
    });
    expect(body.strengthFrac).to.be.within(
      body.range.strengthFrac.low,
      body.range.strengthFrac.high,
    );
    expect(body.brewMl).to.be.within(body.range.brewMl.low, body.range.brewMl.high);
    expect(body.curve.at(-1).hours).to.equal(14);
    expect(body.cautions[0]).to.have.all.keys('code', 'severity', 'text');
  });

  for (const [name, over, waterG] of [
    ['a ratio', { water: { ratio: 8 } }, 8000],
    ['a volume at 20 °C', { water: { volumeMl: 5000, tempC: 20 } }, 4991],
    ['a line: 0.77 mL of it is each gram of coffee', { water: { fillToMl: 6000 } }, 5229.8],
  ] as const)
    it(`take water as ${name}`, async () => {
      const { body } = await post('/api/predict/batch', { ...BATCH, ...over });
      expect(body.waterG).to.be.closeTo(waterG, 0.5);
    });

  it('take a scooped dose, with a wider range than a weighed one', async () => {
    const scooped = await post('/api/predict/batch', {
      ...BATCH,
      dose: { volumeMl: 3125, form: 'ground' },
    });
    expect(scooped.body.doseG).to.be.closeTo(1000, 1e-6);
    const weighed = await post('/api/predict/batch', BATCH);
    const width = ({
      body,
    }: {
      body: { range: { strengthFrac: { low: number; high: number } } };
    }) => body.range.strengthFrac.high - body.range.strengthFrac.low;
    expect(width(scooped)).to.be.above(1.3 * width(weighed));
  });

  it('say so when the bed drinks it all', async () => {
    const { body } = await post('/api/predict/batch', { ...BATCH, water: { ratio: 1.5 } });
    expect(body.brewG).to.equal(0);
    expect(body.cautions.map(({ code }: { code: string }) => code)).to.include('bed_drinks_all');
  });

  it('warn of a long counter steep', async () => {
    const { body } = await post('/api/predict/batch', {
      ...BATCH,
      steep: [{ hours: 26, tempC: 22 }],
    });
    expect(body.cautions[0]).to.include({ code: 'steep_over_24_h', severity: 'warn' });
  });

  it('bring a cup to its strength', async () => {
    const { status, body } = await post('/api/predict/drink', DRINK);
    expect(status).to.equal(200);
    expect(body.status).to.equal('met');
    expect(body.strengthFrac).to.be.closeTo(0.014, 1e-9);
    expect(body.timeline).to.have.length(31);
    expect(body.timeline[4].strengthFrac).to.be.closeTo(0.014, 1e-8);
    // By hand: 15 mL of syrup at 1.233 g/mL is half sugar.
    expect(body.sugarG).to.be.closeTo(9.24, 0.1);
    expect(body.needsStrengthFrac).to.equal(null);
  });

  it('say how strong a concentrate would have to be', async () => {
    const { body } = await post('/api/predict/drink', {
      ...DRINK,
      target: { strengthFrac: 0.04, atMinutes: 4 },
    });
    expect(body).to.include({ status: 'too_weak', fillG: 0 });
    expect(body.needsStrengthFrac).to.be.above(0.04);
  });

  it('fill a cup with ice, pour by parts, and fill in what was left out', async () => {
    const { body } = await post('/api/predict/drink', {
      cupMl: 350,
      concentrate: { strengthFrac: 0.035 },
      ice: { fill: 'full', tempC: -2 },
      target: { parts: { concentrate: 1, fill: 1 } },
    });
    expect(body.iceG).to.be.closeTo(176.5, 0.1);
    expect(body.concentrateMl).to.be.closeTo(body.fillMl, 1e-6);
    expect(body.cautions.map(({ code }: { code: string }) => code)).to.include('caffeine_assumed');
  });

  it('read a recipe written in words', async () => {
    const text = '3 1/2 cups coarse coffee, 2 quarts water, overnight in the fridge';
    const { status, body } = await post('/api/predict/recipe', { text });
    expect(status).to.equal(200);
    expect(body.coffee).to.deep.include({ grind: 'coarse', form: 'ground' });
    expect(body.steep).to.deep.include({ hours: { low: 10, high: 14 }, place: 'fridge' });
    expect(body.ratio.value).to.be.within(body.ratio.low, body.ratio.high);
    expect(body.strengthFrac.value).to.be.within(body.strengthFrac.low, body.strengthFrac.high);
    const [note] = body.notes;
    expect(text.slice(...(note.span as [number, number]))).to.equal('3 1/2 cups');
  });

  it('say what a recipe lacks', async () => {
    const { status, body } = await post('/api/predict/recipe', { text: '200 g coffee, 16 h' });
    expect({ status, code: body.code }).to.deep.equal({ status: 422, code: 'unreadable' });
    expect(body.issues[0]).to.deep.include({ path: 'text' });
  });

  it('list every ingredient of the contract, each adding up to 100 g', async () => {
    const { body } = await request(server.app).get('/api/ingredients');
    const ids =
      'water whole-milk low-fat-milk skim-milk half-and-half light-cream heavy-cream oat-drink soy-drink almond-drink coconut-milk coconut-drink simple-syrup rich-syrup tonic-water';
    expect(body.map(({ id }: { id: string }) => id)).to.include.members(ids.split(' '));
    for (const { per100G } of body)
      expect(
        Object.values(per100G as Record<string, number>).reduce((a, b) => a + b),
      ).to.be.closeTo(100, 1e-9);
  });

  const bad: [name: string, path: string, body: object, at: string][] = [
    ['a dose of zero', 'batch', { ...BATCH, dose: { massG: 0 } }, 'dose.massG'],
    ['a negative dose', 'batch', { ...BATCH, dose: { massG: -20 } }, 'dose.massG'],
    ['a tonne of coffee', 'batch', { ...BATCH, dose: { massG: 1e6 } }, 'dose.massG'],
    ['an unknown grind', 'batch', { ...BATCH, grind: 'powder' }, 'grind'],
    ['an unknown key', 'batch', { ...BATCH, sugar: 1 }, 'sugar'],
    [
      'a key of __proto__',
      'batch',
      JSON.parse('{"__proto__": {"a": 1}, "dose": {"massG": 1}}'),
      'water',
    ],
    ['no steep', 'batch', { ...BATCH, steep: [] }, 'steep'],
    ['a number as text', 'batch', { ...BATCH, dose: { massG: '1000' } }, 'dose.massG'],
    ['a line below the grounds', 'batch', { ...BATCH, water: { fillToMl: 500 } }, 'water.fillToMl'],
    [
      'an unknown ingredient',
      'drink',
      { ...DRINK, fillWith: { ingredient: 'gravy', tempC: 4 } },
      'fillWith.ingredient',
    ],
    ['warm ice', 'drink', { ...DRINK, ice: { massG: 100, tempC: 3 } }, 'ice.tempC'],
    ['no target', 'drink', { ...DRINK, target: undefined }, 'target'],
    [
      'no parts',
      'drink',
      { ...DRINK, target: { parts: { concentrate: 0, fill: 0 } } },
      'target.parts',
    ],
    ['a cup of nothing', 'drink', { ...DRINK, cupMl: 0 }, 'cupMl'],
  ];
  for (const [name, path, body, at] of bad)
    it(`refuse ${name} with a problem that names it`, async () => {
      const response = await post(`/api/predict/${path}`, body);
      expect(response.status).to.be.within(400, 422);
      expect(response.type).to.equal('application/problem+json');
      expect(response.body).to.include.keys('type', 'title', 'status', 'detail', 'code', 'issues');
      expect(response.body.status).to.equal(response.status);
      expect(response.body.issues.map(({ path: where }: { path: string }) => where)).to.include(at);
    });

  it('never answer 5xx, whatever JSON comes', async () => {
    const leaf = fc.oneof(
      fc.constantFrom(0, -1, 1e-300, 1e300, 5, 0.03, 100),
      fc.string(),
      fc.boolean(),
      fc.constant(null),
    );
    const mutate = (base: object) =>
      fc
        .record({
          key: fc.constantFrom(...Object.keys(base)),
          value: fc.oneof(leaf, fc.array(leaf), fc.object({ maxDepth: 2 })),
        })
        .map(({ key, value }) => ({ ...base, [key]: value }));
    await fc.assert(
      fc.asyncProperty(fc.oneof(mutate(BATCH), mutate(DRINK)), async (body) => {
        const path = 'cupMl' in body ? 'drink' : 'batch';
        expect((await post(`/api/predict/${path}`, body)).status).to.be.below(500);
      }),
      { numRuns: 150 },
    );
  });
});

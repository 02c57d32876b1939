import { expect } from 'chai';
import { mock } from 'node:test';
import { createThrottle } from '../../src/people/throttle.ts';

describe('the throttle of secrets', () => {
  beforeEach(() => mock.timers.enable({ apis: ['Date'], now: Date.now() }));
  afterEach(() => mock.timers.reset());

  const tryOf =
    (throttle: ReturnType<typeof createThrottle>) =>
    (key = 'leads') =>
      throttle.begin(key).then(
        () => 'tried',
        ({ code, message }: { code: string; message: string }) => `${code}: ${message}`,
      );

  it('waits a minute after five tries, and knows one secret from another', async () => {
    const begin = tryOf(createThrottle());
    for (let i = 0; i < 5; i++) expect(await begin()).to.equal('tried');
    expect(await begin()).to.match(/^too_many: .* Try again in 60 s\.$/);
    expect(await begin('brews')).to.equal('tried');
    mock.timers.tick(60_001);
    expect(await begin()).to.equal('tried');
  });

  it('waits longer for who goes on', async () => {
    const begin = tryOf(createThrottle());
    for (let minute = 0; minute < 4; minute++) {
      for (let i = 0; i < 5; i++) expect(await begin()).to.equal('tried');
      mock.timers.tick(60_001);
    }
    expect(await begin()).to.match(/Try again in 3\d{3} s\.$/);
    mock.timers.tick(3_600_000);
    expect(await begin()).to.equal('tried');
  });

  it('counts tries that arrive together', async () => {
    const begin = tryOf(createThrottle());
    const said = await Promise.all(Array.from({ length: 40 }, () => begin()));
    expect(said.filter((one) => one === 'tried')).to.have.length(5);
  });

  it('forgets them once the secret was right', async () => {
    const throttle = createThrottle();
    const begin = tryOf(throttle);
    for (let i = 0; i < 5; i++) await begin();
    await throttle.succeed('leads');
    expect(await begin()).to.equal('tried');
  });
});

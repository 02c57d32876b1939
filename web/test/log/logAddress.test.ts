import { logQuery } from '@ratio/core/log';
import { expect } from 'chai';
import { EVERY_BATCH, logAddress, readLogAddress } from '../../src/log/logAddress.ts';

describe('the address of the log', () => {
  it('says what is not as usual, and is read back as it was', () => {
    const query = {
      ...EVERY_BATCH,
      text: 'salt & sea',
      grind: 'medium-coarse',
      from: '2026-05-01',
      sort: 'strength',
      order: 'asc',
      page: 3,
    } as const;
    expect(logAddress(EVERY_BATCH)).to.deep.equal({});
    expect(logAddress(query)).to.deep.equal({
      text: 'salt & sea',
      grind: 'medium-coarse',
      from: '2026-05-01',
      sort: 'strength',
      order: 'asc',
      page: '3',
    });
    expect(readLogAddress(logAddress(query))).to.deep.equal({ query, wrong: [] });
    expect(readLogAddress({ other: 'x' })).to.deep.equal({ query: EVERY_BATCH, wrong: [] });
  });

  it('names what cannot be asked for, and leaves that as usual', () => {
    const { query, wrong } = readLogAddress({
      sort: 'taste',
      order: ['asc', 'desc'],
      grind: 'powder',
      from: '2026-13-01',
      page: '0',
      text: 'x'.repeat(201),
      coffee: 'Lot 9',
    });
    expect(query).to.deep.equal({ ...EVERY_BATCH, coffee: 'Lot 9' });
    expect(wrong).to.deep.equal([
      `text=${'x'.repeat(201)}`,
      'grind=powder',
      'from=2026-13-01',
      'sort=taste',
      'order=asc,desc',
      'page=0',
    ]);
  });

  it('asks for what the server takes, and for nothing that it refuses', () => {
    expect(logQuery.parse({})).to.deep.equal(EVERY_BATCH);
    const addresses: readonly Record<string, string>[] = [
      { text: 'x'.repeat(200) },
      { text: 'x'.repeat(201) },
      { coffee: 'x'.repeat(81) },
      { grind: 'powder' },
      { from: '2026-13-01' },
      { sort: 'taste' },
      { page: '0' },
      { page: '1.5' },
      { page: '99999' },
    ];
    for (const address of addresses)
      expect(readLogAddress(address).wrong.length === 0, JSON.stringify(address)).to.equal(
        logQuery.safeParse(address).success,
      );
  });
});

import { EventEmitter } from 'node:events';
import { NOUNS } from '@ratio/core/document';
import { expect } from 'chai';
import type { Request, Response } from 'express';
import { createChanges } from '../../src/changes/changes.ts';

/** An open page: what was written to it. */
function openPage({ query = {}, comesAgain = false } = {}) {
  const written: string[] = [];
  const get = () => (comesAgain ? 'run' : undefined);
  const request = Object.assign(new EventEmitter(), { query, get });
  const response = {
    writeHead: (status: number, headers: object) =>
      written.push(`${status}`, JSON.stringify(headers)),
    write: (text: string) => written.push(text),
    end: () => written.push('ended'),
  };
  return {
    written,
    request: request as unknown as Request,
    response: response as unknown as Response,
    leave: () => request.emit('close'),
  };
}

describe('createChanges', () => {
  const lido = { shopId: 'lido', author: 'unsigned' };
  const pier = { shopId: 'pier', author: 'unsigned' };
  const change = { noun: 'jugs', id: 'one' } as const;
  let changes: ReturnType<typeof createChanges>;
  beforeEach(() => (changes = createChanges()));
  afterEach(() => changes.close());

  it('reach the open pages of the shop, and no other’s', () => {
    const ours = openPage();
    const theirs = openPage();
    changes.stream(lido, ours.request, ours.response);
    changes.stream(pier, theirs.request, theirs.response);
    changes.publish(lido, change);
    expect(ours.written.at(-1)).to.equal(
      `id: ${changes.latest()}\ndata: {"noun":"jugs","id":"one"}\n\n`,
    );
    expect(theirs.written.join('')).not.to.contain('data:');
  });

  it('hold nothing back in a compression, and say when to come again', () => {
    const page = openPage();
    changes.stream(lido, page.request, page.response);
    expect(page.written[1]).to.contain('no-transform');
    expect(page.written[2]).to.match(/^retry: \d+\nid: .+\n\n$/);
  });

  describe('since a page was read', () => {
    const missed = (after: string, comesAgain = false): string[] => {
      const page = openPage({ query: { after }, comesAgain });
      changes.stream(lido, page.request, page.response);
      return page.written.slice(3).map((text) => JSON.parse(text.slice('data: '.length)).noun);
    };

    it('come first, each noun of its shop once', () => {
      changes.publish(lido, { noun: 'drafts', id: 'before' });
      const after = changes.latest();
      expect(missed(after)).to.deep.equal([]);
      changes.publish(lido, change);
      changes.publish(lido, { noun: 'jugs', id: 'two' });
      changes.publish(pier, { noun: 'drinks', id: 'theirs' });
      changes.publish(lido, { noun: 'batches', id: 'one' });
      expect(missed(after)).to.deep.equal(['jugs', 'batches']);
      expect(missed(changes.latest())).to.deep.equal([]);
    });

    it('are everything where they are too many, or the server began anew', () => {
      const after = changes.latest();
      for (let i = 0; i < 500; i += 1) changes.publish(lido, change);
      expect(missed(after)).to.deep.equal(['jugs']);
      changes.publish(lido, change);
      expect(missed(after)).to.deep.equal([...NOUNS]);
      const again = createChanges();
      for (const unknown of [
        again.latest(),
        '',
        'malformed',
        `${after}999`,
        after.replace(/\d+$/, '-1'),
      ])
        expect(missed(unknown), unknown).to.deep.equal([...NOUNS]);
      again.close();
    });

    it('are left to a page that comes again: it reads everything', () => {
      const after = changes.latest();
      changes.publish(lido, change);
      expect(missed(after, true)).to.deep.equal([]);
    });
  });

  it('forget a page that left, and end those that stay when the server stops', () => {
    const left = openPage();
    const stays = openPage();
    changes.stream(lido, left.request, left.response);
    changes.stream(lido, stays.request, stays.response);
    left.leave();
    changes.publish(lido, change);
    changes.close();
    expect(left.written.join('')).not.to.contain('data:');
    expect(stays.written.at(-1)).to.equal('ended');
  });
});

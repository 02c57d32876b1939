import { EventEmitter } from 'node:events';
import { expect } from 'chai';
import type { Request, Response } from 'express';
import { createChanges } from '../../src/changes/changes.ts';

/** An open page: what was written to it. */
function openPage() {
  const written: string[] = [];
  const request = new EventEmitter();
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
    expect(ours.written.at(-1)).to.equal('data: {"noun":"jugs","id":"one"}\n\n');
    expect(theirs.written.join('')).not.to.contain('data:');
  });

  it('hold nothing back in a compression, and say when to come again', () => {
    const page = openPage();
    changes.stream(lido, page.request, page.response);
    expect(page.written[1]).to.contain('no-transform');
    expect(page.written[2]).to.match(/^retry: \d+\n\n$/);
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

import type { ShopEvent } from '@ratio/core/events';
import type { Write } from '../sync/index.ts';

type Of<K extends ShopEvent['kind']> = Extract<ShopEvent, { kind: K }>;

const ADDRESS = /^\/api\/(batches|jugs)(?:\/([^/]+)\/(actuals|split|strain|entries))?$/;

/** @returns what a write requests of batches and jugs; null for a write about something else */
export function eventOf({ method, path, body, version }: Write): ShopEvent | null {
  const [found, noun, id = '', part] = ADDRESS.exec(path) ?? [];
  if (method !== 'POST' || found === undefined) return null;
  const request = body as never;
  switch (part ?? noun) {
    case 'batches':
      return { kind: 'start', request } satisfies Of<'start'>;
    case 'jugs':
      return { kind: 'add-jug', request } satisfies Of<'add-jug'>;
    case 'actuals':
      return { kind: 'note', batchId: id, request } satisfies Of<'note'>;
    case 'split':
      return { kind: 'split', batchId: id, request } satisfies Of<'split'>;
    case 'strain':
      return { kind: 'strain', batchId: id, seenVersion: version ?? null, request };
    default:
      return { kind: 'change-jug', jugId: id, request } satisfies Of<'change-jug'>;
  }
}

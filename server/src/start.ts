import { z } from 'zod';
import type { RoledCaller } from './caller.ts';
import type { Changes } from './changes/changes.ts';
import { endpoint, type Endpoint } from './endpoint.ts';
import { RIGHTS, type Right } from './people/rights.ts';
import type { PeopleService } from './people/service.ts';
import { callerFor } from './people/identity.ts';
import { ProblemError } from './problem.ts';

/**
 * What every page reads before it shows anything, in this order: a draft that is started meanwhile is read
 * once as a draft, and again as the batch that it has become.
 */
const READ_FIRST = [
  '/api/session',
  '/api/shop',
  '/api/coffees',
  '/api/vessels',
  '/api/learned',
  '/api/pantry',
  '/api/house-recipes',
  '/api/opened',
  '/api/drinks',
  '/api/drafts',
  '/api/batches?count=40',
  '/api/jugs',
] as const;

/** One request for everything that a page reads first, without what the sender may not read. */
export function startEndpoint(input: {
  endpoints: readonly Endpoint[];
  changes: Pick<Changes, 'latest'>;
  people: PeopleService;
  shopId: string;
}): Endpoint {
  const { endpoints, changes, people, shopId } = input;
  const reads = READ_FIRST.map((address) => {
    const { pathname: path, searchParams } = new URL(address, 'http://localhost');
    const read = endpoints.find((one) => one.method === 'get' && one.path === path);
    const right = RIGHTS[`get ${path}`];
    if (!read || right === undefined) throw new Error(`Nobody answers ${path}.`);
    return { address, right, read, query: read.query?.parse(Object.fromEntries(searchParams)) };
  });
  // The sender is identified once for each.
  const rights = [...new Set(reads.map(({ right }) => right))];
  return endpoint({
    method: 'get',
    path: '/api/start',
    summary:
      'What a page reads first, in one answer: each as its own address answers it, and after which change',
    answer: z.record(z.string(), z.unknown()),
    handle: async (call) => {
      const after = changes.latest();
      const callers = new Map<Right, RoledCaller>();
      for (const right of rights) {
        const asking = callerFor({ people, shopId, origin: call.origin, right });
        const caller = await asking.catch((problem: unknown) => {
          if (problem instanceof ProblemError) return null;
          throw problem;
        });
        if (caller) callers.set(right, caller);
      }
      const answers: [address: string, answer: unknown][] = [];
      for (const { address, right, read, query } of reads) {
        const caller = callers.get(right);
        if (caller) answers.push([address, await read.handle({ ...call, query, caller })]);
      }
      return { after, ...Object.fromEntries(answers) };
    },
  });
}

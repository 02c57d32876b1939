import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { ProblemError } from '../problem.ts';

/** Wrong tries at one secret: a slip of the finger waits a minute, a search for it an hour. */
const LIMITS = [
  { points: 5, duration: 60 },
  { points: 20, duration: 3600 },
] as const;

/** Limits how often one secret can be tried. */
export function createThrottle() {
  const limiters = LIMITS.map((limit) => new RateLimiterMemory(limit));
  return {
    /**
     * Counts a try before it is looked at, so that tries that arrive together are counted too.
     *
     * @throws {ProblemError} too_many, with the seconds until the next try
     */
    async begin(key: string): Promise<void> {
      try {
        for (const limiter of limiters) await limiter.consume(key);
      } catch (refused) {
        if (!(refused instanceof RateLimiterRes)) throw refused;
        const seconds = Math.ceil(refused.msBeforeNext / 1000);
        throw new ProblemError('too_many', `That was wrong too often. Try again in ${seconds} s.`);
      }
    },
    /** Forgets the tries before one that was right. */
    async succeed(key: string): Promise<void> {
      for (const limiter of limiters) await limiter.delete(key);
    },
  };
}

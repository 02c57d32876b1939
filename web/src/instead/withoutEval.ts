import { config } from 'zod/v4';

// Zod probes for eval to compile its parsers; the content policy forbids it, and says so in the console.
config({ jitless: true });

export * from 'zod/v4';

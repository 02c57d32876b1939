import { config } from 'zod';

// Zod probes for eval to compile its parsers; the content policy forbids it, and says so in the console.
config({ jitless: true });

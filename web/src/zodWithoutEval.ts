import { config } from 'zod/v4/core';

// Zod probes for eval to compile its parsers; the content policy forbids it and reports that. Whoever starts a
// page or a worker imports this first.
config({ jitless: true });

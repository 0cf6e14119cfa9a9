import { config } from 'zod';

// The content policy allows no code made from strings; zod need not try.
config({ jitless: true });

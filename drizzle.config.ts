import { defineConfig } from 'drizzle-kit';

export default defineConfig({
  dialect: 'postgresql',
  schema: [
    './db/doors-schema.ts',
    './db/workshop-schema.ts',
    './db/racket-schema.ts',
    './db/ticket-schema.ts',
    './db/papers-schema.ts',
    './db/earlier-schema.ts',
    './db/day-schema.ts',
    './db/event-schema.ts',
    './db/shelf-schema.ts',
    './db/ageing-schema.ts',
    './db/reading-schema.ts',
  ],
  out: './db/migrations',
  casing: 'snake_case',
});

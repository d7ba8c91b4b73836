import { bigint } from 'drizzle-orm/pg-core';

/** Money in minor units: a reel costs millions where a coin is small, and what a year adds up to is more than an integer holds. */
export const money = () => bigint({ mode: 'number' });

/** The demo's own door: its invented people come in with one press. No other house has it. */
import type { BetterAuthPlugin } from 'better-auth';
import { APIError, createAuthEndpoint } from 'better-auth/api';
import { setSessionCookie } from 'better-auth/cookies';
import { z } from 'zod';
import { DEMO_STAFF } from '@/db/demo/staff';

const known = DEMO_STAFF.map(({ username }) => username);

export const demoDoor = () =>
  ({
    id: 'demo',
    endpoints: {
      signInDemo: createAuthEndpoint(
        '/sign-in/demo',
        { method: 'POST', body: z.object({ username: z.enum(known) }) },
        async (ctx) => {
          const user = await ctx.context.adapter.findOne<{ id: string }>({
            model: 'user',
            where: [{ field: 'username', value: ctx.body.username }],
          });
          const found = user && (await ctx.context.internalAdapter.findUserById(user.id));
          if (!found) throw new APIError('NOT_FOUND', { message: 'This demo has no such person.' });
          const session = await ctx.context.internalAdapter.createSession(found.id);
          await setSessionCookie(ctx, { session, user: found });
          return ctx.json({ ok: true });
        },
      ),
    },
  }) satisfies BetterAuthPlugin;

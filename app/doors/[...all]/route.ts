import { toNextJsHandler } from 'better-auth/next-js';
import { auth } from '@/app/identity/auth';

export const dynamic = 'force-dynamic';

const { GET, POST } = toNextJsHandler((request: Request) => auth().handler(request));
export { GET, POST };

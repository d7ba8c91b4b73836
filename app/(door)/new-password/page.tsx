import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { AskForm, NewPasswordForm } from '@/app/(door)/when-used';

export const metadata: Metadata = { title: 'A new password' };

/** With a link from a message: a new password. Without one: asks for such a message. */
export default async function NewPasswordPage({ searchParams }: PageProps<'/new-password'>) {
  const { token } = await searchParams;
  return (
    <>
      <h1 className="figure mb-6 text-4xl">A new password</h1>
      {typeof token === 'string' ? <NewPasswordForm token={token} /> : <AskForm />}
      <p className="mt-8">
        <Link href="/sign-in" className="underline">
          Back to the door
        </Link>
      </p>
    </>
  );
}

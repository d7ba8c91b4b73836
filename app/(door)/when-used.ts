'use client';

/**
 * What is heavy loads beside the page and not before it: until its code is there it stands as the server drew it, and its forms do
 * not open (`KeptForm`).
 */
import dynamic from 'next/dynamic';

export const CodePad = dynamic(() => import('./code-pad').then((part) => part.CodePad));
export const FirstStartForm = dynamic(() =>
  import('./first-start/first-start-form').then((part) => part.FirstStartForm),
);
export const NewcomerForm = dynamic(() =>
  import('./invited/newcomer-form').then((part) => part.NewcomerForm),
);
export const AskForm = dynamic(() =>
  import('./new-password/new-password-form').then((part) => part.AskForm),
);
export const NewPasswordForm = dynamic(() =>
  import('./new-password/new-password-form').then((part) => part.NewPasswordForm),
);
export const SignInForm = dynamic(() =>
  import('./sign-in/sign-in-form').then((part) => part.SignInForm),
);
export const ProveForm = dynamic(() => import('./prove/prove-form').then((part) => part.ProveForm));
export const AnotherWorkshop = dynamic(() =>
  import('./workshops/another-workshop').then((part) => part.AnotherWorkshop),
);

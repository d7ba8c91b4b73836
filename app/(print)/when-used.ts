'use client';

/**
 * What is heavy loads beside the page and not before it: until its code is there it stands as the server drew it, and its forms do
 * not open (`KeptForm`).
 */
import dynamic from 'next/dynamic';

export const CreditForm = dynamic(() =>
  import('./invoices/credit-form').then((part) => part.CreditForm),
);

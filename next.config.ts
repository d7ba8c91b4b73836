import type { NextConfig } from 'next';

/** Nothing is ever fetched from another host, and the browser is told to hold us to it. */
const CONTENT_POLICY = [
  "default-src 'self'",
  "script-src 'self' 'unsafe-inline'",
  "style-src 'self' 'unsafe-inline'",
  "img-src 'self' data:",
  "frame-ancestors 'none'",
].join('; ');

const config: NextConfig = {
  distDir: process.env.ORTHOTENS_BUILD ?? '.next',
  poweredByHeader: false,
  headers: async () => [
    {
      source: '/:path*',
      headers: [
        { key: 'Content-Security-Policy', value: CONTENT_POLICY },
        { key: 'X-Content-Type-Options', value: 'nosniff' },
        { key: 'Referrer-Policy', value: 'same-origin' },
      ],
    },
  ],
};

export default config;

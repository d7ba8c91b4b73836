import type { NextConfig } from 'next';

/** Nothing is ever fetched from another host, and the browser is told to hold us to it. */
const CONTENT_POLICY = [
  "default-src 'self'",
  "script-src 'self' 'unsafe-inline'",
  "style-src 'self' 'unsafe-inline'",
  "img-src 'self' data:",
  "frame-ancestors 'none'",
];
const policy = (...more: readonly string[]) => ({
  key: 'Content-Security-Policy',
  value: [...CONTENT_POLICY, ...more].join('; '),
});

const config: NextConfig = {
  distDir: process.env.ORTHOTENS_BUILD ?? '.next',
  poweredByHeader: false,
  // The longest file of frames that is taken (formats/frame-file), in bytes, with what goes around it.
  experimental: { proxyClientMaxBodySize: '13mb' },
  headers: async () => [
    {
      source: '/:path*',
      headers: [
        policy(),
        { key: 'X-Content-Type-Options', value: 'nosniff' },
        { key: 'Referrer-Policy', value: 'same-origin' },
      ],
    },
    // A tension head in the workshop answers at an address that the workshop writes down itself.
    { source: '/bench/:path*', headers: [policy("connect-src 'self' ws: wss:")] },
  ],
};

export default config;

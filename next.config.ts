import type { NextConfig } from 'next';

const config: NextConfig = {
  distDir: process.env.ORTHOTENS_BUILD ?? '.next',
  poweredByHeader: false,
  typescript: { ignoreBuildErrors: process.env.ORTHOTENS_TYPES_CHECKED === '1' },
  // The longest file of frames that is taken (formats/frame-file), in bytes, with what goes around it.
  experimental: { proxyClientMaxBodySize: '13mb', authInterrupts: true },
  serverExternalPackages: ['rate-limiter-flexible'],
  headers: async () => [
    {
      source: '/:path*',
      headers: [
        { key: 'X-Frame-Options', value: 'DENY' },
        { key: 'X-Content-Type-Options', value: 'nosniff' },
        { key: 'Referrer-Policy', value: 'same-origin' },
      ],
    },
  ],
};

export default config;

import type { NextConfig } from 'next';

const config: NextConfig = {
  distDir: process.env.ORTHOTENS_BUILD ?? '.next',
  poweredByHeader: false,
  typescript: { ignoreBuildErrors: process.env.ORTHOTENS_TYPES_CHECKED === '1' },
  // The longest message that any part takes (app/doors.ts).
  experimental: { proxyClientMaxBodySize: '17mb', authInterrupts: true },
  serverExternalPackages: ['rate-limiter-flexible', '@react-pdf/renderer', 'sharp', 'nodemailer'],
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

import type { NextConfig } from 'next';

const config: NextConfig = {
  distDir: process.env.ORTHOTENS_BUILD ?? '.next',
  poweredByHeader: false,
  // In a house the line is wider than the time to squeeze a page; over the internet a proxy stands in front, and does it.
  compress: false,
  // `npm test` checks them, once; who only starts the application does not wait a minute for it.
  typescript: { ignoreBuildErrors: true },
  experimental: {
    // The longest message that any part takes (app/doors.ts).
    proxyClientMaxBodySize: '17mb',
    authInterrupts: true,
    // A fresh clone builds once: writing what a second build would read takes it half a minute.
    turbopackFileSystemCacheForBuild: false,
    // Nothing reads maps of the sources.
    turbopackSourceMaps: false,
    turbopackInputSourceMaps: false,
  },
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

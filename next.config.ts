import type { NextConfig } from 'next';
import { HEADERS } from './src/server/border';

const config: NextConfig = {
  serverExternalPackages: ['pg-boss', 'sharp', 'fontkit', 'playwright-core', 'workerpool'],
  // Served on loopback: packing a tree or a picture of megabytes takes longer than handing it over.
  compress: false,
  poweredByHeader: false,
  devIndicators: false,
  headers: () =>
    Promise.resolve([
      { source: '/:path*', headers: Object.entries(HEADERS).map(([key, value]) => ({ key, value })) },
    ]),
};

export default config;

import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: ['pg-boss', 'sharp', 'fontkit', 'playwright-core'],
  // Served on loopback: packing a tree or a picture of megabytes takes longer than handing it over.
  compress: false,
  poweredByHeader: false,
  devIndicators: false,
};

export default config;

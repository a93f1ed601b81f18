import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: ['pg-boss', 'sharp', 'fontkit'],
  poweredByHeader: false,
  devIndicators: false,
};

export default config;

import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: ['knex', 'libsql'],
  poweredByHeader: false,
  devIndicators: false,
  experimental: { serverActions: { bodySizeLimit: '2mb' } },
};

export default config;

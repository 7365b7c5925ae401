import type { NextConfig } from 'next';

const config: NextConfig = {
  /** Each purpose builds in a folder of its own: what is run, the demo, the tests. */
  distDir: process.env['MIVVET_BUILD'] ?? '.next',
  serverExternalPackages: ['knex', 'libsql', 'piscina'],
  poweredByHeader: false,
  // Types are checked by `npm test`, over all of the program at once.
  typescript: { tsconfigPath: 'tsconfig.next.json', ignoreBuildErrors: true },
  devIndicators: false,
  experimental: { serverActions: { bodySizeLimit: '2mb' } },
};

export default config;

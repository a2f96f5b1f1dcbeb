import { build } from 'esbuild';

// Own workspaces go into the bundle, everything from node_modules stays outside.
await build({
  entryPoints: { main: 'src/main.ts', serve: 'src/serve.ts', 'plan.worker': 'src/jobs/planning/plan.worker.ts' },
  outdir: 'dist',
  bundle: true,
  platform: 'node',
  target: 'node20',
  format: 'esm',
  sourcemap: true,
  logLevel: 'warning',
  plugins: [
    {
      name: 'packages-stay-outside',
      setup(bundler) {
        bundler.onResolve({ filter: /^[^./]/ }, ({ kind, path }) =>
          kind === 'entry-point' || path.startsWith('@brave-comb/') ? undefined : { path, external: true },
        );
      },
    },
  ],
});

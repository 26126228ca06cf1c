import { build } from 'esbuild';

await build({
  entryPoints: [
    ...['src/main.ts', 'src/demo/seedDemo.ts', 'src/workers/scheduleAnswer.ts', 'src/workers/seasonAnswer.ts'],
    ...['src/commands/backup.ts', 'src/commands/restore.ts', 'src/commands/passphrase.ts', 'src/commands/pair.ts'],
  ],
  outdir: 'dist',
  entryNames: '[name]',
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  sourcemap: true,
  // npm packages stay what they are; our own rooms are TypeScript and are bundled in.
  plugins: [
    {
      name: 'packages-stay-outside',
      setup({ onResolve }) {
        onResolve({ filter: /^[^./]/ }, ({ path, kind }) => {
          if (kind === 'entry-point' || path.startsWith('@hoddle/')) return undefined;
          return { path, external: true };
        });
      },
    },
  ],
});

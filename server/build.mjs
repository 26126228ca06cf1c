import { build } from 'esbuild';
import { packagesOutside } from '../scripts/packagesOutside.mjs';

await build({
  entryPoints: [
    ...[
      'src/main.ts',
      'src/demo/seedDemo.ts',
      'src/devices/devices.ts',
      'src/workers/scheduleAnswer.ts',
      'src/workers/seasonAnswer.ts',
      'src/workers/dayPlanAnswer.ts',
    ],
    ...['src/commands/backup.ts', 'src/commands/restore.ts', 'src/commands/passphrase.ts', 'src/commands/pair.ts'],
  ],
  outdir: 'dist',
  entryNames: '[name]',
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  sourcemap: true,
  plugins: [packagesOutside],
});

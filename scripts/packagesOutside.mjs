/** For esbuild: npm packages stay what they are; our own rooms are TypeScript and are bundled in. */
export const packagesOutside = {
  name: 'packages-stay-outside',
  setup({ onResolve }) {
    onResolve({ filter: /^[^./]/ }, ({ path, kind }) => {
      if (kind === 'entry-point' || path.startsWith('@hoddle/')) return undefined;
      return { path, external: true };
    });
  },
};

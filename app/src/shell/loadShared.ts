/**
 * What several screens share and the first one does not need lies in a file of its own. The bundler would have every page fetch
 * it before anything shows; here it is fetched with the first screen that is opened besides. The platform puts its loader where
 * the bundler looks for it at some later time: whenever it does, this goes before it.
 */
const shared =
  typeof document === 'undefined' ? undefined : document.querySelector<HTMLMetaElement>('meta[name=hoddle-shared]');

type Load = (path: string) => Promise<unknown>;

if (shared) {
  let load: Load | undefined;
  const withShared: Load = (path) => Promise.all([load?.(shared.content), load?.(path)]);
  Object.defineProperty(globalThis, '__loadBundleAsync', {
    get: () => load && withShared,
    set: (next: Load) => {
      load = next;
    },
  });
}

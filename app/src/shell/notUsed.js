// Stands for parts of the platform that no screen draws: stacks, tabs, previews, animations. Whatever is asked of it is it again.
const NOT_THERE = ['displayName', '$$typeof', 'then'];
const stub = new Proxy(function notUsed() {}, {
  get: (target, name) => {
    if (name === '__esModule') return true;
    if (typeof name === 'symbol' || NOT_THERE.includes(name) || name in target) return target[name];
    return stub;
  },
  apply: () => stub,
});
module.exports = stub;

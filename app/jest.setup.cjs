// The store of a browser, which Jest's Node does not have.
const kept = new Map();
globalThis.localStorage = {
  getItem: (key) => kept.get(key) ?? null,
  setItem: (key, value) => void kept.set(key, String(value)),
  removeItem: (key) => void kept.delete(key),
};
const noted = new Map();
globalThis.sessionStorage = {
  getItem: (key) => noted.get(key) ?? null,
  setItem: (key, value) => void noted.set(key, String(value)),
  removeItem: (key) => void noted.delete(key),
};
// Node's keeps the process alive as long as one is open; a browser's tab closes.
const Channel = globalThis.BroadcastChannel;
globalThis.BroadcastChannel = class extends Channel {
  constructor(name) {
    super(name);
    this.unref();
  }
};

/** What of a household's own lies beside one table of the handbook. */
export class Laid<Value> {
  constructor(private value: Value) {}

  get now(): Value {
    return this.value;
  }

  lay(value: Value): void {
    this.value = value;
  }
}

const forgetting: (() => void)[] = [];

/** A memory of what was worked out from the handbook: it is empty again when other pages lie beside it. */
export function rememberedOfPages<Key, Value>(): Map<Key, Value> {
  const memory = new Map<Key, Value>();
  forgetting.push(() => memory.clear());
  return memory;
}

/** Empties every memory of {@link rememberedOfPages}. */
export function forgetPages(): void {
  for (const forget of forgetting) forget();
}

import { v5 as uuidV5 } from 'uuid';

const NAMESPACE = '3f6c6a1e-8f0e-5c7b-9a51-6a1d2f4e7b90';

/** The same words give the same id, so that seeding twice makes the same household. */
export function idOf(words: string): string {
  return uuidV5(words, NAMESPACE);
}

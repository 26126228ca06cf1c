import { type JarLot } from '@hoddle/core/pantry/jarLot';
import { v5 as uuidV5, v7 as uuidV7 } from 'uuid';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow } from '@/store/useHousehold';

const NAMESPACE = 'b4f1a2d6-5c1e-5a43-9d0f-2f6f0f3f7a11';

/** The same words give the same id: a file that is put in twice is known. */
export function idOfWords(words: string): string {
  return uuidV5(words, NAMESPACE);
}

/** A lot and how many jars stand in it. */
interface JarsIn {
  readonly lot: JarLot;
  readonly jars: number;
}

/** Puts jars on the shelf that stand there already, all of them or none. */
export function useJarsIn(): (rows: readonly JarsIn[]) => void {
  const enter = useHouseholdStore((store) => store.enter);
  return (rows) => enter({ kind: 'jars-in', jars: { id: uuidV7(), rows: [...rows], at: householdNow() } });
}

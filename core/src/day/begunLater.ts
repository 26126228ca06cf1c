import { type DayQuestion } from './questionOfDay';

/** The same day, begun so many minutes later, or below 0 earlier, on the same date: all it speaks of stays at its moment. */
export function begunLater(question: DayQuestion, byMin: number): DayQuestion {
  const { startMinute, useBy, wishes, overByMin, later } = question;
  return {
    ...question,
    startMinute: startMinute + byMin,
    ...(useBy && { useBy: new Map([...useBy].map(([id, minute]) => [id, Math.max(0, minute - byMin)] as const)) }),
    ...(later && {
      later: new Map([...later].map(([id, own]) => [id, { ...own, fromMin: own.fromMin - byMin }] as const)),
    }),
    ...(wishes && {
      wishes: wishes.map((wish) => (wish.kind === 'pin' ? { ...wish, atMin: wish.atMin - byMin } : wish)),
    }),
    ...(overByMin !== undefined && { overByMin: overByMin - byMin }),
  };
}

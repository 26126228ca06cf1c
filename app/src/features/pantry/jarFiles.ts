import { type StockedLot } from '@hoddle/core/pantry/shelf';
import { type JarSize } from '@hoddle/core/handbook/jars';
import { monthAndYear } from '@/ui/clockWords';
import { jarShape } from '@/ui/jarShape';

/** Jars behind each other in a file, and how far each is moved. */
export const DEEP = 6;
export const BEHIND = { x: 2.9, y: -4.6 };
const GAP_PX = 6;
const TAG_WIDE_PX = 88;

export type FileLook = 'here' | 'planned' | 'gap';

export interface JarFile {
  /** From the front to the back. */
  readonly looks: readonly FileLook[];
  /** On the tag over it; the first of its month has one. */
  readonly tag?: { readonly month: string; readonly past: boolean };
  readonly x: number;
}

/**
 * Files of jars for one board: the oldest at the front left, a new month starting a new file with its tag, then what is
 * planned, then what is missing up to the goal.
 */
export function jarFiles(
  lots: readonly StockedLot[],
  { planned, gap, jar, quartPx, now }: { planned: number; gap: number; jar: JarSize; quartPx: number; now: number },
): { files: JarFile[]; width: number } {
  const months: { month: string; past: boolean; jars: number }[] = [];
  for (const lot of lots) {
    const [month, past] = [monthAndYear(lot.madeAt), lot.keepsUntil < now];
    const same = months.find((other) => other.month === month && other.past === past);
    if (same) same.jars += lot.jars;
    else months.push({ month, past, jars: lot.jars });
  }
  const drafts: { looks: FileLook[]; tag?: JarFile['tag'] }[] = months.flatMap(({ month, past, jars }) =>
    Array.from({ length: Math.ceil(jars / DEEP) }, (_, i) => ({
      looks: Array<FileLook>(Math.min(DEEP, jars - i * DEEP)).fill('here'),
      ...(i === 0 && { tag: { month, past } }),
    })),
  );
  for (const look of [...Array<FileLook>(planned).fill('planned'), ...Array<FileLook>(gap).fill('gap')]) {
    const last = drafts.at(-1);
    if (last && last.looks.length < DEEP) last.looks.push(look);
    else drafts.push({ looks: [look] });
  }
  const step = jarShape(jar, quartPx).width + DEEP * BEHIND.x + GAP_PX;
  let x = 2;
  let tagEnds = 0;
  const files = drafts.map((draft): JarFile => {
    if (draft.tag && x < tagEnds) x = tagEnds;
    const file = { ...draft, x };
    if (draft.tag) tagEnds = x + TAG_WIDE_PX;
    x += step;
    return file;
  });
  return { files, width: Math.max(x, tagEnds) + 2 };
}

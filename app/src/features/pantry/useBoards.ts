import { type JarSize } from '@hoddle/core/handbook/jars';
import { type ProductId, productRow } from '@hoddle/core/handbook/products';
import { nameOf } from '@hoddle/core/day/batch';
import { placeOf } from '@hoddle/core/pantry/place';
import { type ShelfGroup, shelfGroups } from '@hoddle/core/pantry/shelf';
import { useMemo } from 'react';
import { useLoads } from '@/household/kitchen/useLoad';
import { useHousehold } from '@/store/useHousehold';
import { type BoardContent } from './Board';
import { jarFiles } from './jarFiles';
import { placeWords } from '@/household/pantry/pantryWords';
import { usePantry } from '@/household/pantry/usePantry';

/** Boards as they were laid out last: a jar taken changes one of them. */
const drawn = new Map<string, { says: string; board: BoardContent }>();

/** No more jars than this are drawn as missing: a board is not a mile long. */
const MOST_GAP = 60;

/** Boards side by side in one row of the shelf. */
export interface BoardRow {
  readonly key: string;
  readonly heading?: string;
  readonly boards: readonly BoardContent[];
}

const HEADINGS: Readonly<Record<ShelfGroup['placeKind'], string>> = {
  refrigerator: 'In the refrigerator: eat first',
  shelf: 'On the shelf',
  freezer: 'In the freezer',
  aside: 'Set aside',
};

/** The shelf as rows of boards, as many side by side as fit. */
export function useBoards({
  place,
  roomPx,
  quartPx,
  now,
}: {
  place: string;
  roomPx: number;
  quartPx: number;
  now: number;
}) {
  const { goals, household } = useHousehold();
  const { places } = household;
  const { stocked, groups: all } = usePantry();
  const loads = useLoads();
  return useMemo(() => {
    const groups = place === 'all' ? all : shelfGroups(stocked.filter((lot) => lot.place === place));
    const planned = new Map<string, number>();
    for (const { batch, state, load } of loads) {
      const coming = state.phase === 'checked' || batch.againOf !== undefined ? 0 : state.jars || load.jars;
      const key = keyOf({ product: batch.product, jar: batch.jar, name: nameOf(batch) });
      if (coming > 0) planned.set(key, (planned.get(key) ?? 0) + coming);
    }
    const asideWords = ({ lots }: ShelfGroup) => {
      const ids = [...new Set(lots.map((lot) => lot.place))];
      return ids.map((id) => placeWords(placeOf(places, id))).join('; ');
    };
    const content = (group: ShelfGroup): BoardContent => {
      const onShelf = group.placeKind === 'shelf' && place === 'all';
      const coming = onShelf ? (planned.get(keyOf(group)) ?? 0) : 0;
      // What is wanted of a product is not wanted of each of its names.
      const isSole = groups.every((other) => other === group || !isSameShelf(other, group));
      const wanted = isSole && goals.find(({ product, jar }) => product === group.product && jar === group.jar)?.jars;
      const goal = onShelf && typeof wanted === 'number' ? wanted : undefined;
      const gap = Math.min(MOST_GAP, Math.max(0, (goal ?? 0) - group.jars - coming));
      const key = [group.placeKind, keyOf(group), place].join(' ');
      const aside = group.placeKind === 'aside' ? asideWords(group) : undefined;
      const says = [coming, gap, goal, quartPx, now, aside].join(' ');
      const before = drawn.get(key);
      const isSame = before?.board.group === group || (before?.board.group.jars === 0 && group.jars === 0);
      if (isSame && before.says === says) return before.board;
      const files = jarFiles(group.lots, { planned: coming, gap, jar: group.jar, quartPx, now });
      const board = {
        group,
        planned: coming,
        ...(aside !== undefined && { aside }),
        ...(goal !== undefined && { goal }),
        ...files,
      };
      drawn.set(key, { says, board });
      return board;
    };
    const shown = [...groups, ...(place === 'all' ? empty(groups, goals, planned) : [])].map(content);
    return packed(shown, roomPx);
  }, [all, stocked, loads, goals, places, place, roomPx, quartPx, now]);
}

/** Products that are wanted or planned and of which there is none. */
function empty(
  groups: readonly ShelfGroup[],
  goals: readonly { product: ProductId; jar: JarSize; jars: number | null }[],
  planned: ReadonlyMap<string, number>,
): ShelfGroup[] {
  const here = groups.filter(({ placeKind }) => placeKind === 'shelf');
  const coming = [...planned.keys()]
    .map(groupOfKey)
    .filter((key) => !here.some((group) => keyOf(group) === keyOf(key)));
  const wanted = goals
    .filter(({ jars }) => (jars ?? 0) > 0)
    .filter(({ product, jar }) => ![...here, ...coming].some((group) => group.product === product && group.jar === jar))
    .map(({ product, jar }) => ({ product, jar, name: productRow(product).name }));
  return [...wanted, ...coming].map((group) => ({ ...group, placeKind: 'shelf', lots: [], jars: 0 }));
}

type NamedGroup = Pick<ShelfGroup, 'product' | 'jar' | 'name'>;

function keyOf({ product, jar, name }: NamedGroup): string {
  return [product, jar, name].join('|');
}

function groupOfKey(key: string): NamedGroup {
  const [product, jar, name = ''] = key.split('|') as [ProductId, JarSize, string];
  return { product, jar, name };
}

function isSameShelf(a: ShelfGroup, b: ShelfGroup): boolean {
  return a.placeKind === b.placeKind && a.product === b.product && a.jar === b.jar;
}

/** A label's margins, and a letter of its name. */
const MARGINS_PX = 34;
const LETTER_PX = 10;

/** Room a board asks for: its jars, and its name on one line. */
export function needsPx({ group, width }: BoardContent): number {
  return Math.max(MARGINS_PX + LETTER_PX * group.name.length, width + 18, 150);
}

/** Rows as they were last: one that is as it was is not drawn again. */
const rowsBefore = new Map<string, BoardRow>();

function packed(boards: readonly BoardContent[], roomPx: number): BoardRow[] {
  const rows: { key: string; heading?: string; boards: BoardContent[]; used: number }[] = [];
  let kind: string | undefined;
  for (const board of inKinds(boards)) {
    const { group } = board;
    const needs = needsPx(board);
    const last = rows.at(-1);
    const isNew = group.placeKind !== kind;
    kind = group.placeKind;
    if (last && !isNew && last.used + needs <= roomPx) {
      last.boards.push(board);
      last.used += needs;
      continue;
    }
    const key = `${group.placeKind} ${keyOf(group)}`;
    rows.push({ key, ...(isNew && { heading: HEADINGS[group.placeKind] }), boards: [board], used: needs });
  }
  return rows.map(({ used: _, ...row }) => {
    const before = rowsBefore.get(row.key);
    const same =
      before?.boards.length === row.boards.length && row.boards.every((board, i) => board === before.boards[i]);
    const kept = same && before.heading === row.heading ? before : row;
    rowsBefore.set(row.key, kept);
    return kept;
  });
}

/** Those of one kind of place together, in the order of the places. */
function inKinds(boards: readonly BoardContent[]): BoardContent[] {
  const kinds = [...new Set(boards.map(({ group }) => group.placeKind))];
  return kinds.flatMap((kind) => boards.filter(({ group }) => group.placeKind === kind));
}

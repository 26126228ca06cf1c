import { countJars } from '../../handbook/jars';
import { type DateStyle, monthWords, dateWords } from '../../measure/dateWords';
import { type PantryPlace, placeOf } from '../../pantry/place';
import { inTakingOrder, shelfGroups, type StockedLot } from '../../pantry/shelf';
import { item, type Paper, type PaperPart } from './paper';

interface ShelfGround {
  readonly places: readonly PantryPlace[];
  readonly dates: DateStyle;
  readonly now: number;
  readonly codeOf: (lot: StockedLot) => string;
}

/** What stands where, for the cellar door: each lot with its code, the one to take first in front, and a place to cross jars off. */
export function shelfList(stocked: readonly StockedLot[], { places, dates, now, codeOf }: ShelfGround): Paper {
  const inPlaces = [...places.map(({ id }) => id), ...stocked.map(({ place }) => place)];
  const filled = [...new Set(inPlaces)].filter((id) => stocked.some(({ place }) => place === id));
  const jars = stocked.reduce((sum, lot) => sum + lot.jars, 0);
  return {
    title: 'What is on the shelf',
    note: `${jars} ${jars === 1 ? 'jar' : 'jars'}, ${dateWords(now, dates)}`,
    parts: filled.flatMap((id): PaperPart[] => {
      const own = stocked.filter(({ place }) => place === id);
      return [
        { kind: 'heading', words: `${placeOf(places, id).name}, ${own.reduce((sum, lot) => sum + lot.jars, 0)} jars` },
        {
          kind: 'table',
          columns: [
            { words: 'What', share: 44 },
            { words: 'Jars', share: 18 },
            { words: 'Made', share: 14 },
            { words: 'Best by', share: 14 },
            { words: 'Code', share: 10 },
          ],
          rows: shelfGroups(own).flatMap((group) =>
            [...group.lots]
              .sort(inTakingOrder)
              .map((lot, i) => [
                item(i === 0 ? group.name : ''),
                item(countJars(lot.jars, lot.jar)),
                item(monthWords(lot.madeAt, dates)),
                item(
                  lot.seal === 'sealed' ? monthWords(lot.keepsUntil, dates) : dateWords(lot.keepsUntil, dates),
                  lot.keepsUntil < now ? 'past' : undefined,
                ),
                item(codeOf(lot)),
              ]),
          ),
        },
      ];
    }),
    foot: 'Oldest first. Bulging, leaking, mould or an off smell: do not taste it, throw it away.',
  };
}

import { type Forecast } from '@hoddle/core/pantry/forecast';
import { type Movement } from '@hoddle/core/pantry/jarLot';
import { type StockedLot } from '@hoddle/core/pantry/shelf';
import { takeAdvice } from '@hoddle/core/pantry/takeAdvice';
import { placeOf } from '@hoddle/core/pantry/place';
import { useRouter } from 'expo-router';
import { memo, useCallback, useDeferredValue, useMemo, useState } from 'react';
import { v7 as uuidV7 } from 'uuid';
import { FlatList, ScrollView, useWindowDimensions, View } from 'react-native';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useHousehold, useNow } from '@/store/useHousehold';
import { dayAndDate, monthAndYear } from '@/ui/clockWords';
import { ChipRadio } from '@/ui/ChipRadio';
import { hueOfProduct } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';
import { type JarLook } from '@/ui/jarStrokes';
import { Key } from '@/ui/Key';
import { RowLink } from '@/ui/RowLink';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { usePrinting } from '@/ui/usePrinting';
import { Heading, Words } from '@/ui/Words';
import { Board, type BoardContent } from './Board';
import { EatNextLine } from './EatNextLine';
import { EmptyShelf } from './EmptyShelf';
import { LabelsToMake } from './labels/LabelsToMake';
import { LidsToPress } from './LidsToPress';
import { countOf, lastsWords } from '@/household/pantry/pantryWords';
import { shortNow } from './shortage';
import { useNeeds } from './SuppliesScreen';
import { type BoardRow, needsPx, useBoards } from './useBoards';
import { useMoveJars } from './useMoveJars';
import { forecastOf, useForecasts, usePantry } from '@/household/pantry/usePantry';

const QUART_PX = 62;
const RAIL_PX = 96;
const MARGIN_PX = 16;
/** Rows that fill a phone when the shelf opens. */
const FIRST_ROWS = 4;

/** The jars there are, on boards: the oldest in front, one tap takes it. */
export function ShelfScreen() {
  const router = useRouter();
  const wide = useIsWide();
  const { width } = useWindowDimensions();
  const now = useNow(60_000);
  const { household, goals } = useHousehold();
  const { stocked } = usePantry();
  const forecasts = useForecasts(now);
  const [place, setPlace] = useState('all');
  const [taken, setTaken] = useState<{ lot: StockedLot; movement: Movement }>();
  const moves = useMoveJars();
  const printing = usePrinting();
  const roomPx = wide ? width - RAIL_PX - 2 * MARGIN_PX : width;
  // The drawings change by the day, not by the minute.
  const day = Math.floor(now / 86_400_000) * 86_400_000;
  const rows = useBoards({ place, roomPx, quartPx: QUART_PX, now: day });
  const total = stocked.reduce((sum, lot) => sum + lot.jars, 0);
  const wanted = goals.reduce((sum, { jars }) => sum + (jars ?? 0), 0);
  const enter = useHouseholdStore((store) => store.enter);
  const take = useCallback(
    (lot: StockedLot) => {
      const movement: Movement = { id: uuidV7(), lotId: lot.id, kind: 'taken', jars: 1, at: householdNow() };
      // With the board, and not a moment before it: one tap is drawn once.
      void enter({ kind: 'movement', movement }).then(() => setTaken({ lot, movement }));
    },
    [enter],
  );
  const filled = household.places.filter(({ id }) => stocked.some((lot) => lot.place === id));
  const boardOf = useCallback(
    ({ item, index }: { item: BoardRow; index: number }) => (
      <Row {...{ row: item, forecasts, roomPx, day }} onTake={take} atOnce={index < FIRST_ROWS} />
    ),
    [forecasts, roomPx, day, take],
  );
  // What the server did not take was not taken: the line on top says so.
  const refused = useHouseholdStore((store) => store.refused);
  const isTaken = ({ id }: Movement) =>
    !refused.some(({ write }) => write.kind === 'movement' && write.movement.id === id);
  const shown = taken && isTaken(taken.movement) ? taken : undefined;
  const empty = total === 0 && wanted === 0;
  const placeIds = filled.map(({ id }) => id).join(' ');
  const head = useMemo(
    () => (
      <View>
        <LidsToPress now={now} />
        <LabelsToMake now={now} />
        {empty && <EmptyShelf />}
        <ShelfLinks now={day} />
        <EatNextLine now={day} />
        {placeIds.includes(' ') && <PlaceChips chosen={place} onChoose={setPlace} />}
      </View>
    ),
    [now, day, empty, place, placeIds],
  );
  return (
    <Screen
      station="shelf"
      title={wanted > 0 ? `${total} of ${Math.max(wanted, total)} jars` : `${total} ${total === 1 ? 'jar' : 'jars'}`}
      note={total > 0 ? 'A label takes the oldest one' : undefined}
      bleed
      ownScroll
      headSide={total > 0 && <Key words="By code" onPress={() => router.navigate('/shelf/code')} />}
      foot={
        shown && (
          <Taken
            lot={shown.lot}
            now={now}
            onUndo={() => {
              moves.undo(shown.movement);
              setTaken(undefined);
            }}
          />
        )
      }
    >
      {printing ? (
        <View>
          {head}
          {rows.map((row) => (
            <Row key={row.key} {...{ row, forecasts, roomPx, day }} onTake={take} atOnce />
          ))}
          <Legend />
        </View>
      ) : (
        <FlatList
          data={rows}
          keyExtractor={(row) => row.key}
          renderItem={boardOf}
          ListHeaderComponent={head}
          ListFooterComponent={Legend}
          initialNumToRender={FIRST_ROWS}
          maxToRenderPerBatch={1}
          windowSize={3}
          contentContainerStyle={{ paddingBottom: 24, paddingHorizontal: wide ? MARGIN_PX : 0 }}
        />
      )}
    </Screen>
  );
}

interface RowProps {
  row: BoardRow;
  forecasts: readonly Forecast[];
  roomPx: number;
  day: number;
  onTake: (lot: StockedLot) => void;
  /** One of the first, which the screen opens with. */
  atOnce: boolean;
}

/** Heights of rows as they were laid out, so that one that comes again takes its place at once. */
const heights = new Map<string, number>();
const LIKELY_PX = 190;

/**
 * Boards side by side; drawn again only when one of them has changed. A row that scrolls into reach holds its place first and is
 * drawn in the pauses of the scroll: drawn at once it would hold up a slow phone's thumb.
 */
const Row = memo(function Row(props: RowProps) {
  const { row, roomPx, atOnce } = props;
  const drawn = useDeferredValue(true, atOnce);
  const key = `${roomPx} ${row.key}`;
  if (!drawn) return <View style={{ height: heights.get(key) ?? LIKELY_PX }} />;
  return (
    <View onLayout={({ nativeEvent }) => heights.set(key, nativeEvent.layout.height)}>
      {row.heading !== undefined && <Heading className="px-4 pt-3">{row.heading}</Heading>}
      <Boards {...props} />
    </View>
  );
});

function Boards({ row, forecasts, roomPx, day, onTake, atOnce }: RowProps) {
  return (
    <View className="flex-row">
      {row.boards.map((board) => {
        const forecast = forecastOf(forecasts, board.group);
        return (
          <Board
            key={`${board.group.product} ${board.group.jar}`}
            board={board}
            quartPx={QUART_PX}
            roomPx={shareOf(row, board, roomPx)}
            narrow={row.boards.length > 1}
            lasts={forecast && board.group.jars > 0 ? lastsWords(forecast.at, day) : undefined}
            now={day}
            onTake={onTake}
            atOnce={atOnce}
          />
        );
      })}
    </View>
  );
}

/** Room that is left in a row goes to its boards in equal parts. */
function shareOf({ boards }: BoardRow, board: BoardContent, roomPx: number): number {
  if (boards.length === 1) return roomPx;
  const spare = Math.max(0, roomPx - boards.reduce((sum, each) => sum + needsPx(each), 0));
  return needsPx(board) + spare / boards.length;
}

/** What the looks of a jar mean. */
const Legend = memo(function Legend() {
  return (
    <View className="flex-row flex-wrap gap-4 px-4 pt-4">
      {(['here', 'planned', 'gap'] as const satisfies readonly JarLook[]).map((look) => (
        <View key={look} className="flex-row items-center gap-1">
          <JarDrawing size="pint" quartPx={30} look={look} {...hueOfProduct('plums')} />
          <Words size="label">{look}</Words>
        </View>
      ))}
    </View>
  );
});

const LINKS = [
  { href: '/shelf/count', words: 'Count' },
  { href: '/shelf/labels', words: 'Labels' },
  { href: '/paper/shelf', words: 'List' },
  { href: '/shelf/supplies', words: 'Jars and lids' },
  { href: '/shelf/wanted', words: 'Wanted' },
  { href: '/shelf/places', words: 'Places' },
  { href: '/shelf/files', words: 'Files' },
] as const;

/** The ways on from the shelf; what is short in the drawer is told before the season needs it. */
function ShelfLinks({ now }: { now: number }) {
  const isShort = shortNow(useNeeds(now), now).length > 0;
  return useMemo(
    () => (
      <ScrollView horizontal showsHorizontalScrollIndicator={false} contentContainerClassName="px-2">
        {LINKS.map(({ href, words }) => (
          <RowLink key={href} href={href} className="min-h-[48px] flex-row items-center gap-1 px-2">
            <Words weight={700} tone="cobalt">
              {words}
            </Words>
            {href === '/shelf/supplies' && isShort && (
              <View className="rounded-chip bg-ink px-[5px]">
                <Words size="small" weight={700} tone="white">
                  short
                </Words>
              </View>
            )}
          </RowLink>
        ))}
      </ScrollView>
    ),
    [isShort],
  );
}

/** Everywhere, or one place where jars stand. */
function PlaceChips({ chosen, onChoose }: { chosen: string; onChoose: (place: string) => void }) {
  const { household } = useHousehold();
  const { stocked } = usePantry();
  const places = household.places.filter(({ id }) => stocked.some((lot) => lot.place === id));
  const key = places.map(({ id, name }) => `${id} ${name}`).join();
  return useMemo(
    () => (
      <ScrollView
        horizontal
        showsHorizontalScrollIndicator={false}
        role="radiogroup"
        aria-label="Places"
        contentContainerClassName="gap-2 px-4 py-2"
      >
        {[{ id: 'all', name: 'Everywhere' }, ...places].map(({ id, name }) => (
          <ChipRadio key={id} words={name} chosen={chosen === id} onPress={() => onChoose(id)} />
        ))}
      </ScrollView>
    ),
    // The same places are drawn once.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [key, chosen, onChoose],
  );
}

/** What was just taken, and the ways on: back, or that it went another way. */
function Taken({ lot, now, onUndo }: { lot: StockedLot; now: number; onUndo: () => void }) {
  const router = useRouter();
  const { stocked } = usePantry();
  const { household } = useHousehold();
  const { notReadyUntil } = takeAdvice(lot, stocked, now);
  return (
    <View role="status" className="gap-2">
      <View>
        <Words weight={700}>Took {countOf(1, lot)}</Words>
        <Words size="label" tone="ink-2">
          made {monthAndYear(lot.madeAt)}, from {placeOf(household.places, lot.place).name}
        </Words>
        {notReadyUntil !== undefined && (
          <Words weight={700}>Not ready: at its best from {dayAndDate(notReadyUntil)}.</Words>
        )}
      </View>
      <View className="flex-row gap-3">
        <Key className="flex-1" look="outline" words="Put it back" onPress={onUndo} />
        <Key
          className="flex-1"
          look="outline"
          words="Not eaten?"
          onPress={() => {
            onUndo();
            router.navigate({ pathname: '/shelf/lot/[lotId]', params: { lotId: lot.id } });
          }}
        />
      </View>
    </View>
  );
}

import { countJars } from '@hoddle/core/handbook/jars';
import { type ShelfGroup, type StockedLot } from '@hoddle/core/pantry/shelf';
import Check from 'lucide-react-native/icons/check';
import { memo, type ReactNode, useState } from 'react';
import { Link } from 'expo-router';
import { type NativeScrollEvent, type NativeSyntheticEvent, Pressable, ScrollView, View } from 'react-native';
import { monthAndYear } from '@/ui/clockWords';
import { COLOURS, hueOfProduct } from '@/ui/colours';
import { useSingleTap } from '@/ui/useSingleTap';
import { Words } from '@/ui/Words';
import { JarFiles, type JarFilesProps } from './JarFiles';
import { type JarFile } from './jarFiles';
import { keepsWords } from '@/household/pantry/pantryWords';

export interface BoardContent {
  readonly group: ShelfGroup;
  readonly planned: number;
  /** What these jars are set aside for. */
  readonly aside?: string;
  /** Jars wanted for the year; undefined where none are. */
  readonly goal?: number;
  readonly files: readonly JarFile[];
  readonly width: number;
}

interface BoardProps {
  board: BoardContent;
  quartPx: number;
  /** Width of the board on the screen. */
  roomPx: number;
  /** Beside others: its key goes below its words. */
  narrow: boolean;
  lasts: string | undefined;
  now: number;
  onTake: (lot: StockedLot) => void;
  /** Drawn with the screen, not in a pause after it. */
  atOnce: boolean;
}

const STEP_PX = 240;
const MARGIN_PX = 14;

/** One product on its board: the jars lead to all about it, the label takes the oldest one. */
export const Board = memo(function Board({ board, quartPx, roomPx, narrow, lasts, now, onTake, atOnce }: BoardProps) {
  const { group, goal, files, width, aside } = board;
  const drawing = { files, width, quartPx, atOnce, jar: group.jar, ...hueOfProduct(group.product) };
  const tap = useSingleTap(onTake);
  const first = group.lots[0];
  const { name } = group;
  const past = group.lots.filter((lot) => lot.keepsUntil < now).reduce((sum, lot) => sum + lot.jars, 0);
  const keeping = aside ?? (first && keepsWords(first, now));
  const counted =
    goal === undefined ? countJars(group.jars, group.jar) : `${group.jars} of ${countJars(goal, group.jar)}`;
  const full = goal !== undefined && group.jars >= goal;
  const label = first
    ? `${name}, ${counted}, ${keeping}. Take one made ${monthAndYear(first.madeAt)}.`
    : `${name}, ${counted}.`;
  return (
    <View style={{ width: roomPx }}>
      <View className="flex-1 justify-end pt-2">
        {MARGIN_PX + width <= roomPx ? (
          <JarsLink board={board} roomPx={roomPx}>
            <JarFiles {...drawing} from={0} to={width} />
          </JarsLink>
        ) : (
          <LongBoard board={board} roomPx={roomPx} drawing={drawing} />
        )}
      </View>
      <Pressable
        role="button"
        aria-label={label}
        disabled={!first}
        onPress={() => first && tap(first)}
        className={`min-h-[72px] border-t-[4px] border-cobalt bg-plate px-4 py-2 ${narrow ? 'gap-1' : 'flex-row items-center gap-2'}`}
      >
        <View className={narrow ? '' : 'flex-1'}>
          <Words size="lead" weight={700}>
            {name}
          </Words>
          <Words>{counted}</Words>
          <View className="flex-row items-center gap-1">
            {full && past === 0 && group.placeKind === 'shelf' && (
              <Check size={16} strokeWidth={3.4} color={COLOURS.ink} />
            )}
            <Words size="label" tone={past > 0 ? 'ink' : 'ink-2'} weight={past > 0 ? 700 : 400}>
              {past > 0 && group.placeKind === 'shelf'
                ? `${past} past best`
                : group.placeKind !== 'shelf'
                  ? keeping
                  : full && lasts === undefined
                    ? 'full'
                    : [full ? 'full' : undefined, lasts ?? keeping].filter(Boolean).join(', ')}
            </Words>
          </View>
        </View>
        {first && (
          <View
            className={`items-center justify-center rounded-key border-2 border-cobalt px-3 ${narrow ? 'min-h-[36px]' : 'min-h-[48px]'}`}
          >
            <Words weight={700} tone="cobalt">
              Take 1
            </Words>
          </View>
        )}
      </Pressable>
    </View>
  );
});

/** The jars lead to all about them. */
function JarsLink({ board, roomPx, children }: { board: BoardContent; roomPx: number; children: ReactNode }) {
  const { product, jar, placeKind, name } = board.group;
  return (
    <Link href={{ pathname: '/shelf/board', params: { product, jar, place: placeKind } }} asChild>
      <Pressable
        aria-label={`${name}: its jars, how long they last`}
        style={{ minWidth: roomPx, paddingLeft: MARGIN_PX }}
      >
        {children}
      </Pressable>
    </Link>
  );
}

/** A board with more jars than fit: it is moved sideways, and what is near is drawn. */
function LongBoard({
  board,
  roomPx,
  drawing,
}: {
  board: BoardContent;
  roomPx: number;
  drawing: Omit<JarFilesProps, 'from' | 'to'>;
}) {
  const [scrolledTo, setScrolledTo] = useState(0);
  const onScroll = ({ nativeEvent }: NativeSyntheticEvent<NativeScrollEvent>) =>
    setScrolledTo(Math.floor(nativeEvent.contentOffset.x / STEP_PX) * STEP_PX);
  return (
    <ScrollView
      horizontal
      showsHorizontalScrollIndicator={false}
      className="flex-grow-0"
      onScroll={onScroll}
      scrollEventThrottle={100}
    >
      <JarsLink board={board} roomPx={roomPx}>
        <JarFiles {...drawing} from={scrolledTo - STEP_PX} to={scrolledTo + roomPx + STEP_PX} />
      </JarsLink>
    </ScrollView>
  );
}

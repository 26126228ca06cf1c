import { JARS } from '@hoddle/core/handbook/jars';
import { type HardwareNeed, hardwareNeeds } from '@hoddle/core/pantry/hardwareStock';
import { isInSeason, nextCropAt } from '@hoddle/core/pantry/nextCrop';
import {
  ALL_HARDWARE,
  type Hardware,
  hardwareKey,
  type HardwareMove,
  type HardwareWay,
} from '@hoddle/core/supplies/hardware';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useHousehold, useNow } from '@/store/useHousehold';
import { COLOURS } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { Screen } from '@/ui/Screen';
import { TextField } from '@/ui/TextField';
import { TextKey } from '@/ui/TextKey';
import { Heading, Words } from '@/ui/Words';
import Svg, { Circle, Path, Rect } from 'react-native-svg';
import { aboutWhen } from '@/household/pantry/pantryWords';
import { usePantry } from '@/household/pantry/usePantry';

const KIND_WORDS = { jar: 'jars', lid: 'lids, single use', 'reusable-lid': 'reusable lids', band: 'bands' } as const;

/** "quarts, regular mouth", "lids, single use, wide mouth". */
export function hardwareWords({ kind, size, mouth }: Hardware): string {
  return `${kind === 'jar' && size ? JARS[size].several : KIND_WORDS[kind]}, ${mouth} mouth`;
}

const WAYS: readonly { way: HardwareWay; words: string }[] = [
  { way: 'bought', words: 'Bought' },
  { way: 'thrown', words: 'Chipped, thrown away' },
  { way: 'given', words: 'Given away' },
];

/** Empty jars, lids and bands: what there is, what the goals still need, and how it changes. */
export function SuppliesScreen() {
  const now = useNow(60_000);
  const { hardware, hardwareMoves } = useHousehold();
  const enter = useHouseholdStore((store) => store.enter);
  const [open, setOpen] = useState<string>();
  const [last, setLast] = useState<HardwareMove>();
  const counted = ALL_HARDWARE.filter((thing) => hardware.some((each) => hardwareKey(each) === hardwareKey(thing)));
  const others = ALL_HARDWARE.filter((thing) => !counted.includes(thing));
  const needs = useNeeds(now);
  const countOfThing = (thing: Hardware) => hardware.find((each) => hardwareKey(each) === hardwareKey(thing))?.count;
  const write = (thing: Hardware, way: HardwareWay, count: number) => {
    const move: HardwareMove = { id: uuidV7(), ...thing, way, count, at: householdNow() };
    void enter({ kind: 'hardware-move', move });
    setLast(move);
    setOpen(undefined);
  };
  return (
    <Screen
      station="shelf"
      title="Jars, lids and bands"
      note="empty and ready, as the shelf uses them and gives them back"
      backTo="/shelf"
      foot={
        last && (
          <Words role="status" weight={700}>
            {WAY_SAID[last.way]} {last.count}: {hardwareWords(last)}
          </Words>
        )
      }
    >
      <View className="max-w-[640px] gap-4">
        <Needs needs={needs} now={now} />
        {hardwareMoves.length === 0 && (
          <Words>
            Count what lies in the drawer once. From then on filled jars take from it and emptied ones come back.
          </Words>
        )}
        {counted.map((thing) => (
          <HardwareRow
            key={hardwareKey(thing)}
            thing={thing}
            count={countOfThing(thing)}
            open={open === hardwareKey(thing)}
            onOpen={() => setOpen(open === hardwareKey(thing) ? undefined : hardwareKey(thing))}
            onWrite={(way, count) => write(thing, way, count)}
          />
        ))}
        {others.length > 0 && <Heading>Not counted yet</Heading>}
        {others.map((thing) => (
          <HardwareRow
            key={hardwareKey(thing)}
            thing={thing}
            count={undefined}
            open={open === hardwareKey(thing)}
            onOpen={() => setOpen(open === hardwareKey(thing) ? undefined : hardwareKey(thing))}
            onWrite={(way, count) => write(thing, way, count)}
          />
        ))}
        <Words size="label" tone="ink-2">
          Run a finger round each rim before it is filled: a chip never seals. Single-use lids are new each time. What
          is taken from the shelf comes back here; what is given away, sold, broken or spoiled does not.
        </Words>
      </View>
    </Screen>
  );
}

const WAY_SAID: Readonly<Record<HardwareWay, string>> = {
  bought: 'Bought',
  found: 'Counted, more:',
  thrown: 'Thrown away',
  given: 'Given away',
  missing: 'Counted, fewer:',
};

/** What the goals still ask of the drawer. */
export function useNeeds(now: number): HardwareNeed[] {
  const { goals, hardware, hardwareMoves, plantings, use } = useHousehold();
  const { stocked } = usePantry();
  const same = (a: { product: string; jar: string }) => (b: { product: string; jar: string }) =>
    a.product === b.product && a.jar === b.jar;
  return hardwareNeeds(
    goals,
    (goal) => stocked.filter(same(goal)).reduce((sum, { jars }) => sum + jars, 0),
    ({ product, jar }) =>
      isInSeason(product, plantings, now) ? now : nextCropAt(product, use.find(same({ product, jar })), plantings, now),
    hardware,
    hardwareMoves,
  );
}

function Needs({ needs, now }: { needs: readonly HardwareNeed[]; now: number }) {
  const short = needs.filter((need) => need.short > 0);
  if (needs.length === 0) return null;
  return (
    <Plate className="gap-1">
      <Heading>{short.length === 0 ? 'Enough for what you want' : 'Short for what you want'}</Heading>
      {short.map((need) => (
        <Words key={hardwareKey(need)}>
          <Words weight={800}>{need.short} </Words>
          {hardwareWords(need)}: {need.needed} needed, {need.here} here
          {need.from !== undefined &&
            (need.from <= now ? ', the season is on' : `, the first by ${aboutWhen(need.from, now)}`)}
          .
        </Words>
      ))}
      {short.length > 0 && <Words tone="ink-2">Lids sell out in season: buy them before it.</Words>}
      {needs.some(({ here }) => here === undefined) && (
        <Words tone="ink-2">
          Not counted yet:{' '}
          {needs
            .filter(({ here }) => here === undefined)
            .map((need) => `${need.needed} ${hardwareWords(need)}`)
            .join('; ')}
          .
        </Words>
      )}
    </Plate>
  );
}

function HardwareRow({
  thing,
  count,
  open,
  onOpen,
  onWrite,
}: {
  thing: Hardware;
  count: number | undefined;
  open: boolean;
  onOpen: () => void;
  onWrite: (way: HardwareWay, count: number) => void;
}) {
  const [typed, setTyped] = useState('');
  const [wrong, setWrong] = useState(false);
  const words = hardwareWords(thing);
  const number = /^\d{1,4}$/.test(typed.trim()) ? Number(typed) : NaN;
  const write = (way: HardwareWay | 'counted') => {
    const by = way === 'counted' ? number - (count ?? 0) : number;
    if (Number.isNaN(number) || (way !== 'counted' && number === 0)) return setWrong(true);
    setWrong(false);
    setTyped('');
    if (way !== 'counted') return onWrite(way, number);
    if (by !== 0) onWrite(by > 0 ? 'found' : 'missing', Math.abs(by));
  };
  return (
    <View className="gap-2 border-b border-hair pb-2">
      <View className="min-h-[52px] flex-row items-center gap-3">
        <HardwareDrawing thing={thing} />
        <Words className="flex-1">
          {count !== undefined && (
            <Words size="lead" weight={800}>
              {count}{' '}
            </Words>
          )}
          {words}
        </Words>
        <TextKey words={open ? 'Close' : 'Change'} label={`Change ${words}`} onPress={onOpen} />
      </View>
      {count !== undefined && count < 0 && (
        <Words weight={700}>More were used than were ever told of: count them.</Words>
      )}
      {open && (
        <View className="gap-2">
          <TextField
            label="How many"
            spokenLabel={`How many ${words}`}
            value={typed}
            onChange={setTyped}
            numeric
            wrong={wrong}
          />
          {wrong && (
            <Words role="alert" weight={700}>
              A whole number, please{typed.trim() === '' ? '' : `: "${typed}" is none`}.
            </Words>
          )}
          <View className="flex-row flex-wrap gap-2">
            <Key look="outline" words="So many there are" onPress={() => write('counted')} />
            {WAYS.map(({ way, words: said }) => (
              <Key key={way} look="outline" words={said} onPress={() => write(way)} />
            ))}
          </View>
        </View>
      )}
    </View>
  );
}

function HardwareDrawing({ thing }: { thing: Hardware }) {
  if (thing.kind === 'jar' && thing.size) {
    return (
      <View style={{ width: 40, alignItems: 'center' }}>
        <JarDrawing size={thing.size} quartPx={44} look="gap" hue={COLOURS.ink} mark="dots" />
      </View>
    );
  }
  const r = thing.mouth === 'wide' ? 18 : 14;
  return (
    <Svg width={40} height={40} aria-hidden>
      {thing.kind === 'band' ? (
        <>
          <Rect x={20 - r} y={12} width={2 * r} height={16} rx={3} fill="none" stroke={COLOURS.ink} strokeWidth={2.2} />
          <Path d={`M${20 - r} 17h${2 * r}M${20 - r} 22h${2 * r}`} stroke={COLOURS.ink} strokeWidth={1.6} />
        </>
      ) : (
        <>
          <Circle cx={20} cy={20} r={r} fill={COLOURS.plate} stroke={COLOURS.ink} strokeWidth={2.2} />
          <Circle
            cx={20}
            cy={20}
            r={r - 5}
            fill="none"
            stroke={COLOURS.ink}
            strokeWidth={1.4}
            strokeDasharray={thing.kind === 'lid' ? undefined : '3 3'}
          />
        </>
      )}
    </Svg>
  );
}

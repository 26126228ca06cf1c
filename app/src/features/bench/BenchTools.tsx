import { isJarSize, JARS } from '@hoddle/core/handbook/jars';
import { findProduce } from '@hoddle/core/handbook/produce';
import { PRODUCTS } from '@hoddle/core/handbook/products';
import { boilingPointF } from '@hoddle/core/process/boilingPoint';
import { type Href } from 'expo-router';
import { type ReactNode } from 'react';
import { View } from 'react-native';
import { useOwnRecipes } from '@/household/recipe/useOwnRecipes';
import { useHousehold } from '@/store/useHousehold';
import { temperatureWords } from '@/ui/amountWords';
import { COLOURS } from '@/ui/colours';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';
import { useLastValues } from '@/ui/useRemembered';
import {
  Bottle,
  Clipboard,
  ClockFace,
  Handbook,
  Ladle,
  Leaflet,
  MeasuringJug,
  PotAndRule,
  RecipeBox,
  Scales,
  SpoonRing,
  WallThermometer,
} from './toolDrawings';

/** The rail, the boards and the bench: every tool drawn as the thing, with its last value under its name. */
export function BenchTools() {
  return (
    <View className="gap-2">
      <Books />
      <Rail />
      <Board />
      <BigBench />
      <Words tone="ink-2" className="px-4 pt-2">
        Times hold only for the food, jar and pack they were tested with. Your local extension office and codes come
        first.
      </Words>
    </View>
  );
}

function Books() {
  const { sources } = useHousehold();
  const own = useOwnRecipes().length;
  const pages = sources.length === 0 ? 'none yet' : `${sources.length} ${sources.length === 1 ? 'page' : 'pages'}`;
  return (
    <Shelf>
      <Tool href="/bench/tested" name="What’s tested" note={`${PRODUCTS.length} products`}>
        <Handbook />
      </Tool>
      <Tool
        href="/bench/recipes"
        name="Our recipes"
        note={own === 0 ? 'write one down' : `${own} ${own === 1 ? 'recipe' : 'recipes'}`}
      >
        <RecipeBox />
      </Tool>
      <Tool href="/bench/sources" name="Our sources" note={pages}>
        <Leaflet />
      </Tool>
    </Shelf>
  );
}

/** What hangs: its bar runs above the tools. */
function Rail() {
  const { altitudeFt, units } = useHousehold().household;
  const [acid, syrup] = [useLastValues('acid'), useLastValues('syrup')];
  const boils = altitudeFt === null ? 'altitude?' : temperatureWords(boilingPointF(altitudeFt), units);
  return (
    <View className="pt-2">
      <View className="mx-3 h-[6px] rounded-full" style={{ backgroundColor: COLOURS.cobalt }} />
      <View className="flex-row px-1">
        <Tool hangs href="/bench/acid" name="Acid" note={acid ? jarsWords(acid) : ''}>
          <SpoonRing />
        </Tool>
        <Tool hangs href="/bench/boil" name="Boil here" note={boils}>
          <WallThermometer />
        </Tool>
        <Tool hangs href="/bench/syrup" name="Syrup" note={syrup ? `${syrup.percent} %, ${jarsWords(syrup)}` : ''}>
          <Ladle />
        </Tool>
        <Tool hangs href="/bench/change" name="May I change this?" note="">
          <Clipboard />
        </Tool>
      </View>
    </View>
  );
}

function Board() {
  const [convert, brine] = [useLastValues('convert'), useLastValues('brine')];
  const crop = findProduce(convert?.crop ?? '')?.name.toLowerCase() ?? '';
  return (
    <Shelf>
      <Tool
        href="/bench/convert"
        name="Convert"
        note={convert ? `${convert.amount} ${convert.unit} ${crop}` : 'cups, pounds, bushels'}
      >
        <MeasuringJug />
      </Tool>
      <Tool href="/bench/brine" name="Brine" note={brine ? jarsWords(brine) : 'strong enough?'}>
        <Bottle />
      </Tool>
      <Tool href="/bench/ready" name="Ready times" note="back from when">
        <ClockFace />
      </Tool>
    </Shelf>
  );
}

function BigBench() {
  const jars = useLastValues('jars');
  return (
    <Shelf>
      <Tool href="/bench/jars" name="Jars from produce" note={jars ? `${jars.amount} ${jars.unit}` : 'both ways'}>
        <Scales />
      </Tool>
      <Tool href="/bench/scale" name="Scale a batch" note="the cups you really got">
        <PotAndRule />
      </Tool>
    </Shelf>
  );
}

function jarsWords(values: Readonly<Record<string, string>>): string {
  const { jar = '', jars = '' } = values;
  return isJarSize(jar) ? `${jars} ${JARS[jar].several}` : '';
}

/** A board with its front: what stands on it has its name on the front. */
function Shelf({ children }: { children: ReactNode }) {
  return (
    <View className="flex-row" style={{ boxShadow: `inset 0 -84px 0 ${COLOURS.plate}` }}>
      {children}
    </View>
  );
}

interface ToolProps {
  href: Href;
  name: string;
  note: string;
  /** From the rail, with its name on the wall below; else it stands on a board. */
  hangs?: boolean;
  children: ReactNode;
}

function Tool({ href, name, note, hangs, children }: ToolProps) {
  return (
    <RowLink href={href} label={note === '' ? name : `${name}: ${note}`} className="flex-1 items-center">
      <View className={`h-[112px] w-full items-center ${hangs ? 'justify-start' : 'justify-end'}`}>{children}</View>
      {!hangs && <View className="h-[4px] w-full" style={{ backgroundColor: COLOURS.cobalt }} />}
      <View className={`w-full items-center px-1 ${hangs ? 'min-h-[64px]' : 'h-[80px] pt-2'}`}>
        <Words size={hangs ? 'body' : 'lead'} weight={800} className="text-center">
          {name}
        </Words>
        <Words size="label" tone="ink-2" className="text-center" numberOfLines={2}>
          {note}
        </Words>
      </View>
    </RowLink>
  );
}

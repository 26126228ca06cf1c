import { type Household, type Kitchen } from '@hoddle/contract/household';
import { ML_PER_QUART } from '@hoddle/core/measure/amount';
import { potWords } from '@hoddle/core/measure/volumeWords';
import { View } from 'react-native';
import { Stepper } from '@/ui/Stepper';
import { TextKey } from '@/ui/TextKey';
import { Heading, Words } from '@/ui/Words';
import { CookRow } from './CookRow';
import { HeatPricePart } from './HeatPricePart';
import { OwnToolsPart } from './OwnToolsPart';
import { PacePart } from './PacePart';

const MOST_COOKS = 4;

interface KitchenPartProps {
  household: Household;
  onKeep: (part: Partial<Household>) => void;
}

/** Hands, burners and pots of a preserving day: a plan never asks for more. */
export function KitchenPart({ household, onKeep }: KitchenPartProps) {
  const { kitchen, burners } = household;
  const largest = kitchen.bigPotQuarts;
  const pace = kitchen.handsPace ?? 1;
  const change = (part: Partial<Kitchen>) => onKeep({ kitchen: { ...kitchen, ...part } });
  const count = (label: string, value: number, most: number, keep: (next: number) => void, least = 0) => (
    <View className="gap-1">
      <Words>{label}</Words>
      <Stepper
        label={label}
        words={String(value)}
        onLess={value > least ? () => keep(value - 1) : undefined}
        onMore={value < most ? () => keep(value + 1) : undefined}
      />
    </View>
  );
  return (
    <>
      <Heading>Hands</Heading>
      <Words tone="ink-2">Hours in which somebody can work. Chores and meals are left out of them.</Words>
      <View role="list" aria-label="Cooks" className="gap-4">
        {kitchen.cooks.map((cook, i) => (
          <CookRow
            key={i}
            cook={cook}
            onKeep={(next) => change({ cooks: kitchen.cooks.map((other, k) => (k === i ? next : other)) })}
            onGone={
              kitchen.cooks.length > 1 ? () => change({ cooks: kitchen.cooks.filter((_, k) => k !== i) }) : undefined
            }
          />
        ))}
      </View>
      {kitchen.cooks.length < MOST_COOKS && (
        <TextKey
          words="One more pair of hands"
          label="Add a cook"
          onPress={() =>
            change({
              cooks: [
                ...kitchen.cooks,
                { name: `Helper ${kitchen.cooks.length}`, fromMin: 9 * 60, toMin: 17 * 60, breaks: [] },
              ],
            })
          }
        />
      )}
      <View className="gap-1">
        <Words>Pace against the usual minutes of a step</Words>
        <Stepper
          label="Pace of your hands"
          words={paceWords(pace)}
          onLess={pace > 0.6 ? () => change({ handsPace: tenths(pace - 0.1) }) : undefined}
          onMore={pace < 2.5 ? () => change({ handsPace: tenths(pace + 0.1) }) : undefined}
        />
      </View>
      <PacePart />
      <Heading>Stove and pots</Heading>
      {count('Burners', burners, 12, (next) => onKeep({ burners: next }), 1)}
      {count('Of them, that carry a canner', kitchen.cannerBurners, burners, (next) => change({ cannerBurners: next }))}
      {count('Big pots', kitchen.bigPots, 12, (next) => change({ bigPots: next }))}
      <View className="gap-1">
        <Words>The largest of them holds</Words>
        <Stepper
          label="The largest big pot holds"
          words={largest === undefined ? 'not told' : potWords(largest * ML_PER_QUART, household.units)}
          onLess={
            largest === undefined ? undefined : () => change({ bigPotQuarts: largest > 4 ? largest - 2 : undefined })
          }
          onMore={
            (largest ?? 0) < 80 ? () => change({ bigPotQuarts: largest === undefined ? 8 : largest + 2 }) : undefined
          }
        />
      </View>
      {count('Strainers or drip bags', kitchen.strainers, 8, (next) => change({ strainers: next }))}
      {count('Food mills', kitchen.mills, 4, (next) => change({ mills: next }))}
      {count('Ovens', kitchen.ovens, 4, (next) => change({ ovens: next }))}
      <HeatPricePart price={kitchen.heatPrice} onKeep={(heatPrice) => change({ heatPrice })} />
      <Words>Room in the refrigerator for produce in the making</Words>
      <Stepper
        label="Pounds in the refrigerator"
        words={`${kitchen.refrigeratorLb} lb`}
        onLess={kitchen.refrigeratorLb >= 5 ? () => change({ refrigeratorLb: kitchen.refrigeratorLb - 5 }) : undefined}
        onMore={
          kitchen.refrigeratorLb <= 495 ? () => change({ refrigeratorLb: kitchen.refrigeratorLb + 5 }) : undefined
        }
      />
      <Words>Jars that can cool an inch apart</Words>
      <Stepper
        label="Jars on the towels"
        words={`${kitchen.towelJars} jars`}
        onLess={kitchen.towelJars >= 2 ? () => change({ towelJars: kitchen.towelJars - 2 }) : undefined}
        onMore={kitchen.towelJars <= 498 ? () => change({ towelJars: kitchen.towelJars + 2 }) : undefined}
      />
      <Heading>Tools of your own</Heading>
      <Words tone="ink-2">A step waits until its tool is free: one slicer slices one load at a time.</Words>
      <OwnToolsPart tools={kitchen.tools} onKeep={(tools) => change({ tools })} />
    </>
  );
}

function tenths(value: number): number {
  return Math.round(10 * value) / 10;
}

function paceWords(pace: number): string {
  if (pace === 1) return 'as usual';
  const percent = Math.round(100 * Math.abs(pace - 1));
  return pace > 1 ? `${percent} % longer` : `${percent} % shorter`;
}

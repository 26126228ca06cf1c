import { ML_PER_QUART } from '@hoddle/core/measure/amount';
import { type ReactNode, useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/store/useUnits';
import { Words } from '@/ui/Words';
import { NumberPad } from './NumberPad';

export type Volume = ReturnType<typeof useVolume>;

interface MeasuredOffProps {
  title: string;
  /** Of the field. */
  label: string;
  volume: Volume;
  children: ReactNode;
}

/** What came off a pot, measured; and what becomes of it. */
export function MeasuredOff({ title, label, volume, children }: MeasuredOffProps) {
  return (
    <View className="w-full max-w-[640px] gap-4 px-4 pb-8">
      <Words size="head" weight={700} tone="milk">
        {title}
      </Words>
      <Words size="lead" tone="milk-2">
        Through a strainer into a clean pot. It goes on hot.
      </Words>
      <NumberPad
        label={label}
        value={volume.amount}
        unit={volume.unit}
        step={0.5}
        of={volume.of}
        onChange={volume.setAmount}
      />
      {children}
    </View>
  );
}

/** A volume in the household's units, to the half of one. */
export function useVolume(firstMl: number) {
  const isMetric = useUnits() === 'metric';
  const perUnit = isMetric ? 1_000 : ML_PER_QUART;
  const [amount, setAmount] = useState(() => Math.round((firstMl / perUnit) * 2) / 2);
  const of = isMetric ? ('l' as const) : ('quart' as const);
  return { amount, setAmount, of, ml: amount * perUnit, unit: isMetric ? 'litres' : amount === 1 ? 'quart' : 'quarts' };
}

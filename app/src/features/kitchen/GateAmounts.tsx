import { printFraction } from '@hoddle/core/measure/fraction';
import { stillToGoIn } from '@hoddle/core/kitchen/atTheGate';
import { type Gate } from '@hoddle/core/supplies/measureGate';
import { View } from 'react-native';
import { Words } from '@/ui/Words';
import { AmountRow } from './AmountRow';

interface GateAmountsProps {
  gate: Extract<Gate, { kind: 'make' }>;
  /** "8 half-pints". */
  jars: string;
  planned: number;
  unit: string;
}

/** What goes into each pot for what was measured, what is poured off apart, and how many jars it gives. */
export function GateAmounts({ gate, jars, planned, unit }: GateAmountsProps) {
  const { amounts, pots, left } = gate;
  const toCome = stillToGoIn(amounts.card, amounts.lines);
  const inPot = toCome.filter(({ line }) => line.then !== 'drained');
  const drained = toCome.filter(({ line }) => line.then === 'drained');
  return (
    <View role="status" className="gap-1">
      <Words size="lead" weight={700} tone="milk">
        {pots === 1 ? 'Into the pot' : `Into each of ${pots} pots, side by side`}
      </Words>
      {inPot.map((line) => (
        <AmountRow
          key={line.line.item + line.line.into}
          line={line}
          of="pot"
          beside={line.perJar ? ', in every jar' : ''}
        />
      ))}
      {drained.length > 0 && (
        <Words size="lead" tone="milk-2">
          Poured off, in no pot: {drained.map(({ line }) => line.item).join(', ')}.
        </Words>
      )}
      <Words size="lead" weight={700} tone="milk">
        Gives {jars}; {planned} were planned.
      </Words>
      {left > 0.02 && (
        <Words size="lead" tone="milk-2">
          {printFraction(left, 4)} {left > 1 ? unit : unit.replace(/s$/, '')}{' '}
          {left > 1 ? 'stay over: they go' : 'stays over: it goes'} into the refrigerator, on hand for another day.
        </Words>
      )}
    </View>
  );
}

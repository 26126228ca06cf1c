import { netGrams, NO_TARE, tareAfter } from '@hoddle/core/instruments/weighing';
import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { useHousehold } from '@/store/useHousehold';
import { ChipRadio } from '@/ui/ChipRadio';
import { Plate } from '@/ui/Plate';
import { SmallKey } from '@/ui/SmallKey';
import { Words } from '@/ui/Words';
import { weightWords } from './readingWords';
import { type InstrumentNow, useInstrumentSettings, useScales } from './useInstruments';

interface ScalePartProps {
  /** Which of several is meant here. */
  first: 'kitchen-scale' | 'hanging-scale';
  /** Called each time something else lies still: what it weighs without its container. */
  onWeighed?: (grams: number, stepGrams: number) => void;
  /** What is weighed out, grams. */
  target?: number;
  /** What it is that is weighed, where several things are. */
  what?: string;
  /** What its key stands on, before it is opened. */
  on?: 'light' | 'granite';
}

/** A scale that speaks: one key opens it; then the basket goes on, and what lies still fills the field by itself. */
export function ScalePart({ first, what, on = 'light', ...more }: ScalePartProps) {
  const scales = useScales(first);
  const [isOpen, setIsOpen] = useState(false);
  const [chosen, setChosen] = useState<string>();
  const scale = scales.find(({ id }) => id === chosen) ?? scales[0];
  if (!scale) return null;
  if (!isOpen)
    return <SmallKey words={`Weigh ${what ?? 'it'}: ${scale.name}`} on={on} onPress={() => setIsOpen(true)} />;
  return (
    <Plate className="gap-2">
      {what !== undefined && <Words weight={700}>{what}</Words>}
      {scales.length > 1 && (
        <View role="radiogroup" aria-label="Scale" className="flex-row flex-wrap gap-2">
          {scales.map(({ id, name }) => (
            <ChipRadio key={id} words={name} chosen={id === scale.id} onPress={() => setChosen(id)} />
          ))}
        </View>
      )}
      <Weighing key={scale.id} scale={scale} {...more} onClose={() => setIsOpen(false)} />
    </Plate>
  );
}

function Weighing({
  scale,
  onWeighed,
  target,
  onClose,
}: Omit<ScalePartProps, 'first' | 'what' | 'on'> & { scale: InstrumentNow; onClose: () => void }) {
  const { units } = useHousehold().household;
  const { containers } = useInstrumentSettings().settings;
  const [tare, setTare] = useState(NO_TARE);
  const { step, still, last } = scale;
  const next = still ? tareAfter(tare, still.grams, step, containers) : tare;
  if (next !== tare) setTare(next);
  const net = still ? netGrams(still.grams, next.grams, step) : undefined;
  const isEmpty = still !== undefined && net === undefined && next.grams > 0;
  const taken = useRef<number | undefined>(undefined);
  useEffect(() => {
    if (net === undefined || taken.current === net) return;
    taken.current = net;
    onWeighed?.(net, step);
  }, [net, step, onWeighed]);
  const shown = (last?.value ?? 0) - tare.grams;
  return (
    <>
      <View className="flex-row items-baseline gap-3">
        <Words size="figure" weight={800} role="status">
          {weightWords(shown, step, units)}
        </Words>
        <Words weight={700} className="flex-1">
          {!still ? 'moves' : isEmpty ? `${next.words}, empty: taken off` : 'still'}
        </Words>
      </View>
      <Words tone="ink-2">
        {scale.name}, without {tare.words}
        {tare.grams > 0 && ` (${weightWords(tare.grams, step, units)})`}.
      </Words>
      {target !== undefined && <Target net={Math.max(0, shown)} target={target} step={step} />}
      <View className="flex-row flex-wrap gap-2">
        {still && !isEmpty && (
          <SmallKey words="Tare" onPress={() => setTare({ grams: still.grams, words: 'what stood on it' })} />
        )}
        {isEmpty && <SmallKey words="It is no container" onPress={() => setTare({ ...NO_TARE, isBare: true })} />}
        {containers.map(({ id, name, grams }) => (
          <SmallKey key={id} words={`In the ${name}`} onPress={() => setTare({ grams, words: name })} />
        ))}
        <SmallKey words="Close the scale" onPress={onClose} />
      </View>
    </>
  );
}

/** How much is still missing, drawn to scale and said. */
function Target({ net, target, step }: { net: number; target: number; step: number }) {
  const { units } = useHousehold().household;
  const missing = target - net;
  const words =
    Math.abs(missing) <= Math.max(step, 0.01 * target)
      ? 'That is it'
      : missing > 0
        ? `${weightWords(missing, step, units)} more`
        : `${weightWords(-missing, step, units)} too much`;
  return (
    <View className="gap-1">
      <View className="h-[20px] overflow-hidden rounded-chip border-2 border-ink">
        <View className="h-full bg-cobalt" style={{ width: `${Math.min(100, (100 * net) / target)}%` }} />
      </View>
      <Words weight={700}>
        {words}, of {weightWords(target, step, units)}
      </Words>
    </View>
  );
}

import { amountWords } from '@hoddle/core/recipe/cardWords';
import { type OwnLine, type OwnStep } from '@hoddle/core/recipe/own/recipePage';
import { Pressable, View } from 'react-native';
import { Words } from '@/ui/Words';
import { FateDrawing } from './FateDrawing';
import { FATE_WORDS, OPEN_WORDS, settlingsOf } from './fateWords';
import { LineForm } from './LineForm';

interface LineRowProps {
  line: OwnLine;
  steps: readonly OwnStep[];
  fillings: readonly { readonly id: string; readonly name: string }[];
  isOpened: boolean;
  onOpen: () => void;
  onChange: (line: OwnLine) => void;
  onRemove: () => void;
}

const PACKED = ['raw-pack', 'pack-hot', 'fill'];

/** One ingredient as it was understood, above what was typed; tapped, it can be changed. */
export function LineRow({ line, steps, fillings, isOpened, onOpen, onChange, onRemove }: LineRowProps) {
  const { item, text, amount, then, open, into, weak } = line;
  const step = steps.find(({ id }) => id === into);
  // What is packed and never cooked goes straight into the jars.
  const isPacked = then === 'jar' && PACKED.includes(step?.entry ?? '');
  const fate = isPacked ? 'jars' : FATE_WORDS[then];
  const where = open ? OPEN_WORDS[open] : `${fate}${weak ? ', weak' : ''}`;
  const what = `${amountWords(amount)} ${item}`;
  return (
    <View
      role="listitem"
      className={open ? 'my-1 rounded-plate bg-plate px-2 pb-2' : 'border-t border-hair px-2'}
      style={open ? { borderWidth: 2, borderStyle: 'dashed', borderColor: '#6C7A8C' } : undefined}
    >
      <Pressable
        role="button"
        aria-expanded={isOpened}
        aria-label={`${what}: ${where}. Change this line.`}
        onPress={onOpen}
        className="min-h-[56px] flex-row items-center gap-3 py-1"
      >
        <View className="w-[84px]">
          <Words size="lead" weight={800} className="text-right">
            {amountWords(amount)}
          </Words>
        </View>
        <View className="flex-1">
          <Words weight={700}>{item}</Words>
          <Words size="label" tone="ink-2" numberOfLines={2}>
            {text}
          </Words>
        </View>
        <FateDrawing fate={open ? 'open' : isPacked ? 'per-jar' : then} />
        <View className="w-[76px]">
          <Words size="label" weight={700} tone={open ? 'cobalt' : 'ink'}>
            {where}
          </Words>
          {!open && step && (
            <Words size="note" tone="ink-2" numberOfLines={1}>
              {step.text}
            </Words>
          )}
        </View>
      </Pressable>
      {open && (
        <View role="group" aria-label={`${item}: ${OPEN_WORDS[open]}`} className="flex-row flex-wrap gap-2 pt-1">
          {settlingsOf(line, steps).map(({ words, settled }, i) => (
            <Pressable
              key={words}
              role="button"
              onPress={() => onChange(settled)}
              className={`min-h-[48px] grow items-center justify-center rounded-key px-3 ${i === 0 ? 'border-[3px] border-cobalt' : 'border-2 border-key-edge'}`}
            >
              <Words weight={700} tone={i === 0 ? 'cobalt' : 'ink'}>
                {words}
              </Words>
            </Pressable>
          ))}
        </View>
      )}
      {isOpened && <LineForm line={line} steps={steps} fillings={fillings} onChange={onChange} onRemove={onRemove} />}
    </View>
  );
}

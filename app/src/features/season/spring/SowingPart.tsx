import { toCsv } from '@hoddle/core/formats/csv';
import { type Spring } from './useSpring';
import { sowingList } from '@hoddle/core/season/spring/sowingList';
import { useState } from 'react';
import { View } from 'react-native';
import { saveText } from '@/household/paper/files';
import { householdNow, useHousehold } from '@/store/useHousehold';
import { Key } from '@/ui/Key';
import { Heading, Words } from '@/ui/Words';
import { cropWords, setWords, sowingWords } from './springWords';

const DAY = 10;

/** When each crop is begun so that it is picked when its bed usually is, the earliest first. */
export function SowingPart({ spring: { beds, year } }: { spring: Spring }) {
  const { plantings } = useHousehold();
  const [copied, setCopied] = useState(false);
  const now = householdNow();
  const byCrop = new Map(beds.map((bed) => [bed.crop, bed]));
  const list = sowingList([...byCrop.keys()], plantings, year).flatMap((sowing) => {
    const bed = byCrop.get(sowing.crop);
    // What stands there already and is enough needs no line.
    return bed && !(sowing.begun === 'lasting' && bed.more === 0) ? [{ sowing, bed }] : [];
  });
  if (list.length === 0) return null;
  const amount = (bed: (typeof list)[number]['bed'], lasting: boolean) =>
    setWords(lasting ? { ...bed, set: bed.more } : bed);
  const lines = list.map(({ sowing, bed }) => ({
    name: cropWords(bed),
    amount: amount(bed, sowing.begun === 'lasting'),
    words: sowingWords(sowing, now, year),
    sowing,
  }));
  const copy = async () => {
    await navigator.clipboard.writeText(
      lines.map(({ name, amount: set, words }) => `${name}, ${set}: ${words}`).join('\n'),
    );
    setCopied(true);
  };
  const date = (at: number | undefined) => (at === undefined ? null : new Date(at).toISOString().slice(0, DAY));
  const save = () => {
    const rows = lines.map(({ name, amount: set, sowing }) => [
      ...[name, set, date(sowing.sowAt), date(sowing.setOutAt)],
      sowing.tender ? 'yes' : 'no',
    ]);
    saveText(toCsv(['what', 'set', 'sow', 'set out', 'not before last frost'], rows), `hoddle-sowing-${year}.csv`);
  };
  return (
    <View className="gap-2">
      <Heading>Sowing list</Heading>
      <View role="list" aria-label="Sowing list">
        {lines.map(({ name, amount: set, words }) => (
          <View key={name} role="listitem" className="min-h-[48px] justify-center border-t border-hair py-2">
            <Words weight={700}>
              {name}, {set}
            </Words>
            <Words size="label">{words}</Words>
          </View>
        ))}
      </View>
      <Words size="label" tone="ink-2">
        Counted back from your beds’ first picking by days that are common practice. The seed packet goes first; your
        extension office knows your frosts.
      </Words>
      <View className="flex-row flex-wrap gap-2">
        <Key look="outline" words={copied ? 'Copied' : 'Copy as text'} onPress={() => void copy()} />
        <Key look="outline" words="As CSV" onPress={save} />
      </View>
    </View>
  );
}

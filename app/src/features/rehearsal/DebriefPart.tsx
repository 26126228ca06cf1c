import { type Debrief } from '@hoddle/core/rehearsal/debrief';
import { View } from 'react-native';
import { Plate } from '@/ui/Plate';
import { VerdictSign } from '@/ui/VerdictSign';
import { Heading, Words } from '@/ui/Words';

/** What was late, what was skipped, what it would have cost, and the three rules it touched. */
export function DebriefPart({ title, debrief }: { title: string; debrief: Debrief }) {
  const { findings, rules, jarsToShelf, jarsLost } = debrief;
  return (
    <Plate className="gap-3">
      <Heading>{title}: what was learned</Heading>
      <Words weight={700} size="lead">
        {jarsToShelf + jarsLost === 0
          ? 'It was ended before jars came out.'
          : `${jarsToShelf} jars would stand on the shelf${jarsLost > 0 ? `, ${jarsLost} would not` : ''}.`}
      </Words>
      {findings.length === 0 && <Words>Nothing was late and nothing was left out.</Words>}
      <View role="list" aria-label="What happened">
        {findings.map(({ words, cost, kind }) => (
          <View key={words} role="listitem" className="flex-row gap-3 border-t-2 border-hair py-2">
            <VerdictSign verdict={UNSAFE.includes(kind) ? 'never' : 'within-limits'} size={26} />
            <View className="flex-1">
              <Words weight={700}>{words}</Words>
              <Words tone="ink-2">{cost}</Words>
            </View>
          </View>
        ))}
      </View>
      <Words weight={700}>Three rules to keep</Words>
      <View role="list" aria-label="Rules">
        {rules.map((rule) => (
          <Words key={rule} role="listitem" className="border-t border-hair py-2">
            {rule}
          </Words>
        ))}
      </View>
    </Plate>
  );
}

const UNSAFE: readonly string[] = ['short', 'too-soon', 'skipped'];

import { countJars, JARS } from '@hoddle/core/handbook/jars';
import { likelyWords } from '@hoddle/core/yields/spanWords';
import { View } from 'react-native';
import { useHousehold } from '@/store/useHousehold';
import { CheckRow } from '@/ui/CheckRow';
import { Choice } from '@/ui/Choice';
import { hueOfProduct } from '@/ui/colours';
import { CountStepper } from '@/ui/CountStepper';
import { JarDrawing } from '@/ui/JarDrawing';
import { Heading, Words } from '@/ui/Words';
import { DosePart } from '@/ui/DosePart';
import { ProcessPart } from '@/household/process/ProcessPart';
import { usePages } from '@/household/process/usePages';
import { type PotOutputDraft } from './usePotOutput';

const OFFERED = ['pint', 'quart'] as const;
const MOST = 60;

/** What else the same pot gives: one tap plans it with the rest, in jars and by a tested time of its own. */
export function PotOutputPart({ draft }: { draft: PotOutputDraft }) {
  const { household } = useHousehold();
  const { checkedRows } = usePages();
  const { rule, product, jar, jars, range, loads, canner, row } = draft;
  const colours = hueOfProduct(product.product);
  return (
    <View className="gap-3 border-t-2 border-hair pt-3">
      <Heading>From the same pot</Heading>
      <CheckRow
        words={`Ladle off the ${rule.words}, and can it as ${product.name.toLowerCase()}`}
        note={range.p90 > 0 ? likelyWords(range, jar) : `not enough for a ${JARS[jar].one}`}
        checked={draft.isWanted}
        onPress={draft.flip}
      />
      {draft.isWanted && (
        <View className="gap-3">
          <Choice
            label={`Jar for the ${rule.words}`}
            value={jar}
            onChoose={draft.setJar}
            options={OFFERED.map((size) => ({
              value: size,
              words: JARS[size].several,
              drawing: <JarDrawing size={size} quartPx={28} look="planned" {...colours} />,
            }))}
          />
          <CountStepper
            label={`Jars of ${product.name.toLowerCase()}`}
            count={jars}
            of={jars === 1 ? JARS[jar].one : JARS[jar].several}
            least={1}
            most={MOST}
            onCount={draft.setJars}
          />
          {row.kind === 'testedRow' ? (
            <>
              <ProcessPart row={row} altitudeFt={household.altitudeFt} checkedRows={checkedRows} />
              <DosePart row={row} jar={jar} jars={jars} />
            </>
          ) : (
            <Words weight={700}>{row.reason}</Words>
          )}
          {canner && loads.length > 0 ? (
            <Words>
              {countJars(jars, jar)} in {canner.name}
              {loads.length > 1 ? `: ${loads.join(', ')}` : ''}
              {draft.isBeside ? ', beside the other jars.' : ', after the other jars.'}
            </Words>
          ) : (
            <Words weight={700}>No canner that is written down takes these jars.</Words>
          )}
          <Words tone="ink-2">
            It is measured as it comes off: the jars and the loads follow from that. What is not ladled off cooks off.
          </Words>
        </View>
      )}
    </View>
  );
}

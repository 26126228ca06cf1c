import { type OwnMeasure } from '@hoddle/core/harvest/ownMeasure';
import { UNITS } from '@hoddle/core/measure/amount';
import { ScrollView, View } from 'react-native';
import { ChipRadio } from '@/ui/ChipRadio';
import { SmallKey } from '@/ui/SmallKey';

/** Measures that have no drawn key of their own, as they stand in a kitchen. */
const OTHERS = ['gallon bag', 'quart', 'pint', 'cup', 'gallon', 'quart box', 'pint box', 'lug', 'piece', 'oz', 'g'];

interface OtherMeasuresProps {
  vessel: string;
  /** What the household told of this crop's measures before. */
  ownMeasures: readonly OwnMeasure[];
  onChoose: (vessel: string) => void;
  /** Goes on in another measure: "3 bags and ..."; undefined while nothing is typed. */
  onAnd: (() => void) | undefined;
}

/** Bags, boxes, cups and the household's own vessels, in one line that moves sideways. */
export function OtherMeasures({ vessel, ownMeasures, onChoose, onAnd }: OtherMeasuresProps) {
  return (
    <View className="flex-row items-center gap-2">
      {onAnd && <SmallKey words="and" label="And: the rest in another measure" onPress={onAnd} />}
      <ScrollView
        horizontal
        showsHorizontalScrollIndicator={false}
        role="radiogroup"
        aria-label="Measured in"
        contentContainerClassName="gap-2"
      >
        {[...ownOf(ownMeasures), ...OTHERS].map((each) => (
          <ChipRadio
            key={each}
            words={each}
            chosen={vessel === each}
            onPress={() => onChoose(vessel === each ? '' : each)}
          />
        ))}
      </ScrollView>
    </View>
  );
}

/** Whether a vessel has a key here, and need not be typed. */
export function isOffered(vessel: string, ownMeasures: readonly OwnMeasure[]): boolean {
  return OTHERS.includes(vessel) || ownOf(ownMeasures).includes(vessel);
}

function ownOf(ownMeasures: readonly OwnMeasure[]): string[] {
  return ownMeasures.map(({ measure }) => measure).filter((measure) => !Object.hasOwn(UNITS, measure));
}

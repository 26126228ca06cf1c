import { usePantry } from '@/household/pantry/usePantry';
import { useInstrumentStore } from '@/store/instrumentStore';
import { useHousehold } from '@/store/useHousehold';
import { temperatureWords } from '@/ui/amountWords';
import { clockTime } from '@/ui/clockWords';
import { Plate } from '@/ui/Plate';
import { Words } from '@/ui/Words';

/** A refrigerator that is too warm over what stands in it: said with how much that is, and what is to be done. */
export function RefrigeratorPart() {
  const { warm } = useInstrumentStore();
  const { household } = useHousehold();
  const { stocked } = usePantry();
  const jars = stocked
    .filter(({ placeKind }) => placeKind === 'refrigerator')
    .reduce((sum, each) => sum + each.jars, 0);
  if (warm.length === 0) return null;
  return (
    <Plate className="mx-4 mb-3 gap-2">
      {warm.map(({ instrument, since, reads }) => (
        <Words key={instrument} role="alert" weight={700}>
          The refrigerator reads {temperatureWords(reads, household.units)} since {clockTime(since)}, with{' '}
          {jars === 1 ? '1 jar' : `${jars} jars`} in it. 40 F or less keeps what is not sealed.
        </Words>
      ))}
      <Words tone="ink-2">
        Shut it, look at its setting. What stood over 40 F for more than two hours is thrown away, not tasted: USDA
        FSIS, from memory; your extension office comes first.
      </Words>
    </Plate>
  );
}

import { type JarSize, JARS } from '@hoddle/core/handbook/jars';
import { productRow } from '@hoddle/core/handbook/products';
import { MOST_JARS } from '@hoddle/core/pantry/jarLot';
import { useState } from 'react';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold } from '@/store/useHousehold';
import { CountStepper } from '@/ui/CountStepper';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { Heading, Words } from '@/ui/Words';
import { JarChips } from './JarChips';
import { ProductField, productOf } from './ProductField';

const USUAL_JARS = 12;

/** A product that never stood on the shelf can be wanted too: a first season begins with it. */
export function WantMore() {
  const { goals } = useHousehold();
  const enter = useHouseholdStore((store) => store.enter);
  const [food, setFood] = useState('');
  const [jar, setJar] = useState<JarSize>('pint');
  const [jars, setJars] = useState(USUAL_JARS);
  const [asked, setAsked] = useState(false);
  const product = productOf(food);
  const save = () => {
    setAsked(true);
    if (!product) return;
    const known = goals.find((goal) => goal.product === product && goal.jar === jar);
    const { perMonth = null, priority = 'want' } = known ?? {};
    void enter({ kind: 'goal', goal: { product, jar, jars, perMonth, priority } });
    setFood('');
    setAsked(false);
  };
  return (
    <Plate className="gap-3">
      <Heading>Something else</Heading>
      <ProductField label="What is wanted" words={food} onWords={setFood} wrong={asked && !product} />
      <JarChips jar={jar} onJar={setJar} />
      <CountStepper
        label="Jars for a year"
        count={jars}
        of={jars === 1 ? JARS[jar].one : JARS[jar].several}
        least={1}
        most={MOST_JARS}
        onCount={setJars}
      />
      {asked && !product && (
        <Words role="alert" weight={700}>
          What is to be in them? Choose a product of the handbook or of your recipes.
        </Words>
      )}
      <Key
        words={`Want ${jars} ${jars === 1 ? JARS[jar].one : JARS[jar].several}${product ? ` ${productRow(product).name.toLowerCase()}` : ''}`}
        onPress={save}
      />
    </Plate>
  );
}

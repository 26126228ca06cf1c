import { lessWaiting, mustWait } from '@hoddle/core/day/mustWait';
import { type Card } from '@hoddle/core/handbook/cards/card';
import { type JarSize } from '@hoddle/core/handbook/jars';
import { type ProduceId } from '@hoddle/core/handbook/produce';
import { type ProductRow } from '@hoddle/core/handbook/products';
import { recipeName } from '@hoddle/core/recipe/recipeName';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { duration } from './clockWords';
import { Key } from './Key';
import { Words } from './Words';

interface MustWaitProps {
  card: Card;
  product: ProductRow;
  crop: ProduceId;
  jar: JarSize;
}

/** More of them is a list to read, not a way out. */
const SHOWN = 3;

/** What a page makes everybody wait for, why it stays, and which other page of the same produce waits less. */
export function MustWait({ card, product, crop, jar }: MustWaitProps) {
  const router = useRouter();
  const waits = mustWait(card);
  if (waits.length === 0) return null;
  const others = lessWaiting(card, product, crop).slice(0, SHOWN);
  return (
    <View className="gap-2">
      <Words weight={700}>Not left out</Words>
      {waits.map(({ entry, step }) => (
        <Words key={entry}>
          {step.plainWords}
          {/\d/.test(step.plainWords) ? '' : `, ${spanWords(step.waitMinutes)}`}: part of this page, and its minutes
          were tested with it.
        </Words>
      ))}
      {others.length > 0 ? (
        <>
          <Words>Pages that wait less:</Words>
          {others.map(({ product: other, waitMin }) => (
            <Key
              key={other.product}
              look="outline"
              words={`${recipeName({ product: other.product, crop })}: ${waitMin === 0 ? 'no long wait' : duration(waitMin * 60_000)}`}
              onPress={() => router.navigate({ pathname: '/plan/make', params: { crop, product: other.product, jar } })}
            />
          ))}
        </>
      ) : (
        <Words>
          No page of the same kind waits less. A way of your own is a recipe of your own: what keeps where is said
          there.
        </Words>
      )}
    </View>
  );
}

/** "12 h to 14 h", "2 h". */
function spanWords([least, most]: readonly [number, number]): string {
  const [from, to] = [least, most].map((minutes) => duration(minutes * 60_000));
  return from === to ? `${to}` : `${from} to ${to}`;
}

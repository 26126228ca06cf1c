import { cardsOf } from '@hoddle/core/handbook/cards';
import { findProduct, type ProductRow } from '@hoddle/core/handbook/products';
import { ML_PER_CUP } from '@hoddle/core/measure/amount';
import { brinesOf } from '@hoddle/core/process/brine';
import { type ChangeId, mayChange } from '@hoddle/core/recipe/change';
import { similarProducts } from '@hoddle/core/process/similarProducts';
import { View } from 'react-native';
import { ChipRadio } from '@/ui/ChipRadio';
import { hueOfProduct } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';
import { RowLink } from '@/ui/RowLink';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { VerdictSign } from '@/ui/VerdictSign';
import { Heading, Words } from '@/ui/Words';
import { AnswerPlate } from '../instrument/AnswerPlate';
import { ChooseProduct } from '../instrument/ChooseProduct';
import { useRemembered } from '@/ui/useRemembered';
import { usualJar } from '../tested/useTestedQuestion';
import { askedChanges } from './askedChanges';
import { BatchLines, changesOfLines, recipeLines } from './BatchLines';
import { CHANGE_WORDS, VERDICT_WORDS } from './changeWords';
import { Vessels } from './Vessels';

/** May I change this? Choose a tested product, then say the change or write the batch down. */
export function ChangeScreen({ product }: { product?: string }) {
  const row = product === undefined ? undefined : findProduct(product);
  if (row) return <Change product={row} />;
  return <ChooseProduct title="May I change this?" leadsTo="/bench/change/[product]" />;
}

function Change({ product }: { product: ProductRow }) {
  const wide = useIsWide();
  return (
    <Screen
      station="bench"
      title="May I change this?"
      note={product.name}
      backTo="/bench/change"
      headSide={<JarSide product={product} />}
    >
      <View className={wide ? 'flex-row gap-10' : 'gap-5'}>
        <View className={wide ? 'flex-1 gap-4' : 'gap-4'}>
          <Asked product={product} />
        </View>
        <View className={wide ? 'flex-1 gap-4' : 'gap-4'}>
          <Written product={product} />
          <Words tone="ink-2" className="border-t-2 border-hair pt-3">
            A time holds only for the formula, fill temperature, pack, thickness and cut it was tested with. Longer
            boiling does not make up for less acid. Your local extension office comes first.
          </Words>
        </View>
      </View>
    </Screen>
  );
}

/** The batch as it was last written, remembered by product. */
function useWritten(product: ProductRow) {
  const { values, change } = useRemembered(`batch of ${product.product}`, { typed: recipeLines(product) });
  const spoilt = changesOfLines(product, values.typed).verdicts.some(({ verdict }) => verdict === 'never');
  return { typed: values.typed, spoilt, type: (typed: string) => change({ typed }) };
}

/** The jar is struck through as soon as the written batch has no tested time. */
function JarSide({ product }: { product: ProductRow }) {
  const { spoilt } = useWritten(product);
  const look = spoilt ? 'refused' : 'here';
  return <JarDrawing size={usualJar(product)} quartPx={50} look={look} {...hueOfProduct(product.product)} />;
}

function Asked({ product }: { product: ProductRow }) {
  const changes = askedChanges(product);
  const { values, change } = useRemembered(`change of ${product.product}`, { asked: changes[0] ?? 'oil' });
  const asked = changes.find((each) => each === values.asked) ?? 'oil';
  return (
    <>
      <View role="radiogroup" aria-label="The change" className="flex-row flex-wrap gap-2">
        {changes.map((each) => (
          <ChipRadio
            key={each}
            words={CHANGE_WORDS[each]}
            chosen={each === asked}
            onPress={() => change({ asked: each })}
          />
        ))}
      </View>
      <VerdictPlate product={product} change={asked} />
    </>
  );
}

function Written({ product }: { product: ProductRow }) {
  const { typed, spoilt, type } = useWritten(product);
  return (
    <>
      <BatchLines product={product} typed={typed} onType={type} />
      {spoilt && <NearestTested product={product} />}
    </>
  );
}

/** A third less: what is drawn when somebody asks for less without saying how much. */
const LESS = 2 / 3;
const MORE = 1.5;

function VerdictPlate({ product, change }: { product: ProductRow; change: ChangeId }) {
  const { verdict, reason } = mayChange(product, change);
  const brine = brinesOf(product)[0];
  const drawn = brine && (change === 'less-acid' || change === 'more-water') ? brine : undefined;
  const acidCups = drawn && (drawn.vinegarMl > 0 ? drawn.vinegarMl : drawn.lemonMl) / ML_PER_CUP;
  const waterCups = drawn && drawn.waterMl / ML_PER_CUP;
  return (
    <AnswerPlate
      text={`${product.name}, ${CHANGE_WORDS[change].toLowerCase()}: ${VERDICT_WORDS[verdict].toLowerCase()}. ${reason}`}
    >
      <View className="flex-row items-center gap-3">
        <VerdictSign verdict={verdict} size={44} />
        <View className="flex-1">
          <Heading size="head">{VERDICT_WORDS[verdict]}</Heading>
          <Words>{reason}</Words>
        </View>
      </View>
      {acidCups !== undefined && waterCups !== undefined && (
        <Vessels
          acid={drawn && drawn.vinegarMl > 0 ? 'vinegar' : 'lemon juice'}
          tested={{ acidCups, waterCups }}
          asked={
            change === 'less-acid'
              ? { acidCups: acidCups * LESS, waterCups: waterCups + acidCups * (1 - LESS) }
              : { acidCups, waterCups: waterCups === 0 ? 1 : waterCups * MORE }
          }
        />
      )}
      {cardsOf(product.product).length === 0 && (
        <Words size="label" tone="ink-2">
          It has no formula of its own: the food alone, with salt, sugar or acid as its page says.
        </Words>
      )}
    </AnswerPlate>
  );
}

/** What to make instead of a changed formula. */
function NearestTested({ product }: { product: ProductRow }) {
  return (
    <View className="gap-2">
      <Heading>Tested, and near to it</Heading>
      <View className="flex-row flex-wrap gap-2">
        {[product.product, ...similarProducts(product)].map((near) => (
          <RowLink
            key={near}
            href={{ pathname: '/bench/tested/[product]', params: { product: near } }}
            className="min-h-[48px] justify-center rounded-key border-2 border-cobalt px-3"
          >
            <Words weight={700} tone="cobalt">
              {findProduct(near)?.name}
            </Words>
          </RowLink>
        ))}
      </View>
    </View>
  );
}

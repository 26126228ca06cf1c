import { type Pack } from '@hoddle/core/handbook/boilingWater';
import { JAR_SIZES, type JarSize } from '@hoddle/core/handbook/jars';
import { type ProductRow } from '@hoddle/core/handbook/products';
import { findTestedRow, processAt } from '@hoddle/core/process/findProcess';
import { altitudeBand } from '@hoddle/core/process/altitudeBand';
import { METHODS } from '@hoddle/core/process/method';
import { type Refusal } from '@hoddle/core/process/refusal';
import { type TestedRow } from '@hoddle/core/process/testedRow';
import { bandsOf } from '@hoddle/core/process/withOwnSource';
import { useRouter } from 'expo-router';
import { recipesOf } from '@hoddle/core/recipe/cardColumns';
import { View } from 'react-native';
import { bandCells } from '@/household/process/bandCells';
import { DosePart } from '@/ui/DosePart';
import { ProcessPart } from '@/household/process/ProcessPart';
import { RefusalPart } from '@/household/process/RefusalPart';
import { usePages } from '@/household/process/usePages';
import { useHousehold } from '@/store/useHousehold';
import { AltitudeBands } from '@/ui/AltitudeBands';
import { Choice } from '@/ui/Choice';
import { hueOfProduct } from '@/ui/colours';
import { HeadspaceDrawing } from '@/ui/HeadspaceDrawing';
import { Key } from '@/ui/Key';
import { Words } from '@/ui/Words';
import { CheckedMark } from './CheckedMark';
import { FormulaPart } from './FormulaPart';
import { isTestedHere } from './isTestedHere';
import { JarChoice } from '@/ui/JarChoice';
import { MethodChoice } from '@/household/process/MethodChoice';
import { useTestedQuestion } from './useTestedQuestion';

/** One product: choose jar, pack and canner; then its tested time and all that belongs to it, or why there is none. */
export function ProductDetail({ product, jar: firstJar }: { product: ProductRow; jar?: JarSize }) {
  const router = useRouter();
  const { household } = useHousehold();
  const { altitudeFt } = household;
  const pages = usePages();
  const { question, change } = useTestedQuestion(product, firstJar);
  const { pack, jar, method } = question;
  const look = (part: Partial<typeof question>) =>
    findTestedRow({ ...question, ...part, product: product.product }, pages);
  const row = look({});
  const here =
    row.kind === 'testedRow' && altitudeFt !== null ? processAt(row, altitudeFt, pages.checkedRows) : undefined;
  const refused = row.kind === 'refusal' ? row : here?.kind === 'refusal' ? here : undefined;
  const rowId = here?.kind === 'tested' ? here.rowId : rowIdOf(row);
  const card = recipesOf(product.product)[0]?.card;
  const colours = hueOfProduct(product.product);
  const isTested = (part: Partial<typeof question>) => isTestedHere(look(part), altitudeFt);
  const packWords = (candidate: Pack) =>
    `${candidate} pack${isTestedHere(look({ pack: candidate }), null) ? '' : ', not tested'}`;
  return (
    <View className="gap-4">
      <JarChoice
        value={jar}
        onChoose={(size) => change({ jar: size })}
        colours={colours}
        isTested={(size) => isTested({ jar: size })}
        sizes={JAR_SIZES}
      />
      <Choice
        label="Pack"
        value={pack}
        onChoose={(chosen) => change({ pack: chosen })}
        options={[
          { value: 'hot', words: packWords('hot') },
          { value: 'raw', words: packWords('raw') },
        ]}
      />
      <MethodChoice
        value={method}
        onChoose={(chosen) => change({ method: chosen })}
        isTested={(candidate) => isTested({ method: candidate })}
        methods={METHODS}
      />
      {row.kind === 'testedRow' && here?.kind !== 'refusal' && (
        <ProcessPart
          row={row}
          altitudeFt={altitudeFt}
          checkedRows={pages.checkedRows}
          mark={rowId !== undefined ? <CheckedMark rowId={rowId} /> : undefined}
        />
      )}
      {refused && (
        <RefusalPart
          refusal={refused}
          asked={{ product, pack, jar, method }}
          altitudeFt={altitudeFt}
          onJar={(size) => change({ jar: size })}
          onPack={(other) => change({ pack: other })}
          onMethod={(other) => change({ method: other })}
        />
      )}
      {refused && row.kind === 'testedRow' && altitudeFt !== null && (
        <View className="flex-row">
          <AltitudeBands
            cells={bandCells(row)}
            chosen={altitudeBand(altitudeFt, bandsOf(method)).index}
            chosenWords={`${altitudeFt.toLocaleString('en-US')} ft`}
          />
        </View>
      )}
      {!refused && row.kind === 'testedRow' && (
        <View className="gap-4 border-t-2 border-hair pt-3">
          <View className="flex-row items-end gap-4">
            <HeadspaceDrawing size={jar} headspaceIn={row.headspaceIn} units={household.units} {...colours} />
            <Words className="flex-1" tone="ink-2">
              Headspace from the rim down to the food or its liquid. Free the bubbles, top up, look again: too little
              and it siphons, too much and it discolours.
            </Words>
          </View>
          {row.acid && <DosePart row={row} jar={jar} />}
          <FormulaPart product={product} />
          {product.readyAfterDays > 0 && (
            <Words>
              At its best after <Words weight={700}>{Math.round(product.readyAfterDays / 7)} weeks</Words> on the shelf.
            </Words>
          )}
          {!product.mayDouble && product.productClass === 'spread' && (
            <Words>One batch at a time: a doubled one may not set.</Words>
          )}
        </View>
      )}
      <View className="gap-3 border-t-2 border-hair pt-3">
        <Words tone="ink-2">
          In low-acid food and wherever acid falls short, botulism can grow in a sealed jar without any sign. Your local
          extension office and codes come first.
        </Words>
        <Key
          look="outline"
          words="May I change this?"
          onPress={() => router.navigate({ pathname: '/bench/change/[product]', params: { product: product.product } })}
        />
        {card && (
          <Key
            look="outline"
            words="Its recipe on a card"
            onPress={() => router.navigate({ pathname: '/paper/[what]', params: { what: 'recipe', card } })}
          />
        )}
        <Key
          look="outline"
          words="Add a tested page of our own"
          onPress={() =>
            router.navigate({ pathname: '/bench/sources/new', params: { product: product.product, jar, pack, method } })
          }
        />
      </View>
    </View>
  );
}

/** The row a look-up stands in, for a kitchen whose altitude is not set: the page can be checked all the same. */
function rowIdOf(row: TestedRow | Refusal): string | undefined {
  if (row.kind === 'refusal') return undefined;
  const first = row.bands.find((band) => band.kind === 'tested');
  return first?.kind === 'tested' ? first.rowId : undefined;
}

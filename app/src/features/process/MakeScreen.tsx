import { madeBefore, THAW_COLD, THAW_COUNTER } from '@hoddle/core/day/daySequence';
import { recipeName } from '@hoddle/core/recipe/recipeName';
import { cardForCrop } from '@hoddle/core/yields/cardForCrop';
import { JAR_SIZES, countJars, countSizes, type JarSize, JARS } from '@hoddle/core/handbook/jars';
import { findProduct, type ProductRow } from '@hoddle/core/handbook/products';
import { type ProduceId } from '@hoddle/core/handbook/produce';
import { type Pack } from '@hoddle/core/handbook/boilingWater';
import { usualPack } from '@hoddle/core/handbook/usualPack';
import { refrigeratedUseBy } from '@hoddle/core/pantry/keepsUntil';
import { findTestedRow, processAt } from '@hoddle/core/process/findProcess';
import { type Method, METHOD_WORDS } from '@hoddle/core/process/method';
import { plannedProcess } from '@hoddle/core/process/plannedProcess';
import { likelyWords } from '@hoddle/core/yields/spanWords';
import { lastWords } from '@hoddle/core/yields/yieldRange';
import { useRouter } from 'expo-router';
import { useEffect } from 'react';
import { View } from 'react-native';
import { byCrop, type CropOnHand, lotKey, useLeftBehind, useLots } from '@/household/harvest/useOnHand';
import { MissingLines } from '@/household/recipe/MissingLines';
import { MustWait } from '@/ui/MustWait';
import { OptionalSteps } from '@/ui/OptionalSteps';
import { RecipeSheet } from '@/household/recipe/RecipeSheet';
import { sheetOfBatch } from '@/household/recipe/sheetOf';
import { getReady } from '@/store/dayPlanStore';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useHousehold } from '@/store/useHousehold';
import { isoDay } from '@/ui/clockWords';
import { v7 as uuidV7 } from 'uuid';
import { useMassWords, useUnits } from '@/store/useUnits';
import { Choice } from '@/ui/Choice';
import { hueOfCrop } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';
import { Key } from '@/ui/Key';
import { ProduceBar } from '@/ui/ProduceBar';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { Heading, Words } from '@/ui/Words';
import { DosePart } from '@/ui/DosePart';
import { LoadsPart } from './LoadsPart';
import { METHOD_NAMES } from '@/household/process/methodNames';
import { OddJarsPart } from './OddJarsPart';
import { MoreJarsPart } from './MoreJarsPart';
import { PotOutputPart } from './PotOutputPart';
import { ProcessPart } from '@/household/process/ProcessPart';
import { RefusalPart } from '@/household/process/RefusalPart';
import { StartPart } from '@/household/process/StartPart';
import { useMakeDraft } from './useMakeDraft';
import { usePages } from '@/household/process/usePages';
import { type MoreJarsDraft } from './useMoreJars';
import { type PotOutputDraft } from './usePotOutput';

const OFFERED: readonly JarSize[] = ['pint', 'quart', 'half-gallon'];
/** Less than this is nothing to pick. */
const WORTH_ASKING_KG = 0.05;
/** Of what is printed in small jars. */
const OFFERED_SMALL: readonly JarSize[] = ['half-pint', 'pint', 'quart'];

/** A product in a jar: its tested process, what goes in, its loads, and when. */
export function MakeScreen(params: { crop: string; product: string; jar: string; lots?: string }) {
  const keys = params.lots?.split(',');
  // What a batch left behind is made into something only where it is asked for.
  const left = useLeftBehind().filter((lot) => keys?.includes(lotKey(lot)));
  const chosen = [...useLots(), ...left].filter(
    ({ crop, place }) => crop === params.crop && (params.lots ? true : place !== 'freezer'),
  );
  const product = findProduct(params.product);
  const own = product && cardForCrop(product.product, params.crop as ProduceId);
  const fitting = chosen.filter(({ ripeness }) => (ripeness === 'green') === (own?.green ?? false));
  const item = byCrop(keys ? fitting.filter((lot) => keys.includes(lotKey(lot))) : fitting)[0];
  const jar = JAR_SIZES.find((size) => size === params.jar) ?? 'quart';
  if (!item || !product) {
    return (
      <Screen station="plan" title="Nothing to make here" backTo="/harvest">
        <Words>
          The produce is used up, or the handbook does not have this product. Choose again from what is on hand.
        </Words>
      </Screen>
    );
  }
  return <Make item={item} product={product} firstJar={jar} />;
}

function Make({ item, product, firstJar }: { item: CropOnHand; product: ProductRow; firstJar: JarSize }) {
  const router = useRouter();
  const mass = useMassWords();
  const units = useUnits();
  const wide = useIsWide();
  const enter = useHouseholdStore((store) => store.enter);
  const { household } = useHousehold();
  const draft = useMakeDraft(item, product, firstJar);
  useEffect(getReady, []);
  const { jar, jars, capacity, canner, method, ways } = draft;
  const colours = hueOfCrop(item.crop);
  const pages = usePages();
  const { card, amounts, missing } = draft;
  const before = card ? madeBefore(card) : [];
  const name = recipeName({ product: product.product, crop: item.crop, ...(card && { recipe: card.card }) });
  // What is printed in half-pints is offered in them, by its recipe or by its tested row.
  const isSmall = product.hasFormula || card?.yields?.jar === 'half-pint' || firstJar === 'half-pint';
  const stops = missing.find((each) => each.stops);
  const asked = { product, pack: draft.pack, jar, method } as const;
  const row = findTestedRow({ ...asked, product: product.product }, pages);
  const plan = () => {
    const batches = draft.toBatches();
    if (batches.length === 0) return;
    const [own] = batches;
    const entered = batches.map((batch) => enter({ kind: 'batch', batch }));
    if (own && draft.onlyWay) {
      const wish = { kind: 'way', batchId: own.id, method: draft.onlyWay } as const;
      const told = { id: uuidV7(), day: isoDay(own.startAt), at: householdNow(), type: 'wish-made', wish } as const;
      entered.push(enter({ kind: 'day-event', event: told }));
    }
    void Promise.all(entered).then(() => router.navigate('/plan'));
  };
  const isTestedHere =
    row.kind === 'testedRow' && household.altitudeFt !== null && processAt(row, household.altitudeFt).kind === 'tested';
  const tested =
    row.kind === 'testedRow' && household.altitudeFt !== null ? processAt(row, household.altitudeFt) : undefined;
  const last = draft.loads.at(-1) ?? 0;
  // Half a rack and more is a load as any other.
  const short = tested?.kind === 'tested' &&
    capacity?.kind === 'holds' &&
    household.altitudeFt !== null &&
    last * 2 < capacity.jars && {
      jars: last,
      places: capacity.jars,
      layers: capacity.layers,
      processMinutes: plannedProcess(tested).minutes,
      pressurePsi: tested.pressurePsi,
      altitudeFt: household.altitudeFt,
    };
  const isThere = draft.inAll <= draft.range.p90;
  const ready = isTestedHere && capacity?.kind === 'holds' && jars > 0 && isThere && !stops;
  return (
    <Screen
      station="plan"
      title={name}
      note={[
        `From ${mass(item.massKg)}${draft.range.p90 > 0 ? `: ${likelyWords(draft.range, jar)}` : ''}`,
        ...(draft.lastTime ? [lastWords(draft.lastTime, units)] : []),
      ].join('; ')}
      backTo={`/harvest/makes?crop=${item.crop}`}
      foot={ready ? <Key tall words={planWords(allWords(jars, jar, draft), draft.output)} onPress={plan} /> : undefined}
    >
      <View className={wide ? 'flex-row gap-10' : 'gap-5'}>
        <View className={wide ? 'flex-1 gap-5' : 'gap-5'}>
          <Choice
            label="Jar"
            value={jar}
            onChoose={draft.setJar}
            options={(isSmall ? OFFERED_SMALL : OFFERED).map((size) => ({
              value: size,
              words: JARS[size].several,
              drawing: (
                <JarDrawing size={size} quartPx={28} look={size === 'half-gallon' ? 'gap' : 'planned'} {...colours} />
              ),
            }))}
          />
          {row.kind === 'refusal' ? (
            <RefusalPart
              refusal={row}
              asked={asked}
              altitudeFt={household.altitudeFt}
              onJar={draft.setJar}
              onMethod={draft.setMethod}
            />
          ) : (
            <>
              {draft.packs.some(({ pack }) => pack !== usualPack(product)) && (
                <Choice
                  label="Pack"
                  value={draft.pack}
                  onChoose={draft.setPack}
                  options={draft.packs.map(({ pack, minutes }) => ({
                    value: pack,
                    words: PACK_WORDS[pack],
                    note: [...(minutes === undefined ? [] : [`${minutes} min`]), PACK_NOTES[pack]].join(', '),
                  }))}
                />
              )}
              {ways.served.length > 1 && (
                <Choice
                  label="How it is processed"
                  value={method}
                  onChoose={draft.setMethod}
                  options={ways.served.map((value) => ({ value, words: METHOD_NAMES[value] }))}
                />
              )}
              <ProcessPart row={row} altitudeFt={household.altitudeFt} checkedRows={pages.checkedRows} />
              <View className="border-t-2 border-hair pt-3">
                <DosePart row={row} jar={jar} jars={jars} />
              </View>
            </>
          )}
        </View>
        {row.kind === 'testedRow' && (
          <View className={`gap-4 ${wide ? 'flex-1' : 'border-t-2 border-hair pt-3'}`}>
            {!canner || capacity?.kind === 'refusal' ? (
              <NoCanner reason={capacity?.kind === 'refusal' ? capacity.reason : noneFor(method)} />
            ) : jars === 0 ? (
              <Words>Not enough for a full {JARS[jar].one}. Wait for the next picking, or take a smaller jar.</Words>
            ) : (
              <>
                <LoadsPart
                  colours={colours}
                  jar={jar}
                  jars={jars}
                  loads={draft.loads}
                  perLoad={capacity?.jars ?? 1}
                  canner={canner}
                  style={draft.style}
                  endsAt={draft.endsAt}
                  startAt={draft.startAt}
                  onStyle={draft.setStyle}
                  onJars={draft.setJars}
                />
                <MoreJarsPart
                  draft={draft.besides}
                  colours={colours}
                  first={jar}
                  lastLoad={last}
                  likely={draft.likelyBesides}
                />
                {short && draft.besides.parts.length === 0 && (
                  <OddJarsPart
                    {...short}
                    canner={canner}
                    jar={jar}
                    pack={asked.pack}
                    method={method}
                    keepsDays={daysLeft(item)}
                    refrigeratorDays={refrigeratorDays(product)}
                    startAt={draft.startAt}
                    sharedId={draft.sharedId}
                    onShare={draft.setSharedId}
                  />
                )}
                <View>
                  <Words className="pb-1">
                    {allWords(jars, jar, draft)}: likely {mass(draft.need.likelyKg)}, {mass(draft.need.sureKg)} to be
                    sure 8 times in 10
                  </Words>
                  {draft.moreKg > WORTH_ASKING_KG && (
                    <Words weight={700} className="pb-1">
                      About {mass(draft.moreKg)} more{' '}
                      {isThere ? 'would make it likely.' : 'are needed: pick or buy them first.'}
                    </Words>
                  )}
                  <ProduceBar hue={colours.hue} softKg={item.softKg} usedKg={draft.usedKg} totalKg={item.massKg} />
                </View>
                {draft.output && <PotOutputPart draft={draft.output} />}
                {draft.thaw && (
                  <Choice
                    label="How it thaws"
                    value={draft.thaw}
                    onChoose={(way) => way !== draft.thaw && draft.flipThaw()}
                    options={[
                      { value: THAW_COLD, words: 'thaws overnight in the cold', note: '8 to 18 h' },
                      ...(product.productClass === 'low-acid'
                        ? []
                        : [{ value: THAW_COUNTER, words: 'thaws on the counter', note: '2 to 4 h, then at once' }]),
                    ]}
                  />
                )}
                {before.length > 0 && (
                  <Words weight={700}>
                    Done before this day: {before.map(({ step }) => step.plainWords.toLowerCase()).join(', then ')}.
                  </Words>
                )}
                {amounts && (
                  <View className="gap-2">
                    <Heading>What goes in</Heading>
                    <RecipeSheet content={sheetOfBatch(amounts)} jar={jar} missing={missing} />
                    <MissingLines missing={missing} />
                    {card?.caution !== undefined && <Words weight={600}>{card.caution}</Words>}
                    {card && <OptionalSteps card={card} without={draft.without} onFlip={draft.flipStep} />}
                    {card && <MustWait card={card} product={product} crop={item.crop} jar={jar} />}
                  </View>
                )}
                <StartPart startAt={draft.startAt} onStart={draft.setStart} />
              </>
            )}
          </View>
        )}
      </View>
    </Screen>
  );
}

const PACK_WORDS: Readonly<Record<Pack, string>> = { hot: 'hot pack', raw: 'raw pack' };
/** Common practice. */
const PACK_NOTES: Readonly<Record<Pack, string>> = {
  hot: 'less air, floats less',
  raw: 'nothing cooked first, floats more',
};

/** "6 quarts, 4 pints and 3 half-pints". */
function allWords(jars: number, jar: JarSize, { besides }: { besides: MoreJarsDraft }): string {
  const more = besides.parts.flatMap((part) => (part.loads.length > 0 ? [{ jar: part.jar, count: part.jars }] : []));
  return countSizes([{ jar, count: jars }, ...more]);
}

/** "Plan 12 pints", and what is made of the same pot. */
function planWords(jars: string, output: PotOutputDraft | undefined): string {
  const own = `Plan ${jars}`;
  return output?.isWanted && output.loads.length > 0
    ? `${own} and ${countJars(output.jars, output.jar)} ${output.product.name.toLowerCase()}`
    : own;
}

/** Days until the next lot spoils, whole ones. */
function daysLeft({ lots }: CropOnHand): number {
  const until = Math.min(...lots.map((lot) => lot.until));
  return Number.isFinite(until) ? Math.max(0, Math.floor((until - householdNow()) / DAY_MS)) : 0;
}

/** Low-acid food has no refrigerator class to offer: handbook rule 10. */
function refrigeratorDays({ product, productClass }: ProductRow): number | undefined {
  return productClass === 'low-acid' ? undefined : Math.round(refrigeratedUseBy(product, 0) / DAY_MS);
}

const DAY_MS = 24 * 60 * 60_000;

function noneFor(method: Method): string {
  return `No canner is written down that processes ${METHOD_WORDS[method]}.`;
}

function NoCanner({ reason }: { reason: string }) {
  const router = useRouter();
  return (
    <View className="gap-2">
      <Words weight={700}>{reason}</Words>
      <Words>Loads follow from the canner: how many jars its rack takes, and how deep it is.</Words>
      <Key words="Set up the canner" onPress={() => router.navigate('/bench/canners')} />
    </View>
  );
}

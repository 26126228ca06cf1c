import { JAR_SIZES, countJars, type JarSize, JARS } from '@hoddle/core/handbook/jars';
import { findProduct, type ProductRow } from '@hoddle/core/handbook/products';
import { usualPack } from '@hoddle/core/handbook/usualPack';
import { findTestedRow, processAt } from '@hoddle/core/process/findProcess';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { type CropOnHand, useOnHand } from '@/features/harvest/useOnHand';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold } from '@/store/useHousehold';
import { useMassWords } from '@/store/useUnits';
import { Choice } from '@/ui/Choice';
import { clockTime, weekday } from '@/ui/clockWords';
import { hueOfProduct } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';
import { Key } from '@/ui/Key';
import { ProduceBar } from '@/ui/ProduceBar';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { Stepper } from '@/ui/Stepper';
import { Heading, Words } from '@/ui/Words';
import { DosePart } from './DosePart';
import { LoadsPart } from './LoadsPart';
import { ProcessPart } from './ProcessPart';
import { RefusalPart } from './RefusalPart';
import { useMakeDraft } from './useMakeDraft';
import { usePages } from './usePages';

const OFFERED: readonly JarSize[] = ['pint', 'quart', 'half-gallon'];

/** A product in a jar: its tested process, what goes in, its loads, and when. */
export function MakeScreen(params: { crop: string; product: string; jar: string }) {
  const item = useOnHand().find(({ crop }) => crop === params.crop);
  const product = findProduct(params.product);
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
  const wide = useIsWide();
  const enter = useHouseholdStore((store) => store.enter);
  const { household } = useHousehold();
  const draft = useMakeDraft(item, product, firstJar);
  const { jar, jars, capacity, canner } = draft;
  const colours = hueOfProduct(product.product);
  const pages = usePages();
  const asked = { product, pack: usualPack(product), jar, method: 'boiling-water' } as const;
  const row = findTestedRow({ ...asked, product: product.product }, pages);
  const plan = () => {
    const batch = draft.toBatch();
    if (!batch) return;
    enter({ kind: 'batch', batch });
    router.navigate('/plan');
  };
  const isTestedHere =
    row.kind === 'testedRow' && household.altitudeFt !== null && processAt(row, household.altitudeFt).kind === 'tested';
  const ready = isTestedHere && capacity?.kind === 'holds' && jars > 0;
  return (
    <Screen
      station="plan"
      title={product.name}
      note={`From ${mass(item.massKg)}: ${draft.range.p10} to ${draft.range.p90} ${JARS[jar].several}, likely ${draft.range.p50}`}
      backTo={`/harvest/makes?crop=${item.crop}`}
      foot={ready ? <Key tall words={`Plan ${countJars(jars, jar)}`} onPress={plan} /> : undefined}
    >
      <View className={wide ? 'flex-row gap-10' : 'gap-5'}>
        <View className={wide ? 'flex-1 gap-5' : 'gap-5'}>
          <Choice
            label="Jar"
            value={jar}
            onChoose={draft.setJar}
            options={OFFERED.map((size) => ({
              value: size,
              words: JARS[size].several,
              drawing: (
                <JarDrawing size={size} quartPx={28} look={size === 'half-gallon' ? 'gap' : 'planned'} {...colours} />
              ),
            }))}
          />
          {row.kind === 'refusal' ? (
            <RefusalPart refusal={row} asked={asked} altitudeFt={household.altitudeFt} onJar={draft.setJar} />
          ) : (
            <>
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
              <NoCanner reason={capacity?.kind === 'refusal' ? capacity.reason : 'No canner is written down yet.'} />
            ) : jars === 0 ? (
              <Words>Not enough for a full {JARS[jar].one}. Wait for the next picking, or take a smaller jar.</Words>
            ) : (
              <>
                <LoadsPart
                  product={product.product}
                  jar={jar}
                  jars={jars}
                  most={draft.range.p90}
                  loads={draft.loads}
                  perLoad={capacity?.jars ?? 1}
                  canner={canner}
                  style={draft.style}
                  onStyle={draft.setStyle}
                  onJars={draft.setJars}
                />
                <View>
                  <Words className="pb-1">
                    {countJars(jars, jar)}: likely {mass(draft.need.p50)}, {mass(draft.need.p90)} to be sure
                  </Words>
                  <ProduceBar hue={colours.hue} softKg={item.softKg} usedKg={draft.usedKg} totalKg={item.massKg} />
                </View>
                <View>
                  <Heading className="pb-2">Start</Heading>
                  <Stepper
                    label="Start"
                    words={`${weekday(draft.startAt)} ${clockTime(draft.startAt)}`}
                    onLess={() => draft.moveStart(-1)}
                    onMore={() => draft.moveStart(1)}
                  />
                </View>
              </>
            )}
          </View>
        )}
      </View>
    </Screen>
  );
}

function NoCanner({ reason }: { reason: string }) {
  const router = useRouter();
  return (
    <View className="gap-2">
      <Words weight={700}>{reason}</Words>
      <Words>Loads follow from the canner: how many jars its rack takes, and how deep it is.</Words>
      <Key words="Set up the canner" onPress={() => router.navigate('/bench/household')} />
    </View>
  );
}

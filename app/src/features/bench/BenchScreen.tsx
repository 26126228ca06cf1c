import { JARS } from '@hoddle/core/handbook/jars';
import { PRODUCTS } from '@hoddle/core/handbook/products';
import { sourceLine } from '@hoddle/core/handbook/source';
import { altitudeBand } from '@hoddle/core/process/altitudeBand';
import { findTestedRow } from '@hoddle/core/process/findProcess';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useHousehold } from '@/store/useHousehold';
import { AltitudeBands } from '@/ui/AltitudeBands';
import { COLOURS, hueOfProduct } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { Heading, Words } from '@/ui/Words';

/** The sign of the kitchen: altitude, band, canners; below it the tested minutes of every product here. */
export function BenchScreen() {
  const wide = useIsWide();
  return (
    <Screen station="bench" title="Bench">
      <View className={wide ? 'flex-row gap-10' : 'gap-5'}>
        <View className={wide ? 'w-[480px]' : ''}>
          <Sign />
        </View>
        <View className="flex-1">
          <TestedTimes />
        </View>
      </View>
    </Screen>
  );
}

function Sign() {
  const router = useRouter();
  const { household } = useHousehold();
  const { altitudeFt, canners, name, burners } = household;
  const band = altitudeFt === null ? undefined : altitudeBand(altitudeFt);
  return (
    <View
      className="gap-3 rounded-plate bg-plate p-5"
      style={{
        boxShadow: `inset 0 0 0 3px ${COLOURS.cobalt}, inset 0 0 0 7px ${COLOURS.plate}, inset 0 0 0 8px ${COLOURS.cobalt}`,
      }}
    >
      <View className="gap-3">
        <View className="flex-row items-baseline justify-between">
          <Words size={altitudeFt === null ? 'head' : 'figure'} weight={800}>
            {altitudeFt === null ? 'Altitude?' : `${altitudeFt.toLocaleString('en-US')} ft`}
          </Words>
          <Words tone="ink-2">{name || 'Home kitchen'}</Words>
        </View>
        <AltitudeBands chosen={band?.index} />
      </View>
      {canners.map((canner) => (
        <Words key={canner.id}>
          <Words weight={700}>{canner.name}</Words>: boiling water, {canner.declaredQuarts} quarts or{' '}
          {canner.declaredPints} pints, {canner.insideDiameterIn} in wide, {canner.insideHeightIn} in deep
        </Words>
      ))}
      <Words tone="ink-2">
        {canners.length === 0 ? 'No canner written down. ' : ''}
        {burners} burners.
      </Words>
      <Key look="outline" words="Change" onPress={() => router.navigate('/bench/household')} />
    </View>
  );
}

/** The tested minutes at this kitchen; without an altitude those of all four bands. */
function TestedTimes() {
  const { altitudeFt } = useHousehold().household;
  return (
    <View>
      <Heading className="pb-1">
        Tested times{altitudeFt === null ? ', by band' : ` at ${altitudeFt.toLocaleString('en-US')} ft`}
      </Heading>
      {PRODUCTS.map((product) => {
        const rows = (['quart', 'pint'] as const).map((jar) => ({
          jar,
          row: findTestedRow({ product: product.product, pack: product.pack, jar, method: 'boiling-water' }),
        }));
        const source = rows.map(({ row }) => (row.kind === 'testedRow' ? sourceLine(row) : '')).find(Boolean);
        return (
          <View key={product.product} className="border-t border-hair py-2">
            <Words weight={700}>{product.name}</Words>
            <View className="flex-row flex-wrap items-center gap-x-5 gap-y-1 py-1">
              {rows.map(({ jar, row }) => (
                <View key={jar} className="flex-row items-center gap-2">
                  <JarDrawing size={jar} quartPx={30} look="here" {...hueOfProduct(product.product)} />
                  <Words>
                    <Words size="lead" weight={800}>
                      {row.kind === 'refusal'
                        ? 'none'
                        : altitudeFt === null
                          ? row.bandMinutes.join(', ')
                          : row.bandMinutes[altitudeBand(altitudeFt).index]}
                    </Words>{' '}
                    min, {JARS[jar].several}
                  </Words>
                </View>
              ))}
            </View>
            <Words size="small" tone="ink-2">
              {source}.
            </Words>
          </View>
        );
      })}
      <Words tone="ink-2" className="border-t border-hair pt-3">
        Times hold only for the food, jar and pack they were tested with. Your local extension office and codes come
        first.
      </Words>
    </View>
  );
}

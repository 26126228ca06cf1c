import { boilingPointF } from '@hoddle/core/process/boilingPoint';
import { altitudeBand } from '@hoddle/core/process/altitudeBand';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { BARE_CELLS } from '@/household/process/bandCells';
import { useHousehold } from '@/store/useHousehold';
import { altitudeWords, temperatureWords } from '@/ui/amountWords';
import { AltitudeBands } from '@/ui/AltitudeBands';
import { COLOURS } from '@/ui/colours';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { Words } from '@/ui/Words';
import { BenchTools } from './BenchTools';
import { METHOD_NAMES } from './canners/methodNames';

/** The sign of the kitchen: altitude, band, boiling point, canners; below it what stands on the board. */
export function BenchScreen() {
  const wide = useIsWide();
  return (
    <Screen station="bench" title="Bench" bleed>
      <View className={wide ? 'flex-row gap-10 px-8' : 'gap-6'}>
        <View className={wide ? 'w-[480px]' : 'px-4'}>
          <Sign />
        </View>
        <View className="flex-1">
          <BenchTools />
        </View>
      </View>
    </Screen>
  );
}

function Sign() {
  const router = useRouter();
  const { household } = useHousehold();
  const { altitudeFt, canners, name, burners, units } = household;
  const band = altitudeFt === null ? undefined : altitudeBand(altitudeFt);
  return (
    <View
      className="gap-3 rounded-plate bg-plate p-5"
      style={{
        boxShadow: `inset 0 0 0 3px ${COLOURS.cobalt}, inset 0 0 0 7px ${COLOURS.plate}, inset 0 0 0 8px ${COLOURS.cobalt}`,
      }}
    >
      <View className="gap-3">
        <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
          <Words size={altitudeFt === null || units === 'metric' ? 'head' : 'figure'} weight={800}>
            {altitudeFt === null ? 'Altitude?' : altitudeWords(altitudeFt, units)}
          </Words>
          <Words tone="ink-2">{name || 'Home kitchen'}</Words>
        </View>
        <AltitudeBands cells={BARE_CELLS} chosen={band?.index} />
      </View>
      {altitudeFt !== null && (
        <Words>
          Water boils at <Words weight={700}>{temperatureWords(boilingPointF(altitudeFt), units)}</Words> here.
        </Words>
      )}
      {canners.map((canner) => (
        <Words key={canner.id}>
          <Words weight={700}>{canner.name}</Words>: {METHOD_NAMES[canner.method].toLowerCase()},{' '}
          {canner.declaredQuarts} quarts or {canner.declaredPints} pints, {canner.insideDiameterIn} in wide,{' '}
          {canner.insideHeightIn} in deep
        </Words>
      ))}
      <Words tone="ink-2">
        {canners.length === 0 ? 'No canner written down. ' : ''}
        {burners} burners. {units === 'metric' ? 'Kilograms, metres, Celsius.' : 'Pounds, feet, Fahrenheit.'}
      </Words>
      <Key look="outline" words="Change" onPress={() => router.navigate('/bench/household')} />
      <Key look="outline" words="Canners and the day" onPress={() => router.navigate('/bench/canners')} />
      <Key look="outline" words="Scales and probes" onPress={() => router.navigate('/bench/instruments')} />
      <Key look="outline" words="Who comes in" onPress={() => router.navigate('/bench/devices')} />
    </View>
  );
}

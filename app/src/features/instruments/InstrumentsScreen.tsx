import { View } from 'react-native';
import { useInstrumentStore } from '@/store/instrumentStore';
import { useHousehold } from '@/store/useHousehold';
import { Choice } from '@/ui/Choice';
import { Plate } from '@/ui/Plate';
import { RowLink } from '@/ui/RowLink';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { Heading, Words } from '@/ui/Words';
import { BrowserPart } from './BrowserPart';
import { ContainersPart } from './ContainersPart';
import { InstrumentRow } from './InstrumentRow';
import { SimulatedPart } from './SimulatedPart';
import { useInstrumentSettings } from '@/household/instruments/useInstruments';

/** Scales and probes: what each tells now, where it is, what it weighs in, and whether a probe may begin a clock. */
export function InstrumentsScreen() {
  const wide = useIsWide();
  const { demoOffsetMs } = useHousehold();
  const { instruments } = useInstrumentStore();
  const { settings, change } = useInstrumentSettings();
  return (
    <Screen station="bench" title="Scales and probes" backTo="/bench">
      <View className={wide ? 'flex-row gap-10' : 'gap-6'}>
        <View className={`gap-4 ${wide ? 'w-[560px]' : ''}`}>
          {instruments.length === 0 && <Words>No scale or probe speaks now.</Words>}
          {instruments.length > 0 && (
            <View role="list" aria-label="Instruments">
              {instruments.map((each) => (
                <InstrumentRow key={each.id} instrument={each} />
              ))}
            </View>
          )}
          {demoOffsetMs !== null && <SimulatedPart isOn={instruments.length > 0} />}
          <BrowserPart />
          <RowLink href="/bench/devices" className="min-h-[48px] justify-center">
            <Words weight={700} tone="cobalt">
              Let another one in
            </Words>
          </RowLink>
        </View>
        <View className={`gap-6 ${wide ? 'flex-1' : ''}`}>
          <Plate className="gap-3">
            <Heading>The clock of a load begins</Heading>
            <Choice
              label="The clock of a load begins"
              value={settings.startsClock}
              onChoose={(startsClock) => change(() => ({ startsClock }))}
              options={[
                { value: 'tap', words: 'with a tap' },
                { value: 'probe', words: 'by the probe' },
              ]}
            />
            <Words>
              {settings.startsClock === 'tap'
                ? 'A probe calls when it sees the boil. You look, and tap.'
                : 'A probe begins the clock and calls you to look. Without your tap these jars go to no shelf.'}
            </Words>
            <Words tone="ink-2">
              A start that is too soon is worse than one that is late: a probe that is off by 2 F, or stands still just
              under the boil, says nothing.
            </Words>
          </Plate>
          <ContainersPart />
        </View>
      </View>
    </Screen>
  );
}

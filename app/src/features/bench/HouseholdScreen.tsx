import { DATE_ORDERS, dateWords, usualOrder } from '@hoddle/core/measure/dateWords';
import { altitudeBand } from '@hoddle/core/process/altitudeBand';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold } from '@/store/useHousehold';
import { AltitudeBands } from '@/ui/AltitudeBands';
import { Choice } from '@/ui/Choice';
import { Key } from '@/ui/Key';
import { RadioRow } from '@/ui/RadioRow';
import { Screen } from '@/ui/Screen';
import { SmallKey } from '@/ui/SmallKey';
import { deviceZone } from '@/store/householdZone';
import { useIsWide } from '@/ui/StationBar';
import { Stepper } from '@/ui/Stepper';
import { TextField } from '@/ui/TextField';
import { Heading, Words } from '@/ui/Words';
import { BARE_CELLS } from '@/household/process/bandCells';
import { FindAltitude } from './FindAltitude';
import { BOILING_CANNERS, householdFrom, useHouseholdDraft } from './useHouseholdDraft';

/** 29 August 2026: a day that is not taken for a month. */
const SHOWN_DAY = Date.UTC(2026, 7, 29, 12);

/** Altitude and canner, set once; a change counts from the next batch on. */
export function HouseholdScreen() {
  const router = useRouter();
  const wide = useIsWide();
  const { household } = useHousehold();
  const enter = useHouseholdStore((store) => store.enter);
  const { draft, change, chooseKind, altitude } = useHouseholdDraft(household);
  const save = () => {
    if (altitude.kind === 'slip') return;
    const altitudeFt = altitude.kind === 'set' ? altitude.altitudeFt : null;
    void enter({ kind: 'household', household: householdFrom(draft, altitudeFt, household) });
    router.navigate('/bench');
  };
  const band = altitude.kind === 'set' ? altitudeBand(altitude.altitudeFt) : undefined;
  return (
    <Screen
      station="bench"
      title="The kitchen"
      backTo="/bench"
      foot={<Key tall words="Save" disabled={altitude.kind === 'slip'} onPress={save} />}
    >
      <View className={wide ? 'flex-row gap-10' : 'gap-6'}>
        <View className={`gap-3 ${wide ? 'flex-1' : ''}`}>
          <TextField label="Household" value={draft.name} onChange={(name) => change({ name })} />
          <View className="flex-row items-end gap-3">
            <View className="flex-1">
              <TextField
                label="Altitude of the kitchen"
                value={draft.altitude}
                onChange={(typed) => change({ altitude: typed })}
                numeric
                wrong={altitude.kind === 'slip'}
              />
            </View>
            <View className="w-[130px]">
              <Choice
                label="Feet or metres"
                value={draft.altitudeUnit}
                onChoose={(altitudeUnit) => change({ altitudeUnit })}
                options={[
                  { value: 'ft', words: 'ft' },
                  { value: 'm', words: 'm' },
                ]}
              />
            </View>
          </View>
          {altitude.kind === 'slip' && (
            <Words role="alert" weight={700}>
              {altitude.sentence}
            </Words>
          )}
          {altitude.kind === 'set' && draft.altitudeUnit === 'm' && (
            <Words>{altitude.altitudeFt.toLocaleString('en-US')} ft, rounded up.</Words>
          )}
          <AltitudeBands cells={BARE_CELLS} chosen={band?.index} />
          <FindAltitude />
          <Heading>Clock and calendar</Heading>
          <Words>Days begin and end, and clocks go, as in {draft.timeZone.replaceAll('_', ' ')}.</Words>
          {draft.timeZone !== deviceZone() && (
            <SmallKey
              words={`This device’s: ${deviceZone().replaceAll('_', ' ')}`}
              onPress={() => change({ timeZone: deviceZone() })}
            />
          )}
          <Heading>Units</Heading>
          <Choice
            label="Units"
            value={draft.units}
            onChoose={(units) => change({ units })}
            options={[
              { value: 'us', words: 'lb, ft, F' },
              { value: 'metric', words: 'kg, m, C' },
            ]}
          />
          <Words tone="ink-2">Spoons, cups and inches of headspace stay as the tables print them.</Words>
          <Heading>Dates on labels, paper and files</Heading>
          <Choice
            label="How dates are written"
            value={draft.dateOrder ?? usualOrder(draft.units)}
            onChoose={(dateOrder) => change({ dateOrder })}
            options={DATE_ORDERS.map((order) => ({
              value: order,
              words: dateWords(SHOWN_DAY, { order, timeZone: 'UTC' }),
            }))}
          />
        </View>
        <View className={`gap-3 ${wide ? 'flex-1' : ''}`}>
          <Heading>Canner</Heading>
          <TextField label="Its name" value={draft.cannerName} onChange={(cannerName) => change({ cannerName })} />
          <View role="radiogroup" aria-label="Kind of canner" className="gap-2">
            {household.canners[0] && (
              <RadioRow
                words="as it is now"
                chosen={draft.cannerKind === 'own'}
                onPress={() => chooseKind('own')}
                note={`${household.canners[0].insideDiameterIn} in wide, ${household.canners[0].insideHeightIn} in deep`}
              />
            )}
            {BOILING_CANNERS.map(({ canner, insideDiameterIn, insideHeightIn }) => (
              <RadioRow
                key={canner}
                words={canner}
                note={`${insideDiameterIn} in wide, ${insideHeightIn} in deep`}
                chosen={draft.cannerKind === canner}
                onPress={() => chooseKind(canner)}
              />
            ))}
          </View>
          <Words>What its rack takes:</Words>
          <Stepper
            label="Quarts"
            words={`${draft.quarts} quarts`}
            onLess={draft.quarts > 0 ? () => change({ quarts: draft.quarts - 1 }) : undefined}
            onMore={draft.quarts < 20 ? () => change({ quarts: draft.quarts + 1 }) : undefined}
          />
          <Stepper
            label="Pints"
            words={`${draft.pints} pints`}
            onLess={draft.pints > 0 ? () => change({ pints: draft.pints - 1 }) : undefined}
            onMore={draft.pints < 30 ? () => change({ pints: draft.pints + 1 }) : undefined}
          />
        </View>
      </View>
    </Screen>
  );
}
